import { expect, expectNoAxeViolations, issueFast, issueNow, join, newName, signIn, test, type } from './support';
import { screened, quickLink } from './ways/quick';
import type { Locator, Page } from '@playwright/test';

async function onTheBench(page: Page, stem: string, flags: string[] = []): Promise<string> {
    await signIn(page);
    const record = await screened(page, newName(stem), { yes: flags, minutes: '20' });
    await page.goto(`${record}/bench`);
    return record;
}

const answered = (page: Page) => page.waitForResponse((response) => response.url().endsWith('/bench/answer'));
const items = (page: Page) => page.getByRole('region', { name: 'In this programme' }).getByRole('listitem');

/** What was opened or found is not under the bar that stays in view. */
async function expectAboveBar(page: Page, what: Locator): Promise<void> {
    await expect(what).toBeVisible();
    await expect
        .poll(async () => {
            const [found, bar] = [await what.boundingBox(), await page.locator('.issue-bar').boundingBox()];
            return (found?.y ?? 0) + (found?.height ?? 0) <= (bar?.y ?? 0);
        })
        .toBe(true);
}

test('a programme of three items with a routine is built by keyboard, reordered, and reaches the phone', async ({
    page,
    phone,
}) => {
    const record = await onTheBench(page, 'Three Wren', ['COPD']);
    await type(page, 'Ratio', '2:4');
    await page.getByLabel('Position').selectOption('seated');

    // What is missing for COPD is one press away.
    let next = answered(page);
    await page.getByRole('button', { name: 'add forward-lean recovery, as needed' }).press('Enter');
    await next;
    await expect(items(page)).toHaveCount(2);
    await expect(page.getByLabel('Use when')).toHaveValue('breath is short');
    next = answered(page);
    await page.getByLabel('Add a routine').selectOption({ label: 'The end of a shift' });
    await next;
    await expect(items(page)).toHaveCount(3);
    next = answered(page);
    await page.getByRole('button', { name: 'up', exact: true }).first().press('Enter');
    await next;
    await expect(items(page).nth(1)).toContainText('The end of a shift');
    await expect(page.getByRole('heading', { name: 'Nothing for sudden breathlessness' })).toHaveCount(0);
    await expectNoAxeViolations(page);

    await page.getByRole('button', { name: 'Goal' }).press('Enter');
    await page.getByLabel('What is measured').fill('breathlessness');
    await page.getByLabel('Target').fill('3');
    await page.getByRole('button', { name: 'Issue version 1' }).press('Enter');
    await page.getByRole('button', { name: 'Issue version 1 now' }).press('Enter');
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    await page.goto(`${record}/versions/1`);
    await expect(page.getByText('breathlessness at most 3')).toBeVisible();

    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await expect(mine.getByText('When: breath is short. At most 10 times a day.')).toBeVisible();
    await mine.getByRole('region', { name: 'When breath is short' }).getByRole('button').click();
    await expect(mine.locator('[data-cue="exhale"]')).toHaveText('out, pursed lips, first', { timeout: 15_000 });
    await expect(mine.locator('[data-cue="free"]')).toBeVisible({ timeout: 15_000 });
    await mine.getByRole('button', { name: 'Tap when it ends' }).click();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 15_000 });
});

test('undo and redo, by key and button; a reload keeps the whole programme', async ({ page }) => {
    const record = await onTheBench(page, 'Undo Wren');
    await type(page, 'Ratio', '4:0:6:1');
    await page.waitForTimeout(900);
    const next = answered(page);
    await page.getByRole('button', { name: 'copy', exact: true }).click();
    await next;
    await expect(items(page)).toHaveCount(2);
    await page.waitForTimeout(900);
    await page.keyboard.press('Control+z');
    await expect(items(page)).toHaveCount(1);
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByLabel('Ratio')).toHaveValue('4:0:5:1');
    await page.keyboard.press('Control+Shift+Z');
    await expect(page.getByLabel('Ratio')).toHaveValue('4:0:6:1');
    await page.getByRole('button', { name: 'redo' }).click();
    await expect(items(page)).toHaveCount(2);
    await page.reload();
    await expect(page.getByText('What you had typed is back.')).toBeVisible();
    await expect(items(page)).toHaveCount(2);
    await expect(page.getByLabel('Ratio')).toHaveValue('4:0:6:1');

    // Two of the same exercise are two exercises, everywhere.
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    await page.goto(record);
    await expect(page.getByRole('heading', { name: /^Extended exhale/ })).toHaveCount(2);
});

