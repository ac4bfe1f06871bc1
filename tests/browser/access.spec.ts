import { expect, join, lockScreen, makeLink, newName, readyPatient, signIn, test } from './support';
import { prescribed } from './ways/quick';

test('two patients’ devices each see their own practice, and a link works once', async ({ page, phone, watcher }) => {
    const { phone: first } = await readyPatient(page, phone, 'First Wren', '7');
    const record = await prescribed(page, newName('Second Wren'), '9');
    const { address, code } = await makeLink(page, record);
    const second = await phone.open();
    await join(second, address);

    await expect(first.getByText('7 breaths')).toBeVisible();
    await expect(second.getByText('9 breaths')).toBeVisible();

    watcher.expect(/^answer: 422/);
    const third = await phone.open();
    const link = new URL(address);
    await third.goto(link.pathname + link.hash);
    await third.getByRole('button', { name: 'Use this device' }).click();
    await expect(third.getByText(/not valid: it was used already/)).toBeVisible();
    await third.getByLabel('Code').fill(code);
    await third.getByRole('button', { name: 'Go on' }).click();
    await expect(third.getByText(/not valid: it was used already/)).toBeVisible();
    expect(await third.getByLabel('Code').inputValue()).toBe(code);
});

test('the code can be typed, weak PINs are refused, and ten wrong PINs lock the screen', async ({
    page,
    phone,
    watcher,
}) => {
    await signIn(page);
    const record = await prescribed(page, newName('Locked Wren'));
    const { code } = await makeLink(page, record);
    const mine = await phone.open();
    await mine.goto('/enter');
    await mine.getByLabel('Code').fill(code.toLowerCase().replace('-', ' '));
    await mine.getByRole('button', { name: 'Go on' }).click();
    await mine.getByRole('button', { name: 'I have read this and agree' }).click();

    watcher.expect(/^answer: 422/);
    await mine.getByLabel('PIN', { exact: true }).fill('123456');
    await mine.getByLabel('PIN once more').fill('123457');
    await mine.getByRole('button', { name: 'Keep this PIN' }).click();
    await expect(mine.getByText('The two are not the same.')).toBeVisible();
    await mine.getByLabel('PIN once more').fill('123456');
    await mine.getByRole('button', { name: 'Keep this PIN' }).click();
    await expect(mine.getByText('That one is easy to guess.')).toBeVisible();
    await mine.getByLabel('PIN', { exact: true }).fill('480153');
    await mine.getByLabel('PIN once more').fill('480153');
    await mine.getByRole('button', { name: 'Keep this PIN' }).click();
    await lockScreen(mine, watcher);

    for (let left = 9; left >= 0; left--) {
        await mine.getByLabel('PIN').fill('000000');
        await expect(
            mine.getByText(
                left === 0 ? 'Too many wrong PINs' : left === 1 ? 'One try is left' : `${left} tries are left`,
            ),
        ).toBeVisible();
    }
    await mine.getByLabel('PIN').fill('480153');
    await expect(mine.getByText('Too many wrong PINs')).toBeVisible();

    await page.goto(`${record}/access`);
    await expect(page.getByText('Locked after too many wrong PINs.')).toBeVisible();
    await page
        .getByRole('listitem')
        .getByRole('button', { name: /^Sign out/ })
        .click();
    await page.getByRole('button', { name: 'Sign it out', exact: true }).click();
    await expect(page.getByText('The device is signed out.')).toBeVisible();
    await mine.goto('/my');
    await expect(mine.getByLabel('Code')).toBeVisible();
});
