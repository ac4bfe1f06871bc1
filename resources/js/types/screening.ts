export interface Question { key: string; text: string; note?: string | null }
export interface QuestionGroup { title: string; red: boolean; source: string; questions: Question[] }
export interface RedFlagAnswer { id: number; label: string; raised: string; actions: { action: string; by: string; on: string }[] }
export interface LatestScreening {
    on: string;
    by: string;
    remark: string | null;
    pregnancy_weeks: number | null;
    answers: Record<string, boolean>;
    ends_on: Record<string, string>;
}

/** What the patient answered at home, or that it still waits there. */
export interface FromHome { id: string; answered: number; of: number; sent_on: string | null; answers: Record<string, boolean> }

export interface PastScreening { on: string; by: string; from_patient: boolean; yes: string[] }
