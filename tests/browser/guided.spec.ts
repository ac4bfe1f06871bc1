import type { Page } from '@playwright/test';
import { andAnswered, issued, onTheBench } from './desk';
import { expect, expectNoAxeViolations, join, keepPractice, test, type } from './support';
import { quickLink } from './ways/quick';

/** Five taps, as if a breath took a good second. */
async function tapPace(phone: Page): Promise<void> {
    for (let tap = 0; tap < 5; tap++) {
        await phone.getByRole('button', { name: 'Tap', exact: true }).click();
        if (tap < 4) await phone.waitForTimeout(1200);
    }
    await expect(phone.getByText(/^about [\d.]+ a minute$/)).toBeVisible();
}

test('an exercise is found by its words, and hands, things, a habit and what is asked afterwards reach the phone', async ({
    page,
    phone,
}) => {
    const record = await onTheBench(page, 'Guided Wren');

    // The list opens with the cursor in its search; what is not there says so, and Escape leaves all as it was.
    await page.getByRole('button', { name: 'change', exact: true }).press('Enter');
    const list = page.getByRole('region', { name: /^In place of/ });
    await expect(list.getByLabel('Search')).toBeFocused();
    await expectNoAxeViolations(page);
    await page.keyboard.type('nothing called so');
    await expect(list.getByText('Nothing is called like that.')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(list).toHaveCount(0);
    await page.getByRole('button', { name: 'change', exact: true }).press('Enter');
    await list.getByLabel('Search').fill('diaphragmatic');
    await andAnswered(page, () => list.getByRole('button', { name: /^Diaphragmatic breathing/ }).press('Enter'));

    const read = page.getByRole('region', { name: 'As the patient reads it' });
    await andAnswered(page, () => page.getByLabel('Position').selectOption('supine'));
    await andAnswered(page, () => page.getByLabel('pillow under the knees', { exact: true }).check());
    await expect(read).toContainText('knees');
    await andAnswered(page, () => page.getByLabel('Position').selectOption('seated'));
    await expect(page.getByRole('status').filter({ hasText: 'With the position left:' })).toContainText('pillow');
    await expect(read).not.toContainText('pillow');
    await andAnswered(page, () => page.getByLabel('Hands').selectOption('chest-and-belly'));
    await expect(read).toContainText('one on your belly');
    await type(page, 'Minutes', '0.5');

    await andAnswered(page, () => page.getByLabel('Anchor 1').selectOption('own'));
    await expect(page.getByText(/Name the habit/).first()).toBeVisible();
    await type(page, 'Name of the habit', 'the news on the radio');
    await page.getByRole('button', { name: 'Short, asked, why' }).press('Enter');
    await andAnswered(page, () => page.getByLabel('which hand moved first').check());
    await andAnswered(page, () => page.getByLabel('the pace of the breath before and after, tapped').check());
    // On a tablet and on a phone nothing lies over anything else, and nothing is off the page.
    for (const width of [820, 320]) {
        await page.setViewportSize({ width, height: 900 });
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
        const [anchors, beside] = await Promise.all([
            page.getByRole('table', { name: /^When to practise/ }).boundingBox(),
            page.getByRole('complementary', { name: 'Findings, and what the patient reads' }).boundingBox(),
        ]);
        expect((anchors?.y ?? 0) + (anchors?.height ?? 0)).toBeLessThanOrEqual(beside?.y ?? 0);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
    await expectNoAxeViolations(page);
    await issued(page);

    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await expect(mine.getByText('the news on the radio').first()).toBeVisible();
    await mine
        .getByRole('button', { name: /^(Begin|Once more)/ })
        .first()
        .click();
    await mine.getByRole('button', { name: '6', exact: true }).click();
    await expect(mine.getByText('one on your belly').first()).toBeVisible();
    await expectNoAxeViolations(mine);
    await tapPace(mine);
    await mine.getByRole('button', { name: 'Start', exact: true }).click();
    await mine.getByRole('button', { name: 'Dim', exact: true }).click();
    await expect(mine.locator('main.player')).toHaveCSS('background-color', 'rgb(0, 0, 0)');
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Light', exact: true }).click();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
    await tapPace(mine);
    await mine.getByRole('group', { name: 'Which hand moved first?' }).getByRole('button', { name: /belly/i }).click();
    await expectNoAxeViolations(mine);
    await keepPractice(mine);

    await page.goto(record);
    await expect(page.getByText('Diaphragmatic breathing, which hand moved first: belly 1')).toBeVisible();
    await expect(
        page.getByText(/the pace of the breath before and after, tapped: [\d.]+ to [\d.]+ a minute/),
    ).toBeVisible();
});

test('at lights out nothing rings, the page goes black, and who is awake touches it', async ({ page, phone }) => {
    const record = await onTheBench(page, 'Night Wren');
    await type(page, 'Seconds a count', '0.4');
    await type(page, 'Breaths', '2');
    await andAnswered(page, () => page.getByLabel('Position').selectOption('side-lying'));
    await type(page, 'Practices a day', '1');
    await andAnswered(page, () => page.getByLabel('Anchor 1').selectOption('lights-out'));
    await issued(page);

    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await mine
        .getByRole('button', { name: /^(Begin|Once more)/ })
        .first()
        .click();
    await mine.getByRole('button', { name: '6', exact: true }).click();
    await mine.getByRole('button', { name: 'Start', exact: true }).click();
    const dark = mine.getByRole('button', { name: 'Tap anywhere if you are awake' });
    await expect(dark).toBeFocused({ timeout: 30_000 });
    await expectNoAxeViolations(mine);
    expect(await dark.evaluate((button) => getComputedStyle(button).backgroundColor)).toBe('rgb(0, 0, 0)');

    // Who has fallen asleep has practised: it counts although nobody says anything.
    await mine.reload();
    await expect(mine.getByText('1 of 1 done today')).toBeVisible({ timeout: 15_000 });

    await mine
        .getByRole('button', { name: /^(Begin|Once more)/ })
        .first()
        .click();
    await mine.getByRole('button', { name: '6', exact: true }).click();
    await mine.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(dark).toBeFocused({ timeout: 30_000 });
    await mine.keyboard.press('Enter');
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible();
    await keepPractice(mine);
});
