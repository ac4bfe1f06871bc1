import { expect, issueNow, newName, pick, screen, signIn, test, type } from './support';
import { prescribed, screened } from './ways/quick';

test('what is typed survives a reload, Back and a lost network', async ({ page, watcher }) => {
    await signIn(page);
    const record = await screened(page, newName('Typing Wren'));
    await page.goto(`${record}/bench`);
    await type(page, 'Ratio', '3:0:7:1');
    await page.getByLabel('Weeks').fill('6');
    await page.reload();
    await expect(page.getByText('What you had typed is back.')).toBeVisible();
    expect(await page.getByLabel('Ratio').inputValue()).toBe('3:0:7:1');
    expect(await page.getByLabel('Weeks').inputValue()).toBe('6');
    await page.getByRole('link', { name: 'Course' }).click();
    const asked = page.getByRole('dialog', { name: 'This programme is not issued' });
    await asked.getByRole('button', { name: 'Stay here' }).click();
    await expect(asked).toBeHidden();
    await page.getByRole('link', { name: 'Course' }).click();
    await asked.getByRole('button', { name: 'Go on without issuing' }).click();
    await expect(page.getByText(/No programme yet/)).toBeVisible();
    await page.goBack();
    await expect(page.getByLabel('Ratio')).toHaveValue('3:0:7:1');

    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    await page.context().setOffline(true);
    await page.getByLabel('Breaths', { exact: true }).fill('9');
    await expect(page.getByText(/No connection to Ivory Pace/)).toBeVisible();
    await page.getByRole('button', { name: 'Issue version 1' }).click();
    await expect(page.getByText(/No connection to Ivory Pace/).first()).toBeVisible();
    await page.context().setOffline(false);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByText(/one practice, 9 breaths/)).toBeVisible();
    await page.getByRole('button', { name: 'Start again' }).click();
    await expect(page.getByLabel('Ratio')).toHaveValue('4:0:5:1');
});

test('an anchor that is chosen while an answer is under way is not lost to it', async ({ page }) => {
    await signIn(page);
    const record = await screened(page, newName('Anchor Wren'));
    await page.goto(`${record}/bench`);
    await type(page, 'Practices a day', '2');
    let letGo: () => void = () => undefined;
    const held = new Promise<void>((resolve) => {
        letGo = resolve;
    });
    await page.route('**/bench/answer', async (route) => {
        const response = await route.fetch();
        await held;
        await route.fulfill({ response });
    });
    const asked = page.waitForRequest((request) => request.url().endsWith('/bench/answer'));
    await page.getByLabel('Breaths', { exact: true }).fill('7');
    await asked;
    await page.getByLabel('Anchor 1').selectOption('own');
    letGo();
    await expect(page.getByText(/Name the habit/).first()).toBeVisible();
    await expect(page.getByLabel('Anchor 1')).toHaveValue('own');
});

