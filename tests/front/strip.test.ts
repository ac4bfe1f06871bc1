import { expect, test } from 'vitest';
import { landscape, led, line } from '../../resources/js/components/signals/strip';
import type { Moment } from '../../resources/js/player/engine';

const of = { from: 10, seconds: 20, width: 200, height: 100 };

test('a belt is drawn over its own range, and where nothing came the line is broken', () => {
    expect(
        line(
            [
                [9, 50],
                [10, 0],
                [10.4, 2],
                [10.8, 1],
                [12, 2],
                [31, 9],
            ],
            of,
        ),
    ).toBe('M0.0 100.0L4.0 0.0L8.0 50.0M20.0 0.0');
});

test('one that does not move lies in the middle, and of one sample nothing is drawn', () => {
    expect(
        line(
            [
                [11, 3],
                [11.2, 3],
            ],
            of,
        ),
    ).toBe('M10.0 50.0L12.0 50.0');
    expect(line([[11, 3]], of)).toBe('');
});

test('what is led rises with the inhale, is held, sinks with the exhale, and rests', () => {
    const cues = (['inhale', 'hold', 'exhale', 'rest'] as const).map((kind, n) => ({
        kind,
        at: [0, 4000, 6000, 11_000][n] ?? 0,
        ms: [4000, 2000, 5000, 1000][n] ?? 0,
        from: [0, 1, 1, 0][n] ?? 0,
        to: [1, 1, 0, 0][n] ?? 0,
        place: { step: 1, round: 1, breath: 2, of: 6 },
    }));
    const moment = { segment: { cues }, cue: cues[1] } as unknown as Moment;
    const points = landscape(moment, 12);
    expect(points.at(-1)).toEqual([24, 0]);
    expect(led([points], of)).toBe(
        'M20.0 100.0L60.0 0.0L60.0 0.0L80.0 0.0L80.0 0.0L130.0 100.0L130.0 100.0L140.0 100.0V100Z',
    );
    // Before the first and after the last moment that is shown there is nothing.
    expect(led([landscape(moment, -3), landscape(moment, 31)], of)).toBe('');
});
