/** Days side by side on one axis. */
export interface DayAxis {
    days: number;
    dayWidth: number;
    x: (date: string) => number;
}

const DAY = 86_400_000;

const noon = (date: string): number => Date.parse(`${date}T12:00:00Z`);

export function dayAxis(from: string, to: string, left: number, width: number): DayAxis {
    const days = daysBetween(from, to) + 1;
    const dayWidth = width / days;
    return { days, dayWidth, x: (date) => left + daysBetween(from, date) * dayWidth };
}

export function daysBetween(from: string, to: string): number {
    return Math.round((noon(to) - noon(from)) / DAY);
}

/** What is further apart than so many days is not one line. */
export function unbroken<T>(days: [string, T][], most: number): [string, T][][] {
    const lines: [string, T][][] = [];
    days.forEach((day, index) => {
        const before = days[index - 1];
        if (before && daysBetween(before[0], day[0]) <= most) lines.at(-1)?.push(day);
        else lines.push([day]);
    });
    return lines;
}

export function plusDays(date: string, days: number): string {
    return new Date(noon(date) + days * DAY).toISOString().slice(0, 10);
}
