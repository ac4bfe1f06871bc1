export type FormAnswer = number | string;

export interface FormQuestion {
    key: string;
    text: string;
    kind: 'choice' | 'integer' | 'text';
    urgent: boolean;
    crisis: boolean;
    /** Of a choice. */
    options: { value: number; label: string }[];
    /** Of a whole number; the most characters of an answer in words. */
    least: number;
    most: number;
    may_stay_open: boolean;
    /** What is wrong with a number that cannot be. */
    outside: string;
}

export interface FormView {
    id: string;
    form: string;
    title: string;
    intro: string;
    questions: FormQuestion[];
    answers: Record<string, FormAnswer>;
}

/** Questions that are still open and may not stay so. */
export function openQuestions(questions: FormQuestion[], answers: Record<string, FormAnswer>): number {
    return questions.filter((question) => !question.may_stay_open && answers[question.key] === undefined).length;
}

/** With one answer changed; what was emptied is not answered. */
export function withAnswer(
    answers: Record<string, FormAnswer>,
    key: string,
    value: FormAnswer | null,
): Record<string, FormAnswer> {
    const others = Object.entries(answers).filter(([each]) => each !== key);
    return Object.fromEntries(value === null || value === '' ? others : [...others, [key, value]]);
}
