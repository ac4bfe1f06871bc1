import { expect, expectNoAxeViolations, expectToFit, readyPatient, signIn, test } from '../support';

test('a record is taken out with the password, read in by another clinic, and the patient keeps a copy', async ({
    page,
    phone: phones,
    watcher,
}, testInfo) => {
    watcher.expect(/answer: 422 /);
    const { phone, record } = await readyPatient(page, phones, 'Merryn Oake');
    await page.goto(`${record}/record`);
    const name = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
    const out = page.getByRole('region', { name: 'Take the record out' });
    await out.getByLabel('Your password').fill('not it at all');
    await out.getByRole('button', { name: 'Save the file' }).click();
    await expect(out.getByText('This is not your password.')).toBeVisible();
    await expectNoAxeViolations(page);
    await out.getByLabel('Your password').fill('lantern-over-quay');
    const [file] = await Promise.all([
        page.waitForEvent('download'),
        out.getByRole('button', { name: 'Save the file' }).click(),
    ]);
    const path = testInfo.outputPath('record.zip');
    await file.saveAs(path);

    // The patient's own copy, by one tap.
    await phone.getByRole('link', { name: 'Settings' }).click();
    const [copy] = await Promise.all([
        phone.waitForEvent('download'),
        phone.getByRole('button', { name: 'Save a copy' }).click(),
    ]);
    expect(copy.suggestedFilename()).toBe('my-record.zip');
    await expectToFit(phone);

    // Elsewhere: what is no record is refused with its reason; what is one is read whole.
    await page.goto('/');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    await signIn(page, 'gwen@millrace.example');
    await page.goto('/patients/new');
    await page.getByRole('button', { name: 'Read it in' }).click();
    await expect(page.getByText('Choose the file, a record.zip.')).toBeVisible();
    await page
        .getByLabel('File', { exact: true })
        .setInputFiles({ name: 'record.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
    await page.getByRole('button', { name: 'Read it in' }).click();
    await expect(page.getByText('This is not a ZIP file, or it is cut off. Nothing of it is stored.')).toBeVisible();
    await expectNoAxeViolations(page);
    await page.getByLabel('File', { exact: true }).setInputFiles(path);
    await page.getByRole('button', { name: 'Read it in' }).click();
    await expect(page.getByText(`The record of ${name} is read in.`)).toBeVisible();
    await expect(page.getByRole('heading', { name })).toBeVisible();
    await page
        .getByRole('navigation', { name: /^About / })
        .getByRole('link', { name: 'Course' })
        .click();
    await expect(page.getByText('Extended exhale').first()).toBeVisible();
    await page.goto(`/?search=${encodeURIComponent(name)}`);
    await expect(page.getByRole('link', { name })).toBeVisible();
});
