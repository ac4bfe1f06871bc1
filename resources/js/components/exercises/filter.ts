import type { ExerciseEntry } from '../../types/exercises';

export interface Filter {
    purpose: string;
    position: string;
    noHolds: boolean;
    short: boolean;
    possible: boolean;
    text: string;
}

export const EVERYTHING: Filter = {
    purpose: '',
    position: '',
    noHolds: false,
    short: false,
    possible: false,
    text: '',
};

const SHORT_MS = 120_000;

/** Which exercises are left by a filter. An exercise without a set length is not under two minutes. */
export function filtered(list: ExerciseEntry[], filter: Filter): ExerciseEntry[] {
    const text = filter.text.trim().toLowerCase();
    return list.filter(
        (entry) =>
            (filter.purpose === '' || entry.purposes.includes(filter.purpose)) &&
            (filter.position === '' ||
                (filter.possible && entry.possible ? entry.possible : entry.positions).includes(filter.position)) &&
            (!filter.noHolds || !entry.has_hold) &&
            (!filter.short || (entry.total_ms < SHORT_MS && !entry.is_about)) &&
            (!filter.possible || entry.possible === null || entry.possible.length > 0) &&
            (text === '' || entry.name.toLowerCase().includes(text)),
    );
}
