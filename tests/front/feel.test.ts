import { describe, expect, test } from 'vitest';
import { Bins, STEP_MS, type TracePart } from '../../resources/js/patient/feel/bins';
import { Ink, POINTS } from '../../resources/js/patient/feel/ink';
import { Played } from '../../resources/js/player/played';
import type { Moment } from '../../resources/js/player/engine';
import type { Cue, Segment } from '../../resources/js/shared/timeline';

/** What the server makes of it again. */
function unpacked(parts: TracePart[]): ([number, number, number] | null)[] {
    return parts.flatMap((part) => {
        const now = [0, 0, 0];
        return part.x.map((_, n) => {
            const steps = [part.x[n], part.y[n], part.z[n]];
            if (steps.some((step) => step === null || step === undefined)) return null;
            steps.forEach((step, axis) => {
                now[axis] = (now[axis] ?? 0) + (step ?? 0);
            });
            return [...now] as [number, number, number];
        });
    });
}

describe('what a phone feels', () => {
    test('is the mean of each twenty-fifth of a second, whatever its rate', () => {
        const parts: TracePart[] = [];
        const bins = new Bins((part) => parts.push(part));
        for (let n = 0; n < 600; n++) bins.add(n * (1000 / 60), n, -n, 9.81);
        bins.end();
        const values = unpacked(parts);
        expect(values).toHaveLength(250);
        // 60 a second: the first step holds those at 0, 16.7 and 33.3 ms.
        expect(values[0]).toEqual([1000, -1000, 9810]);
        expect(values[1]).toEqual([3500, -3500, 9810]);
    });

    test('has gaps where nothing came, and goes out in parts of half a minute', () => {
        const parts: TracePart[] = [];
        const bins = new Bins((part) => parts.push(part));
        for (let n = 0; n < 1600; n++) if (n < 100 || n > 120) bins.add(n * STEP_MS + 1, n / 1000, 0, 0);
        bins.end();
        expect(parts.map((part) => [part.number, part.from_ms, part.x.length])).toEqual([
            [1, 0, 750],
            [2, 30_000, 750],
            [3, 60_000, 100],
        ]);
        const values = unpacked(parts);
        expect(values[100]).toBeNull();
        expect(values[120]).toBeNull();
        expect(values[121]).toEqual([121, 0, 0]);
        expect(values[1599]).toEqual([1599, 0, 0]);
    });

    test('is nothing when the phone says nothing, or nonsense', () => {
        const parts: TracePart[] = [];
        const bins = new Bins((part) => parts.push(part));
        bins.add(10, NaN, 0, 0);
        bins.add(Infinity, 0, 0, 0);
        bins.end();
        expect(parts).toEqual([]);
    });

    test('takes what comes late into the step that is open', () => {
        const parts: TracePart[] = [];
        const bins = new Bins((part) => parts.push(part));
        bins.add(100, 1, 0, 0);
        bins.add(10, 3, 0, 0);
        bins.end();
        expect(unpacked(parts)).toEqual([null, null, [2000, 0, 0]]);
    });
});

