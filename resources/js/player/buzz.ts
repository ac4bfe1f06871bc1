import type { CueKind } from '../shared/timeline';

/** One pattern a phase in ms, on and off in turn, as in the core. */
export const PATTERNS: Record<CueKind, number[]> = {
    'lead-in': [20],
    empty: [320],
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
    number: [15],
    step: [20],
    move: [40, 60, 90],
    listen: [40, 120, 40],
    free: [40, 120, 40],
    settle: [60, 120, 60],
    return: [90, 60, 40],
};

export const canVibrate = (): boolean => typeof navigator.vibrate === 'function';

export function buzz(kind: CueKind): void {
    if (canVibrate()) navigator.vibrate(PATTERNS[kind]);
}
