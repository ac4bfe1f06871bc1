/** weeks: so long what happened counts as recent; gas: longer with gas in the eye. */
export interface Question {
    key: string;
    text: string;
    note?: string | null;
    weeks?: number | null;
    gas?: boolean;
}
export interface QuestionGroup {
    title: string;
    red: boolean;
    source: string;
    questions: Question[];
}
export interface RedFlagAnswer {
    id: number;
    label: string;
    raised: string;
    is_open: boolean;
    pauses: boolean;
    actions: { action: string; by: string; on: string; waits: boolean }[];
}
/** What may go on by itself while a red flag is open. */
export interface PausedExercise {
    lineage: string;
    name: string;
}
export interface LatestScreening {
    id: number;
    /** On the day itself a mistake in it is corrected; later it is a new screening. */
    can_be_corrected: boolean;
    on: string;
    by: string;
    remark: string | null;
    pregnancy_weeks: number | null;
    answers: Record<string, boolean>;
    ends_on: Record<string, string>;
    happened_on: Record<string, string>;
    with_gas: boolean;
    /** Questions that were not asked then. */
    new_questions: number;
}

/** What the patient answered at home, or that it still waits there. */
export interface FromHome {
    id: string;
    answered: number;
    of: number;
    sent_on: string | null;
    answers: Record<string, boolean>;
}

export interface PastScreening {
    on: string;
    by: string;
    from_patient: boolean;
    yes: string[];
    correction: { reason: string | null; changes: string[] } | null;
    is_corrected: boolean;
}
