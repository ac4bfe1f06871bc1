import type { AdherenceFigures, PatientHead } from './pages';
import type { Stroke } from './timeline';

export interface CourseVersion {
    number: number;
    from: string;
    to: string | null;
    summary: string;
    by: string;
    reason: string | null;
    review_on: string;
    state: 'replaced' | 'ahead' | 'begun';
    adherence: AdherenceFigures;
}

export interface CourseExercise { name: string; days: { date: string; paused: boolean; strokes: Stroke[] }[]; adherence: AdherenceFigures }

export interface CourseProgramme {
    from: string;
    to: string;
    today: string;
    versions: CourseVersion[];
    exercises: CourseExercise[];
    symptom: string;
    ratings: { day: string; before: number | null; after: number | null }[];
}

export interface CourseStop { on: string; exercise: string; class: string; symptom: string; got: string; remark: string | null }

export interface CoursePractice {
    uuid: string;
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
    pauses: { id: number; since: string; text: string; rule: string }[];
    new_findings: { exercise: string; title: string; message: string; rule: string; found: string }[];
    programme: CourseProgramme | null;
    stops: CourseStop[];
    practices: CoursePractice[];
    trends: { name: string; trend: string; days: string | null }[];
    put_offs: { on: string; exercise: string; anchor: string; reason: string }[];
    home_checks: { on: string; rate: number; doubtful: number }[];
}
