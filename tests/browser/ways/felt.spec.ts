import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join as pathOf } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, expectNoAxeViolations, expectToFit, join, keepPractice, newName, sent, test } from '../support';
import { prescribed, quickLink, quickSignIn } from './quick';

/** A phone that breathes as it is led: 2.4 s in, 3 s out, 0.6 s rest, and for two breaths not at all. */
function standIn(...how: string[]): string {
    const file = pathOf(tmpdir(), `stand-in-${process.pid}.js`);
    execFileSync('bin/stand-in', ['phone', '--breath', '2.4:0:3:0.6', '--noise', '20', ...how, '--script', file]);
    return readFileSync(file, 'utf8');
}

async function lieDown(phone: Page): Promise<void> {
    await phone
        .getByRole('button', { name: /^Begin/ })
        .first()
        .click();
    await phone.getByRole('button', { name: '6', exact: true }).click();
    await phone.getByRole('button', { name: 'Put the phone on your belly' }).click();
}

/** Exactly ten on a machine with time for it; a busy one leads, or moves, a breath too late now and then. */
const TEN = /You followed (9|10) of 1[12] breaths/;

const mayFeel = (phone: Page) => phone.context().grantPermissions(['accelerometer', 'gyroscope']);

test(
    'a moving phone on the belly follows ten of twelve breaths, and a long press is there to stop',
    { tag: '@alone' },
    async ({ page, phone }) => {
        test.setTimeout(240_000);
        await quickSignIn(page);
        const record = await prescribed(page, newName('Lies'), '12', { position: 'supine-knees-bent', count: 0.6 });
        const mine = await phone.open({ isMobile: true });
        await mine.addInitScript({ content: standIn('--breaths', '10', '--held', '4:12') });
        await join(mine, await quickLink(page, record));
        await mayFeel(mine);
        await lieDown(mine);
        await expect(mine.getByText('just below the navel', { exact: false })).toBeVisible();
        await expectNoAxeViolations(mine);
        await mine.getByRole('button', { name: 'It lies there' }).click();
        await expect(mine.getByText('Breathe in now')).toBeVisible();
        const dark = mine.getByRole('button', { name: 'Press and hold to stop' });
        await expect(dark).toBeVisible();
        await expectNoAxeViolations(mine);
        // A short touch stops nothing.
        await dark.click();
        await expect(dark).toBeVisible();
        const stored = sent(mine, 'trace');
        const done = mine.getByRole('heading', { name: 'Done' });
        const asleep = mine.getByRole('button', { name: 'Tap anywhere if you are awake' });
        // Before midnight, lying, it ends in the dark.
        await expect(done.or(asleep)).toBeVisible({ timeout: 150_000 });
        if (await asleep.isVisible()) await asleep.click();
        await expect(done).toBeVisible();
        expect(await stored).toBe('stored');
        await expect(mine.getByText(TEN)).toBeVisible();
        await expectNoAxeViolations(mine);
        await keepPractice(mine);
        await mine
            .getByRole('link', { name: 'My progress' })
            .or(mine.getByRole('button', { name: 'My progress' }))
            .click();
        await expect(mine.getByText(TEN)).toBeVisible();
    },
);

test('a long press stops a practice that is led by ear, and a refusal or no sense of movement harms nothing', async ({
    page,
    phone,
}) => {
    await quickSignIn(page);
    const record = await prescribed(page, newName('Rests'), '12', { position: 'supine-knees-bent', count: 0.6 });
    const mine = await phone.open({ isMobile: true });
    await join(mine, await quickLink(page, record));
    await lieDown(mine);
    await expect(mine.getByText('may not feel movement here', { exact: false })).toBeVisible();
    await mine.getByRole('button', { name: 'Back' }).click();
    await mayFeel(mine);
    await lieDown(mine);
    await mine.getByRole('button', { name: 'It lies there' }).click();
    await expect(mine.getByText('This device feels no movement', { exact: false })).toBeVisible();
    await mine.getByRole('button', { name: 'Practise without it' }).click();
    await expect(mine.getByRole('button', { name: 'Put the phone on your belly' })).toBeVisible();

    await mine.evaluate(standIn('--breaths', '12'));
    await mine.getByRole('button', { name: 'Put the phone on your belly' }).click();
    await mine.getByRole('button', { name: 'It lies there' }).click();
    const dark = mine.getByRole('button', { name: 'Press and hold to stop' });
    await expect(dark.getByText('2 / 12')).toBeVisible({ timeout: 40_000 });
    await dark.hover();
    await mine.mouse.down();
    await expect(mine.getByText('Keep pressing', { exact: false })).toBeVisible();
    await expect(mine.getByRole('heading', { name: /stopped/i })).toBeVisible();
    await mine.mouse.up();
});

test('held to the chest the own breath is inked over the ridge while it goes on', async ({ page, phone }) => {
    test.setTimeout(180_000);
    await quickSignIn(page);
    const record = await prescribed(page, newName('Held'), '6', { position: 'seated', count: 0.6 });
    const mine = await phone.open({ isMobile: true });
    await mine.addInitScript({ content: standIn('--breaths', '8') });
    await join(mine, await quickLink(page, record));
    await mayFeel(mine);
    await mine
        .getByRole('button', { name: /^Begin/ })
        .first()
        .click();
    await mine.getByRole('button', { name: '6', exact: true }).click();
    await mine.getByRole('button', { name: 'Hold the phone to your chest' }).click();
    await mine.getByRole('button', { name: 'I am holding it' }).click();
    const own = mine.locator('.ridge path.own');
    await expect(own).toBeVisible({ timeout: 60_000 });
    // It goes on with the breath.
    const lengthOf = async (): Promise<number> => ((await own.getAttribute('d')) ?? '').split('L').length;
    await expect.poll(lengthOf).toBeGreaterThan(20);
    await expectNoAxeViolations(mine);
    await expectToFit(mine);
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
});
