import type { Place, WeekAbsence, WeekAppointment, WeekDay } from '../types/week';

/** By how much a box moves under the hand, and by keys. */
export const STEP = 15;
export const SMALL_STEP = 5;

/** No box is drawn narrower than this: a name has to be read. */
export const NARROWEST = 45;

const DAY = 1440;
const USUAL = { from: 8 * 60, to: 17 * 60 };

export interface Ruler {
    from: number;
    to: number;
}

/** From full hour to full hour: the usual day, and whatever lies outside of it. */
export function rulerOf(appointments: Pick<WeekAppointment, 'minute' | 'minutes'>[]): Ruler {
    const hour = (minute: number, round: (value: number) => number): number => round(minute / 60) * 60;
    return {
        from: Math.min(USUAL.from, ...appointments.map((each) => hour(each.minute, Math.floor))),
        to: Math.min(
            DAY,
            Math.max(USUAL.to, ...appointments.map((each) => hour(each.minute + each.minutes, Math.ceil))),
        ),
    };
}

/** How far along the ruler, 0–100; what lies outside stands at its end. */
export function along(ruler: Ruler, minute: number): number {
    return ((Math.min(ruler.to, Math.max(ruler.from, minute)) - ruler.from) / (ruler.to - ruler.from)) * 100;
}

/** Those that would cover each other stand below each other: the row of each, and how many rows there are. */
export function stacked<T extends Pick<WeekAppointment, 'minute' | 'minutes'>>(
    all: T[],
): { rows: number; boxes: (T & { row: number; meets: boolean })[] } {
    const ends: number[] = [];
    const boxes = [...all]
        .sort((a, b) => a.minute - b.minute)
        .map((each) => {
            const free = ends.findIndex((end) => end <= each.minute);
            const row = free < 0 ? ends.length : free;
            ends[row] = each.minute + Math.max(NARROWEST, each.minutes);
            const meets = all.some(
                (other) =>
                    other !== each &&
                    other.minute < each.minute + each.minutes &&
                    each.minute < other.minute + other.minutes,
            );
            return { ...each, row, meets };
        });
    return { rows: Math.max(1, ends.length), boxes };
}

/** Days of work, and days of the weekend on which something stands. */
export function daysShown(days: WeekDay[], taken: (WeekAppointment | WeekAbsence)[], also: string[] = []): WeekDay[] {
    return days.filter(
        (day, at) => at < 5 || day.is_today || also.includes(day.date) || taken.some((each) => each.day === day.date),
    );
}

/** On the grid of the clock, within the day. */
export function snapped(minute: number, minutes: number, step = STEP): number {
    return Math.min(DAY - minutes, Math.max(0, Math.round(minute / step) * step));
}

/**
 * Where a key takes a box: along the ruler, or to the lane above or below, another person's or another day's.
 *
 * @returns null when the key moves nothing
 */
export function moved(
    from: Place,
    minutes: number,
    key: { key: string; shiftKey: boolean },
    days: string[],
    people: number[],
): Place | null {
    const step = key.shiftKey ? SMALL_STEP : STEP;
    if (key.key === 'ArrowLeft' || key.key === 'ArrowRight') {
        const minute = from.minute + (key.key === 'ArrowLeft' ? -step : step);
        return { ...from, minute: Math.min(DAY - minutes, Math.max(0, minute)) };
    }
    if (key.key !== 'ArrowUp' && key.key !== 'ArrowDown') return null;
    const lane = days.indexOf(from.day) * people.length + people.indexOf(from.practitioner);
    const to = lane + (key.key === 'ArrowUp' ? -1 : 1);
    const day = days[Math.floor(to / people.length)];
    const practitioner = people[((to % people.length) + people.length) % people.length];
    return to < 0 || day === undefined || practitioner === undefined ? from : { ...from, day, practitioner };
}

/** 545 → "09:05" */
export function clock(minute: number): string {
    return `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
}

/** "Rosa Maria Castle" → "R. Castle"; one word stays as it is. */
export function shortName(name: string): string {
    const words = name.trim().split(/\s+/);
    const last = words.at(-1) ?? '';
    return words.length < 2 ? name : `${Array.from(words[0] ?? '')[0] ?? ''}. ${last}`;
}
