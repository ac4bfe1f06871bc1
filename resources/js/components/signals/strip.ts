import type { Moment } from '../../player/engine';

export interface Window {
    /** s at the left edge, and how many are shown. */
    from: number;
    seconds: number;
    width: number;
    height: number;
}

const x = (at: number, of: Window): number => ((at - of.from) / of.seconds) * of.width;

/** Where nothing came for longer, s, the line is broken. */
const GAP_S = 0.5;

/** A channel as a line from edge to edge of its own range; nothing where it does not move. */
export function line(samples: readonly [number, number][], of: Window): string {
    const shown = samples.filter(([at]) => at >= of.from && at <= of.from + of.seconds);
    if (shown.length < 2) return '';
    let low = Infinity;
    let high = -Infinity;
    for (const [, value] of shown) {
        low = Math.min(low, value);
        high = Math.max(high, value);
    }
    const range = high - low;
    const y = (value: number): number =>
        range < 1e-9 ? of.height / 2 : of.height - ((value - low) / range) * of.height;
    let before = -Infinity;
    return shown
        .map(([at, value]) => {
            const start = at - before > GAP_S ? 'M' : 'L';
            before = at;
            return `${start}${x(at, of).toFixed(1)} ${y(value).toFixed(1)}`;
        })
        .join('');
}

/** One breath that was led: s, and how full it is then, 0 to 1. */
export type Landscape = [at: number, level: number][];

/** The breath that a moment belongs to, as it was led from its start on: held where it is held. */
export function landscape({ segment, cue }: Moment, start: number): Landscape {
    let at = start;
    const points: Landscape = [];
    for (const each of segment.cues.filter((other) => other.place.breath === cue.place.breath)) {
        points.push([at, each.from]);
        at += each.ms / 1000;
        points.push([at, each.to]);
    }
    return points;
}

/** Breaths that were led, each as an area under its way. */
export function led(breaths: readonly Landscape[], of: Window): string {
    return breaths
        .filter((points) => (points.at(-1)?.[0] ?? 0) >= of.from && (points[0]?.[0] ?? 0) <= of.from + of.seconds)
        .map((points) => {
            const way = points.map(([at, level]) => `${x(at, of).toFixed(1)} ${((1 - level) * of.height).toFixed(1)}`);
            return `M${way.join('L')}V${of.height}Z`;
        })
        .join('');
}
