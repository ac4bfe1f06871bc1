import type { CourseFelt, CourseProgramme } from '../types/course';
import { daysBetween, plusDays } from './axis';
import { percent, short } from '../shared/format';
import { strokesOf, tallyInWords } from '../shared/tally';

/** What is known of a day, or of the week that begins with it: each as a name and its value. */
export interface DayLine {
    what: string;
    value: string;
}

const within = (date: string, from: string, days: number): boolean => date >= from && date <= plusDays(from, days - 1);

/** The first day of what is drawn as one: of the week over a long time, else the day itself. */
export function unitOf(programme: CourseProgramme, date: string): string {
    if (!programme.by_week) return date;
    return plusDays(programme.from, Math.floor(daysBetween(programme.from, date) / 7) * 7);
}

/** Every day or week of the axis up to the present one. */
export function units(programme: CourseProgramme): string[] {
    const all: string[] = [];
    for (let date = programme.from; date <= programme.today; date = plusDays(date, programme.by_week ? 7 : 1))
        all.push(date);
    return all;
}

const range = (values: number[]): string => {
    const low = Math.min(...values);
    const high = Math.max(...values);
    return low === high ? short(low, 1) : `${short(low, 1)} to ${short(high, 1)}`;
};

/** "83 %, 0.4 s late, ratio 95 % of what was led" */
export function feltInWords({ share, lag, ratio }: CourseFelt): string {
    const late = lag === null ? '' : `, ${short(Math.abs(lag), 1)} s ${lag < 0 ? 'early' : 'late'}`;
    return `${percent(share)}${late}${ratio === null ? '' : `, ratio ${percent(ratio)} of what was led`}`;
}

export function dayLines(programme: CourseProgramme, date: string): DayLine[] {
    const days = programme.by_week ? 7 : 1;
    const lines: DayLine[] = [];
    const version = [...programme.versions]
        .reverse()
        .find(
            (each) =>
                each.from <= plusDays(date, days - 1) &&
                (each.to === null || each.to >= date) &&
                each.state !== 'replaced',
        );
    if (version) lines.push({ what: 'Version', value: String(version.number) });
    for (const exercise of programme.exercises) {
        const day = exercise.days.find((each) => each.date === date);
        if (day && (day.strokes !== '' || day.paused))
            lines.push({
                what: exercise.name,
                value: [day.strokes === '' ? '' : tallyInWords(strokesOf(day.strokes)), day.paused ? 'paused' : '']
                    .filter(Boolean)
                    .join(', '),
            });
        const week = exercise.weeks.find((each) => each.date === date);
        if (week && week.due > 0)
            lines.push({
                what: exercise.name,
                value: `${short(week.credit, 1)} of ${week.due}${week.stops > 0 ? `, ${week.stops} stopped` : ''}`,
            });
    }
    for (const felt of programme.felt)
        if (within(felt.day, date, days)) lines.push({ what: 'Followed', value: feltInWords(felt) });
    const ratings = programme.ratings.filter((each) => within(each.day, date, days));
    const before = ratings.flatMap((each) => each.before ?? []);
    const after = ratings.flatMap((each) => each.after ?? []);
    if (before.length > 0) lines.push({ what: `${programme.symptom} before`, value: range(before) });
    if (after.length > 0) lines.push({ what: `${programme.symptom} after`, value: range(after) });
    for (const line of programme.diary) {
        const values = line.days.filter(([day]) => within(day, date, days)).map(([, value]) => value);
        if (values.length > 0) lines.push({ what: `${line.name}, diary`, value: range(values) });
    }
    for (const session of programme.sessions)
        if (within(session.day, date, days)) lines.push({ what: 'Session', value: String(session.number) });
    for (const measure of programme.measures)
        for (const point of measure.points)
            if (within(point.day, date, days))
                lines.push({
                    what: measure.name,
                    value: `${short(point.value, 1)} ${measure.unit}${point.earlier ? ` (${point.earlier})` : ''}`,
                });
    for (const form of programme.questionnaires)
        for (const point of form.points)
            if (within(point.day, date, days))
                lines.push({
                    what: form.name,
                    value:
                        `${short(point.value, 1)} of ${form.most}${point.band ? `, ${point.band}` : ''}` +
                        (point.earlier ? ` (${point.earlier})` : ''),
                });
    return lines;
}

/**
 * The same by name, for a row of a table: what has the same name (two sessions in a week, an exercise prescribed twice)
 * stands in one place.
 */
export function byName(lines: DayLine[]): Map<string, string> {
    const values = new Map<string, string>();
    for (const { what, value } of lines)
        values.set(what, [values.get(what), value].filter((each) => each !== undefined).join('; '));
    return values;
}
