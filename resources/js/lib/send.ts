import { formToken, sendJson } from '../shared/http';
import { isEnded, isEndedStatus, signIn } from './signIn.svelte';

/** Sends as the practitioner. Where the sign-in has ended, it is asked for in a window, and the same is sent again. */
export async function sendSignedIn<T>(
    url: string,
    method: 'GET' | 'POST' | 'PUT' | 'DELETE',
    body?: unknown,
): Promise<T> {
    try {
        const answer = await sendJson<T>(url, method, body, formToken());
        signIn.busy();
        return answer;
    } catch (problem) {
        if (!isEnded(problem) || !(await signIn.ask())) throw problem;
        return sendJson<T>(url, method, body, formToken());
    }
}

/** The same for what is not JSON; what is sent is made anew, as it holds a form token. */
export async function fetchSignedIn(url: string, init: () => RequestInit): Promise<Response> {
    const response = await fetch(url, { credentials: 'same-origin', ...init() });
    if (!isEndedStatus(response.status) || !(await signIn.ask())) return response;
    return fetch(url, { credentials: 'same-origin', ...init() });
}
