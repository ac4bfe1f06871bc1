import { BACK_LATER, formToken, noConnection, Refusal, sendJson } from '../shared/http';

/** What an address that works once opens, or in words why it does not. */
export async function openedBy<T>(path: string, token: string, gone: string): Promise<T | { trouble: string }> {
    try {
        return await sendJson<T>(`${path}/look`, 'POST', { token }, formToken());
    } catch (problem) {
        if (!(problem instanceof Refusal)) return { trouble: noConnection(BACK_LATER) };
        return { trouble: problem.status === 404 ? gone : problem.message };
    }
}
