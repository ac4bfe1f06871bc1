import type { Page } from '@playwright/test';
import { expect, join, newName, test } from './support';
import { quickLink } from './ways/quick';

/** Tabs until something with this accessible name has the focus. */
async function tabTo(page: Page, name: RegExp | string): Promise<void> {
    for (let presses = 0; presses < 160; presses++) {
        await page.keyboard.press('Tab');
        const focused = await page.evaluate(() => {
            const element = document.activeElement;
            if (!(element instanceof HTMLElement)) return '';
            const labels =
                'labels' in element
                    ? [...((element as HTMLInputElement).labels ?? [])].map((label) => label.textContent)
                    : [];
            return (
                element.getAttribute('aria-label') ??
                (labels.length > 0 ? labels.join(' ') : element.textContent) ??
                ''
            ).trim();
        });
        if (typeof name === 'string' ? focused === name : name.test(focused)) return;
    }
    throw new Error(`The keyboard does not reach ${String(name)}.`);
}

test('the whole way by keyboard alone', async ({ page, phone }) => {
    const name = newName('Keyboard Wren');
    await page.goto('/sign-in');
    await tabTo(page, 'E-mail');
    await page.keyboard.type('nora@harrowquay.example');
    await tabTo(page, 'Password');
    await page.keyboard.type('lantern-over-quay');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Who needs me' })).toBeVisible();

    await tabTo(page, 'Add a patient');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Add a patient' })).toBeVisible();
    await tabTo(page, 'Name');
    await page.keyboard.type(name);
    await page.keyboard.press('Tab');
    await page.keyboard.type('02031984');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();

    // The red flags one by one; then each group's shortcut.
    await tabTo(page, 'Yes');
    for (let question = 0; question < 15; question++) {
        await page.keyboard.press('ArrowRight');
        await page.keyboard.press('Tab');
    }
    for (const group of [
        'Stage of life',
        'Nerves and mind',
        'Heart and circulation',
        'Breathing',
        'Surgery and injury',
        'Moving, seeing, hearing',
    ]) {
        await page.getByRole('button', { name: `The rest: no under ${group}` }).focus();
        await page.keyboard.press('Enter');
    }
    await expect(page.getByText('All answered')).toBeVisible();
    await tabTo(page, 'Keep the screening');
    await page.keyboard.press('Enter');
    await tabTo(page, 'To the Bench');
    await page.keyboard.press('Enter');

    await expect(page.getByLabel('Ratio')).toBeVisible();
    await tabTo(page, 'Seconds a count');
    await page.keyboard.press('Control+A');
    await page.keyboard.type('0.4');
    await tabTo(page, 'Breaths');
    await page.keyboard.press('Control+A');
    await page.keyboard.type('1');
    await tabTo(page, 'Position');
    await page.keyboard.type('seated');
    await tabTo(page, 'Issue version 1');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'What this programme says' })).toBeFocused();
    await tabTo(page, 'Issue version 1 now');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    const record = new URL(page.url()).pathname.replace(/\/access$/, '');

    const address = await quickLink(page, record);
    const mine = await phone.open();
    await join(mine, address);
    await mine.reload();
    await expect(mine.getByRole('button', { name: /^Begin/ }).first()).toBeVisible();
    await tabTo(mine, /^Begin/);
    await mine.keyboard.press('Enter');
    await tabTo(mine, '4');
    await mine.keyboard.press('Enter');
    await tabTo(mine, 'Start');
    await mine.keyboard.press('Enter');
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeFocused({ timeout: 20_000 });
    await tabTo(mine, 'Keep this');
    await mine.keyboard.press('Enter');
    await expect(mine.getByText('1 of 3 done today')).toBeVisible();
});
