import { describe, expect, it } from 'vitest';
import { byName, dayLines, unitOf, units } from '../../../resources/js/lib/courseDay';
import type { CourseProgramme } from '../../../resources/js/types/course';

const figures = { share: 0.5, credit: 1, due: 2, days_practised: 1, days_due: 1, longest_gap: 0, extras: 0 };
const programme: CourseProgramme = {
    from: '2026-11-01',
    felt: [{ day: '2026-11-03', share: 0.83, lag: 0.42, ratio: 0.95, practices: 1 }],
    to: '2026-11-20',
    today: '2026-11-10',
    by_week: false,
    symptom: 'tension',
    goal: null,
    versions: [
        {
            number: 1,
            from: '2026-11-01',
            to: '2026-11-04',
            summary: '',
            by: '',
            reason: null,
            review_on: '',
            state: 'begun',
            adherence: figures,
        },
        {
            number: 2,
            from: '2026-11-05',
            to: null,
            summary: '',
            by: '',
            reason: null,
            review_on: '',
            state: 'begun',
            adherence: figures,
        },
    ],
    present: [],
    exercises: [
        {
            name: 'Humming',
            days: [{ date: '2026-11-05', paused: true, strokes: 'dm' }],
            weeks: [{ date: '2026-11-01', due: 7, credit: 5.5, stops: 1 }],
            adherence: figures,
            uses: null,
            agreed: null,
        },
    ],
    ratings: [
        { day: '2026-11-05', before: 6, after: 3 },
        { day: '2026-11-05', before: 4, after: null },
    ],
    diary: [{ name: 'Sleep', days: [['2026-11-05', 7]] }],
    sessions: [{ day: '2026-11-05', number: 2, id: 'x', signed: true }],
    measures: [
        {
            name: 'Resting rate',
            unit: 'breaths/min',
            goal: null,
            points: [{ day: '2026-11-05', value: 17, earlier: '1 Nov' }],
        },
    ],
    questionnaires: [
        { name: 'GAD-7', least: 0, most: 21, points: [{ day: '2026-11-05', value: 9, band: 'mild', earlier: null }] },
    ],
};
const words = (of: CourseProgramme, day: string): string[] =>
    dayLines(of, day).map((line) => `${line.what}: ${line.value}`);

describe('what is read out of the Course', () => {
    it('names everything that is known of a day', () => {
        expect(words(programme, '2026-11-05')).toEqual([
            'Version: 2',
            'Humming: 1 done, 1 missed, paused',
            'tension before: 4 to 6',
            'tension after: 3',
            'Sleep, diary: 7',
            'Session: 2',
            'Resting rate: 17 breaths/min (1 Nov)',
            'GAD-7: 9 of 21, mild',
        ]);
        expect(words(programme, '2026-11-02')).toEqual(['Version: 1']);
        expect(words(programme, '2026-11-03')).toContain('Followed: 83 %, 0.4 s late, ratio 95 % of what was led');
    });

    it('goes day by day up to the present one, or week by week', () => {
        expect(units(programme)).toHaveLength(10);
        const weeks = { ...programme, by_week: true };
        expect(units(weeks)).toEqual(['2026-11-01', '2026-11-08']);
        expect(unitOf(weeks, '2026-11-07')).toBe('2026-11-01');
        expect(unitOf(weeks, '2026-11-08')).toBe('2026-11-08');
        expect(words(weeks, '2026-11-01')).toContain('Humming: 5.5 of 7, 1 stopped');
    });
});

describe('a row of the table', () => {
    it('keeps both values where two things have the same name', () => {
        const row = byName([
            { what: 'Extended exhale', value: '2 done' },
            { what: 'Session', value: '3' },
            { what: 'Extended exhale', value: '1 missed' },
        ]);
        expect([...row]).toEqual([
            ['Extended exhale', '2 done; 1 missed'],
            ['Session', '3'],
        ]);
    });
});
