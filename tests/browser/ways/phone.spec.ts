import type { Page } from '@playwright/test';
import { expect, expectNoAxeViolations, join, newName, readyPatient } from '../support';
import { prescribed, quickLink } from './quick';
import { startPlaying, test } from '../support';

/** The last digit opens, once this device knows how many there are. */
const open = async (phone: Page, pin: string, isNew = false): Promise<void> => {
    await phone.getByLabel('PIN', { exact: true }).fill(pin);
    if (isNew) await phone.getByRole('button', { name: 'Open', exact: true }).click();
    await expect(phone.getByRole('button', { name: 'Lock' })).toBeVisible();
};

test('two patients take turns on one tablet, each behind their own PIN', async ({ page, phone, watcher }) => {
    // What was asked for while the tablet changed hands is refused, and that is right.
    watcher.expect(/^answer: (409|423) GET/);
    const { phone: tablet } = await readyPatient(page, phone, 'Anna Turn', '7');
    const record = await prescribed(page, newName('Berta Turn'), '9');
    const address = await quickLink(page, record);
    await join(tablet, address, '975310');
    await expect(tablet.getByText('9 breaths')).toBeVisible();

    await tablet.getByRole('button', { name: 'Lock' }).click();
    await expectNoAxeViolations(tablet);
    await tablet.getByRole('button', { name: /^Open for A T/ }).click();
    await expect(tablet.getByRole('button', { name: /^Open for B T/ })).toBeVisible();
    await open(tablet, '480153', true);
    await expect(tablet.getByText('7 breaths')).toBeVisible();
    await tablet.getByRole('button', { name: 'Lock' }).click();
    await tablet.getByRole('button', { name: /^Open for B T/ }).click();
    await expect(tablet.getByRole('button', { name: /^Open for A T/ })).toBeVisible();
    await open(tablet, '975310', true);
    await expect(tablet.getByText('9 breaths')).toBeVisible();
});

test('Back on “You stopped” asks again, and so does a page that was closed', async ({ page, phone }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Asked Again', '20');
    await startPlaying(mine);
    await mine.waitForTimeout(6000);
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
    await expect(mine.getByRole('heading', { name: 'You stopped' })).toBeVisible();
    await mine.goBack();
    await expect(mine.getByRole('heading', { name: 'You stopped' })).toBeVisible();

    await mine.goto('/my/practice');
    await expect(mine.getByRole('heading', { name: 'You stopped' })).toBeVisible();
    await expect(mine).toHaveURL('/my');
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Dizzy' }).click();
    await mine.getByRole('button', { name: 'It has settled' }).click();
    await mine.getByRole('button', { name: 'Back to Today' }).click();
    await expect(mine.getByRole('button', { name: 'Lock' })).toBeVisible();

    await page.goto(record);
    await expect(page.getByText(/dizz/i).first()).toBeVisible();
});

test('the PIN is changed, the device named, and a lock in one tab locks the other', async ({
    page,
    phone,
    watcher,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Named Phone');
    const other = await phone.openIn(mine.context());
    await other.goto('/my');
    await expect(other.getByRole('button', { name: 'Lock' })).toBeVisible();

    await mine.getByRole('link', { name: 'Settings' }).click();
    await mine.getByRole('button', { name: /^Name it/ }).click();
    await mine.getByLabel(/^Name of this device/).fill('Phone in the kitchen');
    await mine.getByRole('button', { name: 'Keep the name' }).click();
    await expect(mine.getByText('Phone in the kitchen')).toBeVisible();
    await expect(mine.locator('main :focus')).toBeVisible();
    await mine.getByRole('button', { name: 'Change the PIN' }).click();
    watcher.expect(/^answer: 422/);
    await mine.getByLabel('Your PIN now').fill('000000');
    await mine.getByLabel('New PIN').fill('864209');
    await mine.getByLabel('PIN once more').fill('864209');
    await mine.getByRole('button', { name: 'Change the PIN' }).click();
    await expect(mine.getByText(/^That is not the PIN/)).toBeVisible();
    await mine.getByLabel('Your PIN now').fill('480153');
    await mine.getByRole('button', { name: 'Change the PIN' }).click();
    await expect(mine.getByText('The PIN is changed.')).toBeVisible();
    await expectNoAxeViolations(mine);

    await mine.getByRole('link', { name: 'Today' }).click();
    await mine.getByRole('button', { name: 'Lock' }).click();
    await expect(other.getByRole('heading', { name: 'Your PIN' })).toBeVisible();
    await open(other, '864209');
    await page.goto(`${record}/access`);
    await expect(page.getByText('Phone in the kitchen').first()).toBeVisible();
});

test('who does not agree is told what that means, and the practitioner sees it', async ({ page, phone }) => {
    const { record } = await readyPatient(page, phone, 'Not Agreed');
    const address = await quickLink(page, record);
    const mine = await phone.open();
    const url = new URL(address);
    await mine.goto(url.pathname + url.hash);
    await mine.getByRole('button', { name: 'Use this device' }).click();
    await mine.getByRole('button', { name: 'I do not agree' }).click();
    await expect(mine.getByText(/You can practise with the printed sheet/)).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Yes, I do not agree' }).click();
    await mine.reload();
    await expect(mine.getByLabel('Code')).toBeVisible();
    await page.goto(`${record}/access`);
    await expect(page.getByText(/^Declined/)).toBeVisible();
});

test('night paper follows the system and the switch, and is read as well', async ({ page, phone }) => {
    const { phone: mine } = await readyPatient(page, phone, 'Night Paper');
    await expect(mine.locator('html[data-night]')).toHaveCount(0);
    await mine.emulateMedia({ colorScheme: 'dark' });
    await expect(mine.locator('html[data-night]')).toHaveCount(1);
    await expectNoAxeViolations(mine);
    await mine.getByRole('link', { name: 'Settings' }).click();
    await expectNoAxeViolations(mine);
    await mine.getByLabel(/^Night paper/).selectOption('never');
    await expect(mine.locator('html[data-night]')).toHaveCount(0);
    await mine.emulateMedia({ colorScheme: 'light' });
    await mine.getByLabel(/^Night paper/).selectOption('always');
    await expect(mine.locator('html[data-night]')).toHaveCount(1);
    await mine.goto('/');
    await expect(mine).toHaveURL('/my');
});