test('a phase is dragged on the ridge, by pointer and by arrow keys', async ({ page }) => {
    await onTheBench(page, 'Drag Wren');
    const handle = page.getByRole('slider', { name: 'Exhale, counts' });
    await expect(handle).toHaveAttribute('aria-valuenow', '5');
    const box = await handle.boundingBox();
    if (!box) throw new Error('no handle');
    const x = box.x + box.width / 2;
    const y = box.y + box.height / 2;
    await page.mouse.move(x, y);
    await page.mouse.down();
    // Ten counts are 640 units wide: two counts to the right.
    await page.mouse.move(x + 60, y, { steps: 4 });
    await expect(page.locator('.ghost')).toBeVisible();
    const dragged = answered(page);
    await page.mouse.move(x + 128, y, { steps: 4 });
    await page.mouse.up();
    await dragged;
    await expect(page.getByLabel('Ratio')).toHaveValue('4:0:7:1');
    const pressed = answered(page);
    await page.getByRole('slider', { name: 'Inhale, counts' }).press('ArrowLeft');
    await pressed;
    await expect(page.getByLabel('Ratio')).toHaveValue('3.5:0:7:1');

    // Numbers step by arrow key and by pointer.
    let stepped = answered(page);
    await page.getByLabel('Breaths', { exact: true }).press('ArrowUp');
    await stepped;
    await expect(page.getByLabel('Breaths', { exact: true })).toHaveValue('13');
    await page.getByLabel('Seconds a count', { exact: true }).focus();
    stepped = answered(page);
    await page.getByRole('button', { name: 'Seconds a count, less' }).click();
    await stepped;
    await expect(page.getByLabel('Seconds a count', { exact: true })).toHaveValue('0.95');
});

test('counts are tapped, breaths fitted, compared and played in the room', async ({ page, watcher }) => {
    watcher.expect(/^answer: 422 POST .*\/bench\/(fit|compare)/);
    await onTheBench(page, 'Tools Wren');
    await page.getByRole('button', { name: 'Fit, tap' }).click();
    await page.getByRole('button', { name: 'Tap the counts' }).focus();
    for (let tap = 0; tap < 6; tap++) {
        await page.keyboard.press('Space');
        await page.waitForTimeout(700);
    }
    await expect(page.getByText(/s a count from 6 taps, spread \d+ %/)).toBeVisible();
    await page.getByRole('button', { name: /^take 0\.\d+ s$/ }).click();
    await expect(page.getByLabel('Seconds a count', { exact: true })).toHaveValue(/^0\.[6-9]/);
    await page.getByRole('button', { name: 'fit to this patient' }).click();
    await expect(page.getByText(/No comfortable limit has been measured/)).toBeVisible();
    await page.getByLabel('Comfortable exhale, seconds').fill('4');
    await page.getByRole('button', { name: 'fit to this patient' }).click();
    const offer = page.getByRole('button', { name: 'same ratio at 0.8 s a count' });
    await expect(offer).toBeVisible();
    await expectAboveBar(page, offer);
    await offer.click();
    await expect(page.getByLabel('Seconds a count', { exact: true })).toHaveValue('0.8');

    await page.getByRole('button', { name: 'Compare' }).click();
    await page.getByLabel('Ratio to compare with').fill('4:7');
    await page.getByLabel('Seconds a count to compare with').fill('0.8');
    await page.getByRole('button', { name: 'compare', exact: true }).click();
    await expectAboveBar(page, page.getByText('exhale 5.6 → 4 s (−1.6)'));
    await expectNoAxeViolations(page);
    await page.getByLabel('Ratio to compare with').fill('4;7');
    await page.getByRole('button', { name: 'compare', exact: true }).click();
    await expect(page.getByText(/“;” does not belong/)).toBeVisible();

    await page.getByRole('button', { name: 'play it here' }).click();
    const player = page.getByRole('region', { name: 'Playing Extended exhale' });
    await expect(player.locator('[data-cue="exhale"]')).toBeVisible({ timeout: 15_000 });
    await page.keyboard.press('Escape');
    await expect(player).toHaveCount(0);
});

