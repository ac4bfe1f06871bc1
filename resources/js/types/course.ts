import type { AdherenceFigures, Appointment, LiftedPause, PatientHead } from './pages';

export interface CourseVersion {
    number: number;
    from: string;
    to: string | null;
    summary: string;
    by: string;
    reason: string | null;
    review_on: string;
    /** Before: it ended before what is shown. */
    state: 'replaced' | 'ahead' | 'before' | 'begun';
    adherence: AdherenceFigures;
}

export interface CourseExercise {
    name: string;
    /** A letter for each stroke. Empty over a long time: then there are weeks. */
    days: { date: string; paused: boolean; strokes: string }[];
    weeks: { date: string; due: number; credit: number; stops: number }[];
    adherence: AdherenceFigures;
    /** Of one that is used as needed. */
    uses: number | null;
    /** Of a habit: how often a day it is to be ticked. */
    agreed: number | null;
}

/** Earlier: it is from before the axis and stands at its beginning. */
export interface CoursePoint {
    day: string;
    value: number;
    earlier: string | null;
}

export interface CourseProgramme {
    from: string;
    to: string;
    today: string;
    by_week: boolean;
    versions: CourseVersion[];
    exercises: CourseExercise[];
    /** What can be paused. */
    present: { lineage: string; name: string }[];
    symptom: string;
    ratings: { day: string; before: number | null; after: number | null }[];
    diary: { name: string; days: [string, number][] }[];
    goal: { measure: string; target: number; at_most: boolean } | null;
    /** How far the breath went with what was led, where a device measured it. */
    felt: CourseFelt[];
    sessions: { day: string; number: number; id: string; signed: boolean }[];
    measures: { name: string; unit: string; goal: string | null; points: CoursePoint[] }[];
    questionnaires: { name: string; least: number; most: number; points: (CoursePoint & { band: string })[] }[];
}

export interface CourseFelt {
    day: string;
    /** 0–1 */
    share: number;
    /** s, late */
    lag: number | null;
    /** Exhale over inhale, as a part of what was led. */
    ratio: number | null;
    practices: number;
}

export interface CourseProposal {
    lineage: string;
    exercise: string;
    now: string;
    based_on: number;
    kind: string;
    label: string;
    because: string;
    rule: string;
    /** Asks for a decision. */
    asks: boolean;
    finishes: boolean;
    /** What is asked for is a measure, on the desk. */
    measures: boolean;
    /** The exercise as accepting would make it; null where that has to be chosen on the Bench. */
    accepted: string | null;
    decided: { what: string; on: string; reason: string | null } | null;
}

export interface CoursePeriods {
    first: string;
    second: string;
    days: number;
    overlap: boolean;
    lines: { what: string; then: string; now: string; change: string | null }[];
}

export interface Choice {
    value: string;
    label: string;
}

export interface CourseStop {
    on: string;
    exercise: string;
    class: string;
    symptom: string;
    got: string;
    remark: string | null;
}

export interface CoursePractice {
    uuid: string;
    /** Entered from the printed sheet, and can be taken back. */
    from_paper: boolean;
    on: string;
    exercise: string;
    version: number;
    anchor: string | null;
    got: string;
    before: number | null;
    after: number | null;
    effort: number | null;
    smooth: string | null;
    slight_symptom: boolean | null;
    symptom: string | null;
    remark: string | null;
}

export interface CourseProps {
    patient: PatientHead;
    added_on: string;
    pauses: { id: number; since: string; text: string; rule: string; by_flag: boolean }[];
    new_findings: { exercise: string; title: string; message: string; rule: string; found: string }[];
    appointment: Appointment | null;
    outcomes: Choice[];
    /** It keeps up what an earlier programme reached. */
    maintenance: boolean;
    /** It is closed. */
    ended: { on: string; outcome: string; note: string | null; programme: number } | null;
    span: string;
    spans: Choice[];
    programme: CourseProgramme | null;
    proposals: CourseProposal[];
    // What stands below the axis follows when the page has opened.
    /** Pauses that were lifted, and what was found. */
    lifted?: LiftedPause[];
    programmes?: { id: number; text: string; here: boolean; running: boolean }[];
    anchors?: { name: string; share: number | null; credit: number; due: number }[];
    periods?: CoursePeriods | null;
    paper?: {
        days: { date: string; label: string }[];
        rows: { lineage: string; name: string; days: { planned: number; known: number }[] }[];
        symptoms: Choice[];
    } | null;
    note?: { text: string; on: string; session: string } | null;
    stops?: CourseStop[];
    practices?: CoursePractice[];
    effects?: { name: string; effect: string }[];
    trends?: { name: string; trend: string; days: string | null }[];
    put_offs?: { on: string; exercise: string; anchor: string; reason: string }[];
    home_checks?: { on: string; rate: number; doubtful: number }[];
    /** What the patient answered after practices. */
    self_checks?: { exercise: string; asked: string; first: string; lately: string; answers: number }[];
}
