import { addPatient, expect, expectNoAxeViolations, join, newName, screen, sent, signIn, test, type } from './support';
import { prescribed, quickLink } from './ways/quick';

test('a patient answers beforehand; a red flag shows the emergency wording at once; the practitioner confirms', async ({
    page,
    phone,
    watcher,
}) => {
    await signIn(page);
    const name = newName('Home Wren');
    const record = await addPatient(page, name);
    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await page.goto(`${record}/screening`);
    await page.getByRole('button', { name: 'Let the patient answer beforehand, on their own device' }).click();
    await expect(page.getByText('The questions wait on the patient’s device.')).toBeVisible();

    await mine.reload();
    await mine.getByRole('button', { name: /^Answer/ }).click();
    await expect(mine.getByRole('heading', { name: 'Before we begin' })).toBeVisible();
    await mine.getByRole('group', { name: 'Do you have asthma?' }).getByLabel('Yes').check();
    // At once, and without a network too.
    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    await mine.context().setOffline(true);
    await mine.getByRole('group', { name: 'Do you have chest pain?' }).getByLabel('Yes').check();
    await expect(mine.getByRole('heading', { name: 'Please get help now' })).toBeVisible();
    await expect(mine.getByText(/Call 112 now/)).toBeVisible();
    await expect(mine.getByText(/Kept on this device; they are sent/)).toBeVisible();
    await expectNoAxeViolations(mine);
    const taken = sent(mine, 'form');
    await mine.context().setOffline(false);
    expect(await taken).toBe('stored');
    await page.goto('/');
    await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText(
        'answered at home; no action recorded.',
    );

    await mine.reload();
    await mine.getByRole('button', { name: /^Go on: 2 of/ }).click();
    await expect(mine.getByRole('heading', { name: 'Before we begin' })).toBeVisible();
    for (const question of await mine.getByRole('group').all()) {
        if ((await question.locator('input:checked').count()) === 0) await question.getByLabel('No').check();
    }
    await expect(mine.getByText('Everything is answered.')).toBeVisible();
    await mine.getByRole('button', { name: 'Send the answers' }).click();
    await expect(mine.getByRole('heading', { name: 'Thank you' })).toBeVisible();
    await mine.getByRole('button', { name: 'Back to Today' }).click();
    await expect(mine.getByText('Your practitioner asks')).toHaveCount(0);

    await page.goto(`${record}/screening`);
    await page.getByLabel('What was done about it').fill('Telephoned: sore ribs after moving a boat, seen by the GP.');
    await page.getByRole('button', { name: 'Record this action' }).click();
    await expect(page.getByText('Say whether practice may go on, or waits.')).toBeVisible();
    await page.getByRole('radio', { name: /^waits/ }).check();
    await page.getByRole('button', { name: 'Record this action' }).click();
    await expect(page.getByText(/· it waits/)).toBeVisible();
    await expectNoAxeViolations(page);
    await page.getByLabel('What was done about it').fill('Lungs and heart clear.');
    await page.getByRole('radio', { name: 'may go on' }).check();
    await page.getByRole('button', { name: 'Record this action' }).click();
    await expect(page.getByRole('region', { name: 'Red flags' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Go through them' }).click();
    await expect(page.getByRole('radiogroup', { name: 'Asthma' }).getByLabel('Yes')).toBeChecked();
    await expect(page.getByText('4 questions open')).toBeVisible();
    await page.getByRole('radiogroup', { name: 'Chest pain?' }).getByLabel('No').check();
    await screen(page);
    await expectNoAxeViolations(page);
    await page.goto(record);
    await expect(page.getByText('asthma')).toBeVisible();
    await expect(page.getByText('A red flag is open')).toHaveCount(0);
});

test('a new flag pauses what needs a reason until someone has looked', async ({ page, phone, watcher }) => {
    watcher.expect(/^answer: 422 POST .*\/(versions|bench\/check)/);
    await signIn(page);
    const name = newName('Recheck Wren');
    const record = await prescribed(page, name);
    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await page.goto(`${record}/bench`);
    await type(page, 'Ratio', '4:12:6');
    await type(page, 'Seconds a count', '1');
    await page.getByLabel('Why it changes').fill('Longer hold.');
    await page.getByRole('button', { name: 'Issue version 2' }).click();
    await page.getByRole('button', { name: 'Issue version 2 now' }).click();
    await expect(page.getByText(/^Version 2 issued/)).toBeVisible();

    await page.goto(`${record}/screening`);
    await page.getByRole('button', { name: 'Anything new? Screen again' }).click();
    await page.getByRole('radiogroup', { name: 'Epilepsy or seizures' }).getByLabel('Yes').check();
    await page.getByRole('button', { name: 'Keep the screening' }).click();
    await expect(page.getByText('Screening kept.')).toBeVisible();
    await page.goto('/');
    await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('is paused until you have looked');
    await mine.reload();
    await expect(mine.getByRole('heading', { name: 'Paused' })).toBeVisible();
    await page.goto(record);
    await expect(page.getByRole('heading', { name: 'New since the programme was issued' })).toBeVisible();
    await expectNoAxeViolations(page);
    await page
        .getByLabel('What you found')
        .fill('Absence seizures as a child, none for years; agreed with the neurologist.');
    await page.getByRole('button', { name: 'I have looked; let it go on' }).click();
    await expect(page.getByRole('heading', { name: 'New since the programme was issued' })).toHaveCount(0);
    await mine.reload();
    await expect(mine.getByRole('button', { name: /^(Begin|Once more)/ }).first()).toBeEnabled();
});

test('a patient of the same name and birth date is asked about once', async ({ page, watcher }) => {
    watcher.expect(/^answer: 422/);
    await signIn(page);
    const name = newName('Same Wren');
    await addPatient(page, name);
    await page.goto('/patients/new');
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.getByLabel('Date of birth', { exact: true }).fill('1984-03-02');
    await page.getByRole('button', { name: 'Add and go to screening' }).click();
    await expect(
        page.getByText(
            /A patient of this name and date of birth is here already, with Nora Ashgrove, added \d+ \w{3} \d{4}\./,
        ),
    ).toBeVisible();
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: 'This is someone else: add anyway' }).click();
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
});
