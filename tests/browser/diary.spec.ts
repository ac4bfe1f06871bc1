import { expect, expectNoAxeViolations, readyPatient, sent, test } from './support';

test('a day is written in the diary, seen in the chart, and read by the practitioner in the session', async ({
    page,
    phone,
    watcher,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Diary Wren');
    await page.goto(`${record}/measure`);
    await page.getByLabel('Symptom to rate').fill('evening tension');
    await page.getByRole('button', { name: 'add it' }).click();
    await expect(page.getByRole('row', { name: /^Evening tension/ })).toBeVisible();

    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    await mine.getByRole('link', { name: 'Diary' }).click();
    await expect(mine.getByRole('heading', { name: 'Diary' })).toBeFocused();
    await expect(mine.getByText('Nobody reads this between visits')).toBeVisible();
    await mine.getByRole('button', { name: 'Keep this day' }).click();
    await expect(mine.getByText('Rate something or write a line first.')).toBeVisible();
    await mine.getByRole('group', { name: 'Evening tension' }).getByRole('button', { name: '6', exact: true }).click();
    await mine
        .getByRole('group', { name: 'How did you sleep?' })
        .getByRole('button', { name: '4', exact: true })
        .click();
    await mine.getByLabel('A line, if you like').fill('Wind all night');
    await mine.context().setOffline(true);
    await mine.getByRole('button', { name: 'Keep this day' }).click();
    await expect(mine.getByText('Kept on this device; it is sent when there is a network.')).toBeVisible();
    const taken = sent(mine, 'diary');
    await mine.context().setOffline(false);
    expect(await taken).toBe('stored');
    await expect(mine.getByText('Kept.')).toBeVisible();
    await mine.getByText('Yesterday', { exact: true }).click();
    await expect(mine.getByLabel('A line, if you like')).toHaveValue('');
    await mine.getByRole('group', { name: 'Evening tension' }).getByRole('button', { name: '8', exact: true }).click();
    await mine.getByRole('button', { name: 'Keep this day' }).click();
    await expect(mine.getByText('Kept.')).toBeVisible();
    await expect(mine.getByRole('img', { name: 'evening tension over the last four weeks, 0 to 10' })).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.reload();
    await expect(mine.getByLabel('A line, if you like')).toHaveValue('Wind all night');
    await mine.goBack();
    await expect(mine.getByRole('button', { name: 'Lock' })).toBeVisible();

    await page.goto(record);
    await page.getByRole('button', { name: 'Begin a session' }).click();
    await page
        .getByRole('navigation', { name: 'Steps of the session' })
        .getByRole('link', { name: /^Catch up/ })
        .click();
    await expect(page.getByRole('cell', { name: 'Wind all night' })).toBeVisible();
    await expect(page.getByRole('rowheader', { name: /, late$/ })).toBeVisible();
});
