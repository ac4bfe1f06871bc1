import type { Page } from '@playwright/test';
import {
    expect,
    expectNoAxeViolations,
    join,
    promised,
    readyOffline,
    readyPatient,
    sent,
    signIn,
    startPlaying,
    test,
} from './support';
import { quickLink } from './ways/quick';

/** Stop is in view without scrolling, and nothing lies over it. */
async function expectStopInView(phone: Page, where: string): Promise<void> {
    const stop = phone.getByRole('button', { name: 'Stop', exact: true });
    const size = phone.viewportSize();
    await phone.evaluate(() => {
        scrollTo(0, 0);
    });
    const box = await stop.boundingBox();
    if (!box || !size) throw new Error(`${where}: no Stop`);
    expect(box.y, `${where}: top`).toBeGreaterThanOrEqual(0);
    expect(box.y + box.height, `${where}: bottom`).toBeLessThanOrEqual(size.height);
    expect(box.x, `${where}: left`).toBeGreaterThanOrEqual(0);
    expect(box.x + box.width, `${where}: right`).toBeLessThanOrEqual(size.width);
    expect(
        await phone.evaluate(() => document.documentElement.scrollWidth),
        `${where}: nothing is wider than the screen`,
    ).toBeLessThanOrEqual(size.width);
    expect(box.height, `${where}: large enough to hit`).toBeGreaterThanOrEqual(44);
    const hit = await stop.evaluate((button) => {
        const at = button.getBoundingClientRect();
        const top = document.elementFromPoint(at.x + at.width / 2, at.y + at.height / 2);
        return top !== null && button.contains(top);
    });
    expect(hit, `${where}: nothing lies over it`).toBe(true);
}

const SIZES = [
    { width: 320, height: 568 },
    { width: 667, height: 375 },
    { width: 195, height: 422 },
];

async function expectStopEverywhere(phone: Page, what: string): Promise<void> {
    for (const size of SIZES) {
        await phone.setViewportSize(size);
        await expectStopInView(phone, `${what}, ${size.width}×${size.height}`);
    }
    await phone.evaluate(() => {
        document.documentElement.style.fontSize = '200%';
    });
    for (const size of [
        { width: 320, height: 568 },
        { width: 390, height: 844 },
    ]) {
        await phone.setViewportSize(size);
        await expectStopInView(phone, `${what}, text at 200 %, ${size.width}×${size.height}`);
    }
    await phone.evaluate(() => {
        document.documentElement.style.fontSize = '';
    });
    await phone.setViewportSize({ width: 390, height: 844 });
}

test('Stop is in view without scrolling on the smallest screens and with the largest text', async ({ page, phone }) => {
    const { phone: mine } = await readyPatient(page, phone, 'Small Wren', '40', undefined, { isMobile: false });
    await startPlaying(mine);
    await expect(mine.locator('[data-cue="exhale"]')).toBeVisible();
    await expectStopEverywhere(mine, 'a paced breath');
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
    await expect(mine.getByRole('heading', { name: 'You stopped' })).toBeVisible();
});

test('while breath recovers, help is there at once, it is asked whether it eases, and the wording shows by itself', async ({
    page,
    phone,
}) => {
    await signIn(page);
    const record =
        (await page.getByRole('link', { name: promised('step-up-with-recovery'), exact: true }).getAttribute('href')) ??
        '';
    // As it is laid out, without the zoom with which a phone hides what is too wide.
    const mine = await phone.open({ isMobile: false });
    await join(mine, await quickLink(page, record));
    await mine.clock.install();
    await mine.reload();
    await mine.getByRole('region', { name: 'When breath is short' }).getByRole('button').click();
    await expect(mine.getByRole('button', { name: 'Get help' })).toBeVisible();
    await expect(mine.getByText(/Call 112 now/)).toBeVisible();
    await expectStopEverywhere(mine, 'recovery');
    // The clock of the page goes on by itself too, and a busy machine takes its time.
    await mine.clock.runFor(120_000);
    await expect(mine.getByText('Is it easing?')).toHaveCount(0);
    await mine.clock.runFor(70_000);
    await expect(mine.getByText('Is it easing?')).toBeVisible();
    await expectStopEverywhere(mine, 'recovery, asked');
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Yes, it is easing' }).click();
    await expect(mine.getByText('Is it easing?')).toHaveCount(0);
    await expect(mine.getByRole('alert')).toHaveCount(0);
    await mine.clock.runFor(420_000);
    await expect(mine.getByRole('alert').getByText(/Call 112 now/)).toBeVisible();
    await expect(mine.getByRole('link', { name: 'Call 112' })).toBeVisible();
    await expectStopEverywhere(mine, 'recovery, with the wording');
});

