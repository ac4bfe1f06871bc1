import type { Page } from '@playwright/test';
import { onTheBench } from '../desk';
import { expect, readyPatient, test } from '../support';

/** Counts the sounds that a page opens, from here on. */
async function countSounds(page: Page): Promise<() => Promise<number>> {
    await page.evaluate(() => {
        const Sound = window.AudioContext;
        const counted = window as unknown as { sounds: number };
        counted.sounds = 0;
        window.AudioContext = class extends Sound {
            constructor(options?: AudioContextOptions) {
                super(options);
                counted.sounds++;
            }
        };
    });
    return () => page.evaluate(() => (window as unknown as { sounds: number }).sounds);
}

test('the room has one sound however often it is asked for, and Escape closes what was opened last', async ({
    page,
}) => {
    await onTheBench(page, 'One Sound');
    const sounds = await countSounds(page);
    await page.getByRole('button', { name: 'play it here' }).dblclick();
    const player = page.getByRole('region', { name: /^Playing/ });
    await expect(player).toBeVisible();
    expect(await sounds()).toBe(1);

    await page.keyboard.press('?');
    const words = page.getByRole('dialog', { name: 'Words and keys' });
    await expect(words).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(words).toBeHidden();
    await expect(player).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(player).toBeHidden();

    await page
        .getByRole('region', { name: 'In this programme' })
        .getByRole('button', { name: 'Add an exercise', exact: true })
        .click();
    const picker = page.getByRole('region', { name: 'Add an exercise' });
    await expect(picker).toBeVisible();
    await page.getByRole('button', { name: 'Calendar for: Review on' }).click();
    const calendar = page.getByRole('dialog', { name: 'Calendar' });
    await expect(calendar).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(calendar).toBeHidden();
    await expect(picker).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(picker).toBeHidden();
});

test('a practice that is started twice at once starts once, with the number that was tapped', async ({
    page,
    phone,
}) => {
    const { phone: mine } = await readyPatient(page, phone, 'One Start');
    await mine
        .getByRole('button', { name: /^Begin/ })
        .first()
        .click();
    await expect(mine.getByRole('button', { name: 'Start without a number' })).toBeVisible();
    await mine.getByRole('button', { name: '6', exact: true }).click();
    await expect(mine.getByRole('button', { name: '6', exact: true })).toHaveAttribute('aria-pressed', 'true');
    const sounds = await countSounds(mine);
    const kept = mine.waitForResponse((answer) => (answer.request().postData() ?? '').includes('"kind":"practice"'));
    await mine.getByRole('button', { name: 'Start', exact: true }).dblclick();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
    expect(await sounds()).toBe(1);
    await mine.getByRole('button', { name: 'Keep this' }).click();
    expect((await kept).request().postData()).toContain('"before":6');
});
