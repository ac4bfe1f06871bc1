import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { dayAxis, plusDays } from '../../resources/js/lib/axis';
import { clock, percent, plural, short } from '../../resources/js/shared/format';
import type { RidgeShape } from '../../resources/js/shared/timeline';
import { breathGeometry, uncountedGeometry } from '../../resources/js/shared/ridge';
import { stripMarks, tallyInWords } from '../../resources/js/shared/tally';
import { cue } from './timelines';

describe('the ridge', () => {
    const breath = (phases: [Parameters<typeof cue>[0], number, number][], count_s = 1) => {
        let at = 0;
        let level = 0;
        const cues = phases.map(([kind, ms, to]) => {
            const made = cue(kind, at, ms, {
                from: level,
                to,
                beats: Array.from({ length: Math.ceil(ms / 1000 / count_s) }, (_, n) => ({
                    at: at + n * 1000 * count_s,
                    number: n + 1,
                })),
            });
            at += ms;
            level = to;
            return made;
        });
        return { minutes: null, cues, count_s };
    };

    it('has phases in proportion, a tick a count and long ticks at their borders', () => {
        const drawn = breathGeometry(
            breath([
                ['inhale', 4000, 0.5],
                ['exhale', 5000, 0],
                ['rest', 1000, 0],
            ]),
            700,
            190,
        );
        expect(drawn.phases.map((phase) => [phase.from, phase.to])).toEqual([
            [0, 280],
            [280, 630],
            [630, 700],
        ]);
        expect(drawn.phases.map((phase) => phase.label)).toEqual(['in 4', 'out 5', 'rest 1']);
        expect(drawn.ticks.filter((tick) => tick.long).map((tick) => tick.x)).toEqual([0, 280, 630, 700]);
        expect(drawn.ticks).toHaveLength(11);
    });

    it('labels counts, not seconds', () => {
        expect(
            breathGeometry(
                breath(
                    [
                        ['inhale', 2000, 0.5],
                        ['exhale', 3000, 0],
                    ],
                    0.5,
                ),
                700,
                190,
            ).phases.map((phase) => phase.label),
        ).toEqual(['in 4', 'out 6']);
    });

    it('names a catch, and gives an uncounted pause in seconds', () => {
        const cues = [
            cue('inhale', 0, 1500, { beats: [{ at: 0, number: 1 }] }),
            cue('hold', 1500, 500, { instruction: 'cue.catch' }),
            cue('exhale', 2000, 3000, { beats: [{ at: 2000, number: 1 }] }),
            cue('rest', 5000, 2000),
        ];
        expect(
            breathGeometry({ minutes: null, cues, count_s: 0.5 }, 700, 190).phases.map((phase) => phase.label),
        ).toEqual(['in 3', 'catch', 'out 6', 'pause 2 s']);
    });

    it('moves a label that would touch the one before a row down, and keeps all inside', () => {
        const drawn = breathGeometry(
            breath([
                ['inhale', 500, 0.4],
                ['top-up', 300, 0.5],
                ['hold', 300, 0.5],
                ['exhale', 9000, 0],
            ]),
            300,
            100,
        );
        expect(new Set(drawn.phases.map((phase) => phase.y)).size).toBe(2);
        for (const phase of drawn.phases) {
            expect(phase.x - phase.label.length * 3.9).toBeGreaterThanOrEqual(-0.1);
            expect(phase.x + phase.label.length * 3.9).toBeLessThanOrEqual(300.1);
        }
    });

    it('goes below the line past the resting level', () => {
        const drawn = breathGeometry(
            breath([
                ['inhale', 4000, 1],
                ['exhale', 4000, -0.2],
            ]),
            700,
            190,
        );
        expect(drawn.bottom).toBeGreaterThan(drawn.baseline);
    });

    it('counts minutes where breaths are not counted', () => {
        const drawn = uncountedGeometry(2.5, 500, 60);
        expect(drawn.ticks.map((tick) => tick.label)).toEqual(['0', '', '1', '', '2', '']);
        expect(drawn.ticks.map((tick) => tick.x)).toEqual([0, 100, 200, 300, 400, 500]);
    });

    it('draws nothing of nothing', () => {
        expect(breathGeometry({ minutes: null, cues: [], count_s: 1 }, 700, 190).phases).toEqual([]);
    });
});

describe('the tally', () => {
    it('keeps days apart and in their columns', () => {
        const strip = stripMarks([['done', 'partial'], [], ['missed']], 5, 6, 20);
        expect(strip.marks).toEqual([
            { kind: 'done', x: 2 },
            { kind: 'partial', x: 7 },
            { kind: 'missed', x: 42 },
        ]);
        expect(strip.width).toBe(60);
        expect(stripMarks([['done', 'done'], ['done']], 5, 6, null).width).toBe(27);
    });

    it('says itself in words', () => {
        expect(
            tallyInWords([
                ['done', 'stopped'],
                ['done', 'open'],
            ]),
        ).toBe('2 done, 1 stopped for a symptom');
        expect(tallyInWords([['open']])).toBe('No practice yet');
    });
});

describe('the axis of days', () => {
    it('is not moved by clock changes', () => {
        const axis = dayAxis('2026-10-20', '2026-10-29', 100, 500);
        expect([axis.days, axis.dayWidth, axis.x('2026-10-20'), axis.x('2026-10-26')]).toEqual([10, 50, 100, 400]);
        expect(plusDays('2026-10-24', 2)).toBe('2026-10-26');
        expect(plusDays('2028-02-28', 1)).toBe('2028-02-29');
    });
});

describe('numbers in words', () => {
    it('prints lengths, shares and counts', () => {
        expect([clock(144_000), clock(59_600), clock(0)]).toEqual(['2:24', '1:00', '0:00']);
        expect([short(7.0), short(0.714285), short(1.25), percent(0.738)]).toEqual(['7', '0.71', '1.25', '74 %']);
        expect([plural(1, 'day', 'days'), plural(0, 'day', 'days')]).toEqual(['1 day', '0 days']);
    });
});

describe('the ridge on paper', () => {
    it('has the line of the ridge on the screen', () => {
        const cases = JSON.parse(readFileSync('tests/front/ridges.json', 'utf8')) as {
            technique: string;
            ridge: RidgeShape;
            width: number;
            height: number;
            line: string;
        }[];
        for (const { technique, ridge, width, height, line } of cases) {
            if (ridge.minutes === null) expect(breathGeometry(ridge, width, height).line, technique).toBe(line);
        }
    });
});
