/** Days side by side on one axis. */
export interface DayAxis { days: number; dayWidth: number; x: (date: string) => number }

const DAY = 86_400_000;

const noon = (date: string): number => Date.parse(`${date}T12:00:00Z`);

export function dayAxis(from: string, to: string, left: number, width: number): DayAxis {
    const days = Math.round((noon(to) - noon(from)) / DAY) + 1;
    const dayWidth = width / days;
    return { days, dayWidth, x: (date) => left + Math.round((noon(date) - noon(from)) / DAY) * dayWidth };
}

export function plusDays(date: string, days: number): string {
    return new Date(noon(date) + days * DAY).toISOString().slice(0, 10);
}
