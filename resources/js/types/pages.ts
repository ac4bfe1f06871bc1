import type { RidgeShape } from '../shared/timeline';

export interface PatientHead {
    id: string;
    name: string;
    age: number;
    /** Said where two patients have one name. */
    born: string | null;
    archived_on: string | null;
    flags: string[];
    minutes_a_day: number | null;
    today: string;
    obstacle: string | null;
    has_programme: boolean;
    open_session: string | null;
}

export interface AnchorFields {
    anchor: string;
    /** Of a habit of the patient's own. */
    name?: string;
    /** Not of a template's. */
    label?: string;
    from: string;
    to: string;
    days: number[];
}

/** A step of a routine as it is typed. */
export interface RoutineStep {
    kind: string;
    technique?: string;
    [field: string]: unknown;
}

/** The fields of an item as they are typed; PHP reads and completes them. */
export interface DraftFields {
    /** Its lineage when it is in force, otherwise a name of this page. */
    id: string;
    kind?: 'exercise' | 'routine';
    routine_name?: string;
    steps?: RoutineStep[];
    why: string | null;
    /** What is asked after each practice. */
    checks: string[];
    /** Fields of the least that still counts, over the prescribed ones; null for the technique's own. */
    short: Record<string, number | string | number[]> | null;
    /** Null for the generated one. */
    ladder: { set: Record<string, unknown>; days: number | string }[] | null;
    as_needed: boolean;
    use_when: string | null;
    daily_most: number | string;
    way: string | null;
    technique: string;
    /** In place of the ratio, while a phase is dragged. */
    counts?: Record<string, number>;
    ratio: string | null;
    count_length: number | string;
    breaths: number | string | null;
    minutes: number | string | null;
    parameters: Record<string, number | string>;
    position: string;
    props: string[];
    route_in: string;
    route_out: string;
    effort: string;
    gaze: string;
    /** Null for the usual ones. */
    hands: string | null;
    own_prop: string | null;
    start: string;
    /** Null: as fits the time of day. */
    ending: string | null;
    bells_first: number | string;
    bells_last: number | string;
    counting: Record<string, string>;
    cue_word: boolean;
    fade: string;
    fastest: number | string;
    slowest: number | string;
    school: string;
    own_name: string | null;
    own_right: string | null;
    own_in: string | null;
    own_out: string | null;
    times_a_day: number | string;
    anchors: AnchorFields[];
}

export interface Figures {
    rounds: number;
    cycle_s: number | null;
    rate: number | null;
    exhale_to_inhale: number | null;
    quiet_share: number | null;
    about: boolean;
    breaths: number;
    exercise_ms: number;
    total_ms: number;
    minutes_a_day: number;
    counts: Record<string, number> | null;
}

export interface FindingCause {
    flags: string[];
    numbers: Record<string, number>;
}

export interface Finding {
    rule: string;
    level: 'note' | 'caution' | 'needs-reason';
    title: string;
    message: string;
    /** What made it speak: a reason is for this. */
    cause: FindingCause;
    field: string;
    basis: string;
    changes: { label: string; set: Partial<DraftFields>; add: Partial<DraftFields> | null }[];
}

export interface LadderRung {
    change: string;
    axis: string | null;
    set: Record<string, unknown>;
    days: number;
    cycle_s: number | null;
    rate: number | null;
    minutes: number;
    ridge: RidgeShape;
}

export interface ToldPart {
    part: string;
    label: string;
    texts: string[];
}

export interface ItemAnswer {
    id: string;
    fields: DraftFields;
    errors: Record<string, string>;
    name: string | null;
    summary: string | null;
    figures: Figures | null;
    ridge: RidgeShape | null;
    /** What the patient is told, by what it is about. */
    told: ToldPart[];
    /** The same before each exercise of a routine. */
    taught: string[];
    /** The first lines that are heard. */
    heard: string;
    short: { summary: string; seconds: number } | null;
    /** Of a routine: which of its exercises a step up would change, and how. */
    grows: string | null;
    ladder: { edited: boolean; rungs: LadderRung[]; caps: string[] } | null;
    findings: Finding[];
}

