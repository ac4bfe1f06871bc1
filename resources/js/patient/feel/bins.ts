/**
 * Half a minute of acceleration, packed: mm/s² along three axes, the first as it is and then differences; null where
 * nothing came.
 */
export interface TracePart {
    number: number;
    from_ms: number;
    step_ms: number;
    x: (number | null)[];
    y: (number | null)[];
    z: (number | null)[];
}

export const STEP_MS = 40;
const IN_A_PART = 750;

type Axes = [x: number, y: number, z: number];

/** Brings what a phone sends, at whatever rate, to 25 values a second: the mean of what came in each step. */
export class Bins {
    private sums: Axes = [0, 0, 0];
    private count = 0;
    private step = 0;
    private values: (Axes | null)[] = [];
    private number = 0;

    constructor(private readonly onpart: (part: TracePart) => void) {}

    get parts(): number {
        return this.number;
    }

    /** @param at ms since it began; what comes late belongs to the step that is open */
    add(at: number, x: number, y: number, z: number): void {
        if (![at, x, y, z].every(Number.isFinite)) return;
        const step = Math.max(this.step, Math.floor(at / STEP_MS));
        while (this.step < step) this.close();
        this.sums = [this.sums[0] + x, this.sums[1] + y, this.sums[2] + z];
        this.count++;
    }

    /** What is left makes a last part. */
    end(): void {
        if (this.count > 0) this.close();
        if (this.values.length > 0) this.pack();
    }

    private close(): void {
        const mean = (sum: number): number => Math.round((1000 * sum) / this.count);
        const [x, y, z] = this.sums;
        this.values.push(this.count === 0 ? null : [mean(x), mean(y), mean(z)]);
        this.sums = [0, 0, 0];
        this.count = 0;
        this.step++;
        if (this.values.length >= IN_A_PART) this.pack();
    }

    private pack(): void {
        const axis = (which: 0 | 1 | 2): (number | null)[] => {
            let before = 0;
            return this.values.map((value) => {
                if (value === null) return null;
                const step = value[which] - before;
                before = value[which];
                return step;
            });
        };
        this.number++;
        this.onpart({
            number: this.number,
            from_ms: (this.step - this.values.length) * STEP_MS,
            step_ms: STEP_MS,
            x: axis(0),
            y: axis(1),
            z: axis(2),
        });
        this.values = [];
    }
}
