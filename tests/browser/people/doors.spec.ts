import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { expect, expectNoAxeViolations, expectToFit, newName, promised, signIn, test } from '../support';

const PASSWORD = 'lantern-over-quay';
const HERONS = 'four quiet unrelated herons';

const codeOf = (secret: string): string =>
    execFileSync('oathtool', ['--totp', '--base32', secret], { encoding: 'utf8' }).trim();

async function enter(page: Page, email: string, password: string): Promise<void> {
    await page.getByLabel('E-mail').fill(email);
    await page.getByLabel('Password', { exact: true }).fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
}

async function invited(page: Page, email: string): Promise<string> {
    await signIn(page);
    await page.goto('/clinic');
    await page.getByLabel('E-mail').fill('not an address');
    await page.getByRole('button', { name: 'Invite', exact: true }).click();
    await expect(page.getByText('This is not an e-mail address.')).toBeVisible();
    await page.getByLabel('E-mail').fill(email);
    await page.getByRole('button', { name: 'Invite', exact: true }).click();
    const address = await page.locator('[data-invitation]').innerText();
    await page.getByRole('link', { name: 'Outbox' }).click();
    const line = page.locator('summary', { hasText: `to ${email}` }).first();
    // The queue sends it.
    await expect(async () => {
        await page.goto('/clinic/outbox');
        await expect(line).toBeVisible({ timeout: 1000 });
    }).toPass();
    await line.click();
    await expect(page.getByRole('link', { name: address })).toBeVisible();
    await expectNoAxeViolations(page);
    await expectToFit(page);
    return address;
}

test('a colleague is invited, joins, sets up a second factor, and leaves', async ({ page, browser, watcher }) => {
    watcher.expect(/422 POST .*\/(sign-in|join)/);
    const email = `maren.${Date.now()}@harrowquay.example`;
    const name = newName('Maren Vole');
    const address = await invited(page, email);

    const theirs = await browser.newContext();
    const desk = await theirs.newPage();
    await desk.goto(address);
    await expect(desk.getByRole('heading', { name: 'Join Harrow Quay Breathing Clinic' })).toBeVisible();
    expect(desk.url()).not.toContain('#');
    await desk.reload();
    await desk.getByLabel('Your name').fill(name);
    await desk.getByLabel('Profession').fill('counsellor');
    await desk.getByLabel('Choose a password').fill('lantern2026!!');
    await desk.getByRole('button', { name: 'Join' }).click();
    await expect(desk.getByText('one of the passwords that are tried first')).toBeVisible();
    await expectNoAxeViolations(desk);
    await desk.getByLabel('Choose a password').fill(HERONS);
    await desk.keyboard.press('Enter');
    await expect(desk.getByText('Welcome to Harrow Quay Breathing Clinic.')).toBeVisible();

    await desk.getByRole('link', { name }).click();
    await desk.locator('#second-factor-password').fill(HERONS);
    await desk.getByRole('button', { name: 'Set it up' }).click();
    const secret = (await desk.getByText(/^([A-Z2-7]{4} ?)+$/).innerText()).replaceAll(' ', '');
    await desk.getByLabel('Code', { exact: true }).fill('000000');
    await desk.getByRole('button', { name: 'Turn it on' }).click();
    await expect(desk.getByText('This is not the present code.')).toBeVisible();
    await desk.getByLabel('Code', { exact: true }).fill(codeOf(secret));
    await desk.getByRole('button', { name: 'Turn it on' }).click();
    await expect(desk.getByText('Signing in asks for a code of your phone since')).toBeVisible();
    const recovery = await desk
        .locator('li')
        .filter({ hasText: /^[0-9A-Z]{5}-[0-9A-Z]{5}$/ })
        .first()
        .innerText();
    await expectNoAxeViolations(desk);
    await expectToFit(desk);

    await desk.getByRole('button', { name: 'Sign out' }).click();
    await enter(desk, email, HERONS);
    await expect(desk.getByRole('heading', { name: 'Code of your phone' })).toBeVisible();
    await expect(desk.getByLabel('Code', { exact: true })).toBeFocused();
    await desk.keyboard.type('123456');
    await desk.keyboard.press('Enter');
    await expect(desk.getByText('This is not the present code.')).toBeVisible();
    await expectNoAxeViolations(desk);
    await desk.getByLabel('Code', { exact: true }).fill(recovery);
    await desk.keyboard.press('Enter');
    await expect(desk.getByText('That recovery code is used up; 9 are left.')).toBeVisible();

    await page.goto('/clinic');
    await page.getByRole('button', { name: `Account of ${name}` }).click();
    await page.getByRole('button', { name: `${name} no longer works here` }).click();
    await expect(page.getByText('Type your password: this needs to be you.')).toBeVisible();
    await page.locator('#end-password').fill(PASSWORD);
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: `${name} no longer works here` }).click();
    await expect(page.getByText(`${name} is signed out for good.`)).toBeVisible();
    await desk.getByRole('link', { name: 'Exercises' }).click();
    // The page is covered, and the password opens it no more.
    await expect(desk.getByRole('dialog', { name: 'Please sign in again' })).toBeVisible();
    await desk.getByLabel('Password', { exact: true }).fill(HERONS);
    await desk.getByRole('button', { name: 'Sign in and go on' }).click();
    await expect(desk.getByText('E-mail and password do not match.')).toBeVisible();
    await theirs.close();
});

