// Writes as a phone and as a desk would, over and over until it is acknowledged, and notes what was acknowledged.
//   crash.mjs ADDRESS SECONDS FILE
import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';

const [address, seconds, file] = process.argv.slice(2);
const BATCH = 10;
const PAUSE_MS = 300;
const END = Date.now() + Number(seconds) * 1000;
const promises = JSON.parse(readFileSync('database/seeders/Demo/promises.json', 'utf8'));
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** A browser, as far as it is needed: cookies, and the token in one of them. */
class Client {
    cookies = new Map();
    async ask(method, path, body, headers = {}) {
        const token = this.cookies.get('XSRF-TOKEN');
        const response = await fetch(address + path, {
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
            retries++;
            await pause(PAUSE_MS);
        }
    }
}
let retries = 0;

const must = (condition, words) => {
    if (!condition) throw new Error(words);
};

async function signIn() {
    const desk = new Client();
    await desk.insist('GET', '/sign-in', undefined, { Accept: 'text/html' });
    const answer = await desk.insist('POST', '/sign-in', {
        email: 'nora@harrowquay.example',
        password: 'lantern-over-quay',
    });
    must(answer.status < 400, `the sign-in was refused: ${answer.status}`);
    return desk;
}

async function idOf(desk, name) {
    const html = await (
        await desk.insist('GET', `/?search=${encodeURIComponent(name)}`, undefined, { Accept: 'text/html' })
    ).text();
    const id = /"lines":\[\{[^}]*?"id":"([0-9a-z]{26})"/.exec(html.replaceAll('&quot;', '"'))?.[1];
    must(id, `${name} is not in the caseload`);
    return id;
}

async function join(desk, patient) {
    const { address: link } = await (await desk.insist('POST', `/patients/${patient}/access`, {})).json();
    const phone = new Client();
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

const acknowledged = { practices: [], measurements: 0, invitations: 0 };

async function practise({ phone, version, item }, until) {
    let at = Date.now() - 6 * 3600_000;
    while (Date.now() < until) {
        const batch = Array.from({ length: BATCH }, () => {
            at += 1000;
            return {
                id: randomUUID(),
                kind: 'practice',
                body: {
                    uuid: randomUUID(),
                    version_id: version,
                    lineage: item.lineage,
                    started_at: new Date(at).toISOString(),
                    ended_at: new Date(at + 1200_000).toISOString(),
                    breaths_done: 1,
                    seconds_done: 60,
                },
            };
        });
        let waiting = batch;
        while (waiting.length > 0) {
            const response = await phone.insist(
                'POST',
                '/api/v1/outbox',
                { sent_at: new Date().toISOString(), items: waiting },
                { 'X-Ivory-Pace': '1' },
            );
            must(response.status < 400, `the outbox was refused: ${response.status}`);
            const { answers } = await response.json();
            for (const { id, result, message } of answers) {
                if (result === 'later') continue;
                must(result === 'stored' || result === 'again', `a practice was ${result}: ${message}`);
                acknowledged.practices.push(batch.find((each) => each.id === id).body.uuid);
            }
            waiting = waiting.filter(({ id }) => answers.find((each) => each.id === id)?.result === 'later');
            if (waiting.length > 0) await pause(PAUSE_MS);
        }
    }
}

async function measure(desk, patient, until) {
    for (let n = 0; Date.now() < until; n++) {
        const response = await desk.insist('POST', `/patients/${patient}/measure`, {
            measure: 'pulse',
            value: 50 + (n % 60),
            position: 'seated',
        });
        must(response.status === 201, `a measurement was refused: ${response.status}`);
        acknowledged.measurements++;
        if (n % 10 === 0) {
            const invited = await desk.insist('POST', '/clinic/invitations', {
                email: `guest${n % 40}@quay.example`,
                role: 'practitioner',
            });
            must(invited.status < 400, `an invitation was refused: ${invited.status}`);
            acknowledged.invitations++;
        }
    }
}

const desk = await signIn();
const patient = await idOf(desk, promises['step-up-with-recovery'].patient);
const phones = [await join(desk, patient), await join(desk, patient)];
await Promise.all([...phones.map((phone) => practise(phone, END)), measure(desk, patient, END)]);
writeFileSync(file, JSON.stringify({ ...acknowledged, retries }));
