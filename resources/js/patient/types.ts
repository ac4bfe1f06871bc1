import type { FormView } from '../shared/forms';
import type { NightEnding, NightRule } from '../player/night';
import type { RidgeShape, Stroke, Timeline } from '../shared/timeline';

export interface DeviceState {
    state: 'unknown' | 'consent' | 'pin' | 'locked-out' | 'locked' | 'ready';
    clinic?: string;
    emergency?: string;
    /** By which patients reach the clinic. */
    telephone?: string | null;
    consent?: {
        version: string;
        paragraphs: { title: string; text: string }[];
        /** Whether traces may be kept, while nobody has said it. */
        traces: string | null;
    } | null;
    /** Who else may take their turn on this device. */
    others?: { id: number; initials: string }[];
}

export type WhyPaused = 'stop' | 'answers' | 'measured' | 'practitioner';

/** Where help is found. */
export interface Help {
    emergency: string;
    /** A number in that wording that can be called. */
    emergency_call: string | null;
    /** For thoughts of suicide. */
    crisis: string | null;
    /** By which patients reach the clinic. */
    telephone: string | null;
}

/** Rules of the core that the device applies by itself, with their numbers. */
export interface Rules {
    pausing: { look_at: number; stops: number };
    symptoms: { made_me_stop: string[]; get_help: string[] };
    seconds: { ask_after: number; help_after: number; look_back_after: number; trusted_offset: number };
    days: { waits_at_most: number; lately: number; tally: number };
    night: NightRule;
}

/** An exercise that is there outside of what is planned, with the version that it is of. */
export interface Recovery {
    version_id: number;
    item: TodayItem;
}

/** What the phone felt in one practice. */
export interface FeltData {
    state: 'waiting' | 'read';
    sentence: string | null;
    /** The breath in the middle, 0–100 %, at even parts of it. */
    inked: number[] | null;
}

/** Whether traces of the breath may be kept. */
export interface TracesData {
    kept: boolean | null;
    version: string;
    text: string;
}

export type StopClass = 'no-symptom' | 'made-me-stop' | 'get-help';

/** What is played: the whole exercise or its short version. */
export interface Playable {
    breaths: number | null;
    seconds: number;
    ridge: RidgeShape;
    timeline: Timeline;
    night: NightEnding | null;
    /** Falling asleep is welcome at its end, at least at night. */
    quiet: boolean;
}

export interface ToldPart {
    part: string;
    label: string;
    texts: string[];
}

export interface TodayItem extends Playable {
    lineage: string;
    technique: string;
    name: string;
    recovery: boolean;
    /** Where a phone can feel its breath. */
    phone: 'belly' | 'chest' | null;
    /** Why the server has paused it. */
    paused: WhyPaused | null;
    /** What the practitioner said who paused it. */
    paused_note: string | null;
    /** Lines on which the same exercise stands, its own first: they share stops and pauses. */
    like: string[];
    /** How the last practices ended since somebody looked, latest first. */
    ends: (StopClass | null)[];
    minutes: number | null;
    /** What the patient is told, by what it is about. */
    told: ToldPart[];
    /** What is said before each exercise of a routine, by the number of its step. */
    taught: { step: number; name: string; told: { key: string; text: string }[] }[];
    /** What is asked afterwards, one tap each. */
    checks: { key: string; question: string; answers: { value: string; label: string }[] }[];
    /** Everything that is needed. */
    needs: string[];
    /** Lengths over the prescribed ones that the patient may choose; null when the pace is fixed. */
    tempo: { fastest: number; slowest: number } | null;
    /** Over how many breaths it may ease from the patient's own pace; null when it cannot. */
    joining: { over: number; slowest: number; least: number } | null;
    why: string;
    as_needed: { use_when: string; most: number; way: Way; room: number; done: number } | null;
    short: Playable | null;
}

export type NotToday = 'tired' | 'busy' | 'ill' | 'symptoms';

export interface TodaySlot {
    lineage: string;
    anchor: string;
    /** Of a habit of one's own. */
    name: string | null;
    from: string;
    to: string;
    closes_at: string;
    put_off: NotToday | null;
    done: { at: string; stroke: 'done' | 'partial' | 'stopped' } | null;
}

/** A patient-day with what is due on it. */
export interface BundleDay {
    date: string;
    label: string;
    /** The instants at which it begins and ends. */
    from: string;
    to: string;
    state: 'none' | 'not-yet' | 'running' | 'over';
    starts_on: string | null;
    version_id: number | null;
    rated_symptom: string | null;
    /** What the latest version changed and why, in its first days. */
    note: string | null;
    slots: TodaySlot[];
}

