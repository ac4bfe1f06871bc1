import type { Locator, Page, TestInfo } from '@playwright/test';
import { addPatient, expect, expectNoAxeViolations, expectToFit, newName, signIn, test } from '../support';

/** A day some weeks from now, so that nothing of the demo, of other tests and of an earlier try stands there. */
function weeksAhead(weeks: number, { retry, repeatEachIndex }: TestInfo): string {
    const days = (weeks + 5 * retry + 11 * repeatEachIndex) * 7;
    return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}

const boxOf = (page: Page, name: string): Locator => page.getByRole('button', { name: new RegExp(`^${name}, `) });

async function giveAppointment(page: Page, name: string, time: string): Promise<void> {
    await page.getByRole('button', { name: 'New appointment' }).click();
    const dialog = page.getByRole('dialog', { name: 'New appointment' });
    await dialog.getByLabel('Patient').fill(name);
    await expect(dialog.getByRole('radio', { name: new RegExp(`^${name}`) })).toBeChecked();
    await dialog.getByLabel('Kind').selectOption('review');
    await dialog.getByLabel('Time', { exact: true }).fill(time);
}

test('appointments are given, moved by keys and by hand, put back and taken back', async ({
    page,
    watcher,
}, testInfo) => {
    watcher.expect(/answer: 422 /);
    await signIn(page);
    const name = newName('Wendell Keys');
    await addPatient(page, name);
    await page.goto(`/week?of=${weeksAhead(6, testInfo)}`);

    // Who comes has to be said; two of a series, a week apart.
    await page.getByRole('button', { name: 'New appointment' }).click();
    const dialog = page.getByRole('dialog', { name: 'New appointment' });
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(dialog.getByText('Choose who comes.')).toBeVisible();
    await expect(dialog.getByLabel('Patient')).toBeFocused();
    await expectNoAxeViolations(page);
    await dialog.getByLabel('Patient').fill(name);
    await expect(dialog.getByRole('radio')).toBeChecked();
    // Somebody who has never come: a first one, as long as these are here.
    await expect(dialog.getByLabel('Kind')).toHaveValue('first');
    await expect(dialog.getByLabel('Minutes')).toHaveValue('60');
    await dialog.getByLabel('Kind').selectOption('review');
    await expect(dialog.getByLabel('Minutes')).toHaveValue('45');
    // Nobody stays chosen behind a list of others.
    await dialog.getByLabel('Patient').fill('pen');
    await expect(dialog.getByRole('radio', { name: /^Silas Penrose/ })).toBeVisible();
    await expect(dialog.getByRole('radio', { checked: true })).toHaveCount(0);
    await dialog.getByLabel('Patient').fill(name);
    await expect(dialog.getByRole('radio', { name: new RegExp(`^${name}`) })).toBeChecked();
    await expect(dialog.getByLabel('Kind')).toHaveValue('review');
    await dialog.getByLabel('Time', { exact: true }).fill('half past');
    await dialog.getByLabel('Several, at the same time of the same weekday').check();
    await dialog.getByLabel('How many in all').fill('2');
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(dialog.getByText('Write the time like 10:30.')).toBeVisible();
    await dialog.getByLabel('Time', { exact: true }).fill('9.00');
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(/^2 appointments, the first: Mon .*, 09:00 with Nora Ashgrove\./)).toBeVisible();
    const box = boxOf(page, name);
    await expect(box).toHaveAccessibleName(/review, Mon .*, 09:00 to 09:45, with Nora Ashgrove$/);
    await expectNoAxeViolations(page);

    // Keys: what is not kept goes back.
    await box.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await expect(box).toHaveAccessibleName(/09:20 to 10:05/);
    await page.keyboard.press('Escape');
    await expect(box).toHaveAccessibleName(/09:00 to 09:45/);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowDown');
    await expect(box).toHaveAccessibleName(/Mon .*, 09:15 to 10:00, with Tamsin Orrick$/);
    await page.keyboard.press('ArrowDown');
    await expect(box).toHaveAccessibleName(/Tue .*, 09:15 to 10:00, with Idris Penwarden$/);
    await expect(box).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Moved: Tue .*, 09:15 with Idris Penwarden\./)).toBeVisible();
    await expect(box).toBeFocused();
    await page.reload();
    await expect(box).toHaveAccessibleName(/Tue .*, 09:15 to 10:00, with Idris Penwarden$/);
    await box.focus();
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Tab');
    await expect(box).toHaveAccessibleName(/09:15 to 10:00/);

    // By hand, and put back.
    const from = await box.boundingBox();
    const lanes = page.getByRole('region', { name: /^Mon / }).locator('.lane');
    const to = await lanes.filter({ hasText: 'Tamsin' }).locator('ul').boundingBox();
    if (!from || !to) throw new Error('A box or a lane is not drawn.');
    await page.mouse.move(from.x + 10, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(from.x + 150, to.y + 8, { steps: 6 });
    await page.mouse.up();
    await expect(page.getByText(/^Moved: Mon .*, 10:\d\d with Tamsin Orrick\./)).toBeVisible();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(box).toHaveAccessibleName(/Tue .*, 09:15 to 10:00, with Idris Penwarden$/);
    await expect(page.getByRole('button', { name: 'Put it back' })).toHaveCount(0);

    // Opened, both are taken back, and nothing of it is left.
    await box.click();
    const opened = page.getByRole('dialog', { name });
    await opened.getByLabel('The later ones of this series as well').check();
    await opened.getByRole('button', { name: 'Take it back' }).click();
    await opened.getByRole('button', { name: 'Yes, take it back' }).click();
    await expect(page.getByText('2 appointments are taken back.')).toBeVisible();
    await expect(box).toHaveCount(0);
});

