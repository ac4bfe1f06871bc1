import type { Waiting } from './store';
import type { Bundle, NotToday, PracticeLog, StopClass, TodayData, TodayItem, TodaySlot } from './types';

/** The present day out of what is kept; when the copy is too old, its exercises without anything due. */
export function presentDay(bundle: Bundle, now: number): TodayData {
    const { days, items, ...rest } = bundle;
    const present = days.find((day) => Date.parse(day.from) <= now && now < Date.parse(day.to));
    const day = present ?? days[days.length - 1];
    if (!day) throw new Error('A copy without days.');
    return { ...rest, day: present ? day : { ...day, slots: [], note: null }, items: items[String(day.version_id)] ?? [], isOld: !present };
}

/** What waits here fills its slots, so that nothing is asked for twice. */
export function withWaiting(today: TodayData, waiting: readonly Waiting[]): TodaySlot[] {
    const from = Date.parse(today.day.from);
    const to = Date.parse(today.day.to);
    const open = waiting.filter((item) => item.refused === null);
    const practices = open.filter((item) => item.kind === 'practice').map((item) => item.body as PracticeLog)
        .filter((log) => Date.parse(log.started_at) >= from && Date.parse(log.started_at) < to);
    const said = open.filter((item) => item.kind === 'put-off').map((item) => item.body as { day: string; lineage: string; anchor: string; reason: NotToday });
    return today.day.slots.map((slot) => {
        const put = said.find((each) => each.day === today.day.date && each.lineage === slot.lineage && each.anchor === slot.anchor);
        const own = put ? { ...slot, put_off: put.reason } : slot;
        const index = slot.done ? -1 : practices.findIndex((log) => log.lineage === slot.lineage && log.anchor === slot.anchor);
        const log = index === -1 ? undefined : practices.splice(index, 1)[0];
        return log ? { ...own, done: { at: clockOf(log.started_at), stroke: strokeOf(log, today.items) } } : own;
    });
}

function clockOf(instant: string): string {
    return new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

function strokeOf(log: PracticeLog, items: TodayItem[]): 'done' | 'partial' | 'stopped' {
    if (log.stop_symptom) return 'stopped';
    const item = items.find((each) => each.lineage === log.lineage);
    const played = log.short ? item?.short : item;
    if (!played || log.enough_step !== null) return 'done';
    return (played.breaths === null ? log.seconds_done >= played.seconds - 1 : log.breaths_done >= played.breaths) ? 'done' : 'partial';
}

/**
 * Which practice is next: the first one left whose window is not over; otherwise the latest that was missed, for a day is
 * not lost. What was put off is not asked for again.
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

const LOOK_AT = 3;
const STOPS = 2;
const isSymptom = (end: StopClass | null): boolean => end === 'made-me-stop' || end === 'get-help';

/**
 * The pausing rules of the core, applied on the device to what the server does not know yet: a get-help symptom pauses
 * everything, stops in two of the last three practices of an exercise pause that one; recovery is never paused.
 */
export function isPaused(item: TodayItem, waiting: PracticeLog[]): boolean {
    if (item.recovery) return false;
    if (item.paused || waiting.some((log) => log.stop_class === 'get-help')) return true;
    const own = waiting.filter((log) => log.lineage === item.lineage).sort((a, b) => Date.parse(b.started_at) - Date.parse(a.started_at));
    const latest = own[0];
    if (!latest || !isSymptom(latest.stop_class)) return false;
    const ends = [...own.map((log) => log.stop_class), ...item.ends].slice(0, LOOK_AT);
    return ends.filter(isSymptom).length >= STOPS;
}

/** Practices of an as-needed exercise on the present day, with those that wait. */
export function usedToday(item: TodayItem, waiting: PracticeLog[], from: number): number {
    return (item.as_needed?.done ?? 0) + waiting.filter((log) => log.lineage === item.lineage && Date.parse(log.started_at) >= from).length;
}

/** Days of the diary that may be written, latest first. */
export function writableDays(today: string, back: number, say: (key: string) => string): { date: string; label: string }[] {
    return Array.from({ length: back + 1 }, (_, ago) => {
        const at = new Date(`${today}T12:00:00Z`);
        at.setUTCDate(at.getUTCDate() - ago);
        const label = ago === 0 ? say('patient.diary.today') : ago === 1 ? say('patient.diary.yesterday') : at.toLocaleDateString('en-GB', { weekday: 'long', timeZone: 'UTC' });
        return { date: at.toISOString().slice(0, 10), label };
    });
}
