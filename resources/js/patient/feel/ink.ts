type Vector = [number, number, number];

/** Even parts of a breath, its end with them, as the server inks it afterwards. */
export const POINTS = 41;

/** What is quicker than a breath is smoothed away, ms. */
const SMOOTH_MS = 300;
/** The asked breath tilts a phone by more than this, m/s²; less is no breath. */
const LEAST = 0.02;

/**
 * The patient's own breath while it goes on, for a phone that can be seen: how far it has moved along the way that the
 * breath that was asked for moved it. What is told and counted afterwards is computed from all samples, elsewhere.
 */
export class Ink {
    private smooth: Vector | null = null;
    private last = 0;
    private start: Vector | null = null;
    private axis: Vector | null = null;
    private low = 0;
    private high = 1;
    private breath = -1;
    private points: number[] = [];

    take(at: number, x: number, y: number, z: number): void {
        const part = this.smooth === null ? 1 : 1 - Math.exp(-Math.max(0, at - this.last) / SMOOTH_MS);
        const [a, b, c] = this.smooth ?? [x, y, z];
        this.smooth = [a + part * (x - a), b + part * (y - b), c + part * (z - c)];
        this.last = at;
        const value = this.value();
        if (value === null) return;
        this.low = Math.min(this.low, value);
        this.high = Math.max(this.high, value);
    }

    /** The patient is asked to breathe in. */
    inhale(): void {
        this.start = this.smooth;
    }

    /** … and out: the way between is the way of the breath. */
    exhale(): void {
        if (!this.start || !this.smooth) return;
        const [a, b, c] = this.start;
        const way: Vector = [this.smooth[0] - a, this.smooth[1] - b, this.smooth[2] - c];
        const reach = Math.hypot(...way);
        if (reach >= LEAST) this.axis = [way[0] / reach ** 2, way[1] / reach ** 2, way[2] / reach ** 2];
    }

    /** The breath that is led, as far as it has come: 0 to 100 at each part; nothing where the phone felt none. */
    drawn(breath: number, part: number): number[] | null {
        const value = this.value();
        if (value === null) return null;
        if (breath !== this.breath) {
            this.breath = breath;
            this.points = [];
            // A phone that was laid anew lies elsewhere: what was far away counts less from breath to breath.
            const middle = (this.low + this.high) / 2;
            this.low += (middle - this.low) * 0.05;
            this.high += (middle - this.high) * 0.05;
        }
        const height = Math.round(Math.max(0, Math.min(1, (value - this.low) / (this.high - this.low))) * 100);
        const until = Math.min(POINTS - 1, Math.floor(part * (POINTS - 1)));
        if (this.points.length > until) return this.points;
        this.points = [...this.points, ...Array<number>(until + 1 - this.points.length).fill(height)];
        return this.points;
    }

    private value(): number | null {
        if (!this.axis || !this.start || !this.smooth) return null;
        const [x, y, z] = this.smooth;
        const [a, b, c] = this.start;
        return (x - a) * this.axis[0] + (y - b) * this.axis[1] + (z - c) * this.axis[2];
    }
}
