import type { Page } from '@playwright/test';
import {
    expect,
    expectNoAxeViolations,
    join,
    keepPractice,
    lockScreen,
    promised,
    readyOffline,
    readyPatient,
    sent,
    signIn,
    soundsOf,
    startPlaying,
    test,
} from './support';
import { quickLink } from './ways/quick';

const suspendSound = (phone: Page) =>
    phone.evaluate(async () => {
        await (window as unknown as { contexts: AudioContext[] }).contexts.at(-1)?.suspend();
    });

/** The tab as when another one is looked at. */
async function hide(phone: Page, isHidden: boolean): Promise<void> {
    await phone.evaluate((hidden) => {
        Object.defineProperty(document, 'visibilityState', {
            configurable: true,
            get: () => (hidden ? 'hidden' : 'visible'),
        });
        document.dispatchEvent(new Event('visibilitychange'));
    }, isHidden);
}

test('help for breathlessness before the PIN is the same for everyone, and credited to whoever says that it was theirs', async ({
    page,
    phone,
    watcher,
}) => {
    await signIn(page);
    const record =
        (await page.getByRole('link', { name: promised('step-up-with-recovery'), exact: true }).getAttribute('href')) ??
        '';
    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await expect(mine.getByText('When: breath is short on the stairs.', { exact: false })).toBeVisible();
    // An earlier try has used it today as well.
    const used = Number(/(\d) of at most 4/.exec(await mine.locator('main').innerText())?.[1] ?? 0);
    await readyOffline(mine);
    await lockScreen(mine, watcher);
    await expect(mine.getByRole('heading', { name: 'Breathless now?' })).toBeVisible();
    await expect(mine.getByText('on the stairs')).toHaveCount(0);
    await expectNoAxeViolations(mine);
    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    await mine.context().setOffline(true);
    await mine.getByRole('button', { name: /^Now/ }).click();
    // No question stands before it, and help is on screen from the first second.
    await expect(mine.getByRole('button', { name: 'My breath is back' })).toBeVisible();
    await expect(mine.getByText('If you have a reliever, use it as your plan says.', { exact: false })).toBeVisible();
    await expect(mine.getByText(/Call 112 now/)).toBeVisible();
    await mine.waitForTimeout(6000);
    await mine.getByRole('button', { name: 'My breath is back' }).click();
    await expect(mine.getByRole('heading', { name: 'Your PIN' })).toBeVisible();
    await mine.context().setOffline(false);

    await mine.getByLabel('PIN', { exact: true }).fill('480153');
    await expect(mine.getByText(/^Recovery was used here at .*Was that you\?$/)).toBeVisible();
    await mine.reload();
    const taken = sent(mine, 'practice');
    await mine.getByRole('button', { name: 'That was me' }).click();
    expect(await taken).toBe('stored');
    await expect(mine.getByText(new RegExp(`^${used + 1} of at most 4 times today`))).toBeVisible();
    await mine.getByRole('link', { name: 'My progress' }).click();
    await expect(
        mine.getByText(
            new RegExp(`used ${used + 4} times\\. Breath was back after: .*1:35, .*0:0\\d \\(latest last\\)`),
        ),
    ).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.getByRole('link', { name: 'My sheet' }).click();
    await expect(mine.getByRole('heading', { name: 'When breath is short' })).toBeVisible();
    await expectNoAxeViolations(mine);
    const saved = mine.waitForEvent('download');
    await mine.getByRole('button', { name: 'Save as PDF' }).click();
    expect((await saved).suggestedFilename()).toBe('sheet-2.pdf');
});

