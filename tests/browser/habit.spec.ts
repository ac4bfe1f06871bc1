import { andAnswered, issued, onTheBench } from './desk';
import { expect, expectNoAxeViolations, join, pick, test, type } from './support';
import { quickLink } from './ways/quick';

test('a habit is ticked through the day, also without a network, and read on the Course', async ({
    page,
    phone,
    watcher,
}) => {
    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    const record = await onTheBench(page, 'Habit Wren');
    await pick(page, 'Noticing');
    const use = page.getByLabel('Planned or as needed');
    await andAnswered(page, () => use.selectOption('a habit to tick'));
    await expect(page.getByText('Say when it is to be used.')).toBeVisible();
    await type(page, 'Use when', 'each hour: is my mouth closed?');
    await type(page, 'Most a day', '3');
    const read = page.getByRole('region', { name: 'As the patient reads it' });
    await expect(read).toContainText('about 3 times a day');
    await expectNoAxeViolations(page);
    await issued(page);

    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    const tick = mine.getByRole('button', { name: /^Tick/ });
    await expect(mine.getByText('0 of 3 today')).toBeVisible();
    await tick.press('Enter');
    await expect(mine.getByText('1 of 3 today')).toBeVisible();
    await mine.context().setOffline(true);
    // A double tap is one.
    await mine.waitForTimeout(1000);
    await tick.dblclick();
    await expect(mine.getByText('2 of 3 today')).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.context().setOffline(false);
    await mine.getByText('Show me how').click();
    await expect(mine.getByText('What may be felt').or(mine.getByText('May be felt'))).toBeVisible();
    await mine.reload();
    await expect(mine.getByText('2 of 3 today')).toBeVisible();

    await expect(async () => {
        await page.goto(record);
        await expect(page.getByText('ticked 2 times, 3 a day agreed')).toBeVisible({ timeout: 2_000 });
    }).toPass({ timeout: 60_000 });
});

test('what goes on as long as it helps is ended when it has helped, and that was the whole', async ({
    page,
    phone,
}) => {
    const record = await onTheBench(page, 'Open Wren');
    await pick(page, 'Noticing');
    await andAnswered(page, () => page.getByLabel('Planned or as needed').selectOption('as long as it helps'));
    await type(page, 'Use when', 'worry comes');
    await expect(page.getByRole('region', { name: 'As the patient reads it' })).toContainText(
        'as long as it helps, at most',
    );
    await issued(page);

    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await mine.getByRole('button', { name: /^Now/ }).click();
    await mine.getByRole('button', { name: 'It has helped: that is enough' }).click({ timeout: 60_000, delay: 50 });
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible();
});
