import type { Page } from '@playwright/test';
import { expect, expectNoAxeViolations, promised, readyPatient, signIn, test } from '../support';

async function recordOf(page: Page, name: string): Promise<string> {
    await page.goto('/');
    const href = await page.getByRole('link', { name }).first().getAttribute('href');
    return new URL(href ?? '', page.url()).pathname;
}

const ROOMS = ['', '/bench', '/measure', '/record', '/access', '/screening'];

test('on night paper the practitioner’s rooms read as well as by day', async ({ page }) => {
    await signIn(page);
    const record = await recordOf(page, promised('step-up-with-recovery'));
    await page.emulateMedia({ colorScheme: 'dark' });
    await expect(page.locator('html[data-night]')).toHaveCount(1);
    for (const room of ['/', '/exercises/square', ...ROOMS.map((each) => `${record}${each}`)]) {
        await page.goto(room);
        await expect(page.locator('main h1').first()).toBeVisible();
        await expectNoAxeViolations(page);
    }
});

test('with colours of one’s own what is chosen is seen chosen, and drawings use them', async ({ page }) => {
    await signIn(page);
    const record = await recordOf(page, promised('step-up-with-recovery'));
    await page.emulateMedia({ forcedColors: 'active' });
    await page.goto(`${record}/bench`);
    const day = page.getByRole('button', { name: /^Monday/, pressed: true }).first();
    await expect(day).toBeVisible();
    expect(await day.evaluate((each) => getComputedStyle(each).outlineStyle)).toBe('solid');
    const colours = await page
        .locator('.ridge .line')
        .first()
        .evaluate((line) => {
            const probe = document.createElement('span');
            probe.style.color = 'CanvasText';
            document.body.append(probe);
            return [getComputedStyle(line).stroke, getComputedStyle(probe).color];
        });
    expect(colours[0]).toBe(colours[1]);
});

test('with text of twice the size nothing is wider than the screen, and the phone’s buttons are in reach', async ({
    page,
    phone,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Large Wren');
    const wider = (of: Page): Promise<number> =>
        of.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    for (const path of ['/my', '/my/diary', '/my/progress', '/my/sheet', '/my/settings']) {
        await mine.goto(path);
        await expect(mine.getByRole('heading').first()).toBeVisible();
        await mine.evaluate(() => document.documentElement.style.setProperty('font-size', '200%'));
        expect(await wider(mine), path).toBeLessThanOrEqual(0);
    }
    for (const room of ['', '/bench', '/record']) {
        await page.goto(`${record}${room}`);
        await page.evaluate(() => document.documentElement.style.setProperty('font-size', '200%'));
        expect(await wider(page), room).toBeLessThanOrEqual(0);
    }
});
