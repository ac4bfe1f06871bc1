import type { Choice } from './pages';
import type { PausedExercise, RedFlagAnswer } from './screening';

export interface MeasuredValue {
    value: number;
    words: string | null;
    position: string;
    method: string;
    on: string;
    by: string;
}

export interface MeasureView {
    key: string;
    measure: string;
    how: 'taps' | 'tries' | 'ceiling' | 'hands' | 'ribs' | 'rhythm' | 'typed' | 'rating' | 'fall';
    symptom: number | null;
    label: string;
    unit: string;
    possible: [number, number];
    last: MeasuredValue | null;
    first: MeasuredValue | null;
    comparable: boolean;
}

export interface FormScore {
    score: number | null;
    band: string | null;
    missing: number;
    on: string;
    where: string;
}

export interface QuestionnaireView {
    key: string;
    label: string;
    items: number;
    least: number;
    /** Null where nothing in it counts. */
    most: number | null;
    source: string;
    /** Whether the clinic asks it still. */
    is_asked: boolean;
    last: FormScore | null;
    first: FormScore | null;
    change: string | null;
    open: { id: string; answered: number; on: 'device' | 'room' } | null;
    /** What was answered last, in words. */
    answers: { text: string; said: string }[];
}

export interface SymptomsAsked {
    id: string;
    answered: number;
    on: 'device' | 'room';
    items: number;
}

export interface DeskProps {
    measures: MeasureView[];
    questionnaires: QuestionnaireView[];
    /** The symptoms wait to be rated on the patient's device. */
    symptoms_asked: SymptomsAsked | null;
    own_low_saturation: number | null;
    /** Saturation that is urgent without a range of the patient's own, % and under. */
    low_saturation: number;
    exercises: PausedExercise[];
    red_flags: RedFlagAnswer[];
    has_device: boolean;
    positions: Choice[];
}

/** What an instrument hands over to be kept. */
export type Reading = Record<string, unknown>;
