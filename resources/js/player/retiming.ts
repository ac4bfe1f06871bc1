import type { Cue, Segment } from '../shared/timeline';

/**
 * The same breaths at another tempo, as the core computes it (Retiming): soft pauses and whatever belongs to no breath
 * keep their length, everything else keeps its proportion, and rounding never adds up. A test holds both against the
 * same numbers.
 */
export function retimed(segment: Segment, factorOf: (breath: number) => number): Segment {
    let at = 0;
    let isSame = true;
    const cues: Cue[] = segment.cues.map((cue) => {
        const start = Math.round(at);
        const factor = cue.soft || cue.place.breath === 0 ? 1 : factorOf(cue.place.breath);
        isSame &&= factor === 1;
        at += cue.ms * factor;
        const ms = Math.max(1, Math.round(at) - start);
        return {
            ...cue,
            at: start,
            ms,
            beats: cue.beats.map((beat) => ({
                ...beat,
                at: start + Math.min(ms - 1, Math.round(((beat.at - cue.at) * ms) / cue.ms)),
            })),
        };
    });
    if (isSame) return segment;
    const last = cues[cues.length - 1];
    return { ...segment, cues, ms: last ? last.at + last.ms : segment.ms };
}

/** How a practice begins at the patient's own pace. */
export interface Joining {
    /** Length of the patient's own breath. */
    seconds: number;
    /** Breaths until the prescribed pace is reached. */
    over: number;
    /** No breath gets longer than so many times the prescribed one. */
    slowest: number;
    /** No breath gets shorter than so many seconds, unless it is prescribed so. */
    least: number;
}

/** How long each breath of a set is, over the prescribed length, while it eases from the patient's own pace. */
export function joiningFactor(segment: Segment, joining: Joining): (breath: number) => number {
    const before = segment.cues[0]?.place.breath ?? 1;
    const first = segment.cues.filter((cue) => cue.place.breath === before);
    const soft = first.reduce((sum, cue) => sum + (cue.soft ? cue.ms : 0), 0);
    const moving = first.reduce((sum, cue) => sum + cue.ms, 0) - soft;
    const least = Math.min(joining.least * 1000, moving + soft);
    const own = Math.max(
        Math.max(Math.min(joining.seconds * 1000, joining.slowest * (moving + soft)), least) - soft,
        0.1 * moving,
    );
    return (breath) => (own / moving) ** Math.max(0, 1 - (breath - before) / joining.over);
}

/** A set that begins at the patient's own pace and eases to the prescribed one. */
export const joined = (segment: Segment, joining: Joining): Segment =>
    retimed(segment, joiningFactor(segment, joining));
