import { readFileSync, writeFileSync } from 'node:fs';
import { join as path } from 'node:path';
import { chromium, type BrowserContext } from '@playwright/test';
import playwright from '../../playwright.config';
import {
    addPatient,
    expect,
    issueFast,
    join,
    keepPractice,
    makeLink,
    newName,
    readyOffline,
    screen,
    signIn,
    startPlaying,
    test,
} from '../browser/support';
import { aDayLater, enter, found, giveThreeAppointments, invite, sendALetter, type Lead } from './clinic';

/** Where the phone keeps what it keeps, and what is to be known again, from one part to the other. */
const folder = process.env.DRILL_FOLDER ?? '';
const PIN = '480153';
const DAYS = 7;

interface Known {
    lead: Lead;
    record: string;
    name: string;
    copy: string;
}

async function openPhone(): Promise<BrowserContext> {
    return chromium.launchPersistentContext(path(folder, 'phone'), {
        ...playwright.use?.launchOptions,
        viewport: { width: 390, height: 844 },
        baseURL: playwright.use?.baseURL,
        locale: 'en-GB',
    });
}

// A practice of one's own from its first day to a fire and after. Each part is a run of its own, by its name: bin/lib/drill.sh.
test('before: a clinic is founded, a patient comes and practises for a week, a letter is sent, and the record goes elsewhere too', async ({
    page,
    browser,
    watcher,
}) => {
    test.setTimeout(480_000);
    watcher.expect(/answer: 422 /);
    const stamp = Date.now();
    const lead: Lead = {
        clinic: newName('Ferry Rooms'),
        email: `wren.${stamp}@ferry.example`,
        password: 'heron-basalt-oatmeal-quay',
    };
    await found(page, lead);
    const desk = await (await browser.newContext({ baseURL: playwright.use?.baseURL })).newPage();
    await invite(page, desk, `marle.${stamp}@ferry.example`);

    const name = newName('Ferry Drill');
    const record = await addPatient(page, name);
    await screen(page);
    await giveThreeAppointments(page, name);
    await issueFast(page, record, '1');
    const { address } = await makeLink(page, record);
    const context = await openPhone();
    const phone = context.pages()[0] ?? (await context.newPage());
    await join(phone, address, PIN);
    for (let day = 1; day <= DAYS; day++) {
        await startPlaying(phone);
        await expect(phone.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
        await keepPractice(phone);
        if (day < DAYS) {
            aDayLater(record);
            await phone.reload();
            await expect(phone.getByRole('button', { name: 'Lock' })).toBeVisible();
        }
    }
    // The colleague sees what was practised; the letter says it.
    await desk.goto(record);
    await expect(desk.getByRole('table', { name: 'The latest practices' }).getByRole('row')).toHaveCount(DAYS + 1);
    await sendALetter(page, record);

    // The last practice of the week waits on the phone when everything is put away.
    await readyOffline(phone);
    await context.setOffline(true);
    await startPlaying(phone);
    await expect(phone.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
    await phone.getByRole('button', { name: 'Keep this' }).click();
    await expect(phone.getByText('One entry waits')).toBeVisible();
    await context.close();

    // Out, and into a second clinic.
    await page.goto(`${record}/record`);
    const out = page.getByRole('region', { name: 'Take the record out' });
    await out.getByLabel('Your password').fill(lead.password);
    const [file] = await Promise.all([
        page.waitForEvent('download'),
        out.getByRole('button', { name: 'Save the file' }).click(),
    ]);
    await file.saveAs(path(folder, 'record.zip'));
    const elsewhere = await (await browser.newContext({ baseURL: playwright.use?.baseURL })).newPage();
    await signIn(elsewhere, 'gwen@millrace.example');
    await elsewhere.goto('/patients/new');
    await elsewhere.getByLabel('File', { exact: true }).setInputFiles(path(folder, 'record.zip'));
    await elsewhere.getByRole('button', { name: 'Read it in' }).click();
    await expect(elsewhere.getByText(`The record of ${name} is read in.`)).toBeVisible();
    const copy = new URL(elsewhere.url()).pathname.replace(/\/record$/, '');
    writeFileSync(path(folder, 'known.json'), JSON.stringify({ lead, record, name, copy } satisfies Known));
});

test('after: all goes on with what was brought back as if nothing had been, until the patient wishes to be forgotten', async ({
    page,
    browser,
}) => {
    const { lead, record, name, copy } = JSON.parse(readFileSync(path(folder, 'known.json'), 'utf8')) as Known;
    const context = await openPhone();
    const phone = context.pages()[0] ?? (await context.newPage());
    await phone.goto('/my');
    await phone.getByLabel('PIN', { exact: true }).fill(PIN);
    await expect(phone.getByRole('button', { name: 'Lock' })).toBeVisible();
    await expect(phone.getByText('One entry waits')).toHaveCount(0);
    await enter(page, lead);
    await page.goto(record);
    // All of them: those that were put away, and the one that waited on the phone meanwhile.
    const rows = page.getByRole('table', { name: 'The latest practices' }).getByRole('row');
    await expect(rows).toHaveCount(DAYS + 2);
    await page.goto(`${record}/letters`);
    await expect(page.getByRole('article', { name: /^Progress letter of / })).toContainText('by post');

    await page.goto(`${record}/record`);
    await page.getByRole('button', { name: `Erase everything of ${name}` }).click();
    await page.getByLabel('The patient’s name').fill(name);
    await page.getByRole('dialog').getByLabel('Your password').fill(lead.password);
    await page.getByRole('button', { name: 'Erase it for good' }).click();
    await expect(page.getByText('The record is being erased.', { exact: false })).toBeVisible();
    await expect.poll(async () => (await page.request.get(`${record}/record`)).status(), { timeout: 30_000 }).toBe(404);
    // What another clinic has taken over is theirs.
    const elsewhere = await (await browser.newContext({ baseURL: playwright.use?.baseURL })).newPage();
    await signIn(elsewhere, 'gwen@millrace.example');
    expect((await elsewhere.request.get(`${copy}/record`)).status()).toBe(200);
    await context.close();
});
