import { expect, expectNoAxeViolations, expectToFit, newName, signIn, test } from '../support';
import { screened } from './quick';
import { issued } from '../desk';

test('a letter is filled, edited, kept over a reload, signed and sent, with the keyboard alone', async ({
    page,
    watcher,
}) => {
    watcher.expect(/answer: 422 /);
    await signIn(page);
    const record = await screened(page, newName('Sorrel Anning'));
    await page.goto(`${record}/bench`);
    await page
        .getByRole('button', { name: /Extended exhale/ })
        .first()
        .click();
    await issued(page);

    await page.goto(`${record}/letters`);
    await expect(page.getByText('None yet.')).toBeVisible();
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: /Begin\s+the progress letter/ }).focus();
    await page.keyboard.press('Enter');
    const why = page.getByLabel('Why', { exact: true });
    await expect(why).toHaveValue(/^Sorrel Anning .* has been taken on for breathing retraining\.|^Sorrel Anning/);
    await expect(page.getByLabel('Programme', { exact: true })).toHaveValue(/Extended exhale/);
    await expectNoAxeViolations(page);
    await expectToFit(page);

    // Nothing is signed that goes to nobody; what was typed stays, also over a reload.
    await page.getByLabel('Plan', { exact: true }).fill('We go on as it is.');
    await expect(page.getByText(/^kept at /)).toBeVisible();
    await page.getByRole('button', { name: 'Sign the letter' }).click();
    await expect(page.getByRole('alert')).toHaveText('Write to whom the letter goes, then sign.');
    await page.reload();
    await expect(page.getByLabel('Plan', { exact: true })).toHaveValue('We go on as it is.');
    await page.getByLabel('To', { exact: true }).fill('Dr Hesper Lowe');
    await page.getByLabel('Put a sentence of the clinic into: Closing words').selectOption('Thanks');
    await expect(page.getByLabel('Closing words', { exact: true })).toHaveValue(
        'Thank you for sending us this patient.',
    );

    // Filled again, it is asked first.
    await page.getByRole('button', { name: 'Fill it from the record again' }).click();
    await page.getByRole('button', { name: 'Leave it as it is' }).click();
    await expect(page.getByLabel('Plan', { exact: true })).toHaveValue('We go on as it is.');

    await page.getByRole('button', { name: 'Sign the letter' }).focus();
    await page.keyboard.press('Enter');
    const letter = page.getByRole('article', { name: /^Progress letter of / });
    await expect(letter).toContainText('to Dr Hesper Lowe');
    const paper = await page.request.get(
        (await letter.getByRole('link', { name: 'Progress letter' }).getAttribute('href')) ?? '',
    );
    expect(paper.headers()['content-type']).toBe('application/pdf');
    await letter.getByRole('button', { name: /^It was sent/ }).click();
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(page.getByText('Say how it was sent, as “by post”.')).toBeVisible();
    await page.getByLabel('How', { exact: true }).fill('by post');
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(letter).toContainText(/sent .*, by post, by Nora Ashgrove/);
    for (const width of [820, 390, 320]) {
        await page.setViewportSize({ width, height: 800 });
        await expectToFit(page);
    }

    // Back shows the page as it was left; what is typed there now goes nowhere, and that is said.
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goBack();
    const sign = page.getByRole('button', { name: 'Sign the letter' });
    await expect(sign.or(page.getByText('Signed', { exact: true }))).toBeVisible();
    if (await sign.isVisible()) {
        await sign.click();
        await expect(page.getByRole('alert')).toContainText('This letter is not being written any more');
    }
});
