/** An answer that is not what was asked for, in words for the person. */
export class Refusal extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly errors: Record<string, string> = {},
        readonly body: object = {},
    ) {
        super(message);
    }
}

export const BACK_LATER = 'Try again when the network is back.';
export const STILL_HERE = 'What you typed is still here; try again when the network is back.';
export const ON_THIS_PAGE = 'What you typed is kept on this page.';

/** What a person reads who cannot reach the server, and what became of what was typed. */
export function noConnection(whatNow = ''): string {
    return `No connection to Ivory Pace.${whatNow === '' ? '' : ` ${whatNow}`}`;
}

/** What went wrong, in words: the server's own, or that it cannot be reached. */
export function inWords(problem: unknown, whatNow = ''): string {
    return problem instanceof Refusal && problem.message ? problem.message : noConnection(whatNow);
}

interface ProblemBody {
    message?: string;
    errors?: Record<string, string[]>;
}

/** Sends JSON and reads JSON. Throws a Refusal when the server says no, a TypeError when there is no network. */
export async function sendJson<T>(
    url: string,
    method: 'GET' | 'POST' | 'PUT' | 'DELETE',
    body?: unknown,
    headers: Record<string, string> = {},
): Promise<T> {
    const response = await fetch(url, {
        method,
        credentials: 'same-origin',
        headers: {
            Accept: 'application/json',
            ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
            ...headers,
        },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const answer: unknown = await response.json().catch(() => ({}));
    if (!response.ok) {
        const problem = answer as ProblemBody;
        const errors = Object.fromEntries(
            Object.entries(problem.errors ?? {}).map(([field, texts]) => [field, texts[0] ?? '']),
        );
        throw new Refusal(response.status, Object.values(errors)[0] ?? problem.message ?? '', errors, problem);
    }
    return answer as T;
}

/** The form token that Laravel leaves in a cookie. */
export function formToken(): Record<string, string> {
    const match = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return match?.[1] ? { 'X-XSRF-TOKEN': decodeURIComponent(match[1]) } : {};
}
