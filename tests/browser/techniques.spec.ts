import type { Page } from '@playwright/test';
import {
    expect,
    issueNow,
    join,
    keepPractice,
    newName,
    pick,
    signIn,
    startPlaying,
    test,
    type,
    type Phones,
} from './support';
import { screened, quickLink } from './ways/quick';

/** Prescribes a technique at a fast pace and takes a phone into its player. */
async function play(
    page: Page,
    phones: Phones,
    technique: string,
    fields: Record<string, string>,
    position: string | null = null,
): Promise<{ phone: Page; record: string }> {
    await signIn(page);
    const record = await screened(page, newName('Technique Wren'));
    await page.goto(`${record}/bench`);
    const answered = page.waitForResponse((response) => response.url().endsWith('/bench/answer'));
    await pick(page, technique);
    await answered;
    for (const [label, value] of Object.entries(fields)) await type(page, label, value);
    if (position !== null) await page.getByLabel('Position').selectOption(position);
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    const phone = await phones.open();
    await join(phone, await quickLink(page, record));
    await startPlaying(phone);
    return { phone, record };
}

test('alternate nostril leads from side to side and counts its rounds as breaths', async ({ page, phone }) => {
    const { phone: mine, record } = await play(page, phone, 'Alternate nostril', {
        'Seconds a count': '0.4',
        Rounds: '1',
    });
    for (const word of ['in, left', 'out, right', 'in, right', 'out, left'])
        await expect(mine.getByText(word, { exact: true })).toBeVisible();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 20_000 });
    await keepPractice(mine);
    await expect(mine.getByText('Done for today')).toBeVisible();
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '2 of 2 breaths' })).toBeVisible();
});

test('a hum lasts until it is tapped, by finger or space bar, and its length is kept', async ({ page, phone }) => {
    const { phone: mine, record } = await play(
        page,
        phone,
        'Humming exhale',
        { 'Seconds a count': '0.4', Breaths: '2' },
        // Lying, it would end without a word at night.
        'seated',
    );
    await expect(mine.locator('[data-cue="hum"]')).toBeVisible({ timeout: 15_000 });
    await expect(mine.locator('[data-cue="hum"]')).toHaveText('hum, as long as it is easy');
    await mine.waitForTimeout(2500);
    await mine.getByRole('button', { name: 'Tap when it ends' }).click();
    await expect(mine.locator('[data-cue="inhale"]')).toBeVisible();
    await expect(mine.locator('[data-cue="hum"]')).toBeVisible();
    await mine.locator('h1').focus();
    await mine.keyboard.press('Space');
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
    await keepPractice(mine);
    await expect(mine.getByText('1 of 2 done today')).toBeVisible();
    await page.goto(record);
    await expect(page.getByRole('cell', { name: /^2 of 2 breaths, longest [23]\.\d s$/ })).toBeVisible();
});

test('even breathing grows by a count, and the ridge with it', async ({ page, phone }) => {
    const { phone: mine } = await play(page, phone, 'Even counted breathing', {
        'Seconds a count': '0.4',
        Breaths: '1',
    });
    await expect(mine.getByText('in 4', { exact: true })).toBeVisible();
    await expect(mine.getByText('last breath')).toBeVisible({ timeout: 15_000 });
    await expect(mine.getByText('in 5', { exact: true })).toBeVisible();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 20_000 });
});

test('a round ends in a retention that is counted down', async ({ page, phone }) => {
    const { phone: mine, record } = await play(page, phone, 'Rounds with a retention', {
        'Seconds a count': '0.4',
        Breaths: '1',
        rounds: '1',
        's retention': '5',
    });
    await expect(mine.locator('[data-cue="retention"]')).toBeVisible({ timeout: 20_000 });
    await expect(mine.locator('.number')).toHaveText('4');
    await expect(mine.locator('[data-cue="release"]')).toHaveText('out, nose, the rest');
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 45_000 });
    await keepPractice(mine);
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '1 of 1 breaths' })).toBeVisible();
});

test('saying that it is long enough ends the growing and counts in full', async ({ page, phone }) => {
    const { phone: mine, record } = await play(page, phone, 'Even counted breathing', {
        'Seconds a count': '0.4',
        Breaths: '1',
        'lengths, each a count more': '3',
    });
    await expect(mine.locator('[data-cue="inhale"]')).toBeVisible();
    await mine.getByRole('button', { name: 'That is long enough' }).click();
    await expect(mine.getByRole('button', { name: 'That is long enough' })).toHaveCount(0);
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 20_000 });
    await keepPractice(mine);
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '1 of 1 breaths, enough at 4:4' })).toBeVisible();
});

test('the attention is led through the body, right before left', async ({ page, phone }) => {
    const { phone: mine } = await play(page, phone, 'Body scan', { 's a part': '2' });
    await expect(mine.locator('[data-cue="region"]')).toHaveText('right foot', { timeout: 15_000 });
    await expect(mine.locator('[data-cue="region"]')).toHaveText('left foot', { timeout: 15_000 });
});