test('not today offers the short version first, which counts in full; otherwise one tap says why', async ({
    page,
    phone,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Tired Wren', '8');
    await mine.getByRole('button', { name: 'Not today' }).click();
    await expect(mine.getByText(/^The short version takes \d+ s and counts in full/)).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Do the short version' }).click();
    await mine.getByRole('button', { name: '5', exact: true }).click();
    await expect(mine.getByText('short version')).toBeVisible();
    await mine.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
    await keepPractice(mine);
    await expect(mine.getByText('1 of 3 done today')).toBeVisible();

    await mine.getByRole('button', { name: 'Not today' }).click();
    const taken = sent(mine, 'put-off');
    await mine.getByRole('button', { name: 'Tired' }).click();
    expect(await taken).toBe('stored');
    await expect(mine.getByText('not today: tired')).toBeVisible();
    await mine.reload();
    await expect(mine.getByText('not today: tired')).toBeVisible();
    await expect(mine.getByRole('button', { name: /^Do it after all/ })).toBeVisible();
    await page.goto(record);
    await expect(page.getByRole('cell', { name: /of \d breaths, short version$/ })).toBeVisible();
    await expect(page.getByText(/^tired ·/)).toBeVisible();
});

test('who is ill says it once for all that is still to come; each row names its exercise', async ({ page, phone }) => {
    const { phone: mine } = await readyPatient(page, phone, 'Ill Wren', '2');
    const name = await mine.getByRole('heading', { level: 2 }).first().innerText();
    const rows = mine.getByRole('listitem').filter({ hasText: name });
    await expect(rows.first()).toBeVisible();
    await expect(mine.getByRole('link', { name: 'Call the clinic: 0200 555 010' })).toHaveAttribute(
        'href',
        'tel:0200555010',
    );
    await expect(mine).toHaveTitle('Today · Ivory Pace');
    const open = await rows.count();
    await mine.getByRole('button', { name: 'Not today' }).click();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Ill for all that is still to come today' }).click();
    await expect(mine.getByText('not today: ill')).toHaveCount(open + 1);
    await mine.reload();
    await expect(mine.getByText('not today: ill')).toHaveCount(open + 1);
});

test('the weekly check is a minute of taps; too few are asked for again', async ({ page, phone }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Tapping Wren');
    await mine.clock.install();
    await mine.reload();
    await mine.getByRole('button', { name: 'Tap a minute' }).click();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Begin the minute' }).click();
    await mine.clock.runFor(61_000);
    await expect(mine.getByText('Too few taps to tell a rate.')).toBeVisible();
    await mine.getByRole('button', { name: 'Once more' }).click();
    const tap = mine.getByRole('button', { name: 'Tap when a breath in begins' });
    for (let n = 0; n < 6; n++) {
        await (n % 2 === 0 ? tap.dispatchEvent('pointerdown') : tap.press('Enter'));
        await mine.waitForTimeout(400);
    }
    await expect(mine.getByText('6 taps')).toBeVisible();
    const taken = sent(mine, 'home-check');
    await mine.clock.runFor(61_000);
    await expect(mine.getByText(/^Thank you\. About \d+ breaths a minute\./)).toBeVisible();
    expect(await taken).toBe('stored');
    await mine.getByRole('button', { name: 'Back to Today' }).click();
    await expect(mine.getByRole('button', { name: 'Tap a minute' })).toHaveCount(0);
    await page.goto(record);
    await expect(page.getByRole('heading', { name: 'Tapped at home' })).toBeVisible();
});

test('it joins from the patient’s own taps and eases to the prescribed pace', async ({ page, phone }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Joining Wren', '4');
    await mine
        .getByRole('button', { name: /^Begin/ })
        .first()
        .click();
    await mine.getByRole('button', { name: '5', exact: true }).click();
    await mine.getByRole('button', { name: 'Join from my own breath' }).click();
    await expect(mine.getByRole('button', { name: 'Begin at my pace' })).toBeDisabled();
    const tap = mine.getByRole('button', { name: 'Tap: breath in' });
    for (let n = 0; n < 4; n++) {
        await tap.dispatchEvent('pointerdown');
        await mine.waitForTimeout(1800);
    }
    await mine.getByRole('button', { name: 'Begin at my pace' }).click();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
    const inhales = (await soundsOf(mine)).filter((each) => each.from === 220).map((each) => each.at);
    const lengths = inhales.slice(1).map((at, index) => at - (inhales[index] ?? 0));
    // 4:0:5:1 at 0.4 s is 4 s a breath; it begins at about 1.8 s.
    expect(lengths[0]).toBeLessThan(3);
    expect(lengths.at(-1)).toBeCloseTo(4, 2);
    await keepPractice(mine);
    await page.goto(record);
    await expect(page.getByRole('cell', { name: /4 of 4 breaths, from \d\.\d s a breath/ })).toBeVisible();
});

test('an interruption waits and says so; a hidden page goes on by ear and waits without sound; the log tells', async ({
    page,
    phone,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Interrupted Wren', '5');
    await startPlaying(mine);
    await expect(mine.getByText('2 of 5')).toBeVisible({ timeout: 20_000 });
    await suspendSound(mine);
    await expect(mine.getByText('Interrupted: it has waited for you.')).toBeVisible();
    await mine.waitForTimeout(4500);
    await expect(mine.getByText('2 of 5')).toBeVisible();
    await mine.getByRole('button', { name: 'Go on' }).click();
    await expect(mine.locator('[data-cue="inhale"]')).toBeVisible();
    await hide(mine, true);
    await hide(mine, false);
    await expect(mine.getByRole('button', { name: 'Pause' })).toBeVisible();
    await mine.getByRole('button', { name: 'Sound on' }).click();
    await hide(mine, true);
    await hide(mine, false);
    await expect(mine.getByText('Interrupted: it has waited for you.')).toBeVisible();
    await mine.getByRole('button', { name: 'Go on' }).click();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
    await keepPractice(mine);
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '5 of 5 breaths, interrupted 2 times' })).toBeVisible();
});