export interface BenchAnswer {
    items: ItemAnswer[];
    minutes: number[];
    school: string;
    error: string | null;
}

export interface RoutineChoice {
    name: string;
    steps: RoutineStep[];
}

export interface Choice {
    value: string;
    label: string;
}

/** A pause that somebody has looked at. */
export interface LiftedPause {
    text: string;
    found: string;
    by: string;
    from: string;
    to: string;
}

/** Who opened or changed what, when. */
export interface TrailLine {
    on: string;
    by: string;
    kind: string;
    what: string;
    patient: string | null;
    patient_id: string | null;
    /** "phone: nothing → 0200 555 010" */
    changes: string[];
}

export interface TechniqueChoice {
    key: string;
    name: string;
    about: string;
    has_ratio: boolean;
    length: 'breaths' | 'rounds' | 'minutes' | 'derived';
    is_recovery: boolean;
    /** True when the length of a count matters. */
    is_paced: boolean;
    parameters: { name: string; label: string; choices: Record<string, string> | [] }[];
    positions: Choice[];
    /** None where the breath goes its own way. */
    routes_in: Choice[];
    routes_out: Choice[];
    /** The only ones with which it is this technique; any that the position allows when there are none. */
    only_hands: string[];
    more_hands: string[];
    starts: Choice[];
    purposes: string[];
    ridge: RidgeShape;
    efforts: string[];
    mistakes: string[];
    defaults: Omit<DraftFields, 'id'>;
}

export interface TemplateChoice {
    id: string | null;
    name: string;
    school: string;
    items: Partial<DraftFields>[];
}

/** Something that goes with some positions only. */
export interface PlacedChoice extends Choice {
    positions: string[];
}

export interface PropChoice extends PlacedChoice {
    /** Routes out with which it goes. */
    routes: string[];
}

export interface HandsChoice extends PlacedChoice {
    /** Only for techniques that name them. */
    is_special: boolean;
}

/** How the body can be placed. */
export interface BodyChoices {
    hands: HandsChoice[];
    props: PropChoice[];
    efforts: Choice[];
    gazes: PlacedChoice[];
    endings: Choice[];
}

export interface BenchChoices extends BodyChoices {
    templates: TemplateChoice[];
    techniques: TechniqueChoice[];
    routines: RoutineChoice[];
    kinds: Choice[];
    checks: Choice[];
    fades: Choice[];
    countings: Choice[];
    schools: (Choice & { assumes: Record<string, string> })[];
    anchors: (Choice & { from: string; to: string })[];
}

export interface AdherenceFigures {
    share: number | null;
    credit: number;
    due: number;
    days_practised: number;
    days_due: number;
    longest_gap: number;
    extras: number;
}

/** The patient's next one. */
export interface Appointment {
    id: number;
    day: string;
    time: string;
    words: string;
    starts_at: string;
    with: string;
    /** How many come after it. */
    more: number;
}

export interface Appointments {
    /** Minute of the clinic's day. */
    now: number;
    all: { patient: string; name: string; at: string; minute: number; practitioner: number; with: string }[];
}

export interface CaseloadLine {
    id: string;
    name: string;
    /** Date of birth. */
    born: string;
    /** Id of the practitioner who is responsible. */
    responsible: number;
    flags: string[];
    prescribed: string | null;
    reason: string;
    heading: string;
    number: string;
    sentence: string;
    /** A letter for each stroke, days parted by commas. */
    tally: string;
    /** Of the same days. */
    symptom: { name: string; days: (number | null)[] } | null;
    review_on: string | null;
}

/** What a goal can be measured by. */
export interface GoalMeasure {
    name: string;
    unit: string;
}

export interface GoalFields {
    words: string;
    measure: string;
    target: string | number;
    direction: string;
}
