export interface FormQuestion {
    key: string;
    text: string;
    urgent: boolean;
    crisis: boolean;
    options: { value: number; label: string }[];
}

export interface FormView {
    id: string;
    form: string;
    title: string;
    intro: string;
    questions: FormQuestion[];
    answers: Record<string, number>;
}
