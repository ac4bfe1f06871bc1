import { addPatient, expect, expectNoAxeViolations, newName, screen, signIn, test, type } from './support';

test('a rate is tapped by space bar, limits are held, and both feed the Bench', async ({ page, watcher }) => {
    watcher.expect(/^answer: 422 POST .*\/measure/);
    await signIn(page);
    const record = await addPatient(page, newName('Measure Wren'));
    await screen(page);
    await page.goto(`${record}/measure`);
    await page.getByLabel(/^quiet/).uncheck();
    const pad = page.getByRole('button', { name: 'Tap at the start of each inhale' });
    await pad.focus();
    for (let tap = 0; tap < 6; tap++) { await page.keyboard.press('Space'); await page.waitForTimeout(600); }
    await page.getByRole('button', { name: 'end now' }).click();
    await expect(page.getByText(/breaths a minute from 6 taps; median 0\.[67] s/)).toBeVisible();
    await page.getByRole('button', { name: /^Keep \d+(\.\d)? a minute$/ }).click();
    await expect(page.getByText(/outside 2 to 80|is unusual\. Sure\?/)).toBeVisible();
    await page.getByLabel('Resting rate, breaths/min').fill('16');
    await page.getByRole('button', { name: 'keep it', exact: true }).click();
    await expect(page.getByRole('row', { name: /^Resting rate/ })).toContainText('seated, typed');

    await page.getByRole('button', { name: 'Press and hold: Comfortable exhale or hum' }).focus();
    await page.keyboard.down('Space');
    await page.waitForTimeout(2100);
    await page.keyboard.up('Space');
    await expect(page.getByLabel('Comfortable exhale or hum, try 1, s')).toHaveValue(/^2\.\d$/);
    await page.getByLabel('Comfortable exhale or hum, try 2, s').fill('4');
    await page.reload();
    await expect(page.getByLabel('Comfortable exhale or hum, try 2, s')).toHaveValue('4');
    await page.getByRole('button', { name: 'Keep Comfortable exhale or hum' }).click();
    await expect(page.getByRole('row', { name: /^Comfortable exhale/ })).toContainText('best of 2');
    await page.getByLabel('Oxygen saturation, %').fill('250');
    await page.getByRole('button', { name: 'Keep Oxygen saturation' }).click();
    await expect(page.getByText('Oxygen saturation of 250 % is outside 50 to 100.')).toBeVisible();
    await page.getByLabel('Oxygen saturation, %').fill('90');
    await page.getByRole('button', { name: 'Keep Oxygen saturation' }).click();
    await page.getByRole('button', { name: 'Yes, keep it' }).click();
    await expect(page.getByRole('row', { name: /^Oxygen saturation/ })).toContainText('90');
    await expectNoAxeViolations(page);

    await page.goto(`${record}/bench`);
    await type(page, 'Ratio', '4:5');
    await expect(page.getByRole('heading', { name: 'Longer than comfortable' })).toBeVisible();
    await page.getByRole('button', { name: 'Fit, tap' }).click();
    await page.getByRole('button', { name: 'fit to this patient' }).click();
    await page.getByRole('button', { name: 'same ratio at 0.8 s a count' }).first().click();
    await expect(page.getByRole('heading', { name: 'Longer than comfortable' })).toHaveCount(0);
});
