import { expect, promised, expectNoAxeViolations, signIn, test } from './support';

test('a proposal that waits is found in the Caseload, read with its evidence, declined only with a reason, and accepted', async ({
    page,
    watcher,
}) => {
    watcher.expect(/^answer: 422/);
    await signIn(page);
    await expect(page.getByRole('region', { name: 'Today’s appointments' })).toBeVisible();
    await page.getByLabel('Why').selectOption('proposal-waiting');
    // Whoever of them was not accepted by an earlier try.
    const waiting = page
        .getByRole('listitem')
        .filter({ hasText: 'Step up' })
        .filter({ hasText: new RegExp(`${promised('step-up')}|${promised('step-up-of-a-colleague')}`) });
    await waiting.last().getByRole('link').click();
    const proposal = page.getByRole('region', { name: /^Proposal for/ });
    await expect(proposal).toContainText('% practised, smooth in');
    await expect(proposal).toHaveAttribute('title', 'PROPOSE-STEP-UP');
    await expectNoAxeViolations(page);

    // By keyboard: the axis reads out day by day, and stands as a table.
    const reader = page.getByRole('slider', { name: 'Read out a day' });
    await reader.focus();
    await page.keyboard.press('Home');
    await expect(reader).toHaveAttribute('aria-valuenow', '0');
    await page.keyboard.press('ArrowRight');
    await expect(reader).toHaveAttribute('aria-valuetext', /Version 1/);
    await page.getByText('The same as a table').click();
    await expect(
        page.getByRole('table', { name: 'The Course, day by day, latest first' }).getByRole('row'),
    ).not.toHaveCount(1);
    await page.getByRole('link', { name: '2 weeks' }).click();
    await expect(page).toHaveURL(/span=2w/);
    await page.goBack();
    await expect(page.getByRole('link', { name: '3 months' })).toHaveAttribute('aria-current', 'true');

    await proposal.getByRole('button', { name: 'Decline' }).click();
    await proposal.getByRole('button', { name: 'Decline' }).click();
    await expect(proposal.getByText('Say in a few words why not.')).toBeVisible();
    await proposal.getByRole('button', { name: 'Not yet' }).click();
    await proposal.getByRole('button', { name: 'Accept' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Version 2 issued; in force from/)).toBeVisible();
    await expect(page.locator('[data-version="2"]')).toBeVisible();
    await page.reload();
    await expect(page.locator('[data-adherence="2"]')).toContainText('Step up accepted.');
});

test('the next appointment is set, a programme is closed, and the clinic sees what became of its patients', async ({
    page,
    watcher,
}) => {
    watcher.expect(/^answer: 422/);
    await signIn(page);
    await page.getByRole('link', { name: new RegExp(`^${promised('review-overdue')}`) }).click();
    await page.getByRole('button', { name: /^(Set one|Move)$/ }).click();
    await page.getByLabel('Day', { exact: true }).fill('2020-01-01');
    await page.getByLabel('Time', { exact: true }).fill('10:00');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('That time is over.')).toBeVisible();
    const tomorrow = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('Day', { exact: true }).fill(tomorrow);
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText(/^(Appointment|Moved): /)).toBeVisible();
    await page.getByText('Close the programme').click();
    await page.getByRole('button', { name: 'Close it' }).click();
    await expect(page.getByText('Choose how it ended.')).toBeVisible();

    await page.getByRole('link', { name: 'Clinic', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'What became of our patients' })).toBeVisible();
    await expect(page.getByRole('row', { name: /^Extended exhale/ })).toContainText('of');
    await page.getByLabel('In an emergency, patients read').fill('Help');
    await page.getByRole('button', { name: 'Keep these' }).click();
    await expect(page.getByText('Say whom to call and when, in a sentence.')).toBeVisible();
    await page.getByLabel('With thoughts of suicide, patients are told to call').fill('the vicar');
    await page.getByRole('button', { name: 'Keep these' }).click();
    await expect(page.getByText('Write the number, and whose it is.')).toBeVisible();
    await expectNoAxeViolations(page);
});

test('a finished programme is read again and kept up on fewer days, without an end', async ({ page, watcher }) => {
    watcher.expect(/^answer: 422/);
    await signIn(page);
    // Whoever of them was not kept up by an earlier try.
    await page.getByRole('combobox', { name: 'Why' }).selectOption({ label: 'finished' });
    const finished = page.getByRole('listitem').filter({ hasText: 'was the outcome of the programme; it is closed.' });
    const name = (await finished.first().getByRole('link').first().innerText()).trim();
    await finished.first().getByRole('link').first().click();
    await expect(page.getByText('this programme was closed on')).toBeVisible();
    await expect(page.locator('[data-version="1"]')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Proposals' })).toHaveCount(0);
    await expect(page.getByRole('heading', { name: 'Latest practices' })).toBeVisible();
    await expectNoAxeViolations(page);
    await page.locator('[data-version="1"]').click();
    await expect(page.getByText(/^Issued by/)).toBeVisible();
    await page.goBack();

    await page.getByRole('link', { name: 'Keep it up' }).click();
    await expect(page.getByText('Kept up, without an end')).toBeVisible();
    await expect(page.getByLabel('Weeks')).toHaveCount(0);
    for (const [day, pressed] of [
        ['Monday', true],
        ['Tuesday', false],
        ['Wednesday', true],
        ['Friday', true],
        ['Sunday', false],
    ] as const)
        await expect(page.getByRole('button', { name: new RegExp(`^${day}, `), pressed })).toHaveCount(1);
    await page.getByLabel('Rated each time').fill('');
    await page.getByRole('button', { name: 'Issue version 1' }).click();
    await expect(page.getByText('Name what the patient rates before and after, like tension.')).toBeVisible();
    await page.getByLabel('Rated each time').fill('wakefulness');
    await page.reload();
    await expect(page.getByText('What you had typed is back.')).toBeVisible();
    await expect(page.getByLabel('Rated each time')).toHaveValue('wakefulness');
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: 'Issue version 1' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Issue version 1 now' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('This programme keeps up what was reached.')).toBeVisible();
    await page.getByRole('navigation', { name: 'Programmes' }).getByRole('link').click();
    await expect(page.getByText('this programme was closed on')).toBeVisible();
    await page.getByRole('link', { name: 'To the running one' }).click();
    await expect(page.getByText('This programme keeps up what was reached.')).toBeVisible();
    await page.getByRole('link', { name: 'Caseload' }).click();
    // It is as it was left: those that are finished. Sixty are shown at once, and other tests add patients too.
    await page.getByRole('button', { name: 'Show all', exact: true }).click();
    await page.getByRole('searchbox', { name: 'Find' }).fill(name);
    await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText(
        'has begun; nothing has been due yet',
    );
});
