import { expect, expectNoAxeViolations, newName, signIn, test, type } from './support';
import { screened } from './ways/quick';

test('a rate is tapped by space bar, limits are held, and both feed the Bench', async ({ page, watcher }) => {
    watcher.expect(/^answer: 422 POST .*\/measure/);
    await signIn(page);
    const record = await screened(page, newName('Measure Wren'));
    await page.goto(`${record}/measure`);
    await page.getByLabel(/^quiet/).uncheck();
    const pad = page.getByRole('button', { name: 'Tap at the start of each inhale' });
    await pad.focus();
    for (let tap = 0; tap < 6; tap++) {
        await page.keyboard.press('Space');
        await page.waitForTimeout(600);
    }
    await page.getByRole('button', { name: 'end now' }).click();
    await expect(page.getByText(/breaths a minute from 6 taps; median (0\.[6-9]|1(\.\d)?) s/)).toBeVisible();
    await page.getByRole('button', { name: /^Keep \d+(\.\d)? a minute$/ }).click();
    await expect(page.getByText(/outside 2 to 80|is unusual\. Sure\?/)).toBeVisible();
    await page.getByLabel('Resting rate, breaths/min').fill('16');
    await page.getByRole('button', { name: 'keep it', exact: true }).click();
    await expect(page.getByRole('row', { name: /^Resting rate/ })).toContainText('seated, typed');

    await page.getByRole('button', { name: 'take it Comfortable exhale or hum' }).click();
    await page.getByRole('button', { name: 'Press and hold: Comfortable exhale or hum' }).focus();
    const before = Date.now();
    await page.keyboard.down('Space');
    await page.waitForTimeout(2100);
    await page.keyboard.up('Space');
    const atMost = (Date.now() - before) / 1000 + 0.1;
    const held = page.getByLabel('Comfortable exhale or hum, try 1, s');
    await expect(held).toHaveValue(/^\d+(\.\d)?$/);
    const seconds = Number(await held.inputValue());
    expect(seconds).toBeGreaterThanOrEqual(2);
    expect(seconds, 'what was held, as the clock beside it says').toBeLessThanOrEqual(atMost);
    await held.fill('2.1');
    await page.getByLabel('Comfortable exhale or hum, try 2, s').fill('4');
    await page.reload();
    await page.getByRole('button', { name: 'take it Comfortable exhale or hum' }).click();
    await expect(page.getByLabel('Comfortable exhale or hum, try 2, s')).toHaveValue('4');
    await expect(page.getByText(/^best 4 s, spread/)).toBeVisible();
    await page.getByRole('button', { name: 'Keep Comfortable exhale or hum' }).click();
    await expect(page.getByRole('row', { name: /^Comfortable exhale/ })).toContainText('best of 2');
    await page.getByLabel('Oxygen saturation, %').fill('250');
    await page.getByLabel('Oxygen saturation, %').press('Enter');
    await expect(page.getByText('Oxygen saturation of 250 % is outside 50 to 100.')).toBeVisible();
    await page.getByLabel('Oxygen saturation, %').fill('90');
    await page.getByRole('button', { name: 'keep Oxygen saturation' }).click();
    await expect(page.getByText(/is urgent: kept, it opens a red flag/)).toBeVisible();
    await page.getByRole('button', { name: 'Yes, keep it' }).click();
    await expect(page.getByRole('row', { name: /^Oxygen saturation/ })).toContainText('90');
    await expect(page.getByRole('region', { name: 'Red flags' })).toContainText('measured');
    await expectNoAxeViolations(page);
    await page.getByLabel('What was done about it').fill('Rested, measured again at 96; sensor was cold.');
    await page.getByRole('radio', { name: 'may go on' }).check();
    await page.getByRole('button', { name: 'Record this action' }).click();
    await expect(page.getByRole('region', { name: 'Red flags' })).toHaveCount(0);

    // The ceiling is led in the room and ends where it stops being easy.
    await page.getByRole('button', { name: 'take it Comfort ceiling' }).click();
    await page.getByRole('button', { name: 'Lead it here' }).click();
    await expect(page.locator('[data-cue="inhale"]')).toBeVisible();
    await page.getByRole('button', { name: 'Long enough' }).click();
    await expect(page.getByRole('row', { name: /^Comfort ceiling/ })).toContainText('led in the room');

    await page.getByRole('button', { name: 'take it Rib expansion' }).click();
    await page.getByLabel('Try 1, end of exhale, cm').fill('84');
    await page.getByLabel('Try 1, end of inhale, cm').fill('80');
    await page.getByRole('button', { name: 'Keep the rib expansion' }).click();
    await expect(page.getByText(/Are they swapped/)).toBeVisible();
    await page.getByLabel('Try 1, end of inhale, cm').fill('88.5');
    await page.getByRole('button', { name: 'Keep the rib expansion' }).click();
    await expect(page.getByRole('row', { name: /^Rib expansion/ })).toContainText('4.5');
    await page.getByRole('button', { name: 'take it Route and rhythm' }).click();
    await page.getByLabel('nose', { exact: true }).check();
    await page.getByLabel('even', { exact: true }).check();
    await page.getByRole('button', { name: 'one more' }).click();
    await page.getByRole('button', { name: 'Keep route and rhythm' }).click();
    await expect(page.getByRole('row', { name: /^Route and rhythm/ })).toContainText(
        'by the nose, even, 1 sigh or yawn in 5 min',
    );
    await expectNoAxeViolations(page);

    await page.goto(`${record}/bench`);
    await type(page, 'Ratio', '4:5');
    await expect(page.getByRole('heading', { name: 'Longer than comfortable' })).toBeVisible();
    await page.getByRole('button', { name: 'Fit, tap' }).click();
    await page.getByRole('button', { name: 'fit to this patient' }).click();
    await page.getByRole('button', { name: 'same ratio at 0.8 s a count' }).first().click();
    await expect(page.getByRole('heading', { name: 'Longer than comfortable' })).toHaveCount(0);
});
