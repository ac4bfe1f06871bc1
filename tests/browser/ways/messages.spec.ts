import { expect, expectNoAxeViolations, expectToFit, readyPatient, test } from '../support';

test('a patient wishes for messages, gets one of an appointment, and ends them with one tap', async ({
    page,
    phone: phones,
    watcher,
}) => {
    const { phone, record, name } = await readyPatient(page, phones, 'Linnet Post');
    await phone.getByRole('link', { name: 'Settings' }).click();
    const card = phone.locator('section', { has: phone.getByRole('heading', { name: 'Messages' }) });
    await expect(card.getByText(/no e-mail address of yours/)).toBeVisible();

    const address = `${name.toLowerCase().replace(/[^a-z0-9]+/g, '.')}@linnet.example`;
    await page.goto(`${record}/record`);
    await page.getByRole('button', { name: 'Change the details' }).click();
    await page.getByLabel('Contact', { exact: true }).fill(`0200 555 777, ${address}`);
    await page.getByRole('button', { name: 'Keep the details' }).click();
    await expect(page.getByText('Details kept.')).toBeVisible();
    // A long address is broken where there is no room for it.
    await expectToFit(page);
    await phone.reload();
    await phone.getByRole('link', { name: 'Settings' }).click();
    await expect(card.getByText(address)).toBeVisible();
    const appointments = card.getByRole('checkbox', { name: /^My appointments/ });
    await expect(appointments).not.toBeChecked();
    await appointments.check();
    await expect(card.getByRole('status')).toHaveText('Kept');
    await expectToFit(phone);
    await expectNoAxeViolations(phone);

    // What cannot be kept stands as it was.
    await phone.context().setOffline(true);
    watcher.expect(/failed|ERR_INTERNET_DISCONNECTED/i);
    await card.getByRole('checkbox', { name: /^A reminder/ }).click();
    await expect(card.getByRole('alert')).toHaveText('This needs a network.');
    await expect(card.getByRole('checkbox', { name: /^A reminder/ })).not.toBeChecked();
    await phone.context().setOffline(false);

    await page.goto(`${record}/record`);
    await expect(page.getByText(/, messages about appointments$/)).toBeVisible();
    await page.goto(record);
    await page.getByRole('button', { name: 'Set one' }).click();
    await page
        .getByLabel('Day', { exact: true })
        .fill(new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10));
    await page.getByLabel('Time', { exact: true }).fill('9:20');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText(/^Appointment: /)).toBeVisible();
    await page.goto('/clinic/outbox');
    const mail = page.getByRole('article').or(page.getByRole('listitem')).filter({ hasText: address });
    await expect(mail.first()).toContainText('09:20');
    await expect(mail.first()).not.toContainText(name);

    // The address in the message: opening it changes nothing, one tap does.
    const stop = /https?:\/\/\S+(\/messages\/\S+)/.exec((await mail.first().textContent()) ?? '')?.[1] ?? '';
    await phone.goto(stop);
    await expectNoAxeViolations(phone);
    await phone.getByRole('button', { name: 'Send me no more' }).click();
    await expect(phone.getByText('You get no more messages.')).toBeVisible();
    await phone.goto('/my/settings');
    await expect(appointments).not.toBeChecked();
});
