import { describe, expect, it } from 'vitest';
import { line } from '../../resources/js/shared/diaryLine';
import { placeOf, SHORTCUTS } from '../../resources/js/lib/shortcuts';

const point = (date: string, value: number) => ({ date, value, late: false });

describe('the line of a diary', () => {
    it('goes through days that follow each other and breaks where one is missing', () => {
        const drawn = line(
            [point('2026-11-01', 10), point('2026-11-02', 5), point('2026-11-04', 0)],
            '2026-11-01',
            '2026-11-05',
            400,
            100,
        );
        expect(drawn.path).toBe('M0 0L100 50M300 100');
        expect(drawn.dots.map((dot) => dot.x)).toEqual([0, 100, 300]);
        expect(drawn.x('2026-11-05')).toBe(400);
    });

    it('is not moved by a day of 23 hours', () => {
        expect(
            line(
                [point('2026-03-28', 1), point('2026-03-29', 1), point('2026-03-30', 1)],
                '2026-03-28',
                '2026-03-30',
                200,
                10,
            ).path,
        ).toBe('M0 9L100 9L200 9');
    });
});

describe('shortcuts', () => {
    it('know which patient and session a page is about', () => {
        const patient = '01m896t4hq8gv0wrdj6h9g8ang';
        const session = '01m896tf7g3v6y230c623mybmv';
        expect(placeOf(`/patients/${patient}/sessions/${session}/decide`)).toEqual({ patient, session });
        expect(placeOf(`/patients/${patient}`)).toEqual({ patient, session: null });
        expect(placeOf('/patients/new')).toEqual({ patient: null, session: null });
        const go = (keys: string, ...place: [string | null, string | null]) =>
            SHORTCUTS.find((each) => each.keys === keys)?.go(...place);
        expect(go('g c', null, null)).toBe('/');
        expect(go('g m', null, null)).toBeNull();
        expect(go('g 5', patient, session)).toBe(`/patients/${patient}/sessions/${session}/decide`);
        expect(go('g 5', patient, null)).toBeNull();
    });

    it('have keys of their own, each once', () => {
        expect(new Set(SHORTCUTS.map((each) => each.keys)).size).toBe(SHORTCUTS.length);
    });
});
