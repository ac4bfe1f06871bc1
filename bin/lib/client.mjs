// A phone and a desk, as far as scripts need them.
import { readFileSync } from 'node:fs';

const PAUSE_MS = 300;
/** Of everybody in the demo. */
export const PASSWORD = 'lantern-over-quay';
const promises = JSON.parse(readFileSync('database/seeders/Demo/promises.json', 'utf8'));

export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

export function must(condition, words) {
    if (!condition) throw new Error(words);
}

/** A browser, as far as it is needed: cookies, and the token in one of them. */
export class Client {
    cookies = new Map();
    /** How often something had to be sent again. */
    retries = 0;
    constructor(address) {
        this.address = address;
    }
    async ask(method, path, body, headers = {}) {
        const token = this.cookies.get('XSRF-TOKEN');
        const response = await fetch(this.address + path, {
            method,
            redirect: 'manual',
            signal: AbortSignal.timeout(20_000),
            headers: {
                Accept: 'application/json',
                Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
                ...(token ? { 'X-XSRF-TOKEN': decodeURIComponent(token) } : {}),
                ...(body ? { 'Content-Type': 'application/json' } : {}),
                ...headers,
            },
            ...(body ? { body: JSON.stringify(body) } : {}),
        });
        for (const cookie of response.headers.getSetCookie()) {
            const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie);
            this.cookies.set(name, value);
        }
        return response;
    }
    /** Until there is an answer that is no error of the server's. */
    async insist(...request) {
        for (;;) {
            try {
                const response = await this.ask(...request);
                if (response.status < 500) return response;
            } catch {
                // Nobody answers at the moment.
            }
            this.retries++;
            await pause(PAUSE_MS);
        }
    }
}
export async function signIn(address) {
    const desk = new Client(address);
    await desk.insist('GET', '/sign-in', undefined, { Accept: 'text/html' });
    const answer = await desk.insist('POST', '/sign-in', {
        email: 'nora@harrowquay.example',
        password: PASSWORD,
    });
    must(answer.status < 400, `the sign-in was refused: ${answer.status}`);
    return desk;
}

/** The patient of the demo of whom something was promised. */
export async function idOf(desk, promise) {
    const name = promises[promise].patient;
    const html = await (
        await desk.insist('GET', `/?search=${encodeURIComponent(name)}`, undefined, { Accept: 'text/html' })
    ).text();
    const id = /"lines":\[\{[^}]*?"id":"([0-9a-z]{26})"/.exec(html.replaceAll('&quot;', '"'))?.[1];
    must(id, `${name} is not in the caseload`);
    return id;
}

export async function join(desk, patient) {
    // A page opened anew: the link is meant anew, not the same once more.
    await desk.insist('GET', `/patients/${patient}`, undefined, { Accept: 'text/html' });
    const { address: link } = await (await desk.insist('POST', `/patients/${patient}/access`, {})).json();
    const phone = new Client(desk.address);
    const ask = async (method, path, body) => {
        const answer = await phone.insist(method, `/api/v1${path}`, body, { 'X-Ivory-Pace': '1' });
        must(answer.status < 400, `${path} was refused: ${answer.status} ${await answer.clone().text()}`);
        return answer.json();
    };
    const { consent } = await ask('POST', '/access', { token: link.split('#')[1], label: 'A phone that insists' });
    await ask('POST', '/consent', { version: consent.version });
    await ask('POST', '/pin', { pin: '480153' });
    const { days, items } = await ask('GET', '/today');
    const version = days[0].version_id;
    const item = items[version].find((each) => each.breaths !== null);
    return { phone, version, item };
}
