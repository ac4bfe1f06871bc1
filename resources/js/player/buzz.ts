import type { CueKind } from '../shared/timeline';

/** One pattern a phase in ms, on and off in turn: told apart by length and number. */
const PATTERNS: Partial<Record<CueKind, number[]>> = {
    'lead-in': [20],
    inhale: [70],
    'top-up': [30, 40, 30],
    hold: [30, 60, 30, 60, 30],
    retention: [30, 60, 30, 60, 30],
    exhale: [220],
    hum: [220],
    release: [220],
    'let-go': [220],
    tense: [70],
    rest: [30],
    bell: [120, 80, 120],
    region: [40],
    move: [40],
    step: [20],
};

export const canVibrate = (): boolean => typeof navigator.vibrate === 'function';

export function buzz(kind: CueKind): void {
    const pattern = PATTERNS[kind];
    if (pattern && canVibrate()) navigator.vibrate(pattern);
}
