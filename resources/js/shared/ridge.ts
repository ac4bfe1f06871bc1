import type { Cue, CueKind, RidgeShape } from './timeline';

/** Where things are on a ridge, in the units of its drawing. */
export interface RidgeGeometry {
    baseline: number;
    bottom: number;
    line: string;
    phases: { tone: Tone; fill: string; from: number; to: number; label: string; x: number; y: number }[];
    ticks: { x: number; long: boolean }[];
}

export type Tone = 'inhale' | 'hold' | 'exhale' | 'rest';

const TONES: Partial<Record<CueKind, Tone>> = {
    inhale: 'inhale',
    'top-up': 'inhale',
    hold: 'hold',
    retention: 'hold',
    exhale: 'exhale',
    hum: 'exhale',
    release: 'exhale',
};

/** What stands under the phases, and the unit of minutes. */
export type RidgeWords = Record<
    | 'inhale'
    | 'top-up'
    | 'hold'
    | 'exhale'
    | 'rest'
    | 'retention'
    | 'release'
    | 'catch'
    | 'hum-open'
    | 'pause'
    | 'seconds'
    | 'minutes',
    string
>;

export const ENGLISH: RidgeWords = {
    inhale: 'in',
    'top-up': 'top-up',
    hold: 'hold',
    exhale: 'out',
    rest: 'rest',
    retention: 'retention',
    release: 'release',
    catch: 'catch',
    'hum-open': 'hum, open',
    pause: 'pause',
    seconds: 's',
    minutes: 'min',
};

export function toneOf(kind: CueKind): Tone {
    return TONES[kind] ?? 'rest';
}

const round = (value: number): number => Math.round(value * 100) / 100;

/** "in 4" in counts; a pause that is not counted in seconds. */
function labelOf(cue: Cue, count_s: number, words: RidgeWords): string {
    if (cue.instruction === 'cue.catch') return words.catch;
    if (cue.kind === 'hum') return words['hum-open'];
    const name = cue.kind in words ? words[cue.kind as keyof RidgeWords] : cue.kind;
    const seconds = `${round(cue.ms / 1000)} ${words.seconds}`;
    if (cue.kind === 'retention' || (cue.beats.length === 0 && cue.kind !== 'hold' && cue.kind !== 'rest'))
        return `${name} ${seconds}`;
    if (cue.beats.length === 0) return `${words.pause} ${seconds}`;
    return `${name} ${round(cue.ms / 1000 / count_s)}`;
}

/** Lays out one breath: the curve that PHP gives each cue, its ruler, and labels that do not collide. */
export function breathGeometry(shape: RidgeShape, width: number, height: number, words = ENGLISH): RidgeGeometry {
    const cues = shape.cues;
    const first = cues[0];
    const last = cues[cues.length - 1];
    if (!first || !last) return { baseline: height, bottom: height, line: '', phases: [], ticks: [] };
    const zero = first.at;
    const total = last.at + last.ms - zero;
    const top = Math.max(...cues.map((cue) => Math.max(cue.from, cue.to)));
    const low = Math.min(0, ...cues.map((cue) => Math.min(cue.from, cue.to)));
    const scale = (height - 4) / (top - low);
    const x = (ms: number): number => round(((ms - zero) / total) * width);
    const y = (volume: number): number => round(4 + (top - volume) * scale);
    const baseline = y(0);

    const segment = (cue: Cue): string => {
        const [x1, y1, x2, y2] = cue.curve;
        const rise = cue.to - cue.from;
        const point = (along: number, up: number): string => `${x(cue.at + along * cue.ms)} ${y(cue.from + up * rise)}`;
        return `C${point(x1, y1)} ${point(x2, y2)} ${x(cue.at + cue.ms)} ${y(cue.to)}`;
    };
    let edge = -Infinity;
    const phases = cues.map((cue) => {
        const from = x(cue.at);
        const to = x(cue.at + cue.ms);
        const label = labelOf(cue, shape.count_s, words);
        const half = label.length * 3.9;
        const middle = Math.min(Math.max((from + to) / 2, half), width - half);
        // A label that would touch the one before goes one row down.
        const collides = middle - half < edge + 6;
        if (!collides) edge = middle + half;
        return {
            tone: toneOf(cue.kind),
            fill: `M${from} ${baseline}L${from} ${y(cue.from)}${segment(cue)}L${to} ${baseline}Z`,
            from,
            to,
            label,
            x: middle,
            y: collides ? 40 : 23,
        };
    });
    const ticks = cues.flatMap((cue) => [
        { x: x(cue.at), long: true },
        ...cue.beats.slice(1).map((beat) => ({ x: x(beat.at), long: false })),
    ]);
    ticks.push({ x: width, long: true });

    return {
        baseline,
        bottom: y(low),
        line: `M${x(first.at)} ${y(first.from)}${cues.map(segment).join('')}`,
        phases,
        ticks,
    };
}

/** Minutes that pass uncounted: a low swell without a count, over a ruler of minutes. */
export function uncountedGeometry(
    minutes: number,
    width: number,
    height: number,
): { line: string; ticks: { x: number; long: boolean; label: string }[] } {
    const swells = Math.max(3, Math.round(width / 48));
    const step = width / swells;
    const base = height;
    const top = height * 0.45;
    let line = `M0 ${base}`;
    for (let n = 0; n < swells; n++) {
        const at = n * step;
        const along = (share: number): number => round(at + step * share);
        const high = round(top);
        line += `C${along(0.18)} ${base} ${along(0.22)} ${high} ${along(0.4)} ${high}`;
        line += `S${along(0.7)} ${base} ${along(1)} ${base}`;
    }
    const ticks = [];
    for (let half = 0; half <= minutes * 2 + 1e-9; half++) {
        const whole = half % 2 === 0;
        ticks.push({
            x: round((half / 2 / minutes) * width),
            long: whole,
            label: whole && (minutes <= 12 || half % 10 === 0) ? String(half / 2) : '',
        });
    }
    return { line, ticks };
}
