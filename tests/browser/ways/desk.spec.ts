import type { Page } from '@playwright/test';
import { andAnswered, onTheBench } from '../desk';
import { addPatient, expect, expectNoAxeViolations, issueNow, newName, screen, signIn, test } from '../support';
import { screened } from './quick';

const ENDED = [/answer: (401|419) /, /answer: 302 /];

/** Sends a measured value as the desk does, so many times at once. */
async function measured(page: Page, record: string, measure: string, value: string, times = 1): Promise<number[]> {
    return page.evaluate(
        async ([path, body, often]) => {
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
            const headers = { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token };
            const keep = () => fetch(path, { method: 'POST', headers, body }).then((answer) => answer.status);
            return Promise.all(Array.from({ length: often }, keep));
        },
        [`${record}/measure`, JSON.stringify({ measure, position: 'seated', value, sure: true }), times] as const,
    );
}

test('a sign-in that ended is asked for in a window, and the page goes on with what was typed', async ({
    page,
    context,
    watcher,
}) => {
    const record = await onTheBench(page, 'Ended Sign-in');
    await andAnswered(page, () => page.getByLabel('Position').selectOption('seated'));
    watcher.expect(...ENDED);
    await context.clearCookies();
    await page.getByRole('button', { name: 'Issue version 1', exact: true }).click();
    const window = page.getByRole('dialog', { name: 'Please sign in again' });
    await expect(window).toBeVisible();
    await expectNoAxeViolations(page);
    await window.getByLabel('Password').fill('wrong');
    watcher.expect(/answer: 422 POST .*sign-in/);
    await window.getByRole('button', { name: 'Sign in and go on' }).click();
    await expect(window.getByText('E-mail and password do not match.')).toBeVisible();
    await window.getByLabel('Password').fill('lantern-over-quay');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Issue version 1 now' }).click();
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();

    // A page that is only opened asks too, and is opened then.
    await context.clearCookies();
    await page.getByRole('link', { name: 'Record', exact: true }).click();
    await window.getByLabel('Password').fill('lantern-over-quay');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(`${record}/record`);
    await expect(page.getByRole('heading', { name: 'Sessions' })).toBeVisible();
});

test('signing out in one tab leaves nothing to read in another', async ({ page, context }) => {
    await signIn(page);
    const other = await context.newPage();
    await other.goto('/');
    await expect(other.getByRole('heading', { name: 'Who needs me' })).toBeVisible();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    await expect(other.getByLabel('Password')).toBeVisible();
    await other.close();
});

test('somebody else who signs in takes over every tab', async ({ page, context }) => {
    await signIn(page);
    await page.goto('/account');
    const other = await context.newPage();
    await context.clearCookies();
    await signIn(other, 'idris@harrowquay.example');
    await expect(page).toHaveURL('/');
    await expect(page.getByRole('link', { name: 'Idris Penwarden' })).toBeVisible();
    await other.close();
});

test('what is sent twice is done once', async ({ page }) => {
    await signIn(page);
    const record = await screened(page, newName('Twice Once'));
    const made = await measured(page, record, 'saturation', '97', 3);
    expect(made).toEqual([201, 201, 201]);
    await page.goto(`${record}/record`);
    await expect(page.getByRole('rowheader', { name: 'Oxygen saturation' })).toHaveCount(1);
});

test('a value is struck with its reason, and the focus comes back', async ({ page }) => {
    await signIn(page);
    const record = await screened(page, newName('Struck Value'));
    await measured(page, record, 'saturation', '79');
    await page.goto(`${record}/record`);
    await page.getByRole('button', { name: /^Strike Oxygen saturation/ }).click();
    const window = page.getByRole('dialog', { name: /^Strike oxygen saturation/ });
    await expect(window.getByLabel('Why')).toBeFocused();
    await window.getByRole('button', { name: 'Strike it' }).click();
    await expect(window.getByText('Say why, in a few words.')).toBeVisible();
    await expect(window.getByLabel('Why')).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(window).toBeHidden();
    await expect(page.getByRole('button', { name: /^Strike Oxygen saturation/ })).toBeFocused();
    await page.keyboard.press('Enter');
    await window.getByLabel('Why').fill('Typed 79 for 97.');
    await expectNoAxeViolations(page);
    await window.getByRole('button', { name: 'Strike it' }).click();
    await expect(page.getByText('struck by Nora Ashgrove: Typed 79 for 97.')).toBeVisible();
    // The red flag that it opened stays until somebody has looked.
    await expect(page.getByText(/saturation/i).first()).toBeVisible();
});

test('the focus goes to the new heading, and to the first problem', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Clinic', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
    await page.getByRole('link', { name: 'Add a patient' }).click();
    await expect(page).toHaveURL('/patients/new');
    await page.getByRole('button', { name: 'Add and go to screening' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
});

test('a session begun by mistake is dropped, a version of today withdrawn, a patient archived and brought back', async ({
    page,
}) => {
    const name = newName('Way Back');
    await signIn(page);
    const record = await addPatient(page, name);
    await screen(page);
    await page.getByRole('button', { name: 'Begin a session' }).click();
    await page.getByRole('button', { name: 'Begun by mistake' }).click();
    await page.getByLabel('Why').fill('The wrong patient.');
    await page.getByRole('button', { name: 'Drop the session' }).click();
    await expect(page.getByText('Dropped by Nora Ashgrove: The wrong patient.')).toBeVisible();

    await page.goto(`${record}/bench`);
    await page.getByLabel('Position').selectOption('seated');
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    await page.goto(`${record}/versions/1`);
    await page.getByRole('button', { name: 'Withdraw it' }).click();
    await page.getByLabel('Why').fill('Meant for somebody else.');
    await page.getByRole('dialog').getByRole('button', { name: 'Withdraw it' }).click();
    await expect(page.getByText(/Version 1 is withdrawn/)).toBeVisible();

    await page.goto(`${record}/record`);
    await page.getByRole('button', { name: `Archive ${name}` }).click();
    await page.getByRole('dialog').getByLabel('Why').fill('Moved away.');
    await page.getByRole('button', { name: 'Archive', exact: true }).click();
    await expect(page.getByText(/^Archived on .*: Moved away\./)).toBeVisible();
    await page.goto('/');
    await expect(page.getByRole('link', { name })).toHaveCount(0);
    await page.goto(`${record}/record`);
    await page.getByRole('button', { name: `Bring ${name} back` }).click();
    await expect(page.getByText('The patient is back in the Caseload.')).toBeVisible();
});

test('two records of one person are joined, and the old address leads on', async ({ page }) => {
    await signIn(page);
    const born = `19${String(40 + Math.floor(Math.random() * 50))}-0${1 + Math.floor(Math.random() * 9)}-1${Math.floor(Math.random() * 10)}`;
    const name = newName('Here Twice');
    const older = await addPatient(page, name, { birth_date: born });
    await screen(page);
    const younger = await addPatient(page, `${name} again`, { birth_date: born });
    await page.goto(`${younger}/join`);
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: new RegExp(`^Join these two .*${name}$`) }).click();
    await page.getByLabel('Why').fill('Added twice.');
    await page.getByRole('button', { name: 'Join them' }).click();
    await expect(page.getByText('The two records are one.')).toBeVisible();
    await expect(page).toHaveURL(`${older}/record`);
    await page.goto(`${younger}/record`);
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
});
