// Times requests and the building of a programme, against the least that an answer can be in the same run.
//   node bin/lib/measure-http.mjs ADDRESS
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const {
    'step-up-of-a-colleague': { patient: promised },
} = JSON.parse(readFileSync(new URL('../../database/seeders/Demo/promises.json', import.meta.url), 'utf8'));
const [address] = process.argv.slice(2);
if (!address) throw new Error('Usage: node bin/lib/measure-http.mjs ADDRESS');

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--lang=en-GB',
    ],
});
const context = await browser.newContext({ baseURL: address, locale: 'en-GB', viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
await page.goto('/sign-in');
await page.getByLabel('E-mail').fill('nora@harrowquay.example');
await page.getByLabel('Password').fill('lantern-over-quay');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Who needs me' }).waitFor();
const bench = `${await page.getByRole('link', { name: promised, exact: true }).getAttribute('href')}/bench`;

/** Sends each request many times in turn from the page itself; returns the times by name. */
const times = await page.evaluate(
    async ({ bench }) => {
        const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
        const version = JSON.parse(document.querySelector('script[data-page]')?.textContent ?? '{}').version ?? '';
        const json = { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token };
        const inertia = {
            'X-Inertia': 'true',
            'X-Inertia-Version': version,
            'X-Requested-With': 'XMLHttpRequest',
            Accept: 'text/html, application/xhtml+xml',
        };
        const items = [
            { technique: 'extended-exhale' },
            { technique: 'square', times_a_day: 1 },
            { technique: 'forward-lean' },
        ];
        const requests = {
            bare: () => fetch('/measure/json', { method: 'POST', headers: json, body: '{}' }),
            answer: () =>
                fetch(`${bench}/answer`, {
                    method: 'POST',
                    headers: json,
                    body: JSON.stringify({ items: items.slice(0, 1) }),
                }),
            answerThree: () =>
                fetch(`${bench}/answer`, { method: 'POST', headers: json, body: JSON.stringify({ items }) }),
            page: () => fetch('/measure/page', { headers: inertia }),
            bench: () => fetch(bench, { headers: inertia }),
        };
        const all = Object.fromEntries(Object.keys(requests).map((name) => [name, []]));
        for (let run = 0; run < 130; run++) {
            for (const [name, send] of Object.entries(requests)) {
                const begun = performance.now();
                const response = await send();
                await response.arrayBuffer();
                if (!response.ok) throw new Error(`${name} answered ${response.status}`);
                if (run >= 10) all[name].push(performance.now() - begun);
            }
        }
        return all;
    },
    { bench },
);

const at = (name, share) => [...times[name]].sort((a, b) => a - b)[Math.floor(times[name].length * share)] ?? NaN;
const line = (label, name, bare, budget) =>
    console.log(
        `${label.padEnd(58)} p50 ${at(name, 0.5).toFixed(1).padStart(6)} ms  p95 ${at(name, 0.95).toFixed(1).padStart(6)} ms${bare ? `  = ${(at(name, 0.95) / at(bare, 0.95)).toFixed(2)} × bare   budget ${budget} ×` : ''}`,
    );
line('a bare JSON answer with one query', 'bare');
line('the Bench’s answer to a key press, one exercise', 'answer', 'bare', 2);
line('the same for a programme of three', 'answerThree', 'bare', 2);
line('a bare Inertia page', 'page');
line('opening the Bench', 'bench', 'page', 3);

// A programme of three with a routine, by keyboard alone.
await page.goto(bench);
let presses = 0;
const begun = Date.now();
const press = async (locator, key) => {
    presses++;
    await locator.press(key);
};
const typed = async (label, text) => {
    presses += text.length + 1;
    const field = page.getByLabel(label, { exact: true });
    await field.press('Control+A');
    await field.pressSequentially(text, { delay: 25 });
};
const answered = () => page.waitForResponse((response) => response.url().endsWith('/bench/answer'));
await typed('Ratio', '3:5');
let next = answered();
await press(page.getByRole('button', { name: 'copy', exact: true }), 'Enter');
await next;
await typed('Ratio', '2:4');
next = answered();
await page.getByLabel('Add a routine').selectOption({ label: 'The end of a shift' });
presses += 3;
await next;
await typed('Why it changes', 'Ready for more.');
await press(page.getByRole('button', { name: /^Issue version \d+$/ }), 'Enter');
// What changes is read first: the heading takes the focus.
await page.locator('h2:focus').waitFor();
await press(page.getByRole('button', { name: /^Issue version \d+ now$/ }), 'Enter');
await page.getByText(/^Version \d+ issued/).waitFor();
console.log(
    `${'a programme of three with a routine, by keyboard alone'.padEnd(58)} ${((Date.now() - begun) / 1000).toFixed(1)} s, ${presses} key presses`,
);

// A first assessment: from adding the patient to the signed note. Every click, choice and field typed is one action.
let actions = 0;
const began = Date.now();
const click = async (locator) => {
    actions++;
    await locator.click();
};
const fill = async (label, text) => {
    actions++;
    await page.getByLabel(label, { exact: true }).fill(text);
};
const button = (name) => page.getByRole('button', { name, exact: typeof name === 'string' });
const step = (name) =>
    page.getByRole('navigation', { name: 'Steps of the session' }).getByRole('link', { name: new RegExp(`^${name}`) });
page.on('dialog', (dialog) => void dialog.accept());
await page.goto('/patients/new');
await fill('Name', `Measured Wren ${Date.now()}`);
await fill('Date of birth', '1984-03-02');
await click(button('Add and go to screening'));
await page.getByRole('group', { name: 'Refer first' }).waitFor();
for (const question of await page.getByRole('group', { name: 'Refer first' }).getByRole('radiogroup').all())
    await click(question.getByLabel('No'));
await click(button(/^The rest: no in every group/));
await click(button('Keep the screening'));
await click(button('Begin a session'));
await click(step('Measure'));
await fill('Resting rate, breaths/min', '17');
await click(button('keep it'));
await click(button('take it Hand check'));
for (const [group, choice] of [
    ['The chest hand moves', 'much'],
    ['The belly hand moves', 'a little'],
    ['Which moves first', 'chest'],
])
    await click(page.getByRole('group', { name: group }).getByLabel(choice, { exact: true }));
await click(button('Keep the hand check'));
await click(button('ask here GAD-7'));
await page.getByRole('heading', { name: 'GAD-7' }).waitFor();
for (const question of await page.getByRole('region', { name: 'GAD-7' }).getByRole('group').all())
    await click(question.getByLabel('Several days'));
await click(button('Score it'));
await page.getByRole('row', { name: /^GAD-7.*mild/ }).waitFor();
await click(step('Teach'));
await click(button('tried without the player'));
await page.getByText(/^kept at /).waitFor();
await click(step('Prescribe'));
await click(page.getByRole('button', { name: 'Issue version 1', exact: true }));
await click(page.getByRole('button', { name: 'Issue version 1 now' }));
await page.getByRole('heading', { name: /issued in this session$/ }).waitFor();
await click(page.getByRole('button', { name: 'Show the link as a QR code' }));
await click(step('Note'));
await click(button('Sign the note'));
await page.getByText(/^Signed by/).waitFor();
console.log(
    `${'a first assessment, from adding the patient to the signed note'.padEnd(58)} ${actions} actions, ${((Date.now() - began) / 1000).toFixed(1)} s of script time`,
);
await browser.close();
