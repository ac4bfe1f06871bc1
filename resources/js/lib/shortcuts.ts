/** Our own shortcuts: two keys, one after the other. What follows "g" goes somewhere. */
export interface Shortcut {
    keys: string;
    text: string;
    go: (patient: string | null, session: string | null) => string | null;
}

const of =
    (path: string) =>
    (patient: string | null): string | null =>
        patient === null ? null : `/patients/${patient}${path}`;
const step =
    (key: string) =>
    (patient: string | null, session: string | null): string | null =>
        patient === null || session === null ? null : `/patients/${patient}/sessions/${session}/${key}`;

export const STEPS = ['brief', 'catch-up', 'measure', 'teach', 'decide', 'prescribe', 'hand-over', 'note'] as const;

export const SHORTCUTS: Shortcut[] = [
    { keys: 'g c', text: 'Caseload', go: () => '/' },
    { keys: 'g w', text: 'Week', go: () => '/week' },
    { keys: 'g e', text: 'Exercises', go: () => '/exercises' },
    { keys: 'g k', text: 'Clinic', go: () => '/clinic' },
    { keys: 'g n', text: 'Add a patient', go: () => '/patients/new' },
    { keys: 'g o', text: 'Course of this patient', go: of('') },
    { keys: 'g s', text: 'Screening of this patient', go: of('/screening') },
    { keys: 'g m', text: 'Measure this patient', go: of('/measure') },
    { keys: 'g b', text: 'Bench of this patient', go: of('/bench') },
    { keys: 'g a', text: 'Access of this patient', go: of('/access') },
    { keys: 'g r', text: 'Record of this patient', go: of('/record') },
    ...STEPS.map((key, index) => ({ keys: `g ${index + 1}`, text: `Step ${index + 1} of the session`, go: step(key) })),
];

/** Which patient and session a page is about. */
export function placeOf(path: string): { patient: string | null; session: string | null } {
    const match = /^\/patients\/([0-9a-z]{26})(?:\/sessions\/([0-9a-z]{26}))?/.exec(path);
    return { patient: match?.[1] ?? null, session: match?.[2] ?? null };
}

/** True where letters are typed, so that they are not shortcuts. */
export function isTyping(target: EventTarget | null): boolean {
    return (
        target instanceof HTMLElement &&
        (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
    );
}
