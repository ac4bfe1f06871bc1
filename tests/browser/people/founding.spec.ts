import { execFileSync } from 'node:child_process';
import { addPatient, expect, expectNoAxeViolations, expectToFit, newName, screen, test } from '../support';

/** What whoever runs the server does, as the user that serves the application. */
function founding(): string {
    const told = execFileSync(
        'bash',
        ['-c', 'source bin/lib/common.sh && use_instance test && as_app env APP_ENV=e2e php artisan clinic:found'],
        { encoding: 'utf8' },
    );
    return /\/found#\S+/.exec(told)?.[0] ?? '';
}

test('a clinic is founded from nothing, and its first patient is screened', async ({ page, watcher }) => {
    const address = founding();
    await page.goto(address);
    await expect(page).toHaveURL(/\/found$/);
    await expect(page.getByRole('heading', { name: 'Found your clinic' })).toBeVisible();
    await expectNoAxeViolations(page);
    await expectToFit(page);
    const clinic = newName('Slipway Rooms');
    await page.getByLabel('What the clinic is called').fill(clinic);
    await page.getByLabel('In an emergency, patients read').fill('Call 112 now, or have someone call.');
    watcher.expect(/answer: 422 /);
    await page.getByRole('button', { name: 'Found the clinic' }).click();
    await expect(page.getByText('Enter whom a patient with thoughts of suicide can call')).toBeVisible();
    await expect(page.getByLabel('With thoughts of suicide, patients are told to call')).toBeFocused();
    await expectNoAxeViolations(page);
    // Opened anew, nothing of it is lost.
    await page.reload();
    await expect(page.getByLabel('What the clinic is called')).toHaveValue(clinic);
    await page
        .getByLabel('With thoughts of suicide, patients are told to call')
        .fill('0800 555 0100, the listening line');
    await page.getByLabel('Your name').fill('Wren Tollard');
    await page.getByLabel('Profession').fill('physiotherapist');
    await page.getByLabel('E-mail, with which you sign in').fill(`wren.${Date.now()}@slipway.example`);
    await page.getByLabel('Choose a password').fill('heron-basalt-oatmeal-quay');
    await page.getByLabel('Choose a password').press('Enter');
    await expect(page.getByRole('heading', { name: 'Who needs me' })).toBeVisible();
    await expect(page.getByText(`${clinic} is founded.`)).toBeVisible();
    await expectNoAxeViolations(page);

    // Everything that ships is there, and nothing of anybody else.
    await expect(page.getByRole('link', { name: 'Bram Fenwick' })).toBeHidden();
    await addPatient(page, newName('First Wren'));
    await screen(page);
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Issue version 1', exact: true })).toBeEnabled();

    // The address has had its day.
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    watcher.expect(/answer: 404 POST .*found\/look/);
    await page.goto(address);
    await expect(page.getByText('This address does not work: it was used or has run out')).toBeVisible();
});
