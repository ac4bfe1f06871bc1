import type { PatientHead } from './pages';
import type { KeptContent } from './session';

export interface LettersProps {
    patient: PatientHead;
    /** One of these two. */
    all: LettersShown | null;
    draft: LetterDraftShown | null;
}

export interface LettersShown {
    letters: {
        id: number;
        kind: string;
        label: string;
        to: string;
        on: string;
        by: string;
        /** When and how it was sent; null where nobody has written it down. */
        sent: string | null;
        replaced_on: string | null;
    }[];
    kinds: { value: string; label: string; draft: string | null }[];
}

export interface LetterPart {
    key: string;
    heading: string;
    needed: boolean;
}

export interface LetterBlock {
    name: string;
    text: string;
}

export interface LetterContent {
    addressee: string;
    parts: Record<string, string>;
    with_course: boolean;
}

export interface LetterDraftShown {
    kind: string;
    label: string;
    /** To a colleague; else it speaks to the patient. */
    is_to_other: boolean;
    parts: LetterPart[];
    longest: number;
    kept: KeptContent;
    replaces: boolean;
    blocks: LetterBlock[];
}
