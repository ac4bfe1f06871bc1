import type { QuestionnaireView } from './measure';
import type { Choice, LiftedPause, PatientHead, TrailLine } from './pages';
import type { PastScreening, PausedExercise, RedFlagAnswer } from './screening';

export interface DetailFields {
    name: string;
    birth_date: string;
    time_zone: string;
    locale: string;
    day_start: string;
    contact: string;
    mails_appointments: boolean;
    minutes_a_day: string;
}

export interface Person {
    id: number;
    name: string;
}

export interface HandoverLine {
    text: string;
    by: string;
    on: string;
    reason: string;
}

export interface RecordProps {
    patient: PatientHead;
    details: DetailFields;
    time_zones: string[];
    languages: Choice[];
    added_on: string;
    screenings: PastScreening[];
    red_flags: RedFlagAnswer[];
    exercises: PausedExercise[];
    measurements: {
        id: number;
        /** By whom and why, once it counts no more. */
        struck: string | null;
        label: string;
        value: string;
        words: string | null;
        how: string;
        on: string;
        by: string;
    }[];
    questionnaires: QuestionnaireView[];
    sessions: {
        id: string;
        number: number;
        on: string;
        by: string;
        note: string | null;
        signed_by: string | null;
        amendments: number;
        /** Begun by mistake: why, and what was typed in it. */
        dropped: { reason: string | null; by: string | null; typed: string } | null;
    }[];
    versions: {
        id: number;
        query: string;
        number: number;
        on: string;
        by: string;
        reason: string | null;
        items: string;
        withdrawn: string | null;
    }[];
    /** Pauses that were lifted, and what was found. */
    lifted: LiftedPause[];
    practices: number;
    /** Signed ones. */
    letters: number;
    archived: { on: string; reason: string | null } | null;
    refusals: { on: string; by: string | null; reason: string | null }[];
    is_lead: boolean;
    joins: { on: string; by: string; reason: string }[];
    responsible: Person;
    shared_with: Person[];
    handovers: HandoverLine[];
    colleagues: Person[];
    trail: TrailLine[] | null;
}

/** One of two records that may be the same person's. */
export interface JoinSide {
    id: string;
    name: string;
    added_on: string;
    with: string;
    contact: string | null;
    sessions: number;
    practices: number;
    screened_on: string | null;
    running: boolean;
    devices: number;
}

export interface JoinProps {
    patient: PatientHead;
    mine: JoinSide;
    /** keeps: the name under which both go on; differs: what the latest screenings answer differently. */
    others: (JoinSide & { keeps: string; differs: { question: string; mine: string; theirs: string }[] })[];
}