describe('what was led', () => {
    const cue = (kind: Cue['kind'], at: number, ms: number, breath: number): Cue =>
        ({ kind, at, ms, greatest: null, place: { step: 1, round: 1, breath, of: 3 } }) as Cue;
    const segment: Segment = {
        role: 'exercise',
        ms: 30_000,
        open: false,
        cues: [1, 2, 3].flatMap((n) => [
            cue('inhale', (n - 1) * 10_000, 4000, n),
            cue('hold', (n - 1) * 10_000 + 4000, 1000, n),
            cue('exhale', (n - 1) * 10_000 + 5000, 5000, n),
        ]),
    };
    const at = (ms: number, of = segment): Moment => {
        const present = of.cues.find((each) => ms < each.at + each.ms) ?? (of.cues[0] as Cue);
        return { segment: of, cue: present, msInSegment: ms, msInCue: ms - present.at } as Moment;
    };

    test('is each breath once, with its own lengths', () => {
        const played = new Played();
        const begun = [];
        for (let ms = 0; ms < 30_000; ms += 150) if (played.note(at(ms), 5000 + ms + (ms % 7))) begun.push(ms);
        expect(begun).toEqual([0, 10_050, 20_100]);
        expect(played.breaths.map(([, ...lengths]) => lengths)).toEqual(Array(3).fill([4000, 5000, 10_000]));
        played.breaths.forEach(([start], n) => expect(Math.abs(start - 5000 - 10_000 * n)).toBeLessThan(10));
    });

    test('is no breath that was broken off; it is led again later', () => {
        const played = new Played();
        for (let ms = 0; ms < 14_000; ms += 150) played.note(at(ms), ms);
        played.broken(14_000);
        expect(played.breaths.map(([start]) => start)).toEqual([0]);
        // A minute later the second breath begins anew.
        for (let ms = 10_000; ms < 30_000; ms += 150) played.note(at(ms), 60_000 + ms);
        expect(played.breaths.map(([start]) => start)).toEqual([0, 70_000, 80_000]);
        played.broken(90_000);
        expect(played.breaths).toHaveLength(3);
    });

    test('is nothing but counted breaths with an inhale and an exhale', () => {
        const played = new Played();
        played.note(null, 0);
        played.note(at(0, { ...segment, role: 'settle' }), 0);
        played.note(at(0, { ...segment, open: true }), 0);
        played.note(at(0, { ...segment, cues: [cue('exhale', 0, 4000, 1)] }), 0);
        played.note(at(0, { ...segment, cues: [cue('free', 0, 4000, 0)] }), 0);
        expect(played.breaths).toEqual([]);
    });
});

describe('the own breath, while it goes on', () => {
    /** A phone at the chest that tilts by a raised cosine: 4 s in, 6 s out. */
    const tilt = (at: number): [number, number, number] => {
        const of = at % 10_000;
        const way =
            of < 4000 ? (1 - Math.cos((Math.PI * of) / 4000)) / 2 : (1 + Math.cos((Math.PI * (of - 4000)) / 6000)) / 2;
        return [1.5 - 0.2 * way, 1.1 + 0.05 * way, 9.6 + 0.1 * way];
    };
    const felt = (ink: Ink, from: number, to: number): void => {
        for (let at = from; at < to; at += 20) ink.take(at, ...tilt(at));
    };

    test('is nothing before a breath was asked for, and of a phone that did not move', () => {
        const ink = new Ink();
        felt(ink, 0, 1000);
        expect(ink.drawn(1, 0.1)).toBeNull();
        const still = new Ink();
        for (let at = 0; at < 5000; at += 20) still.take(at, 0.1, 0.2, 9.8);
        still.inhale();
        still.exhale();
        expect(still.drawn(1, 0.5)).toBeNull();
    });

    test('rises with the inhale and sinks with the exhale, whichever way the phone tilts, and begins anew with each breath', () => {
        const ink = new Ink();
        felt(ink, 0, 10_000);
        ink.inhale();
        felt(ink, 10_000, 13_500);
        ink.exhale();
        felt(ink, 13_500, 20_000);
        let last: number[] | null = null;
        for (let part = 0; part < 1; part += 0.01) {
            felt(ink, 20_000 + part * 10_000, 20_000 + (part + 0.01) * 10_000);
            last = ink.drawn(2, part);
        }
        expect(last?.length).toBe(POINTS - 1);
        // A third of a second is what smoothing costs.
        const top = last?.indexOf(Math.max(...(last ?? []))) ?? 0;
        expect(top / (POINTS - 1)).toBeGreaterThan(0.36);
        expect(top / (POINTS - 1)).toBeLessThan(0.48);
        expect(Math.max(...(last ?? []))).toBeGreaterThan(90);
        expect(last?.at(0)).toBeLessThan(10);
        expect(last?.at(-1)).toBeLessThan(15);
        expect(ink.drawn(3, 0)).toHaveLength(1);
    });
});
