import type { CaseloadLine } from '../types/pages';
import type { CaseloadFilter } from '../types/props';

export const EVERYONE: CaseloadFilter = { search: '', whose: 'clinic', reason: '', flag: '' };

export const isFiltering = (filter: CaseloadFilter): boolean =>
    Object.entries(EVERYONE).some(([key, value]) => filter[key as keyof CaseloadFilter] !== value);

/** What stands in the address: only what is looked for. */
export function asked(filter: CaseloadFilter): Partial<CaseloadFilter> {
    return Object.fromEntries(
        Object.entries(filter).filter(([key, value]) => value !== EVERYONE[key as keyof CaseloadFilter]),
    );
}

export interface Group {
    reason: string;
    heading: string;
    lines: CaseloadLine[];
}

/** By reason, in their order. Who has moved up between two pages comes twice and is shown once. */
export function grouped(lines: CaseloadLine[]): Group[] {
    const groups: Group[] = [];
    const seen = new Set<string>();
    for (const line of lines) {
        if (seen.has(line.id)) continue;
        seen.add(line.id);
        const group = groups.find((each) => each.reason === line.reason);
        if (group) group.lines.push(line);
        else groups.push({ reason: line.reason, heading: line.heading, lines: [line] });
    }
    return groups;
}
