/** 144000 → "2:24". */
export function clock(ms: number): string {
    const seconds = Math.round(ms / 1000);
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

export function number(value: number, digits: number): string {
    return value.toFixed(digits);
}

/** At most so many digits after the point, and no needless ones. */
export function short(value: number, digits = 2): string {
    return String(Number(value.toFixed(digits)));
}

export function percent(share: number): string {
    return `${Math.round(share * 100)} %`;
}

export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** "2026-11-25" → "25 Nov". */
export function dayMonth(date: string): string {
    return new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(new Date(`${date}T12:00:00Z`));
}

export function plural(count: number, one: string, many: string): string {
    return `${count} ${count === 1 ? one : many}`;
}
