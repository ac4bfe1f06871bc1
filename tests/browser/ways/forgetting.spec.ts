import { expect, expectNoAxeViolations, expectToFit, newName, readyPatient, signIn, test } from '../support';
import { screened } from './quick';

const WEIGHT = 'http://hl7.org/fhir/StructureDefinition/ordinalValue';

/** A form that a clinic brings along. */
function questionnaire(title: string, kind = 'integer'): { name: string; mimeType: string; buffer: Buffer } {
    const option = (display: string, valueDecimal: number): object => ({
        valueCoding: { display, extension: [{ url: WEIGHT, valueDecimal }] },
    });
    const form = {
        resourceType: 'Questionnaire',
        title,
        status: 'active',
        description: 'About last night.',
        item: [
            {
                linkId: 'q1',
                type: 'choice',
                text: 'How was it?',
                answerOption: [option('Well', 0), option('Badly', 2.5)],
            },
            { linkId: 'q2', type: kind, text: 'How often were you up?' },
            { linkId: 'q3', type: 'string', text: 'What helped?' },
        ],
    };
    return { name: 'form.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(form)) };
}

test('a clinic brings a form of its own, asks it at home, reads every answer, and asks it no more', async ({
    page,
    phone: phones,
    watcher,
}) => {
    watcher.expect(/answer: 422 /);
    const title = newName('Nights');
    const { phone, record } = await readyPatient(page, phones, 'Form Wren');
    await page.goto('/clinic');
    const file = page.getByLabel('Another one');
    await file.setInputFiles(questionnaire(title, 'date'));
    await page.getByRole('button', { name: 'Read it in' }).click();
    await expect(page.getByText('/item/1/type: “date” is not asked here', { exact: false })).toBeVisible();
    await file.setInputFiles(questionnaire(title));
    await page.getByRole('button', { name: 'Read it in' }).click();
    await expect(page.getByText(`“${title}” is asked under Measure from now on.`)).toBeVisible();
    await page.getByText(title, { exact: true }).click();
    await expect(page.locator('details').filter({ hasText: title }).getByText('Well (0); Badly (2.5)')).toBeVisible();
    await expectNoAxeViolations(page);

    await page.goto(`${record}/measure`);
    await page.getByRole('button', { name: `on the device ${title}` }).click();
    await expect(page.getByText('on the patient’s device, 0 of 3')).toBeVisible();
    await phone.reload();
    await phone.getByRole('button', { name: `Answer ${title}` }).click();
    await phone.getByLabel('Badly').check();
    const often = phone.getByLabel('How often were you up?');
    await often.fill('many');
    await expect(phone.getByText('A whole number from 0 to 1000.')).toBeVisible();
    await expect(often).toHaveValue('many');
    await expectNoAxeViolations(phone);
    await expectToFit(phone);
    await phone.setViewportSize({ width: 390, height: 844 });
    const send = phone.getByRole('button', { name: 'Send the answers' });
    await often.fill('3');
    // Words are kept while they are typed, also when the page is closed before they are left.
    await phone.getByLabel('What helped?').pressSequentially('The window. ');
    await phone.waitForTimeout(1500);
    await phone.reload();
    await phone
        .getByRole('button', { name: `Go on: 3 of 3 ${title}` })
        .or(phone.getByRole('button', { name: new RegExp(`^(Answer|Go on).*${title}`) }))
        .first()
        .click();
    await expect(phone.getByLabel('What helped?')).toHaveValue(/^The window\./);
    await send.click();
    await expect(phone.getByRole('heading', { name: 'Thank you' })).toBeVisible();

    await page.reload();
    const line = page.getByRole('row').filter({ hasText: title });
    await expect(line.first()).toContainText('2.5');
    await page.getByText('what was answered', { exact: false }).last().click();
    await expect(page.getByText('The window.')).toBeVisible();
    await expectNoAxeViolations(page);
    await page.goto('/clinic');
    await page.getByRole('button', { name: new RegExp(`^ask it no more.*${title}$`) }).click();
    await page.getByRole('button', { name: 'Ask it no more', exact: true }).click();
    await expect(page.getByText(`“${title}” is not asked any more. What was answered stays.`)).toBeVisible();
});

test('whoever is to be forgotten is forgotten by the lead, by hand and by keys, and a refusal stays on record', async ({
    page,
    watcher,
}) => {
    watcher.expect(/answer: 422 /);
    await signIn(page);
    const name = newName('Gone Wren');
    const record = await screened(page, name);
    await page.goto(`${record}/record`);
    await page.getByRole('button', { name: 'Refuse to erase it' }).click();
    await page.getByRole('button', { name: 'Record the refusal' }).click();
    await expect(page.getByText('Say why', { exact: false }).last()).toBeVisible();
    await page.getByRole('dialog').getByLabel('Why').fill('To be kept until 2036.');
    await page.getByRole('button', { name: 'Record the refusal' }).click();
    await expect(page.getByText(/^Refused on .* by Nora Ashgrove: To be kept until 2036\.$/)).toBeVisible();
    await expectNoAxeViolations(page);

    // Only with the keyboard.
    const erase = page.getByRole('button', { name: `Erase everything of ${name}` });
    await erase.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('The patient’s name')).toBeVisible();
    await expectNoAxeViolations(page);
    await page.keyboard.press('Escape');
    await expect(page.getByLabel('The patient’s name')).toBeHidden();
    await expect(erase).toBeFocused();
    await page.keyboard.press('Enter');
    await page.getByLabel('The patient’s name').focus();
    await page.keyboard.type('Somebody Else');
    await page.keyboard.press('Tab');
    await page.keyboard.type('lantern-over-quay');
    await page.keyboard.press('Enter');
    await expect(page.getByText('This is not the name of this patient.')).toBeVisible();
    await page.getByLabel('The patient’s name').fill(name);
    await page.getByLabel('Your password').last().fill('lantern-over-quay');
    await page.keyboard.press('Enter');
    await expect(page.getByText('The record is being erased.', { exact: false })).toBeVisible();
    await expect.poll(async () => (await page.request.get(`${record}/record`)).status(), { timeout: 30_000 }).toBe(404);

    // How long records are kept, and what a quarter was like.
    await page.goto('/clinic');
    await page.getByLabel('Kept for, years').fill('x');
    await page.getByLabel('Of minors at least up to the age of').fill('25');
    await page.getByLabel('Kept for, years').press('Enter');
    await expect(page.getByText('Whole years, 1 to 50.')).toBeVisible();
    await page.getByLabel('Kept for, years').fill('10');
    await page.getByLabel('Kept for, years').press('Enter');
    await expect(page.getByText('Nothing has been kept long enough.')).toBeVisible();
    await expectNoAxeViolations(page);
    const quarter = page.getByLabel('Report by quarter, to give away');
    await quarter.selectOption({ index: 1 });
    for (const [link, file] of [
        ['PDF', 'report.pdf'],
        ['CSV', 'report.csv'],
    ] as const) {
        const [saved] = await Promise.all([
            page.waitForEvent('download'),
            page.getByRole('link', { name: link, exact: true }).click(),
        ]);
        expect(saved.suggestedFilename()).toBe(file);
    }
});
