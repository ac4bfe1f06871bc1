import type { DeskProps } from './measure';
import type { Appointment, ToldPart } from './pages';

export interface SessionHeadView {
    id: string;
    number: number;
    step: string;
    begun_on: string;
    begun_at: string;
    by: string;
    closed_on: string | null;
    steps: { key: string; label: string; has: boolean }[];
}

export interface KeptContent {
    revision: number;
    content: Record<string, unknown>;
    by: string | null;
}

export interface EvidenceLine {
    number: string;
    text: string;
}

export interface BriefShown {
    lines: (EvidenceLine & { evidence: 'screening' | 'course' | 'measure' })[];
    questions: string[];
    last: { id: string; number: number; on: string; note: string | null } | null;
    goal: { words: string; summary: string } | null;
}

export interface CatchUpShown {
    exercises: { name: string; lines: EvidenceLine[] }[];
    stops: { on: string; symptom: string; remark: string | null }[];
    remarks: { on: string; text: string }[];
    diary: {
        symptoms: { id: number; name: string }[];
        entries: {
            date: string;
            ratings: Record<string, number>;
            sleep: number | null;
            text: string | null;
            late: boolean;
        }[];
    };
    screened: { on: string; by: string; today: boolean } | null;
}

export interface TeachChoice {
    name: string;
    lineage: string | null;
    fields: Record<string, unknown>;
    ratio: string | null;
    count_length: number | null;
    right: string[];
    mistakes: string[];
    hands: string;
}

export interface Tried {
    name: string;
    lineage: string | null;
    pattern: string;
    at: string;
    effort: number | null;
    smooth: 'yes' | 'partly' | 'no' | null;
    remark: string;
    seen: string[];
}

export interface DecideShown {
    decisions: { value: string; label: string }[];
    items: {
        lineage: string;
        name: string;
        summary: string;
        as_needed: boolean;
        since: string;
        lines: EvidenceLine[];
        next: string | null;
        /** Since when it is paused. */
        paused: string | null;
        proposal: { kind: string; label: string; because: string; rule: string } | null;
    }[];
}

export interface HandOverShown {
    version: {
        number: number;
        is_new: boolean;
        in_force_from: string;
        review_on: string;
        patient_note: string | null;
        items: { name: string; summary: string; when: string[]; told: ToldPart[] }[];
    } | null;
    has_device: boolean;
    public_address: string;
    mail_to: string | null;
    appointment: Appointment | null;
}

export interface NoteShown {
    /** What happened since the last session, to be read while writing. */
    since: EvidenceLine[];
    draft: string;
    signed: {
        text: string;
        by: string;
        on: string;
        amendments: { text: string; reason: string; by: string; on: string }[];
    } | null;
}

export type MeasureShown = DeskProps;

/** What each step of a session shows; Prescribe is the Bench. */
export interface StepShown {
    brief: BriefShown;
    'catch-up': CatchUpShown;
    measure: DeskProps;
    teach: { choices: TeachChoice[] };
    decide: DecideShown;
    'hand-over': HandOverShown;
    note: NoteShown;
}
