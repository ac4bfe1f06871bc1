import { describe, expect, it } from 'vitest';
import { asked, EVERYONE, grouped, isFiltering } from '../../../resources/js/lib/caseload';
import type { CaseloadLine } from '../../../resources/js/types/pages';

const line = (name: string, reason = 'on-track'): CaseloadLine => ({
    id: name,
    name,
    born: '1980-01-01',
    responsible: 1,
    flags: [],
    prescribed: null,
    reason,
    heading: reason,
    number: '',
    sentence: '',
    tally: '',
    symptom: null,
    review_on: null,
});

describe('the caseload', () => {
    it('knows when it filters nothing, and puts only what is looked for into the address', () => {
        expect(isFiltering(EVERYONE)).toBe(false);
        expect(isFiltering({ ...EVERYONE, search: 'x' })).toBe(true);
        expect(asked(EVERYONE)).toEqual({});
        expect(asked({ ...EVERYONE, search: 'fen', whose: 'mine' })).toEqual({ search: 'fen', whose: 'mine' });
    });

    it('keeps the order of the reasons, and shows whoever came with two pages once', () => {
        const groups = grouped([line('a', 'paused'), line('b'), line('b'), line('c'), line('d', 'paused')]);
        expect(groups.map((group) => [group.reason, group.lines.map((each) => each.name)])).toEqual([
            ['paused', ['a', 'd']],
            ['on-track', ['b', 'c']],
        ]);
    });
});
