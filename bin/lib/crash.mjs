// Writes as a phone and as a desk would, over and over until it is acknowledged, and notes what was acknowledged.
//   crash.mjs ADDRESS SECONDS FILE
import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { idOf, join, must, pause, signIn } from './client.mjs';

const [address, seconds, file] = process.argv.slice(2);
const BATCH = 10;
const PAUSE_MS = 300;
const END = Date.now() + Number(seconds) * 1000;

const acknowledged = { practices: [], measurements: 0, invitations: 0 };
let longest = 0;

/** How long each of those who write has waited for an answer. */
function stopwatch() {
    let last = Date.now();
    return () => {
        longest = Math.max(longest, Date.now() - last);
        last = Date.now();
    };
}

async function practise({ phone, version, item }, until) {
    let at = Date.now() - 6 * 3600_000;
    const answered = stopwatch();
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
            if (answers.some(({ result }) => result !== 'later')) answered();
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
    const answered = stopwatch();
    for (let n = 0; Date.now() < until; n++) {
        const response = await desk.insist('POST', `/patients/${patient}/measure`, {
            measure: 'pulse',
            value: 50 + (n % 60),
            position: 'seated',
        });
        must(response.status === 201, `a measurement was refused: ${response.status}`);
        acknowledged.measurements++;
        answered();
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

const desk = await signIn(address);
const patient = await idOf(desk, 'step-up-with-recovery');
const phones = [await join(desk, patient), await join(desk, patient)];
await Promise.all([...phones.map((phone) => practise(phone, END)), measure(desk, patient, END)]);
const retries = [desk, ...phones.map(({ phone }) => phone)].reduce((sum, each) => sum + each.retries, 0);
writeFileSync(file, JSON.stringify({ ...acknowledged, retries, longest }));