test('without a network the day changes at its own start, and an old copy does not claim to know what is due', async ({
    page,
    phone,
    watcher,
}) => {
    const { phone: mine } = await readyPatient(page, phone, 'Crossing Wren');
    await readyOffline(mine);
    await mine.clock.install();
    await mine.reload();
    await startPlaying(mine);
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
    await mine.getByRole('button', { name: /^Nothing wrong/ }).click();
    // What is on its way when the clock jumps would have come a day late, and set this device's clock back by it.
    const read = mine.waitForResponse((answer) => answer.url().endsWith('/api/v1/today'));
    await keepPractice(mine);
    await read;
    await mine.waitForLoadState('networkidle');
    const today = (await mine.locator('main p').first().textContent()) ?? '';
    watcher.expect(/ERR_INTERNET_DISCONNECTED/, /ERR_FAILED/);
    await mine.context().setOffline(true);
    await mine.clock.fastForward(24 * 3_600_000);
    await expect(mine.getByText(today)).toHaveCount(0);
    await expect(mine.getByText('0 of 3 done today')).toBeVisible();
    await mine.clock.fastForward(24 * 3_600_000);
    await expect(mine.getByText('This device has not had a network for a while')).toBeVisible();
    await expect(mine.getByRole('button', { name: 'Once more, if you like' })).toBeVisible();
});

test('settings of sound, sight and text are kept on the device, and the player follows them', async ({
    page,
    phone,
}) => {
    const { phone: mine } = await readyPatient(page, phone, 'Settings Wren');
    await mine.getByRole('link', { name: 'Settings' }).click();
    await mine.getByLabel('Ticks of the counts').fill('0');
    await mine.getByLabel('High contrast').check();
    await mine.getByLabel('Large text').check();
    await expectNoAxeViolations(mine);
    await mine.reload();
    await expect(mine.getByText('off', { exact: true })).toBeVisible();
    await expect(mine.getByLabel('Large text')).toBeChecked();
    expect(await mine.evaluate(() => getComputedStyle(document.documentElement).fontSize)).toBe('20px');
    await mine.goBack();
    await startPlaying(mine);
    await expectNoAxeViolations(mine);
    expect(await mine.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
});
