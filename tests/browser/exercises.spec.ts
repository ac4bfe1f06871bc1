import {
    addPatient,
    expect,
    expectNoAxeViolations,
    issueNow,
    join,
    newName,
    pick,
    screen,
    signIn,
    test,
} from './support';
import { screened, quickLink } from './ways/quick';

test('the catalogue is filtered, read, and an exercise is tried on the spot', async ({ page }) => {
    await signIn(page);
    await page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name: 'Exercises' }).click();
    const list = page.getByRole('navigation', { name: 'Exercises' });
    await expect(list.getByRole('link')).not.toHaveCount(0);

    await page.getByLabel('For', { exact: true }).selectOption({ label: 'falling asleep' });
    await page.getByLabel('no holds').check();
    await expect(list.getByRole('link', { name: /^Tense and let go/ })).toBeVisible();
    await expect(list.getByRole('link', { name: /^4:7:8/ })).toHaveCount(0);
    await page.getByLabel('under 2 min').check();
    await page.getByLabel('Position', { exact: true }).selectOption({ label: 'walking' });
    await list.getByRole('button', { name: 'Show all' }).click();

    await list.getByRole('link', { name: /^4:7:8/ }).click();
    await expect(page.getByRole('heading', { name: '4:7:8', exact: true })).toBeVisible();
    await expect(page.getByText('shorter phases: 4:6:5')).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('heading', { name: 'Diaphragmatic breathing', exact: true })).toBeVisible();

    await page.goto('/exercises/square');
    await page.getByRole('button', { name: 'Try it here' }).click();
    const player = page.getByRole('region', { name: 'Playing Square breathing' });
    await expect(player.locator('[data-cue="inhale"]')).toBeVisible({ timeout: 15_000 });
    await expect(player.locator('[data-cue="hold"]')).toBeVisible({ timeout: 15_000 });
    await player.getByRole('button', { name: 'Pause' }).click();
    await expect(player.getByText('paused')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(player).toHaveCount(0);
    await expectNoAxeViolations(page);
});

test('for one patient it shows what is possible', async ({ page }) => {
    await signIn(page);
    const name = newName('Possible Wren');
    await addPatient(page, name);
    await screen(page, ['Trouble lying flat']);
    await page.goto('/exercises');
    await page.getByLabel('Possible for').selectOption({ label: name });
    const list = page.getByRole('navigation', { name: 'Exercises' });
    await expect(list.getByRole('link', { name: /^Weight on the belly/ })).toHaveCount(0);
    await expect(list.getByRole('link', { name: /^Extended exhale caution: lying flat/ })).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Possible for').locator('option:checked')).toHaveText(name);
});

test('a clinic names a breath of its own, prescribes it, and the patient sees its name', async ({
    page,
    phone,
    watcher,
}) => {
    watcher.expect(/^answer: 422 POST .*own-exercises$/);
    await signIn(page);
    const own = newName('Quay').slice(0, 40);
    await page.goto('/exercises');
    await page.getByRole('button', { name: 'Add a counted breath of your own' }).click();
    await page.getByLabel('Ratio').fill('3;5');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('“;” does not belong in a ratio.')).toBeVisible();
    await expect(page.getByLabel('Ratio')).toHaveValue('3;5');
    await expectNoAxeViolations(page);
    await page.getByLabel('Ratio').fill('3:1:5');
    await page.getByLabel('Name', { exact: true }).last().fill(own);
    await page.getByLabel('What right looks like').fill('The jaw hangs.');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('heading', { name: own, exact: true })).toBeVisible();

    const record = await screened(page, newName('Own Wren'));
    await page.goto(`${record}/bench`);
    const answered = page.waitForResponse((response) => response.url().endsWith('/bench/answer'));
    await pick(page, own);
    await answered;
    await expect(page.getByLabel('Ratio')).toHaveValue('3:1:5');
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await expect(mine.getByRole('heading', { name: own })).toBeVisible();

    await page.goto('/exercises');
    await page
        .getByRole('navigation', { name: 'Exercises' })
        .getByRole('link', { name: new RegExp(`^${own}`) })
        .click();
    await page.getByRole('button', { name: 'Change or delete' }).click();
    await page.getByRole('button', { name: 'Delete…' }).click();
    await page.getByRole('button', { name: 'Delete it' }).click();
    await expect(page.getByRole('heading', { name: 'Diaphragmatic breathing', exact: true })).toBeVisible();
});

test('a shipped routine is copied by keyboard, changed, kept, tried and deleted', async ({ page }) => {
    await signIn(page);
    await page.goto('/exercises');
    await page.getByRole('link', { name: /^The end of a shift/ }).press('Enter');
    await expect(page.getByRole('heading', { name: 'The end of a shift' })).toBeVisible();
    const wrong = page.waitForResponse((response) => response.url().endsWith('/routines/answer'));
    await page.getByLabel('Ratio, step 2').fill('4:x');
    await wrong;
    await expect(page.getByText('“x” does not belong in a ratio.')).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Ratio, step 2')).toHaveValue('4:x');
    await page.getByLabel('Ratio, step 2').fill('4:7');
    await expect(page.getByText(/does not belong/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Move step 2 up' }).press('Enter');
    await expect(page.getByLabel('Ratio, step 1')).toHaveValue('4:7');
    await page.getByRole('button', { name: 'Add a step' }).press('Enter');
    await page.getByLabel('Kind, step 5').selectOption({ label: 'exercise' });
    await page.getByLabel('Exercise, step 5').selectOption({ label: 'Body scan' });
    await page.getByRole('button', { name: 'hands, things, route' }).last().press('Enter');
    await page.getByLabel('It ends, step 5').selectOption({ label: 'quietly; lying, falling asleep is welcome' });
    await expectNoAxeViolations(page);

    const name = newName('Shift');
    await page.getByLabel('Name').fill(name);
    await page.getByRole('button', { name: 'Keep as our own' }).click();
    await expect(page.getByRole('heading', { name })).toBeVisible();
    await expect(page.getByLabel('Ratio, step 1')).toHaveValue('4:7');
    await page.getByRole('button', { name: 'hands, things, route' }).last().click();
    await expect(page.getByLabel('It ends, step 5').locator('option:checked')).toHaveText(
        'quietly; lying, falling asleep is welcome',
    );
    await page.getByRole('button', { name: 'Try it as it is kept' }).click();
    await page.getByRole('button', { name: 'Go on to the exercise' }).click();
    await expect(page.getByRole('region', { name: `Playing ${name}` }).locator('[data-cue="inhale"]')).toBeVisible({
        timeout: 15_000,
    });
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Delete…' }).click();
    await page.getByRole('button', { name: 'Delete it' }).click();
    await expect(page.getByRole('heading', { name: 'Exercises', exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: new RegExp(`^${name}`) })).toHaveCount(0);
});
