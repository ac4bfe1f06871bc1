import type { CaseloadLine } from '../types/pages';

export interface Filter {
    search: string;
    whose: 'mine' | 'clinic';
    reason: string;
    flag: string;
}
export const EVERYONE: Filter = { search: '', whose: 'clinic', reason: '', flag: '' };

/** Without marks and case, so that "Korhönen" is found by "korho". */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/**
 * The patients of a filter, in their order. Every word that was typed has to begin a word of the name or stand in what
 * is prescribed.
 */
export function filtered(lines: CaseloadLine[], { search, whose, reason, flag }: Filter, me: number): CaseloadLine[] {
    const words = plain(search)
        .split(/[\s-]+/)
        .filter(Boolean);
    return lines.filter((line) => {
        const names = plain(line.name).split(/[\s-]+/);
        const prescribed = plain(line.prescribed ?? '');
        return (
            (whose === 'clinic' || line.responsible === me) &&
            (reason === '' || line.reason === reason) &&
            (flag === '' || line.flags.includes(flag)) &&
            words.every((word) => names.some((name) => name.startsWith(word)) || prescribed.includes(word))
        );
    });
}

export const isFiltering = (filter: Filter): boolean =>
    Object.entries(EVERYONE).some(([key, value]) => filter[key as keyof Filter] !== value);
