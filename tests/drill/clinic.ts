import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { expect } from '../browser/support';

/** What whoever runs the server does, by hand. */
function onTheServer(script: string): string {
    return execFileSync(
        'bash',
        ['-c', `source bin/lib/common.sh && source bin/lib/database.sh && use_instance test && ${script}`],
        {
            encoding: 'utf8',
        },
    );
}

export interface Lead {
    clinic: string;
    email: string;
    password: string;
}

/** A clinic from nothing: the address is made on the server, the rest is typed. */
export async function found(page: Page, { clinic, email, password }: Lead): Promise<void> {
    const told = onTheServer('as_app env APP_ENV=e2e php artisan clinic:found');
    await page.goto(/\/found#\S+/.exec(told)?.[0] ?? '');
    await page.getByLabel('What the clinic is called').fill(clinic);
    await page.getByLabel('In an emergency, patients read').fill('Call 112 now, or have someone call.');
    await page
        .getByLabel('With thoughts of suicide, patients are told to call')
        .fill('0800 555 0100, the listening line');
    await page.getByLabel('Your name').fill('Wren Tollard');
    await page.getByLabel('Profession').fill('physiotherapist');
    await page.getByLabel('E-mail, with which you sign in').fill(email);
    await page.getByLabel('Choose a password').fill(password);
    await page.getByRole('button', { name: 'Found the clinic' }).click();
    await expect(page.getByText(`${clinic} is founded.`)).toBeVisible();
}

export async function enter(page: Page, { email, password }: Pick<Lead, 'email' | 'password'>): Promise<void> {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail').fill(email);
    await page.getByLabel('Password', { exact: true }).fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Who needs me' })).toBeVisible();
}

/** A colleague is invited by the lead, and joins in a browser of their own. */
export async function invite(page: Page, desk: Page, email: string): Promise<void> {
    await page.goto('/clinic');
    await page.getByLabel('E-mail').fill(email);
    await page.getByRole('button', { name: 'Invite', exact: true }).click();
    await desk.goto(await page.locator('[data-invitation]').innerText());
    await desk.getByLabel('Your name').fill('Marle Eddy');
    await desk.getByLabel('Profession').fill('counsellor');
    await desk.getByLabel('Choose a password').fill('four quiet unrelated herons');
    await desk.getByRole('button', { name: 'Join' }).click();
    await expect(desk.getByText(/^Welcome to /)).toBeVisible();
}

export async function giveThreeAppointments(page: Page, name: string): Promise<void> {
    const nextWeek = new Date(Date.now() + 7 * 86_400_000).toISOString().slice(0, 10);
    await page.goto(`/week?of=${nextWeek}`);
    await page.getByRole('button', { name: 'New appointment' }).click();
    const dialog = page.getByRole('dialog', { name: 'New appointment' });
    await dialog.getByLabel('Patient').fill(name);
    await expect(dialog.getByRole('radio')).toBeChecked();
    await dialog.getByLabel('Time', { exact: true }).fill('9:00');
    await dialog.getByLabel('Several, at the same time of the same weekday').check();
    await dialog.getByLabel('How many in all').fill('3');
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(/^3 appointments, the first: /)).toBeVisible();
}

/** A letter is filled, signed and noted as sent. */
export async function sendALetter(page: Page, record: string): Promise<void> {
    await page.goto(`${record}/letters`);
    await page.getByRole('button', { name: /Begin\s+the progress letter/ }).click();
    await page.getByLabel('To', { exact: true }).fill('Dr Hesper Lowe');
    await expect(page.getByText(/^kept at /)).toBeVisible();
    await page.getByRole('button', { name: 'Sign the letter' }).click();
    const letter = page.getByRole('article', { name: /^Progress letter of / });
    await letter.getByRole('button', { name: /^It was sent/ }).click();
    await page.getByLabel('How', { exact: true }).fill('by post');
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(letter).toContainText('by post');
}

/** The next day: everything of this record happened a day earlier. */
export function aDayLater(record: string): void {
    const patient = /[0-9a-z]{26}/.exec(record)?.[0] ?? '';
    const back = (...columns: string[]): string =>
        columns.map((each) => `${each} = ${each} - interval 1 day`).join(', ');
    const of = `where patient_id = '${patient}'`;
    const sql = [
        'insert into opened_door (connection) values (connection_id())',
        `update programme_versions v join programmes p on p.id = v.programme_id set ${back('v.in_force_from', 'v.issued_at', 'v.ends_on', 'v.review_on')} where p.patient_id = '${patient}'`,
        `update practices set ${back('started_at', 'ended_at', 'received_at')} ${of}`,
        `update screenings set ${back('completed_at')} ${of}`,
        `update consents set ${back('given_at')} ${of}`,
        'delete from opened_door where connection = connection_id()',
    ].join('; ');
    onTheServer(`as_administrator ivory_pace_e2e -e "${sql}"`);
}
