// Takes the pictures of docs/screenshots from the demo data.
//   node bin/lib/shots.mjs ADDRESS FOLDER [name …]
import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const [address, folder, ...only] = process.argv.slice(2);
if (!address || !folder) throw new Error('Usage: node bin/lib/shots.mjs ADDRESS FOLDER [name …]');
mkdirSync(folder, { recursive: true });

const promises = JSON.parse(
    readFileSync(new URL('../../database/seeders/Demo/promises.json', import.meta.url), 'utf8'),
);
const promised = (state) => promises[state].patient;

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
const desk = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    baseURL: address,
    reducedMotion: 'reduce',
});
const phone = await browser.newContext({
    viewport: { width: 390, height: 844 },
    locale: 'en-GB',
    baseURL: address,
    hasTouch: true,
    isMobile: true,
});
const page = await desk.newPage();
const mobile = await phone.newPage();
for (const each of [page, mobile]) {
    each.on('console', (message) => {
        if (message.type() === 'error') console.error(`console: ${message.text()}`);
    });
    each.on('pageerror', (error) => console.error(`page: ${error.message}`));
}

const wanted = (name) => only.length === 0 || only.includes(name);
/** What the patient sees, laid side by side in one picture. */
const PHONE = ['my-today', 'my-player', 'my-stopped', 'my-progress'];
const screens = new Map();
const shot = async (on, name) => {
    const isPart = PHONE.includes(name);
    if (!wanted(isPart && !only.includes(name) ? 'my-phone' : name)) return;
    await on.waitForFunction(() => !document.querySelector('#nprogress'));
    await on.evaluate(() => document.fonts.ready);
    const picture = await on.screenshot();
    screens.set(name, picture);
    if (isPart && !only.includes(name)) return;
    writeFileSync(`${folder}/${name}.png`, picture);
    console.log(`${folder}/${name}.png`);
};
const open = async (name, room = '') => {
    await page.goto('/');
    const href = await page.getByRole('link', { name, exact: true }).getAttribute('href');
    await page.goto(href + room);
    await page.getByRole('heading', { name, exact: true }).waitFor();
};

if (wanted('founding') && process.env.FOUNDING) {
    await page.goto(process.env.FOUNDING);
    await page.getByRole('heading', { name: 'Found your clinic' }).waitFor();
    await shot(page, 'founding');
}
await page.goto('/sign-in');
await page.getByLabel('E-mail').waitFor();
if (only.length > 0) await shot(page, 'sign-in');
await page.getByLabel('E-mail').fill('nora@harrowquay.example');
await page.getByLabel('Password').fill('lantern-over-quay');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Who needs me' }).waitFor();
await shot(page, 'caseload');

