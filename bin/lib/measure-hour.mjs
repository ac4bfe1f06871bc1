// Counts what hands do in the hour and on the phone: clicks and keys of the shortest way, against their budgets.
//   node bin/lib/measure-hour.mjs ADDRESS
// A field that is clicked into is one click; what has the focus already costs none.
import { chromium } from '@playwright/test';

const [address] = process.argv.slice(2);
if (!address) throw new Error('Usage: node bin/lib/measure-hour.mjs ADDRESS');
const PIN = '480153';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const desk = await browser.newContext({ baseURL: address, locale: 'en-GB', viewport: { width: 1280, height: 800 } });
const page = await desk.newPage();
page.setDefaultTimeout(20_000);

let clicks = 0;
let keys = 0;
const count = { start: () => ([clicks, keys] = [0, 0]) };

async function click(target) {
    await target.click();
    clicks++;
}

async function type(at, text) {
    await at.keyboard.type(text);
    keys += [...text].length;
}

async function press(at, key) {
    await at.keyboard.press(key);
    keys++;
}

const button = (name, where = page) => where.getByRole('button', { name, exact: typeof name === 'string' });
const link = (name) => page.getByRole('link', { name, exact: typeof name === 'string' });
const line = (label, told, budget) => console.log(`${label.padEnd(58)} ${told}   budget ${budget}`);

await page.goto('/sign-in');
await page.getByLabel('E-mail').fill('nora@harrowquay.example');
await page.getByLabel('Password').fill('lantern-over-quay');
await button('Sign in').click();
await page.getByRole('heading', { name: 'Who needs me' }).waitFor();

// 1. A first programme of three exercises, from the Caseload, without the screening.
count.start();
await click(link('Add a patient'));
await page.getByRole('heading', { name: 'Add a patient' }).waitFor();
if (!(await page.getByLabel('Name', { exact: true }).evaluate((field) => field === document.activeElement)))
    await click(page.getByLabel('Name', { exact: true }));
await type(page, `Una ${String(Date.now()).slice(-6)}`);
await press(page, 'Tab');
await type(page, '02031984');
await press(page, 'Enter');
await page.waitForURL(/\/screening$/);
const record = new URL(page.url()).pathname.replace(/\/screening$/, '');
const first = [clicks, keys];

// 2. The screening, with two flags: its own budget.
count.start();
for (const each of await page.getByRole('group', { name: 'Refer first' }).getByRole('radiogroup').all())
    await click(each.getByLabel('No'));
for (const flag of ['Low back pain', 'Asthma'])
    await click(page.getByRole('radiogroup', { name: flag }).getByLabel('Yes'));
await click(button(/^The rest: no in every group/));
await click(button('Keep the screening'));
await page.getByRole('heading', { name: /^Screening of/ }).waitFor();
line('screening, two flags', `${clicks} clicks, ${keys} keys`, '20 actions');

[clicks, keys] = first;
await click(link('Bench'));
const items = page.getByRole('region', { name: 'In this programme' });
for (const technique of ['Diaphragmatic breathing', 'Pursed-lip exhale']) {
    await click(items.getByRole('button', { name: 'Add an exercise', exact: true }));
    await click(page.getByRole('button', { name: new RegExp(`^${technique} `) }).first());
}
await items.getByText('Pursed-lip exhale').waitFor();
await click(button('Issue version 1'));
await click(button('Issue version 1 now'));
await page.getByText(/^Version 1 issued/).waitFor();
line(
    'first programme of three exercises, without the screening',
    `${clicks} clicks, ${keys} keys`,
    '9 clicks, 40 keys',
);

// 3. The phone: joined, then begun unlocked and locked.
await page.goto(`${record}/access`);
await page.getByRole('button', { name: /^Make a (new )?link$/ }).click();
await page.locator('[data-link]').waitFor({ state: 'attached' });
const joins = await page.locator('[data-link]').textContent();
const phones = await browser.newContext({ baseURL: address, viewport: { width: 390, height: 844 }, hasTouch: true });
const phone = await phones.newPage();
phone.setDefaultTimeout(20_000);
await phone.goto(joins ?? '');
await phone.getByRole('button', { name: 'Use this device' }).click();
await phone.getByRole('button', { name: 'I have read this and agree' }).click();
await phone.getByLabel('PIN', { exact: true }).fill(PIN);
await phone.getByLabel('PIN once more').fill(PIN);
await phone.getByRole('button', { name: 'Keep this PIN' }).click();
await phone.getByRole('button', { name: 'Lock' }).waitFor();

/** From Today until the lead-in of a practice runs: the symptom before it is part of what is recorded. */
async function begin() {
    await click(phone.getByRole('button', { name: /^Begin/ }).first());
    await phone.getByRole('button', { name: /^Start/ }).waitFor();
    await click(phone.getByRole('button', { name: /^Start/ }));
    await phone.getByRole('button', { name: 'Stop', exact: true }).waitFor();
}

count.start();
await begin();
line('today’s practice begun, unlocked', `${clicks} taps, ${keys} keys`, '2 taps');
await phone.goto('/my');
await phone.getByRole('button', { name: 'Lock' }).click();
await phone.getByLabel('PIN', { exact: true }).waitFor();
count.start();
await type(phone, PIN);
await phone
    .getByRole('button', { name: /^Begin/ })
    .first()
    .waitFor();
await begin();
line('today’s practice begun, locked', `the PIN and ${clicks} taps`, 'the PIN and 1 tap');

// 4. A follow-up hour: from the brief to the signed note, with one step up.
await page.goto(record);
await button(/session/i)
    .first()
    .click();
await page.waitForURL(/brief/);
const stored = () =>
    page.waitForResponse((answer) => answer.request().method() === 'PUT' && /steps/.test(answer.url()));
const steps = page.getByRole('navigation', { name: 'Steps of the session' });
const to = (step) => click(steps.getByRole('link', { name: new RegExp(`^${step}`) }));
count.start();
await to('Catch up');
let kept = stored();
await click(page.getByLabel('No, nothing new'));
await kept;
await to('Measure');
await click(page.getByLabel('Resting rate, breaths/min'));
await type(page, '15');
await press(page, 'Enter');
await page
    .getByRole('row', { name: /^Resting rate/ })
    .getByText('15')
    .first()
    .waitFor();
await to('Decide');
await click(page.getByText('step up', { exact: true }).first());
kept = stored();
await click(page.getByLabel(/^Reason for/).first());
await type(page, 'Effort is low.');
await kept;
await to('Prescribe');
await page.getByRole('region', { name: 'Decided in this session' }).getByText('It is done in this draft').waitFor();
await click(button('Issue version 2'));
await click(button('Issue version 2 now'));
await page.waitForURL(/hand-over/);
await to('Note');
await click(button('Sign the note'));
await page.getByText(/^Signed by Nora Ashgrove/).waitFor();
line('a follow-up hour, brief to signed note, one step up', `${clicks} clicks, ${keys} keys`, '15 clicks');
await browser.close();
