import type { Cue } from '../shared/timeline';
import type { Moment } from './engine';

/** A breath as it was led: start, inhale, exhale and whole length in ms, on the clock of whoever asks. */
export type PlayedBreath = [start: number, inhale: number, exhale: number, length: number];

const IN = new Set<Cue['kind']>(['inhale', 'top-up']);
const OUT = new Set<Cue['kind']>(['exhale', 'hum', 'release']);
/** Reports of one and the same breath differ by rounding. */
const SAME_MS = 60;

/**
 * Which breaths were led, and when: at another pace after a change, later after a wait. One that was broken off is
 * none.
 */
export class Played {
    readonly breaths: PlayedBreath[] = [];

    /**
     * @param at the moment's own time in ms
     * @returns whether a breath has begun
     */
    note(moment: Moment | null, at: number): boolean {
        const breath = moment && moment.segment.role === 'exercise' ? lengths(moment) : null;
        if (!moment || !breath) return false;
        const start = Math.round(at - (moment.msInSegment - breath.from));
        const last = this.breaths.at(-1);
        if (last && Math.abs(start - last[0]) < SAME_MS) {
            // Its pace may have been changed meanwhile.
            [, last[1], last[2], last[3]] = [0, breath.inhale, breath.exhale, breath.length];
            return false;
        }
        this.broken(start);
        this.breaths.push([start, breath.inhale, breath.exhale, breath.length]);
        return true;
    }

    /** It stopped here: the breath that was going on was not led to its end. */
    broken(at: number): void {
        const last = this.breaths.at(-1);
        if (last && at < last[0] + last[3] - SAME_MS) this.breaths.pop();
    }
}

function lengths({ segment, cue }: Moment): { from: number; inhale: number; exhale: number; length: number } | null {
    const { breath } = cue.place;
    const cues = segment.cues.filter((each) => each.place.breath === breath);
    const sum = (kinds: Set<Cue['kind']>): number =>
        cues.reduce((ms, each) => ms + (kinds.has(each.kind) ? each.ms : 0), 0);
    const first = cues.find((each) => IN.has(each.kind));
    const inhale = sum(IN);
    const exhale = sum(OUT);
    const isOpen = segment.open || cues.some((each) => each.greatest !== null);
    if (breath < 1 || !first || inhale === 0 || exhale === 0 || isOpen) return null;
    const end = cues.reduce((latest, each) => Math.max(latest, each.at + each.ms), 0);
    return { from: first.at, inhale, exhale, length: end - first.at };
}
