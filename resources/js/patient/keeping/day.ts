import { locale } from '../words';
import type { Waiting } from './store';
import type {
    Bundle,
    NotToday,
    PracticeLog,
    Rules,
    StopClass,
    Tick,
    TodayData,
    TodayItem,
    TodaySlot,
    WhyPaused,
} from '../types';

/** The present day out of what is kept; when the copy is too old, its exercises without anything due. */
export function presentDay(bundle: Bundle, now: number): TodayData {
    const { days, items, ...rest } = bundle;
    const present = days.find((day) => Date.parse(day.from) <= now && now < Date.parse(day.to));
    const day = present ?? days[days.length - 1];
    if (!day) throw new Error('A copy without days.');
    return {
        ...rest,
        day: present ? day : { ...day, slots: [], note: null },
        items: items[String(day.version_id)] ?? [],
        isOld: !present,
    };
}

/**
 * A practice on the server's clock: what is due is told on that one, and a device may be a day off.
 *
 * @param offset milliseconds by which the server's clock is ahead
 */
export function onServersClock(log: PracticeLog, offset: number, rules: Rules): PracticeLog {
    if (Math.abs(offset) <= rules.seconds.trusted_offset * 1000) return log;
    const moved = (instant: string): string => new Date(Date.parse(instant) + offset).toISOString();
    return { ...log, started_at: moved(log.started_at), ended_at: moved(log.ended_at) };
}

/** What waits here fills its slots, so that nothing is asked for twice. */
export function withWaiting(today: TodayData, waiting: readonly Waiting[], offset = 0): TodaySlot[] {
    const from = Date.parse(today.day.from);
    const to = Date.parse(today.day.to);
    const open = waiting.filter((item) => item.refused === null);
    const practices = open
        .filter((item) => item.kind === 'practice')
        .map((item) => onServersClock(item.body as PracticeLog, offset, today.rules))
        .filter((log) => Date.parse(log.started_at) >= from && Date.parse(log.started_at) < to);
    const said = open
        .filter((item) => item.kind === 'put-off')
        .map((item) => item.body as { day: string; lineage: string; anchor: string; reason: NotToday });
    return today.day.slots.map((slot) => {
        const put = said.find(
            (each) => each.day === today.day.date && each.lineage === slot.lineage && each.anchor === slot.anchor,
        );
        const own = put ? { ...slot, put_off: put.reason } : slot;
        const index = slot.done
            ? -1
            : practices.findIndex((log) => log.lineage === slot.lineage && log.anchor === slot.anchor);
        const log = index === -1 ? undefined : practices.splice(index, 1)[0];
        return log ? { ...own, done: { at: clockOf(log.started_at), stroke: strokeOf(log, today.items) } } : own;
    });
}

function clockOf(instant: string): string {
    return new Date(instant).toLocaleTimeString(locale(), { hour: '2-digit', minute: '2-digit' });
}

function strokeOf(log: PracticeLog, items: TodayItem[]): 'done' | 'partial' | 'stopped' {
    if (log.stop_symptom) return 'stopped';
    const item = items.find((each) => each.lineage === log.lineage);
    const played = log.short ? item?.short : item;
    if (!played || log.enough_step !== null) return 'done';
    return (played.breaths === null ? log.seconds_done >= played.seconds - 1 : log.breaths_done >= played.breaths)
        ? 'done'
        : 'partial';
}

/**
 * Which practice is next: the first one left whose window is not over; otherwise the latest that was missed, for a day
 * is not lost. What was put off is not asked for again.
 */
export function nextSlot(slots: TodaySlot[], now: number): number | null {
    let missed: number | null = null;
    for (const [index, slot] of slots.entries()) {
        if (slot.done || slot.put_off) continue;
        if (Date.parse(slot.closes_at) > now) return index;
        missed = index;
    }
    return missed;
}

const isSymptom = (end: StopClass | null): boolean => end === 'made-me-stop' || end === 'get-help';

