export interface Question { key: string; text: string; note?: string | null }
export interface QuestionGroup { title: string; red: boolean; source: string; questions: Question[] }
export interface RedFlagAnswer { id: number; label: string; actions: { action: string; by: string; on: string }[] }
export interface LatestScreening {
    on: string;
    by: string;
    remark: string | null;
    pregnancy_weeks: number | null;
    answers: Record<string, boolean>;
    ends_on: Record<string, string>;
    red_flags: RedFlagAnswer[];
}
