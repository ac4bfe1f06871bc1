import type { Cue, CueKind, Segment, Timeline } from '../../resources/js/shared/timeline';

const place = (breath = 0, of = 0) => ({ step: 1, round: 0, breath, of });

export function cue(kind: CueKind, at: number, ms: number, with_: Partial<Cue> = {}): Cue {
    return {
        kind,
        at,
        ms,
        greatest: null,
        instruction: `cue.${kind}`,
        from: 0,
        to: 0,
        curve: [0.33, 0, 0.67, 1],
        beats: [],
        place: place(),
        side: 'none',
        last: false,
        ...with_,
    };
}

/** A lead-in of 3 s, then n breaths of in 2, out 2, rest 1 with beats, then a bell of 2 s. */
export function paced(breaths: number): Timeline {
    const exercise: Cue[] = [];
    for (let n = 0; n < breaths; n++) {
        const zero = n * 5000;
        const at = { place: place(n + 1, breaths) };
        exercise.push(
            cue('inhale', zero, 2000, {
                ...at,
                from: 0,
                to: 0.5,
                last: n === breaths - 1,
                beats: [
                    { at: zero, number: 1 },
                    { at: zero + 1000, number: 2 },
                ],
            }),
            cue('exhale', zero + 2000, 2000, {
                ...at,
                from: 0.5,
                to: 0,
                beats: [
                    { at: zero + 2000, number: 2 },
                    { at: zero + 3000, number: 1 },
                ],
            }),
            cue('rest', zero + 4000, 1000, { ...at, beats: [{ at: zero + 4000, number: 1 }] }),
        );
    }
    return timeline(
        [
            {
                role: 'lead-in',
                ms: 3000,
                open: false,
                cues: [cue('lead-in', 0, 3000, { beats: [0, 1000, 2000].map((ms, n) => ({ at: ms, number: 3 - n })) })],
            },
            { role: 'exercise', ms: breaths * 5000, open: false, cues: exercise },
            { role: 'settle', ms: 2000, open: false, cues: [cue('bell', 0, 2000)] },
        ],
        breaths,
    );
}

export function timeline(segments: Segment[], breaths = 0): Timeline {
    const sum = (of: Segment[]) => of.reduce((total, segment) => total + segment.ms, 0);
    return {
        exercise_ms: sum(segments.filter((segment) => segment.role === 'exercise')),
        total_ms: sum(segments),
        about: segments.some((segment) => segment.open),
        breaths,
        rounds: 0,
        sets: 0,
        segments,
    };
}
