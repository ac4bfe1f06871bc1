import { format, isValid, parse } from 'date-fns';

/** How dates are written here: the month by its name, so that nobody takes it for the day. */
const SHOWN = 'd MMM yyyy';

/** The day comes first wherever only digits stand. */
const UNDERSTOOD = [
    'yyyy-MM-dd',
    SHOWN,
    'd MMMM yyyy',
    'd MMM, yyyy',
    'd/M/yyyy',
    'd.M.yyyy',
    'd-M-yyyy',
    'd M yyyy',
    'ddMMyyyy',
];

const EARLIEST_YEAR = 1800;

/** What was typed as "1984-03-14", or null when it is no day of the calendar; a year needs its four digits. */
export function readDay(text: string): string | null {
    const typed = text.trim().replace(/\s+/g, ' ');
    for (const each of UNDERSTOOD) {
        const day = parse(typed, each, new Date(2000, 0, 1));
        if (isValid(day) && day.getFullYear() >= EARLIEST_YEAR && day.getFullYear() < 10_000)
            return format(day, 'yyyy-MM-dd');
    }
    return null;
}

/** "1984-03-14" as a day of the calendar that is drawn here. */
export function dayOf(value: string): Date | undefined {
    const day = parse(value, 'yyyy-MM-dd', new Date(2000, 0, 1));
    return isValid(day) ? day : undefined;
}

/** "1984-03-14" → "14 Mar 1984"; what is no date stays as it is. */
export function shownDay(value: string): string {
    const day = dayOf(value);
    return day ? format(day, SHOWN) : value;
}

export function dayAsText(day: Date): string {
    return format(day, 'yyyy-MM-dd');
}

/** "9", "9.30", "0930", "9:30 pm" → "21:30"; null when it is no time of day. */
export function readTime(text: string): string | null {
    const parts = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(am|pm)?$/i.exec(text.trim());
    if (!parts) return null;
    const half = parts[3]?.toLowerCase();
    const hour = Number(parts[1]);
    const minute = Number(parts[2] ?? '0');
    if (minute > 59 || hour > 23 || (half !== undefined && (hour < 1 || hour > 12))) return null;
    const of24 = half === undefined ? hour : (hour % 12) + (half === 'pm' ? 12 : 0);
    return `${String(of24).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;
}
