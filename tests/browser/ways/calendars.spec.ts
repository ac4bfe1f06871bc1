import { execFileSync } from 'node:child_process';
import type { APIRequestContext } from '@playwright/test';
import { expect, expectNoAxeViolations, expectToFit, newName, readyPatient, signIn, test } from '../support';

/** What another program reads at an address: when, and what it is called. */
async function readBy(request: APIRequestContext, address: string): Promise<string[]> {
    const answer = await request.get(new URL(address).pathname);
    expect(answer.headers()['content-type']).toContain('text/calendar');
    return JSON.parse(
        execFileSync('node', ['tests/readers/ical.mjs'], { input: await answer.text() }).toString(),
    ) as string[];
}

test('a patient’s practices and appointments reach the calendar of the phone, and end with the address', async ({
    page,
    phone: phones,
    request,
    watcher,
}) => {
    watcher.expect(/answer: 404 /);
    const name = newName('Calla Wick');
    const { phone, record } = await readyPatient(page, phones, name);
    await page.goto(record);
    await page.getByRole('button', { name: 'Set one' }).click();
    const soon = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('Day', { exact: true }).fill(soon);
    await page.getByLabel('Time', { exact: true }).fill('10:30');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText(/^Appointment: .*10:30 with Nora Ashgrove\./)).toBeVisible();

    await phone.getByRole('link', { name: 'Settings' }).click();
    const card = phone.locator('section', {
        has: phone.getByRole('heading', { name: 'In the calendar of this device' }),
    });
    await card.getByRole('button', { name: 'Make an address' }).click();
    const address = (await card.locator('.address').textContent()) ?? '';
    expect(address).toMatch(/\/calendar\/[A-Za-z0-9]{48}\.ics$/);
    await expect(card.getByRole('link', { name: 'Open it in the calendar' })).toHaveAttribute('href', /^webcal:/);
    await expectToFit(phone);
    await expectNoAxeViolations(phone);
    const read = await readBy(request, address);
    expect(read.filter((line) => /Appointment with Nora Ashgrove$/.test(line))).toHaveLength(1);
    expect(read.filter((line) => / Practice: /.test(line)).length).toBeGreaterThan(5);

    // It is shown once, the practitioner sees that there is one, and ending it ends it.
    await phone.reload();
    await phone.getByRole('link', { name: 'Settings' }).click();
    await expect(card).toContainText('It was last read ');
    await expect(card).toContainText('An address was made ');
    await expect(card.locator('.address')).toHaveCount(0);
    await page.goto(`${record}/access`);
    await expect(page.getByText(/its calendar reads practices and appointments since/)).toBeVisible();
    const loads = phone.waitForEvent('download');
    await card.getByRole('button', { name: 'Or take it as a file, as it is now' }).click();
    expect((await loads).suggestedFilename()).toBe('calendar.ics');
    await card.getByRole('button', { name: 'End the address' }).click();
    await expect(card.getByText('The address is ended. Take it out of your calendar as well.')).toBeVisible();
    expect((await request.get(new URL(address).pathname)).status()).toBe(404);
});

test('a practitioner’s calendar shows initials, and nothing once it is ended', async ({ page, request, watcher }) => {
    watcher.expect(/answer: 404 /);
    await signIn(page, 'tamsin@harrowquay.example');
    await page.goto('/week');
    await page.getByRole('link', { name: 'In your own calendar' }).click();
    await page.getByRole('button', { name: /^Make (an|a new) address$/ }).click();
    const address = (await page.locator('.select-all').textContent()) ?? '';
    await expectNoAxeViolations(page);
    const read = await readBy(request, address);
    expect(read.length).toBeGreaterThan(0);
    for (const line of read) expect(line).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d (Away|([\p{L}\d]\. ?)+)$/u);
    await page.reload();
    await expect(page.locator('.select-all')).toHaveCount(0);
    await page.getByRole('button', { name: 'End it', exact: true }).click();
    await expect(page.getByText('The address is ended.')).toBeVisible();
    expect((await request.get(new URL(address).pathname)).status()).toBe(404);
});