await open(promised('step-up-with-recovery'));
await shot(page, 'course');
if (wanted('signals')) {
    await open(promised('step-up-with-recovery'), '/signals');
    await shot(page, 'signals');
}
for (const [name, heading, above] of [
    ['clinic', 'What became of our patients', 420],
    ['backups', 'Backups of the server', 300],
]) {
    if (!wanted(name)) continue;
    await page.goto('/clinic');
    await page
        .getByRole('heading', { name: heading })
        .evaluate((each, above) => scrollTo(0, each.getBoundingClientRect().top - above), above);
    await shot(page, name);
}
if (wanted('outbox')) {
    await page.goto('/clinic/outbox');
    await page.getByRole('heading', { name: 'Outbox' }).waitFor();
    await page.locator('details summary').first().click();
    await shot(page, 'outbox');
}
if (wanted('week')) {
    await page.goto('/week');
    await page.getByRole('heading', { name: /^Week \d+$/ }).waitFor();
    await shot(page, 'week');
}
await open(promised('paused'));
await shot(page, 'course-paused');
await open(promised('step-up-with-recovery'), '/bench');
await page.getByLabel('Ratio').fill('4:3:7:1');
await page.getByLabel('Position').selectOption('reclined');
await page.getByRole('heading', { name: 'Two things change at once' }).waitFor();
await page.getByRole('heading', { name: promised('step-up-with-recovery'), exact: true }).click();
await shot(page, 'bench');
if (only.includes('bench-changes')) {
    await page.getByRole('button', { name: /^Issue version \d+$/ }).click();
    await page.getByRole('region', { name: /^What version/ }).waitFor();
    await shot(page, 'bench-changes');
}
if (wanted('sheet')) {
    const address = `${new URL(page.url()).pathname.replace(/\/bench$/, '')}/versions/2/sheet.pdf`;
    const pdf = await (await page.request.get(address)).body();
    execFileSync('pdftoppm', ['-r', '80', '-png', '-singlefile', '-', `${folder}/sheet`], { input: pdf });
    console.log(`${folder}/sheet.png`);
}
page.on('dialog', (dialog) => void dialog.accept());
await page.goto('/exercises/four-seven-eight');
await page.getByRole('heading', { name: '4:7:8', exact: true }).waitFor();
await shot(page, 'exercises');
if (only.includes('routine')) {
    await page.goto('/routines/falling-asleep');
    await page.getByRole('heading', { name: 'Falling asleep' }).waitFor();
    await shot(page, 'routine');
}
await open(promised('red-flag'), '/screening');
await shot(page, 'red-flag');
await open(promised('not-screened'), '/screening');
await shot(page, 'screening');
if (wanted('letter')) {
    await open(promised('step-up-with-recovery'), '/letters/progress');
    const begin = page.getByRole('button', { name: /Begin\s+the progress letter/ });
    if (await begin.isVisible()) await begin.click();
    await page.getByLabel('Why', { exact: true }).waitFor();
    await shot(page, 'letter');
}
await page.goto('/patients/new');
await page.getByLabel('Name', { exact: true }).waitFor();
if (only.length > 0) await shot(page, 'patient-new');
await page.goto('/voice');
await page.getByRole('heading', { name: 'My voice' }).waitFor();
if (only.length > 0) await shot(page, 'voice');
await open(promised('step-up-of-a-colleague'), '/record');
await shot(page, 'record');
if (['brief', 'measure', 'decide'].some(wanted)) {
    await open(promised('step-up-with-recovery'));
    await page.getByRole('button', { name: /session$/ }).click();
    await page.getByRole('heading', { name: 'Worth asking' }).waitFor();
    await shot(page, 'brief');
    const session = new URL(page.url()).pathname.replace(/brief$/, '');
    await page.goto(`${session}measure`);
    await page.getByRole('button', { name: 'Tap at the start of each inhale' }).waitFor();
    await shot(page, 'measure');
    if (only.includes('decide')) {
        await page.goto(`${session}decide`);
        await page.getByText('step up', { exact: true }).first().click();
        await page.getByText(/^kept at /).waitFor();
        await shot(page, 'decide');
    }
}

