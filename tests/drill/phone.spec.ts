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

/** Where the phone keeps what it keeps, from one part to the other. */
const folder = process.env.DRILL_FOLDER ?? '';
const PIN = '480153';

async function openPhone(): Promise<BrowserContext> {
    return chromium.launchPersistentContext(path(folder, 'phone'), {
        ...playwright.use?.launchOptions,
        viewport: { width: 390, height: 844 },
        baseURL: playwright.use?.baseURL,
        locale: 'en-GB',
    });
}

// Each part is a run of its own, by its name: bin/lib/drill.sh.
test('before: a phone practises, is told that it is kept, and practises once more without a network', async ({
    page,
}) => {
    const name = newName('Ferry Drill');
    await signIn(page);
    const record = await addPatient(page, name);
    await screen(page);
    await issueFast(page, record);
    const { address } = await makeLink(page, record);
    const context = await openPhone();
    const phone = context.pages()[0] ?? (await context.newPage());
    await join(phone, address, PIN);
    await startPlaying(phone);
    await expect(phone.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
    await keepPractice(phone);
    await readyOffline(phone);
    await context.setOffline(true);
    await startPlaying(phone);
    await expect(phone.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
    await phone.getByRole('button', { name: 'Keep this' }).click();
    await expect(phone.getByText('One entry waits')).toBeVisible();
    await context.close();
    writeFileSync(path(folder, 'record'), record);
});

test('after: it goes on with what was brought back as if nothing had been', async ({ page }) => {
    const record = readFileSync(path(folder, 'record'), 'utf8');
    const context = await openPhone();
    const phone = context.pages()[0] ?? (await context.newPage());
    await phone.goto('/my');
    await phone.getByLabel('PIN', { exact: true }).fill(PIN);
    await expect(phone.getByRole('button', { name: 'Lock' })).toBeVisible();
    await expect(phone.getByText('One entry waits')).toHaveCount(0);
    await signIn(page);
    await page.goto(record);
    // Both: the one that was put away, and the one that waited on the phone meanwhile.
    const rows = page.getByRole('table', { name: 'The latest practices' }).getByRole('row');
    await expect(rows).toHaveCount(3);
    await context.close();
});
