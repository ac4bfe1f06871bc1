import type { Cue, RidgeShape } from '../shared/timeline';

const cue = (kind: Cue['kind'], at: number, counts: number, from: number, to: number, curve: Cue['curve']): Cue => ({
    kind,
    at: at * 1000,
    ms: counts * 1000,
    greatest: null,
    instruction: '',
    from,
    to,
    curve,
    beats: Array.from({ length: counts }, (_, n) => ({ at: (at + n) * 1000, number: n + 1 })),
    place: { step: 1, round: 0, breath: 1, of: 1 },
    side: 'none',
    last: false,
});

/** An ornament for the sign-in page, where there is no prescription yet: 4:0:6:1. */
export const signInRidge: RidgeShape = {
    minutes: null,
    count_s: 1,
    cues: [
        cue('inhale', 0, 4, 0, 0.5, [0.36, 0, 0.62, 1]),
        cue('exhale', 4, 6, 0.5, 0, [0.22, 0, 0.46, 1]),
        cue('rest', 10, 1, 0, 0, [0.33, 0, 0.67, 1]),
    ],
};