test('wrong input is named beside its field and nothing typed is lost', async ({ page, watcher }) => {
    watcher.expect(/^answer: 422 POST .*\/(versions|bench\/check)/);
    await signIn(page);
    await page.goto('/patients/new');
    const name = newName('Wrong Wren');
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.getByLabel('Date of birth', { exact: true }).fill('2999-01-01');
    await page.getByRole('button', { name: 'Add and go to screening' }).click();
    await expect(page.getByText('The date of birth is in the future.')).toBeVisible();
    expect(await page.getByLabel('Name', { exact: true }).inputValue()).toBe(name);
    await page.getByLabel('Date of birth', { exact: true }).fill('1990-01-01');
    await page.getByRole('button', { name: 'Add and go to screening' }).click();

    await page.getByRole('radiogroup', { name: 'Chest pain?' }).getByLabel('No').check();
    await page.getByRole('button', { name: 'Keep the screening' }).click();
    await expect(page.getByRole('alert')).toContainText('54 questions are not answered yet.');
    await page.reload();
    await expect(page.getByRole('radiogroup', { name: 'Chest pain?' }).getByLabel('No')).toBeChecked();
    await screen(page);

    await page.getByRole('link', { name: 'To the Bench' }).click();
    await type(page, 'Ratio', '4:7-8');
    await expect(page.getByText(/mixes colons and dashes/)).toBeVisible();
    await type(page, 'Ratio', '4:0:5:1');
    await type(page, 'Breaths', '0');
    await expect(page.getByText('0 breaths is outside 1 to 200.')).toBeVisible();
    await page.getByRole('button', { name: 'Issue version 1' }).click();
    await expect(page.getByText('0 breaths is outside 1 to 200.').last()).toBeVisible();
    await type(page, 'Breaths', '12');
    await type(page, 'Practices a day', '40');
    await expect(page.getByText('40 practices a day is outside 1 to 9.')).toBeVisible();
    await type(page, 'Practices a day', '5');
    await expect(page.getByLabel('Anchor 5')).toBeVisible();
    await page.getByRole('button', { name: 'Sunday, before lunch' }).click();
    await expect(page.getByRole('img', { name: /Saturday 10, Sunday 8/ })).toBeVisible();
    await page.getByLabel('on waking, from').fill('7');
    await page.getByLabel('on waking, from').blur();
    await expect(page.getByText('“7” is not a time of day; write it like 07:30.')).toBeVisible();
    await page.getByLabel('on waking, from').fill('07:00');
    await page.getByLabel('on waking, from').blur();
    await expect(page.getByText('is not a time of day')).toHaveCount(0);
    await page.getByLabel('Review on', { exact: true }).fill('2020-01-01');
    await page.getByRole('button', { name: 'Issue version 1' }).click();
    await expect(page.getByText(/The review cannot be before/)).toBeVisible();
});

test('the other technique, and a needs-reason finding with its typed reason', async ({ page, watcher }) => {
    watcher.expect(/^answer: 422 POST .*\/(versions|bench\/check)/);
    await signIn(page);
    const record = await screened(page, newName('Reason Wren'), { yes: ['COPD'] });
    await page.goto(`${record}/bench`);
    await pick(page, 'Diaphragmatic breathing');
    await expect(page.getByText('3:00', { exact: true })).toBeVisible();
    await type(page, 'Minutes', '4.5');
    await expect(page.getByText('4:30', { exact: true })).toBeVisible();
    await pick(page, 'Extended exhale');
    await type(page, 'Ratio', '4:12:6');
    await expect(page.getByText('Needs a reason', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Issue version 1' }).click();
    await expect(page.getByText(/needs a clinical reason, or one of the changes/)).toBeVisible();
    await page.getByLabel('Or why it is right for this patient').fill('Trained diver, agreed with the chest clinic.');
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    await page.goto(`${record}/versions/1`);
    await expect(page.getByText('Trained diver, agreed with the chest clinic.')).toBeVisible();
    await expect(page.getByText(/Nora Ashgrove, \d+ \w+ \d+ · HOLD-LONG/)).toBeVisible();
});

test('the second of two practitioners on the same draft is told', async ({ page, browser, baseURL }) => {
    await signIn(page);
    const record = await prescribed(page, newName('Shared Wren'));
    const other = await (await browser.newContext({ baseURL: baseURL ?? '', locale: 'en-GB' })).newPage();
    await signIn(other, 'idris@harrowquay.example');
    await other.goto(`${record}/bench`);
    await type(other, 'Ratio', '4:0:7:1');
    await other.getByLabel('Why it changes').fill('Longer.');

    await page.goto(`${record}/bench`);
    await type(page, 'Ratio', '4:0:6:1');
    await page.getByLabel('Why it changes').fill('Next rung.');
    await page.getByRole('button', { name: 'Issue version 2', exact: true }).click();
    await page.getByRole('button', { name: 'Issue version 2 now' }).click();
    await expect(page.getByText(/^Version 2 issued/)).toBeVisible();

    await other.getByRole('button', { name: 'Issue version 2', exact: true }).click();
    await expect(other.getByText(/Version 2 was issued by Nora Ashgrove meanwhile/)).toBeVisible();
    expect(await other.getByLabel('Ratio').inputValue()).toBe('4:0:7:1');
    await other.context().close();
});
