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
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export function dayMonth(date: string): string {
    // As the server writes it: browsers differ in how they shorten September.
    return `${Number(date.slice(8, 10))} ${MONTHS[Number(date.slice(5, 7)) - 1]}`;
}

export function plural(count: number, one: string, many: string): string {
    return `${count} ${count === 1 ? one : many}`;
}
