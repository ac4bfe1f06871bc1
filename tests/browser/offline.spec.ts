import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import {
    expect,
    expectNoAxeViolations,
    join,
    keepPractice,
    readyOffline,
    readyPatient,
    sent,
    startPlaying,
    test,
} from './support';
import { quickLink } from './ways/quick';

async function openWithPin(phone: Page, pin = '480153'): Promise<void> {
    await phone.getByLabel('PIN', { exact: true }).fill(pin);
}

test('without a network: practise, write the diary, read the sheet, restart the browser, practise again; all of it arrives once', async ({
    page,
    phone,
    watcher,
}) => {
    const { record, phone: first } = await readyPatient(page, phone, 'Offline Wren');
    const context = first.context();
    await readyOffline(first);
    watcher.expect(/ERR_INTERNET_DISCONNECTED/, /ERR_FAILED/);
    await context.setOffline(true);
    await startPlaying(first);
    await expect(first.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
    await first.getByRole('button', { name: 'Keep this' }).click();
    await expect(first.getByText('One entry waits on this device until there is a network: practice.')).toBeVisible();
    await expect(first.getByText('1 of 3 done today')).toBeVisible();
    await first.getByRole('link', { name: 'Diary' }).click();
    await first
        .getByRole('group', { name: 'How did you sleep?' })
        .getByRole('button', { name: '7', exact: true })
        .click();
    await first.getByRole('button', { name: 'Keep this day' }).click();
    await expect(first.getByText('Kept on this device; it is sent when there is a network.')).toBeVisible();
    await first.getByRole('link', { name: 'My sheet' }).click();
    await expect(first.getByText('Sheet 1, from')).toBeVisible();
    await expect(first.getByRole('button', { name: 'Save as PDF' })).toBeDisabled();
    await first.getByRole('link', { name: 'My progress' }).click();
    await expect(first.getByRole('heading', { name: 'What comes next' })).toBeVisible();
    await first.close();

    // The browser is started again, still without a network.
    const second = await phone.openIn(context);
    await second.goto('/my');
    await expect(second.getByRole('heading', { name: 'Your PIN' })).toBeVisible();
    await openWithPin(second, '111222');
    await expect(second.getByText('That is not the PIN. 9 tries are left.')).toBeVisible();
    await openWithPin(second);
    await expect(second.getByText('1 of 3 done today')).toBeVisible();
    await expect(second.getByText('No network: this is how it was when last seen.')).toBeVisible();
    await second.reload();
    await expect(second.getByText('1 of 3 done today')).toBeVisible();
    await startPlaying(second);
    await expect(second.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
    await second.getByRole('button', { name: 'Keep this' }).click();
    await expect(
        second.getByText('3 entries wait on this device until there is a network: practice, diary.'),
    ).toBeVisible();

    // The key to the screen is gone; the device's own credential is enough to deliver. The screen asks for the PIN again.
    watcher.expect(/^answer: 423 GET/);
    await context.clearCookies({ name: 'ivory_pace_screen' });
    const taken = sent(second, 'practice');
    await context.setOffline(false);
    await taken;
    await openWithPin(second);
    await expect(second.getByText('2 of 3 done today')).toBeVisible();
    await expect(second.getByText(/entries wait/)).toHaveCount(0);
    await second.reload();
    await expect(second.getByText('2 of 3 done today')).toBeVisible();

    await page.goto(record);
    await expect(page.getByRole('cell', { name: '2 of 2 breaths' })).toHaveCount(2);
});

test('an answer that is lost on the way makes nothing twice', async ({ page, phone, watcher }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Twice Wren');
    watcher.expect(/ERR_CONNECTION_FAILED/);
    let lost = 0;
    await mine.route('**/api/v1/outbox', async (route) => {
        if (lost++ > 0) return route.continue();
        await route.fetch();
        await route.abort('connectionfailed');
    });
    await startPlaying(mine);
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
    await mine.getByRole('button', { name: 'Keep this' }).click();
    await expect(mine.getByText('One entry is being sent')).toBeVisible();
    const again = sent(mine, 'practice');
    await mine.evaluate(() => window.dispatchEvent(new Event('online')));
    expect(await again).toBe('again');
    await expect(mine.getByText('One entry waits')).toHaveCount(0);
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '2 of 2 breaths' })).toHaveCount(1);
});