/** What was said on this device and the server does not know yet, or only just knows. */
export interface SaidHere {
    practices: PracticeLog[];
    ticks: Tick[];
    /** A symptom had not settled at the second look. */
    unsettled: boolean;
    /** A question that asks for help at once was answered with yes. */
    urgent: boolean;
}

export function saidHere(
    waiting: readonly Waiting[],
    today: Pick<TodayData, 'rules' | 'asked'>,
    offset: number,
): SaidHere {
    const urgentOf = (form: string): string[] =>
        today.asked
            .find((each) => each.id === form)
            ?.questions.filter((question) => question.urgent)
            .map((question) => question.key) ?? [];
    return {
        practices: waiting
            .filter((each) => each.kind === 'practice')
            .map((each) => onServersClock(each.body as PracticeLog, offset, today.rules)),
        ticks: waiting.filter((each) => each.kind === 'tick' && each.refused === null).map((each) => each.body as Tick),
        unsettled: waiting.some((each) => each.kind === 'second-look' && !(each.body as { settled: boolean }).settled),
        urgent: waiting.some((each) => {
            if (each.kind !== 'form') return false;
            const { form, answers } = each.body as { form: string; answers: Record<string, number> };
            return urgentOf(form).some((key) => answers[key] === 1);
        }),
    };
}

/**
 * The pausing rules of the core, applied on the device to what the server does not know yet: a get-help symptom or a
 * red flag pauses everything, stops in several of the last practices of an exercise pause that one; recovery is never
 * paused.
 */
export function whyPaused(item: TodayItem, here: SaidHere, rules: Rules): WhyPaused | null {
    if (item.recovery) return null;
    if (item.paused) return item.paused;
    if (here.unsettled || here.practices.some((log) => log.stop_class === 'get-help')) return 'stop';
    if (here.urgent) return 'answers';
    const own = here.practices
        .filter((log) => item.like.includes(log.lineage))
        .sort((a, b) => Date.parse(b.started_at) - Date.parse(a.started_at));
    const latest = own[0];
    if (!latest || !isSymptom(latest.stop_class)) return null;
    const ends = [...own.map((log) => log.stop_class), ...item.ends].slice(0, rules.pausing.look_at);
    return ends.filter(isSymptom).length >= rules.pausing.stops ? 'stop' : null;
}

/** What is paused, by why, and what the practitioner said. */
export function whatIsPaused(
    items: TodayItem[],
    here: SaidHere,
    rules: Rules,
): { why: WhyPaused; note: string | null; names: string[] }[] {
    const groups: { why: WhyPaused; note: string | null; names: string[] }[] = [];
    for (const item of items) {
        const why = whyPaused(item, here, rules);
        if (why === null) continue;
        const note = why === 'practitioner' ? item.paused_note : null;
        const known = groups.find((each) => each.why === why && each.note === note);
        if (known) known.names.push(item.name);
        else groups.push({ why, note, names: [item.name] });
    }
    return groups;
}

/** Practices of an as-needed exercise, or ticks of a habit, on the present day, with those that wait. */
export function usedToday(item: TodayItem, waiting: (PracticeLog | Tick)[], from: number): number {
    const at = (log: PracticeLog | Tick): number => Date.parse('ticked_at' in log ? log.ticked_at : log.started_at);
    return (
        (item.as_needed?.done ?? 0) + waiting.filter((log) => log.lineage === item.lineage && at(log) >= from).length
    );
}

/** Days of the diary that may be written, latest first. */
export function writableDays(
    today: string,
    back: number,
    say: (key: string) => string,
): { date: string; label: string }[] {
    return Array.from({ length: back + 1 }, (_, ago) => {
        const at = new Date(`${today}T12:00:00Z`);
        at.setUTCDate(at.getUTCDate() - ago);
        const label =
            ago === 0
                ? say('patient.diary.today')
                : ago === 1
                  ? say('patient.diary.yesterday')
                  : at.toLocaleDateString(locale(), { weekday: 'long', timeZone: 'UTC' });
        return { date: at.toISOString().slice(0, 10), label };
    });
}
