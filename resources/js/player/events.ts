import type { Beat, Cue, Segment } from '../shared/timeline';

/** What is put on the clock: a cue that begins, or one of its beats. */
export interface Event {
    at: number;
    segment: Segment;
    cue: Cue;
    beat: Beat | null;
    isFirst: boolean;
    /** Until the next beat or the next cue, in ms. */
    ms: number;
}

export function eventsOf(segment: Segment): Event[] {
    return segment.cues.flatMap((cue) => [
        { at: cue.at, segment, cue, beat: null, isFirst: false, ms: cue.ms },
        ...cue.beats.map((beat, index) => ({
            at: beat.at,
            segment,
            cue,
            beat,
            isFirst: index === 0,
            ms: (cue.beats[index + 1]?.at ?? cue.at + cue.ms) - beat.at,
        })),
    ]);
}