test('a forgotten password is replaced by a link that comes by mail', async ({ page, browser }) => {
    const email = `ilse.${Date.now()}@harrowquay.example`;
    const address = await invited(page, email);
    const theirs = await browser.newContext();
    const desk = await theirs.newPage();
    await desk.goto(address);
    await desk.getByLabel('Your name').fill('Ilse Farrow');
    await desk.getByLabel('Profession').fill('counsellor');
    await desk.getByLabel('Choose a password').fill(HERONS);
    await desk.getByRole('button', { name: 'Join' }).click();
    await desk.getByRole('button', { name: 'Sign out' }).click();

    await desk.getByRole('link', { name: 'Forgotten the password?' }).click();
    await expect(desk.getByRole('heading', { name: 'A new password' })).toBeVisible();
    await desk.getByLabel('E-mail').fill('nobody');
    await desk.getByRole('button', { name: 'Send the link' }).click();
    await expect(desk.getByText('This is not an e-mail address.')).toBeVisible();
    await desk.getByLabel('E-mail').fill(email);
    await desk.keyboard.press('Enter');
    await expect(desk.getByText('a message is on its way to it')).toBeVisible();
    await expectNoAxeViolations(desk);

    await page.goto('/clinic/outbox');
    await page.locator('summary', { hasText: 'A new password' }).filter({ hasText: email }).click();
    const link = await page
        .getByRole('link', { name: /new-password#/ })
        .first()
        .innerText();
    await desk.goto(link);
    await desk.getByLabel('New password').fill('short');
    await desk.getByRole('button', { name: 'Change the password' }).click();
    await expect(desk.getByText('At least 12 characters. Four words').last()).toBeVisible();
    await expectNoAxeViolations(desk);
    await desk.getByLabel('New password').fill(`${HERONS} again`);
    await desk.getByRole('button', { name: 'Change the password' }).click();
    await expect(desk.getByText('Your password is changed. Sign in with it.')).toBeVisible();
    await enter(desk, email, `${HERONS} again`);
    await expect(desk.getByRole('link', { name: 'Ilse Farrow' })).toBeVisible();
    await theirs.close();
});

test('what was typed is gone after signing out, and Back shows nothing', async ({ page, watcher }) => {
    watcher.expect(/401|419/);
    await signIn(page);
    const name = promised('step-up-with-recovery');
    await page.getByRole('link', { name, exact: true }).click();
    await expect(page.getByRole('heading', { name })).toBeVisible();
    await page.evaluate(() => {
        sessionStorage.setItem('ivory-pace:a-draft', '"typed"');
        localStorage.setItem('ivory-pace:step:/x', '"typed"');
    });
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    const kept = () =>
        page.evaluate(() =>
            [...Object.keys(sessionStorage), ...Object.keys(localStorage)].filter((name) =>
                name.startsWith('ivory-pace:'),
            ),
        );
    expect((await kept()).filter((name) => name !== 'ivory-pace:no-shortcuts')).toEqual([]);
    await page.goBack();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await expect(page.getByText(name)).toBeHidden();
});

test('a sign-in that expired keeps what was typed for the same person and not for another', async ({
    page,
    watcher,
}) => {
    watcher.expect(/401|419/);
    await signIn(page);
    await page.evaluate(() => sessionStorage.setItem('ivory-pace:a-draft', '"typed"'));
    const draft = () => page.evaluate(() => sessionStorage.getItem('ivory-pace:a-draft'));
    await page.context().clearCookies();
    await page.goto('/');
    await enter(page, 'nora@harrowquay.example', PASSWORD);
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
    expect(await draft()).toBe('"typed"');
    await page.context().clearCookies();
    await page.goto('/');
    await enter(page, 'idris@harrowquay.example', PASSWORD);
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
    expect(await draft()).toBeNull();
});