if (only.length === 0 || only.some((name) => name === 'access' || name.startsWith('my-'))) {
    await open(promised('step-up-with-recovery'), '/access');
    await page.getByRole('button', { name: /^Make a (new )?link$/ }).click();
    await page.locator('[data-link]').waitFor({ state: 'attached' });
    if (only.length > 0) await shot(page, 'access');
    const link = new URL((await page.locator('[data-link]').textContent()) ?? '');
    await mobile.goto(`/enter${link.hash}`);
    await mobile.getByRole('button', { name: 'Use this device' }).waitFor();
    if (only.length > 0) await shot(mobile, 'my-enter');
    await mobile.getByRole('button', { name: 'Use this device' }).click();
    await mobile.getByRole('heading', { name: 'Before you begin' }).waitFor();
    if (only.length > 0) await shot(mobile, 'my-consent');
    await mobile.getByRole('button', { name: 'I have read this and agree' }).click();
    await mobile.getByLabel('PIN', { exact: true }).fill('480153');
    await mobile.getByLabel('PIN once more').fill('480153');
    if (only.length > 0) await shot(mobile, 'my-pin');
    await mobile.getByRole('button', { name: 'Keep this PIN' }).click();
    await mobile.getByRole('button', { name: 'Lock' }).waitFor();
    await shot(mobile, 'my-today');
    for (const [tab, name] of [
        ['My progress', 'my-progress'],
        ['Diary', 'my-diary'],
        ['My sheet', 'my-sheet'],
        ['Settings', 'my-settings'],
    ]) {
        await mobile.getByRole('link', { name: tab }).click();
        await mobile.getByRole('heading', { name: tab, level: 1 }).waitFor();
        await mobile.waitForTimeout(500);
        if (name === 'my-progress' || only.length > 0) await shot(mobile, name);
    }
    await mobile.getByRole('link', { name: 'Today' }).click();
    await mobile
        .getByRole('button', { name: /^(Begin|Once more)/ })
        .first()
        .click();
    await mobile.getByRole('button', { name: '5', exact: true }).waitFor();
    if (only.length > 0) await shot(mobile, 'my-before');
    await mobile.getByRole('button', { name: '5', exact: true }).click();
    await mobile.getByRole('button', { name: 'Start', exact: true }).waitFor();
    if (only.length > 0) await shot(mobile, 'my-get-ready');
    await mobile.getByRole('button', { name: 'Start', exact: true }).click();
    await mobile.locator('[data-cue="exhale"]').waitFor();
    await mobile.waitForTimeout(2600);
    await shot(mobile, 'my-player');
    await mobile.getByRole('button', { name: 'Stop' }).click();
    await mobile.getByRole('heading', { name: 'You stopped' }).waitFor();
    await shot(mobile, 'my-stopped');
    await mobile.getByRole('button', { name: /^Nothing wrong/ }).click();
    await mobile.getByRole('heading', { name: 'Done' }).waitFor();
    if (only.length > 0) await shot(mobile, 'my-after');
}
if (wanted('my-phone')) {
    // A page of its own: the application's own ones take no styles from elsewhere.
    const side = await (
        await browser.newContext({ viewport: { width: PHONE.length * 410 + 20, height: 884 } })
    ).newPage();
    const images = PHONE.map(
        (name) => `<img src="data:image/png;base64,${screens.get(name).toString('base64')}" width="390">`,
    );
    await side.setContent(`<body style="margin:20px;display:flex;gap:20px;background:#8a8474">${images.join('')}`);
    await side.screenshot({ path: `${folder}/my-phone.png` });
    console.log(`${folder}/my-phone.png`);
}
// What is seen less often, and kept nowhere.
if (only.includes('my-more')) {
    await mobile.getByRole('button', { name: 'Keep this' }).click();
    await mobile
        .getByRole('button', { name: /^(Begin|Once more)/ })
        .first()
        .click();
    await mobile.getByRole('button', { name: '5', exact: true }).click();
    await mobile.getByRole('button', { name: 'Start', exact: true }).click();
    await mobile.locator('[data-cue="inhale"]').waitFor();
    await mobile.getByRole('button', { name: 'Stop', exact: true }).click();
    await mobile.getByRole('button', { name: 'Dizzy' }).click();
    await mobile.getByRole('heading', { name: 'Let it pass' }).waitFor();
    await mobile.screenshot({ path: `${folder}/my-more-recover.png` });
    await mobile.goBack();
    await mobile.getByRole('region', { name: 'How is it now?' }).waitFor();
    await mobile.screenshot({ path: `${folder}/my-more-second-look.png` });
    await mobile.getByRole('button', { name: 'It has not settled' }).click();
    await mobile.getByRole('link', { name: /^Call/ }).waitFor();
    await mobile.screenshot({ path: `${folder}/my-more-help.png` });
    await mobile.getByRole('button', { name: 'Help for breathlessness' }).click();
    await mobile.getByRole('button', { name: 'My breath is back' }).waitFor();
    await mobile.waitForTimeout(4000);
    await mobile.screenshot({ path: `${folder}/my-more-recovery.png` });
    await mobile.setViewportSize({ width: 320, height: 568 });
    await mobile.screenshot({ path: `${folder}/my-more-recovery-small.png` });
    await mobile.setViewportSize({ width: 667, height: 375 });
    await mobile.screenshot({ path: `${folder}/my-more-recovery-wide.png` });
    await mobile.setViewportSize({ width: 390, height: 844 });
    await mobile.goto('/my');
    await mobile.getByRole('button', { name: 'Lock' }).click();
    await mobile.getByRole('heading', { name: 'Breathless now?' }).waitFor();
    await mobile.screenshot({ path: `${folder}/my-more-locked.png` });
    await page.goto('/clinic');
    await page.getByRole('heading', { name: 'People' }).waitFor();
    await page.screenshot({ path: `${folder}/more-clinic.png`, fullPage: true });
    await open(promised('new-finding'));
    await page.screenshot({ path: `${folder}/more-paused.png` });
    await open(promised('not-screened'), '/screening');
    await page
        .getByRole('button', { name: /^The rest: no under/ })
        .first()
        .waitFor();
    await page
        .getByRole('radiogroup', { name: /eye operation|eye surgery/i })
        .getByLabel('Yes')
        .check();
    await page.getByRole('radiogroup', { name: /eye operation|eye surgery/i }).scrollIntoViewIfNeeded();
    await page.screenshot({ path: `${folder}/more-screening.png` });
    await open(promised('lighten'));
    await page.getByText('Enter ticks from the printed sheet').click();
    await page
        .getByText('Enter ticks from the printed sheet')
        .evaluate((heading) => scrollTo(0, heading.getBoundingClientRect().top + scrollY - 60));
    await page.screenshot({ path: `${folder}/more-paper.png` });
}
await browser.close();
