/** Sums over a clinic's patients; lines about too few are not sent. */
interface OutcomeLine {
    key: string;
    name: string;
    patients: number;
    due: number;
    credit: number;
    practices: number;
    stops: number;
    share: number | null;
    stops_per_1000: number | null;
}

export interface OutcomesShown {
    /** Patients from which a line is shown. */
    least: number;
    finished: { programmes: number; outcomes: { label: string; programmes: number }[] };
    forms: {
        form: string;
        name: string;
        patients: number;
        improved: number;
        recovered: number;
        unchanged: number;
        worse: number;
    }[];
    techniques: OutcomeLine[];
    anchors: OutcomeLine[];
}

export interface ReliabilityLine {
    key: string;
    name: string;
    sd: number | null;
    reliability: number | null;
}

/** What stands above and under letters; null for those who may not change it. */
export interface LetterWords {
    head: string;
    foot: string;
    blocks: { name: string; text: string }[];
}

/** A questionnaire that the clinic brought along. */
export interface OwnQuestionnaire {
    id: string;
    name: string;
    counts: string;
    intro: string;
    questions: { text: string; answers: string }[];
}

/** How long records are kept, for the lead. */
export interface KeepingShown {
    years: string;
    minors_until: string;
    due: { id: string; name: string; born: string; archived: string; since: string }[];
    past: string[];
}