test('signing out warns of what waits; what a signed-out device still sends is kept aside and accepted', async ({
    page,
    phone,
    watcher,
}) => {
    const { record, phone: mine, name } = await readyPatient(page, phone, 'Aside Wren');
    await readyOffline(mine);
    await mine.getByRole('link', { name: 'Settings' }).click();
    await expect(mine.getByText('(this one)')).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.getByRole('link', { name: 'Today' }).click();
    watcher.expect(/ERR_INTERNET_DISCONNECTED/, /ERR_FAILED/);
    await mine.context().setOffline(true);
    await startPlaying(mine);
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
    await mine.getByRole('button', { name: 'Keep this' }).click();
    await expect(mine.getByText('One entry waits')).toBeVisible();

    // Meanwhile the practitioner signs the device out.
    await page.goto(`${record}/access`);
    await page
        .getByRole('main')
        .getByRole('button', { name: /^Sign out/ })
        .click();
    await page.getByRole('button', { name: 'Sign it out', exact: true }).click();
    await expect(page.getByText('The device is signed out.')).toBeVisible();
    watcher.expect(/^answer: 401/);
    const taken = sent(mine, 'practice');
    await mine.context().setOffline(false);
    expect(await taken).toBe('kept-aside');

    await page.goto('/');
    await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('from a signed-out device');
    await page.goto(`${record}/access`);
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: /^Accept Practice of/ }).click();
    await expect(page.getByText('Taken into the record.')).toBeVisible();
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '2 of 2 breaths' })).toHaveCount(1);
});

test('the patient signs a device out here, warned of what has not been sent', async ({ page, phone, watcher }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Leaving Wren');
    await mine.route('**/api/v1/outbox', (route) => route.abort('connectionfailed'));
    watcher.expect(/ERR_CONNECTION_FAILED/);
    await mine.getByRole('button', { name: 'Not today' }).click();
    await mine.getByRole('button', { name: 'Busy' }).click();
    await mine.getByRole('link', { name: 'Settings' }).click();
    await mine.getByRole('button', { name: 'Sign out this device' }).click();
    await expect(mine.getByText('One entry has not been sent yet and is lost if you sign out now.')).toBeVisible();
    await mine.getByRole('button', { name: 'Stay signed in' }).click();
    await expect(mine.getByText('One entry has not been sent yet')).toHaveCount(0);
    await mine.getByRole('button', { name: 'Sign out this device' }).click();
    await mine.getByRole('button', { name: 'Sign out all the same' }).click();
    await expect(mine.getByText('Type the code that your practitioner gave you.')).toBeVisible();
    await page.goto(`${record}/access`);
    await expect(page.getByText('None yet.')).toBeVisible();
});

test('a device whose clock is two hours wrong shows the right day and its practices get the right time', async ({
    page,
    phone,
}) => {
    const { record, phone: right } = await readyPatient(page, phone, 'Clock Wren');
    const wrong = await phone.open();
    await wrong.clock.install({ time: Date.now() + 2 * 3_600_000 });
    await join(wrong, await quickLink(page, record));
    await expect(
        wrong.getByText(/The clock of this device is off by (119|120|121) min; times are set right\./),
    ).toBeVisible();
    for (const each of [wrong, right]) {
        await startPlaying(each);
        await expect(each.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
        await keepPractice(each);
    }
    await expect(right.getByText('2 of 3 done today')).toBeVisible();
    const [first, second] = (await right.getByText(/done \d\d:\d\d/).allTextContents()).map((text) => {
        const [hours, minutes] = (/(\d\d):(\d\d)/.exec(text) ?? []).slice(1).map(Number);
        return (hours ?? 0) * 60 + (minutes ?? 0);
    });
    expect(Math.abs((first ?? 0) - (second ?? 999))).toBeLessThan(10);
});

test('the patient’s pages can be installed', async ({ page, phone }) => {
    const { phone: mine } = await readyPatient(page, phone, 'Installing Wren');
    await readyOffline(mine);
    const manifest = await mine.request.get('/my.webmanifest');
    expect(manifest.headers()['content-type']).toContain('application/manifest+json');
    const { icons, scope, start_url } = (await manifest.json()) as {
        icons: { src: string; sizes: string }[];
        scope: string;
        start_url: string;
    };
    expect([scope, start_url]).toEqual(['/my', '/my']);
    for (const icon of icons) {
        const size = await mine.evaluate(async (src) => {
            const image = new Image();
            image.src = src;
            await image.decode();
            return `${image.naturalWidth}x${image.naturalHeight}`;
        }, icon.src);
        expect(size).toBe(icon.sizes);
    }
    const devtools = await mine.context().newCDPSession(mine);
    const { installabilityErrors } = await devtools.send('Page.getInstallabilityErrors');
    // A browser without a profile of its own never installs; nothing else may stand against it.
    expect(installabilityErrors.map((error) => error.errorId).filter((id) => id !== 'in-incognito')).toEqual([]);
});

test('what the first page of a patient loads is at most 75 KB of script and style', async ({ page, phone }) => {
    const { phone: mine } = await readyPatient(page, phone, 'Weighing Wren');
    await mine.goto('/my');
    await expect(mine.getByRole('button', { name: /^Begin/ }).first()).toBeVisible();
    const urls = await mine.evaluate(() =>
        performance
            .getEntriesByType('resource')
            .map((entry) => entry.name)
            .filter((name) => /\/assets\/[^?]+\.(js|css)$/.test(name)),
    );
    const files = await Promise.all([...new Set(urls)].map(async (url) => (await mine.request.get(url)).body()));
    expect(files.length).toBeGreaterThan(5);
    expect(files.reduce((sum, file) => sum + gzipSync(file, { level: 9 }).length, 0)).toBeLessThan(75_000);
});
