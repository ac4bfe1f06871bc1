import type { Segment } from '../shared/timeline';

/** How much of one step of a routine was done. */
export interface StepDone {
    step: number;
    breaths: number;
    ms: number;
}

export interface Done {
    breathsDone: number;
    exerciseMs: number;
    steps: StepDone[];
}

/** @param lasted how long each segment with an open cue lasted in ms */
export function doneAt(segments: Segment[], place: { segment: number; ms: number }, lasted: Map<number, number>): Done {
    const steps = new Map<number, StepDone>();
    segments.forEach((segment, index) => {
        if (index > place.segment || segment.role !== 'exercise') return;
        const isOver = index < place.segment;
        const greatest = segment.open ? Infinity : segment.ms;
        const ms = isOver ? (lasted.get(index) ?? segment.ms) : Math.max(0, Math.min(place.ms, greatest));
        const ends: Record<number, number> = {};
        for (const cue of segment.cues)
            if (cue.place.breath > 0) ends[cue.place.breath] = cue.greatest === null ? cue.at + cue.ms : Infinity;
        const number = segment.cues[0]?.place.step ?? 1;
        const step = steps.get(number) ?? { step: number, breaths: 0, ms: 0 };
        step.ms += ms;
        step.breaths += Object.values(ends).filter((end) => isOver || end <= ms).length;
        steps.set(number, step);
    });
    const all = [...steps.values()];
    return {
        breathsDone: all.reduce((sum, step) => sum + step.breaths, 0),
        exerciseMs: Math.round(all.reduce((sum, step) => sum + step.ms, 0)),
        steps: all.map((step) => ({ ...step, ms: Math.round(step.ms) })),
    };
}
