import { sendJson } from '../../shared/http';
import type { LiveAnswer } from '../../types/signals';

const EVERY_MS = 500;
/** What the last minute says is asked for only now and then. */
const READING_EVERY = 4;
/** Seconds that stay to be drawn. */
export const SHOWN_S = 36;

type Samples = [number, number][];

/** What the devices send while a recording goes on, and the clock of the recording. */
export class Live {
    belly = $state.raw<Samples>([]);
    chest = $state.raw<Samples>([]);
    saturation = $state<number | null>(null);
    pulse = $state<number | null>(null);
    beats = $state(0);
    reading = $state.raw<LiveAnswer['reading']>(null);
    sensors = $state.raw<LiveAnswer['sensors']>([]);
    isLost = $state(false);

    private last = 0;
    private asked = 0;
    private began: number;
    private timer: ReturnType<typeof setTimeout> | undefined;
    private isGone = false;

    /** @param onover it was ended elsewhere, or by itself */
    constructor(
        private readonly url: string,
        beganMsAgo: number,
        private readonly onover: () => void,
    ) {
        this.began = performance.now() - beganMsAgo;
        void this.ask();
    }

    /** s since the recording began. */
    at(): number {
        return (performance.now() - this.began) / 1000;
    }

    stop(): void {
        this.isGone = true;
        clearTimeout(this.timer);
    }

    private async ask(): Promise<void> {
        const wants = this.asked++ % READING_EVERY === READING_EVERY - 1 ? '&reading=1' : '';
        try {
            this.take(await sendJson<LiveAnswer>(`${this.url}/live?after=${this.last}${wants}`, 'GET'), wants !== '');
            this.isLost = false;
        } catch {
            this.isLost = true;
        }
        if (!this.isGone) this.timer = setTimeout(() => void this.ask(), EVERY_MS);
    }

    private take(answer: LiveAnswer, hadReading: boolean): void {
        if (this.isGone) return;
        // The quickest answer tells the clock best.
        this.began = Math.min(this.began, performance.now() - answer.at * 1000);
        this.last = answer.last;
        this.sensors = answer.sensors;
        if (hadReading) this.reading = answer.reading;
        this.belly = joined(this.belly, answer.values.belly);
        this.chest = joined(this.chest, answer.values.chest);
        this.saturation = answer.values.spo2?.at(-1)?.[1] ?? this.saturation;
        this.pulse = answer.values.pulse?.at(-1)?.[1] ?? this.pulse;
        this.beats += answer.values.rr_ms?.length ?? 0;
        if (!answer.is_open) {
            this.stop();
            this.onover();
        }
    }
}

function joined(before: Samples, more: Samples | undefined): Samples {
    if (!more || more.length === 0) return before;
    const all = [...before, ...more].sort((one, other) => one[0] - other[0]);
    const end = all.at(-1)?.[0] ?? 0;
    return all.filter(([at]) => at > end - SHOWN_S);
}