test('a ladder is edited, a rung taken, and what a new version changes is shown before it is issued', async ({
    page,
    watcher,
}) => {
    void watcher;
    const record = await onTheBench(page, 'Ladder Wren');
    await issueFast(page, record, '12');
    await page.goto(`${record}/bench`);
    await page.getByRole('button', { name: 'Steps up', exact: true }).click();
    const ladder = page.getByRole('region', { name: 'Ladder' });
    await expect(ladder.getByText('standing')).toBeVisible();
    let next = answered(page);
    await page.getByRole('button', { name: 'Leave rung 2 out' }).click();
    await next;
    await expect(ladder.getByText('standing')).toHaveCount(0);
    await page.getByLabel('What the rung sets').selectOption('ratio');
    await page.getByLabel('Value of the rung').fill('4:0:99:1');
    next = answered(page);
    await page.getByLabel('Value of the rung').press('Enter');
    await next;
    await expect(page.getByText(/Rung \d+: |goes past the cap/).first()).toBeVisible();
    await page.getByRole('button', { name: 'Make the ladder anew' }).click();
    await expect(ladder.getByText('standing')).toBeVisible();
    next = answered(page);
    await page.getByRole('button', { name: 'Take the next rung now' }).click();
    await next;
    await expect(page.getByLabel('Position')).toHaveValue('standing');

    await page.getByLabel('Why it changes').fill('Steady when seated.');
    await page.getByRole('button', { name: 'Issue version 2', exact: true }).click();
    const preview = page.getByRole('region', { name: 'What version 2 changes' });
    await expect(preview.getByText('position: seated → standing')).toBeVisible();
    await expect(preview.getByLabel(/as the patient reads it/)).toHaveValue(/The position is now: standing\./);
    await expectNoAxeViolations(page);
    await preview.getByRole('button', { name: 'Go on building' }).click();
    await expect(preview).toHaveCount(0);
    await page.getByRole('button', { name: 'Issue version 2', exact: true }).click();
    await preview.getByRole('button', { name: 'Issue version 2 now' }).click();
    await expect(page.getByText(/^Version 2 issued/)).toBeVisible();
});

test('a template is taken and looked at for this patient; a broken file leaves everything as it was', async ({
    page,
}) => {
    const record = await onTheBench(page, 'Template Wren', ['Asthma']);
    await page.getByRole('button', { name: 'Templates, files' }).click();
    await page.getByLabel('Template', { exact: true }).selectOption({ label: 'Breathlessness on effort' });
    let next = answered(page);
    await page.getByRole('button', { name: 'take it' }).click();
    await next;
    await expect(items(page)).toHaveCount(3);
    const name = newName('Kept');
    await page.getByLabel('Name of the template').fill(name);
    await page.getByRole('button', { name: 'keep as a template' }).click();
    await expect(page.getByText(`Kept as “${name}”.`)).toBeVisible();

    const file = (text: string) => ({
        name: 'programme.json',
        mimeType: 'application/json',
        buffer: Buffer.from(text),
    });
    await page
        .getByLabel('Read a programme file')
        .setInputFiles(
            file(
                '{ "format": "ivory-pace-programme", "version": 1, "school": "gentle-control", "weeks": 4, "rated_symptom": "x", "goal": null, "items": [ { "technique": "square", "ratio": "4:x" } ] }',
            ),
        );
    await expect(page.getByText('The file cannot be taken; nothing of it was.')).toBeVisible();
    await expect(page.getByText('/items/0/ratio')).toBeVisible();
    await expect(items(page)).toHaveCount(3);
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();

    await page.goto(`${record}/bench`);
    await page.getByRole('button', { name: 'Templates, files' }).click();
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'write the version in force to a file' }).click(),
    ]);
    const written = await (await download.createReadStream()).toArray();
    const text = Buffer.concat(written as Buffer[]).toString();
    expect(text).toContain('"technique": "pursed-exhale"');
    next = answered(page);
    await page.getByLabel('Read a programme file').setInputFiles(file(text));
    await next;
    await expect(page.getByText(/The file is on the Bench/)).toBeVisible();
    await page.getByLabel('Template', { exact: true }).selectOption({ label: `${name} (own)` });
    await page.getByRole('button', { name: 'delete it' }).click();
    await expect(
        page.getByLabel('Template', { exact: true }).getByRole('option', { name: `${name} (own)` }),
    ).toHaveCount(0);
});
