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
    measurements: { label: string; value: string; words: string | null; how: string; on: string; by: string }[];
    questionnaires: QuestionnaireView[];
    sessions: {
        id: string;
        number: number;
        on: string;
        by: string;
        note: string | null;
        signed_by: string | null;
        amendments: number;
    }[];
    versions: {
        id: number;
        query: string;
        number: number;
        on: string;
        by: string;
        reason: string | null;
        items: string;
    }[];
    /** Pauses that were lifted, and what was found. */
    lifted: LiftedPause[];
    practices: number;
    responsible: Person;
    shared_with: Person[];
    handovers: HandoverLine[];
    colleagues: Person[];
    trail: TrailLine[] | null;
}
