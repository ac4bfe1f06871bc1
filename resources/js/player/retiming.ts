import type { Cue, Segment } from '../types/timeline';

/**
 * The same breaths at another tempo, as the core computes it (Retiming): soft pauses and whatever belongs to no breath
 * keep their length, everything else keeps its proportion, and rounding never adds up. A test holds both against the same
 * numbers.
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
        return { ...cue, at: start, ms, beats: cue.beats.map((beat) => ({ ...beat, at: start + Math.min(ms - 1, Math.round(((beat.at - cue.at) * ms) / cue.ms)) })) };
    });
    if (isSame) return segment;
    const last = cues[cues.length - 1];
    return { ...segment, cues, ms: last ? last.at + last.ms : segment.ms };
}
