/** An answer that is not what was asked for, in words for the person. */
export class Refusal extends Error {
    constructor(readonly status: number, message: string, readonly errors: Record<string, string> = {}, readonly body: object = {}) {
        super(message);
    }
}

interface ProblemBody { message?: string; errors?: Record<string, string[]> }

/** Sends JSON and reads JSON. Throws a Refusal when the server says no, a TypeError when there is no network. */
export async function sendJson<T>(url: string, method: 'GET' | 'POST' | 'PUT' | 'DELETE', body?: unknown, headers: Record<string, string> = {}): Promise<T> {
    const response = await fetch(url, {
        method,
        credentials: 'same-origin',
        headers: { Accept: 'application/json', ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const answer: unknown = await response.json().catch(() => ({}));
    if (!response.ok) {
        const problem = answer as ProblemBody;
        const errors = Object.fromEntries(Object.entries(problem.errors ?? {}).map(([field, texts]) => [field, texts[0] ?? '']));
        throw new Refusal(response.status, Object.values(errors)[0] ?? problem.message ?? '', errors, problem);
    }
    return answer as T;
}

/** The form token that Laravel leaves in a cookie. */
export function formToken(): Record<string, string> {
    const match = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return match?.[1] ? { 'X-XSRF-TOKEN': decodeURIComponent(match[1]) } : {};
}