/** What the device keeps so that it works without a network. */
export interface Bundle extends Help {
    /** The server's clock when it was made. */
    now: string;
    owner: string;
    clinic: string;
    rules: Rules;
    asked: (FormView & { answered: number })[];
    /** The next one, in words. */
    appointment: string | null;
    check_due: boolean;
    days: BundleDay[];
    /** By version. */
    items: Record<string, TodayItem[]>;
    /** What was agreed for breathlessness, whether or not a programme runs. */
    recovery: Recovery | null;
}

/** The present day, as Today shows it. */
export interface TodayData extends Omit<Bundle, 'days' | 'items'> {
    day: BundleDay;
    items: TodayItem[];
    /** The copy is too old to know what is due. */
    isOld: boolean;
}

/** At hand before the PIN: the same for everyone. */
export interface NeededData extends Help {
    owner: string;
    rules: Rules;
    item: TodayItem;
}

/** What a practice needs to know besides its exercise. */
export interface PracticeOf {
    version_id: number;
    rated_symptom: string;
    owner: string;
    help: Help;
    rules: Rules;
    /** Whose practice it is: the patient's; to be asked, before the PIN; nobody's, when it was never prescribed. */
    credit: 'mine' | 'ask' | 'nobody';
}

export interface DiaryEntry {
    date: string;
    ratings: Record<string, number>;
    sleep: number | null;
    text: string | null;
    late: boolean;
}

export interface DiaryData {
    from: string;
    today: string;
    symptoms: { id: number; name: string }[];
    /** So many days back may be filled in. */
    late_days: number;
    entries: DiaryEntry[];
    changes: { date: string; number: number }[];
}

export interface ProgressData {
    weeks: ({ date: string; label: string; paused: boolean; strokes: Stroke[] } | null)[][];
    days_practised: number;
    as_needed: { name: string; times: number; recovered: number[] | null }[];
    changes: { on: string; text: string; ahead: boolean }[];
    then_now: { name: string; then: number; now: number; direction: -1 | 0 | 1 }[];
    checks: { first: number; last: number; on: string; count: number } | null;
    /** What the phone felt in the latest practices. */
    measured: { on: string; sentence: string }[];
    next: string | null;
}

/** How something that has no fixed times is done: from beginning to end, as long as it helps, ticked. */
export type Way = 'led' | 'open' | 'ticked';

/** How the sheet is printed. */
export type Paper = 'a4' | 'large' | 'fold';

export interface SheetData {
    clinic: string;
    number: number;
    from: string;
    review: string;
    goal: string;
    note: string | null;
    needs: string[];
    cautions: string[];
    items: {
        name: string;
        needed: boolean;
        ridge: string;
        minutes: string;
        about: boolean;
        breaths: number;
        told: ToldPart[];
        taught: string[];
    }[];
}

export interface MyDevice {
    id: number;
    label: string;
    since: string;
    here: boolean;
}

export interface OutboxResult {
    id: string;
    result: 'stored' | 'again' | 'kept-aside' | 'refused' | 'later';
    message?: string;
}

/** A habit that was looked after, as it is sent. */
export interface Tick {
    uuid: string;
    version_id: number;
    lineage: string;
    ticked_at: string;
}

/** One practice as it is sent. */
export interface PracticeLog {
    uuid: string;
    version_id: number;
    lineage: string;
    anchor: string | null;
    started_at: string;
    ended_at: string;
    breaths_done: number;
    seconds_done: number;
    short: boolean;
    /** Length of the patient's own breath, when it began with it. */
    joined_ms: number | null;
    /** Until breath had come back, for a recovery exercise. */
    recovered_after_s: number | null;
    interruptions: number;
    /** Lengths of open cues, as they were ended. */
    open_ms: number[] | null;
    self_checks: Record<string, string> | null;
    /** Taps of the breath, in ms from the first one, before and after. */
    pace_taps: { before: number[] | null; after: number[] | null } | null;
    /** How far each step of a routine got. */
    steps_done: { step: number; breaths: number; seconds: number }[] | null;
    /** The step in which the patient said that it is enough. */
    enough_step: number | null;
    /** What goes on as long as it helps was ended by the patient. */
    enough: boolean;
    /** Lengths over the prescribed ones at the end; null when the pace was not changed. */
    tempo: number | null;
    before: number | null;
    after: number | null;
    effort: number | null;
    smooth: 'yes' | 'partly' | 'no' | null;
    slight_symptom: boolean | null;
    remark: string | null;
    stop_class: StopClass | null;
    stop_symptom: string | null;
}

/** The address by which a calendar outside reads when the patient practises and comes. */
export interface CalendarState {
    since: string | null;
    read: string | null;
    /** Only when it has just been made. */
    address?: string;
}

/** Which messages the patient wishes for, and where they go. */
export interface MessageWishes {
    email: string | null;
    appointments: boolean;
    practice: boolean;
}