test('the Week shows what meets and who is away, leads to the Course and back, and fits every size', async ({
    page,
}, testInfo) => {
    await signIn(page);
    const names = [newName('Twyla First'), newName('Tobit Second')];
    const records: string[] = [];
    for (const name of names) records.push(await addPatient(page, name));
    await page.goto(`/week?of=${weeksAhead(9, testInfo)}`);
    await giveAppointment(page, names[0] ?? '', '11:00');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(boxOf(page, names[0] ?? '')).toBeVisible();

    // An empty place of a lane, with the mouse: its day, time and person are there already.
    const lane = page.locator('[data-day]').nth(1);
    const at = await lane.boundingBox();
    if (!at) throw new Error('A lane is not drawn.');
    await page.mouse.click(at.x + at.width * 0.75, at.y + at.height / 2);
    const dialog = page.getByRole('dialog', { name: 'New appointment' });
    await expect(dialog.getByLabel('Time', { exact: true })).toHaveValue(/^14:(30|45)$/);
    await expect(dialog.getByLabel('With')).toHaveValue(/\d+/);
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);

    await giveAppointment(page, names[1] ?? '', '11:30');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(`Nora Ashgrove also sees ${names[0] ?? ''}`)).toBeVisible();
    await expect(boxOf(page, names[1] ?? '')).toContainText('twice');

    await page.getByRole('button', { name: 'Away', exact: true }).click();
    const away = page.getByRole('dialog', { name: 'Away' });
    await away.getByLabel('At', { exact: true }).fill('13:00');
    await away.getByLabel('Until what time').fill('12:00');
    await away.getByRole('button', { name: 'Keep' }).click();
    await expect(away.getByText('The end has to come after the beginning.')).toBeVisible();
    await away.getByLabel('Until what time').fill('15:00');
    await away.getByLabel('What colleagues read').fill('at the library');
    await away.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Nora Ashgrove is away then.')).toBeVisible();
    const absence = page.getByRole('button', { name: 'away, at the library' });
    await expect(absence).toBeVisible();
    for (const [width, height] of [
        [1280, 800],
        [1024, 768],
        [820, 1180],
        [390, 844],
        [320, 640],
    ] as const) {
        await page.setViewportSize({ width, height });
        await expectToFit(page);
        await expectNoAxeViolations(page);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
    await absence.click();
    await page.getByRole('button', { name: 'Is there after all' }).click();
    await expect(absence).toHaveCount(0);

    // From here to the Course and back; the Course leads to the week of the next one.
    await boxOf(page, names[1] ?? '').click();
    await page.getByRole('link', { name: 'Open the Course' }).click();
    await page.waitForURL(`**${records[1] ?? ''}`);
    await page.goBack();
    await expect(boxOf(page, names[1] ?? '')).toBeVisible();
    await page.goForward();
    await page.getByRole('link', { name: 'Its week' }).click();
    await expect(boxOf(page, names[1] ?? '')).toBeVisible();
    await page.getByLabel('Whose').selectOption({ label: 'Idris Penwarden' });
    await expect(boxOf(page, names[1] ?? '')).toHaveCount(0);
    await page.goBack();
    await expect(boxOf(page, names[1] ?? '')).toBeVisible();
});
