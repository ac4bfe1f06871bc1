// What each page is given; a test holds what the server sends against it.
import type { AppointmentKind } from './week';
import type { InvitationLine, PersonLine } from './account';
import type { KeepingShown, LetterWords, OutcomesShown, OwnQuestionnaire, ReliabilityLine } from './clinic';
import type { RoutineFigures } from './exercises';
import type { DeskProps } from './measure';
import type {
    Appointments,
    BenchAnswer,
    BenchChoices,
    CaseloadLine,
    Choice,
    DraftFields,
    Figures,
    GoalFields,
    GoalMeasure,
    PatientHead,
    BodyChoices,
    TechniqueChoice,
    TrailLine,
} from './pages';
import type {
    FromHome,
    LatestScreening,
    PastScreening,
    PausedExercise,
    QuestionGroup,
    RedFlagAnswer,
} from './screening';
import type { KeptContent, SessionHeadView, StepShown } from './session';
import type { RidgeShape } from '../shared/timeline';

export interface NewLink {
    address: string;
    code: string;
    days: number;
    sent_to: string | null;
}

export interface AccessProps {
    patient: PatientHead;
    public_address: string;
    new_link: NewLink | null;
    /** Where a link can be sent; null where no address is known. */
    mail_to: string | null;
    open_link: { made_on: string; expires_on: string } | null;
    consents: {
        kind: 'accepted' | 'withdrawn' | 'declined';
        about: string;
        version: string;
        on: string;
        by: string | null;
    }[];
    kept_aside: { id: number; what: string; device: string; on: string; urgent: boolean }[];
    devices: {
        id: number;
        label: string;
        since: string;
        last_seen: string | null;
        ready: boolean;
        locked_out: boolean;
        calendar_since: string | null;
    }[];
}

export interface DecidedLine {
    lineage: string;
    name: string;
    decision: string;
    reason: string;
    /** Otherwise it has to be chosen by hand. */
    done: boolean;
    to: string | null;
}

export interface Decided {
    answer: BenchAnswer | null;
    lines: DecidedLine[];
    reason: string;
}

export interface BestPace {
    /** breaths a minute */
    pace: number;
    on: string;
    /** Others that are not clearly different. */
    as_good: number[];
}

export interface BenchProps {
    patient: PatientHead;
    choices: BenchChoices;
    /** What a goal can be measured by. */
    goals: GoalMeasure[];
    version: { number: number; issued_on: string } | null;
    draft: {
        weeks: number;
        starts_on: string;
        review_on: string;
        rated_symptom: string;
        maintenance: boolean;
        goal: GoalFields;
    };
    answer: BenchAnswer;
    measured: Record<string, number>;
    /** At which the heart swung most with the breath, when paces were last compared. */
    best_pace: BestPace | null;
    /** The session it is opened in. */
    session: SessionHeadView | null;
    /** What was decided in it, as the draft does it. */
    decided: Decided | null;
}

export interface ClinicProps {
    clinic: {
        name: string;
        time_zone: string;
        emergency_wording: string;
        crisis_number: string | null;
        school: string;
        telephone: string | null;
        minutes: AppointmentKind[];
        calendar_initials: boolean;
    };
    schools: Choice[];
    outcomes: OutcomesShown;
    quarters: Choice[];
    people: PersonLine[];
    demands_second_factor: boolean;
    invitations: InvitationLine[];
    /** Shown once. */
    new_invitation: string | null;
    roles: Choice[];
    reliabilities: ReliabilityLine[];
    questionnaires: OwnQuestionnaire[];
    thresholds: { name: string; label: string; value: number; shipped: number }[];
    agreement: { decisions: number; share: number | null };
    backup: { last: string | null; is_late: boolean };
    letters: LetterWords | null;
    keeping: KeepingShown | null;
    is_lead: boolean;
    trail: TrailLine[] | null;
}

export interface RoutineStepFields {
    kind: string;
    technique?: string;
    seconds?: number | string;
    [field: string]: unknown;
}

export interface RoutineEditProps {
    key: string;
    is_own: boolean;
    fields: { name: string; steps: RoutineStepFields[] };
    answer: RoutineFigures;
    techniques: TechniqueChoice[];
    body: BodyChoices;
    kinds: Choice[];
    limits: { steps: number; seconds: number };
}

export interface ScreeningProps {
    patient: PatientHead;
    questions: QuestionGroup[];
    latest: LatestScreening | null;
    red_flags: RedFlagAnswer[];
    history: PastScreening[];
    from_home: FromHome | null;
    has_device: boolean;
    exercises: PausedExercise[];
    crisis_number_missing: boolean;
}

export interface IssuedItem {
    lineage: string;
    name: string;
    summary: string;
    steps: string[];
    as_needed: string | null;
    why: string;
    short: string | null;
    /** As issued: as needed or so many times a day. */
    fields: Omit<DraftFields, 'id' | 'daily_most' | 'times_a_day'> & {
        daily_most: number | null;
        times_a_day: number | null;
    };
    position: string;
    props: string[];
    route_in: string;
    route_out: string;
    effort: string;
    figures: Figures;
    ridge: RidgeShape;
}

export interface IssuedVersion {
    number: number;
    by: string;
    issued_on: string;
    in_force_from: string;
    ends_on: string | null;
    review_on: string;
    rated_symptom: string;
    reason: string | null;
    school: string;
    goal: { words: string; summary: string } | null;
    patient_note: string | null;
    items: IssuedItem[];
    /** Leads to the version of a closed programme. */
    query: string;
    finding_reasons: { rule: string; message: string; reason: string; by: string; on: string }[];
    /** By whom and why, once it was. */
    withdrawn: string | null;
    /** Today, while nothing of it has been practised. */
    can_be_withdrawn: boolean;
}

export interface KeptLine {
    ms: number;
    loudness: number;
    hash: string;
}

export interface VoiceLine {
    line: string;
    text: string;
    longest_s: number;
    /** In so many running exercises. */
    used: number;
    kept: KeptLine | null;
}

export interface VersionProps {
    patient: PatientHead;
    version: IssuedVersion;
}

export interface VoiceProps {
    lines: VoiceLine[];
    /** Of each exercise in a running programme, the lines that it says. */
    running: string[][];
}

/** What is looked for in the Caseload. */
export interface CaseloadFilter {
    search: string;
    whose: 'mine' | 'clinic';
    reason: string;
    flag: string;
}

export interface CaseloadProps {
    /** So far: more follow on scrolling. */
    lines: CaseloadLine[];
    counts: {
        total: number;
        fitting: number;
        by_reason: Record<string, number>;
        reasons: Choice[];
        flags: string[];
    };
    /** More than one patient has them. */
    names_that_meet: string[];
    filter: CaseloadFilter;
    page_size: number;
    appointments: Appointments;
    me: number;
    urgent: string[];
    tally_days: number;
}

export interface MeasureProps {
    patient: PatientHead;
    desk: DeskProps;
}

export interface FoundProps {
    time_zones: string[];
}

export interface PatientNewProps {
    time_zones: string[];
    time_zone: string;
}

export interface SessionProps {
    patient: PatientHead;
    session: SessionHeadView;
    kept: KeptContent;
    shown: StepShown[keyof StepShown];
}
