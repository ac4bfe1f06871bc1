import { expect, promised, expectNoAxeViolations, signIn, test } from './support';

test('the Caseload is searched as one types and filtered, by keyboard, and Back finds it as it was', async ({
    page,
}) => {
    await signIn(page);
    await page.keyboard.press('/');
    await expect(page.getByRole('searchbox', { name: 'Find' })).toBeFocused();
    await page.keyboard.type('fenw');
    await expect(page.getByRole('link', { name: promised('step-up-with-recovery'), exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: promised('step-up-of-a-colleague'), exact: true })).toHaveCount(0);
    await expectNoAxeViolations(page);
    await page.getByRole('link', { name: promised('step-up-with-recovery'), exact: true }).click();
    await expect(page.getByRole('heading', { name: promised('step-up-with-recovery'), exact: true })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('searchbox', { name: 'Find' })).toHaveValue('fenw');
    await expect(page.getByRole('link', { name: promised('step-up-of-a-colleague'), exact: true })).toHaveCount(0);
    await page.getByRole('searchbox', { name: 'Find' }).fill('nobody of this name');
    await expect(page.getByText('Nobody fits.')).toBeVisible();
    await page.getByRole('button', { name: 'Show all again' }).click();
    await page.getByRole('combobox', { name: 'Flag', exact: false }).last().selectOption('COPD');
    await expect(page.getByRole('link', { name: promised('step-up-with-recovery'), exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: promised('step-up-of-a-colleague'), exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'Show all' }).click();
    // Edda is Idris's patient.
    await page.getByRole('combobox', { name: 'Whose' }).selectOption('mine');
    await expect(page.getByRole('link', { name: promised('step-up-of-a-colleague'), exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'Show all' }).click();
    await expect(page.getByRole('link', { name: promised('step-up-of-a-colleague'), exact: true })).toBeVisible();
});

test('the lead sets the thresholds; a contradiction is named and nothing typed is lost', async ({ page }) => {
    await signIn(page, 'gwen@millrace.example');
    await page.goto('/clinic');
    await page.getByLabel(/^Step up at this effort or less/).fill('9');
    await page.getByRole('button', { name: 'Keep the thresholds' }).click();
    await expect(page.getByText('Easy effort has to be less than hard effort')).toBeVisible();
    await expect(page.getByLabel(/^Step up at this effort or less/)).toHaveValue('9');
    await page.getByLabel(/^Step up at this effort or less/).fill('2');
    await page.getByLabel(/^Step up from practised/).fill('many');
    await page.getByRole('button', { name: 'Keep the thresholds' }).click();
    await expect(page.getByLabel(/^Step up from practised/)).toHaveAttribute('aria-invalid', 'true');
    await page.getByLabel(/^Step up from practised/).fill('85');
    await page.getByRole('button', { name: 'Keep the thresholds' }).click();
    await expect(page.getByText('Thresholds kept. Proposals follow them from now on.')).toBeVisible();
    await expect(page.getByText('shipped 80')).toBeVisible();
    await expectNoAxeViolations(page);
});
