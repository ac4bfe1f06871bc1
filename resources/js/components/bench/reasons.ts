import type { Finding, FindingCause } from '../../types/pages';

/** A reason that was typed, with what it was typed for. */
export interface Reason {
    text: string;
    cause: FindingCause;
}

/** By exercise and rule. */
export type Reasons = Record<string, Record<string, Reason>>;

const SLACK = 1e-6;

/** Whether a reason was typed for all that makes the finding now; the server has the last word. */
export function isFor(reason: Reason | undefined, finding: Finding): boolean {
    if (!reason || reason.text.trim() === '') return true;
    return (
        finding.cause.flags.every((flag) => reason.cause.flags.includes(flag)) &&
        Object.entries(finding.cause.numbers).every(
            ([of, number]) => number <= (reason.cause.numbers[of] ?? -Infinity) + SLACK,
        )
    );
}
