// Signs in at one address, and asks each application for pages and files with that sign-in.
//   cluster-check.mjs ADDRESS APPLICATION...
import { request } from 'node:http';
import { idOf, must, PASSWORD, signIn } from './client.mjs';

const [address, ...applications] = process.argv.slice(2);
const desk = await signIn(address);
const patient = await idOf(desk, 'step-up-with-recovery');
const cookie = [...desk.cookies].map(([name, value]) => `${name}=${value}`).join('; ');

/** As the nginx before them would ask: under the address of all. */
const ask = (application, path, body) =>
    new Promise((resolve, reject) => {
        const headers = {
            Cookie: cookie,
            Host: new URL(address).host,
            'Content-Type': 'application/json',
            'X-XSRF-TOKEN': decodeURIComponent(desk.cookies.get('XSRF-TOKEN')),
        };
        const method = body ? 'POST' : 'GET';
        const sent = request(application + path, { method, headers }, (response) => {
            const pieces = [];
            response.on('data', (piece) => pieces.push(piece));
            response.on('end', () => resolve({ status: response.statusCode, body: Buffer.concat(pieces) }));
        });
        sent.on('error', reject);
        sent.end(body && JSON.stringify(body));
    });

for (const application of applications) {
    for (const [path, begins, body] of [
        ['/', '<!doctype html>'],
        [`/patients/${patient}/versions/1/sheet.pdf`, '%PDF'],
        [`/patients/${patient}/record.zip`, 'PK', { your_password: PASSWORD }],
        [`/patients/${patient}`, '<!doctype html>'],
    ]) {
        const { status, body: answer } = await ask(application, path, body);
        must(
            status === 200 && answer.subarray(0, begins.length).toString() === begins,
            `${application}${path} answered ${status}: ${answer.subarray(0, 200)}`,
        );
    }
}
console.log(`  ${applications.length} applications answered one sign-in with pages and files.`);
