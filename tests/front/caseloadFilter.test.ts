import { describe, expect, it } from 'vitest';
import { EVERYONE, filtered, isFiltering } from '../../resources/js/lib/caseloadFilter';
import type { CaseloadLine } from '../../resources/js/types/pages';

const line = (name: string, with_: Partial<CaseloadLine> = {}): CaseloadLine => ({
    id: name,
    name,
    responsible: 1,
    flags: [],
    prescribed: null,
    reason: 'on-track',
    heading: 'On track',
    number: '',
    sentence: '',
    tally: '',
    symptom: null,
    review_on: null,
    ...with_,
});
const lines = [
    line('Edda Korhönen', { flags: ['panic'], prescribed: '4:0:6:1, seated' }),
    line('Bram Fenwick', { responsible: 2, flags: ['COPD'], reason: 'paused' }),
    line('Anne-Marie Fenn'),
];
const names = (filter: object) => filtered(lines, { ...EVERYONE, ...filter }, 1).map((each) => each.name);

describe('the caseload’s filter', () => {
    it('finds by the beginning of any word of the name, without marks and case, and by what is prescribed', () => {
        expect(names({ search: 'korhon' })).toEqual(['Edda Korhönen']);
        expect(names({ search: 'fen' })).toEqual(['Bram Fenwick', 'Anne-Marie Fenn']);
        expect(names({ search: 'marie fenn' })).toEqual(['Anne-Marie Fenn']);
        expect(names({ search: 'anne-marie' })).toEqual(['Anne-Marie Fenn']);
        expect(names({ search: '4:0:6' })).toEqual(['Edda Korhönen']);
        expect(names({ search: 'enwick' })).toEqual([]);
    });

    it('takes mine, a reason and a flag together', () => {
        expect(names({ whose: 'mine' })).toEqual(['Edda Korhönen', 'Anne-Marie Fenn']);
        expect(names({ reason: 'paused' })).toEqual(['Bram Fenwick']);
        expect(names({ flag: 'COPD' })).toEqual(['Bram Fenwick']);
        expect(names({ flag: 'COPD', whose: 'mine' })).toEqual([]);
    });

    it('keeps the order and knows when it filters nothing', () => {
        expect(names({})).toHaveLength(3);
        expect(isFiltering(EVERYONE)).toBe(false);
        expect(isFiltering({ ...EVERYONE, search: 'x' })).toBe(true);
    });
});