test('what is asked after a stop is asked until it is answered: Back, a reload and a closed page do not lose it', async ({
    page,
    phone,
    watcher,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Asked Wren', '20');
    await readyOffline(mine);
    await startPlaying(mine);
    await expect(mine.locator('[data-cue="inhale"]')).toBeVisible();
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
    const stored = sent(mine, 'practice');
    await mine.getByRole('button', { name: 'Feeling unreal' }).click();
    expect(await stored).toBe('stored');
    await mine.goBack();
    const card = mine.getByRole('region', { name: 'How is it now?' });
    await expect(card).toContainText(/You stopped “Longer breath out” on \w+ \d\d:\d\d: feeling unreal\./);
    await mine.reload();
    await expect(card).toBeVisible();
    await expectNoAxeViolations(mine);
    const context = mine.context();
    await mine.close();
    const again = await phone.openIn(context);
    await again.goto('/my');
    await expect(again.getByRole('region', { name: 'How is it now?' })).toBeVisible();
    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    await context.setOffline(true);
    await again.getByRole('button', { name: 'It has not settled' }).click();
    await expect(again.getByText(/Call 112 now/)).toBeVisible();
    await expect(again.getByRole('button', { name: 'Help for breathlessness' })).toBeVisible();
    await expect(again.getByRole('heading', { name: 'Paused' })).toBeVisible();
    await expectNoAxeViolations(again);
    const told = sent(again, 'second-look');
    await context.setOffline(false);
    expect(await told).toBe('stored');
    await expect(again.getByRole('region', { name: 'How is it now?' })).toHaveCount(0);
    await page.goto(record);
    await expect(
        page.getByText(
            'Every exercise but recovery is paused: feeling unreal, which had not settled at the second look.',
        ),
    ).toBeVisible();
});

test('two minutes after a stop the question comes by itself, and only the answer says that it can be left', async ({
    page,
    phone,
}) => {
    const { phone: mine } = await readyPatient(page, phone, 'Looking Wren', '20');
    await mine.clock.install();
    await mine.reload();
    await startPlaying(mine);
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
    await mine.getByRole('button', { name: 'Something else' }).click();
    await expect(mine.getByText('Leave it for today')).toHaveCount(0);
    await mine.clock.runFor(121_000);
    await expect(mine.getByRole('heading', { name: 'How is it now?' })).toBeVisible();
    await expect(mine.getByText('Leave it for today')).toHaveCount(0);
    await mine.getByRole('button', { name: 'It has settled' }).click();
    await expect(mine.getByText('Leave it for today', { exact: false })).toBeVisible();
    await mine.getByRole('button', { name: 'Back to Today' }).click();
    await expect(mine.getByRole('region', { name: 'How is it now?' })).toHaveCount(0);
});

test('a stop that was written on paper is entered with its symptom', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: promised('lighten'), exact: true }).click();
    await page.getByText('Enter ticks from the printed sheet').click();
    // The oldest day on which something was planned and nothing is known.
    const stop = page.getByRole('combobox', { name: /: stopped for$/ }).first();
    await stop.selectOption({ label: 'chest pain' });
    await page.getByRole('button', { name: 'Enter them' }).click();
    await expect(
        page.getByText('Type how many practices there were on the day of the stop, the stopped one among them.'),
    ).toBeVisible();
    await expect(stop).toHaveValue('chest-pain');
    await expectNoAxeViolations(page);
    await page
        .getByRole('textbox', { name: /: more ticks$/ })
        .first()
        .fill('1');
    await page.getByRole('button', { name: 'Enter them' }).click();
    await expect(page.getByText('One practice entered from paper.', { exact: false })).toBeVisible();
    await expect(
        page.getByText(
            'Every exercise but recovery is paused: chest pain, noted on paper, for which help is needed at once.',
        ),
    ).toBeVisible();
});
