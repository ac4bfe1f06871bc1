import {
    expect,
    issueNow,
    join,
    keepPractice,
    newName,
    readyPatient,
    sent,
    signIn,
    startPlaying,
    test,
    type,
} from './support';
import { screened, quickLink } from './ways/quick';

test('Stop by the Esc key, a symptom, and the second stop pauses the exercise until someone has looked', async ({
    page,
    phone,
}) => {
    const { record, phone: mine, name } = await readyPatient(page, phone, 'Stopping Wren', '20');
    for (const time of [1, 2]) {
        await startPlaying(mine);
        await expect(mine.locator('[data-cue="inhale"]')).toBeVisible();
        await mine.keyboard.press('Escape');
        await expect(mine.getByRole('heading', { name: 'You stopped' })).toBeVisible();
        const stored = sent(mine, 'practice');
        await mine.getByRole('button', { name: 'Dizzy' }).click();
        await expect(mine.getByText('Sit down, feet on the floor.')).toBeVisible();
        expect(await stored).toBe('stored');
        await mine.getByRole('button', { name: 'It has settled' }).click();
        await expect(mine.getByText('Stopping in time counts as practised.')).toBeVisible();
        await mine.getByRole('button', { name: 'Back to Today' }).click();
        if (time === 1) await expect(mine.getByText('1 of 3 done today')).toBeVisible();
    }
    await expect(mine.getByRole('heading', { name: 'Paused' })).toBeVisible();
    await expect(mine.getByText('You did the right thing by stopping.')).toBeVisible();
    await expect(mine.getByRole('button', { name: /^Begin/ })).toHaveCount(0);

    await page.goto('/');
    await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText(
        'Dizziness twice in the last 3 practices',
    );
    await page.goto(record);
    await page.getByRole('button', { name: 'I have looked; let it go on' }).click();
    await expect(page.getByText('Write down what was done.')).toBeVisible();
    await page.getByLabel('What you found').fill('Counts too long when tired.');
    await page.getByRole('button', { name: 'I have looked; let it go on' }).click();
    await expect(page.getByText('The exercise goes on.')).toBeVisible();
    await mine.reload();
    await expect(mine.getByRole('button', { name: /^(Begin|Once more)/ }).first()).toBeEnabled();
});

test('A get-help symptom shows the clinic’s emergency wording at once and pauses everything', async ({
    page,
    phone,
    watcher,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Helped Wren', '20');
    await startPlaying(mine);
    await expect(mine.locator('[data-cue="inhale"]')).toBeVisible();
    // Even without a network.
    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    await mine.context().setOffline(true);
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
    await mine.getByRole('button', { name: 'Chest pain' }).click();
    await expect(mine.getByRole('heading', { name: 'Get help now' })).toBeVisible();
    await expect(mine.getByText(/Call 112 now/)).toBeVisible();
    await expect(mine.getByRole('link', { name: 'Call 112' })).toHaveAttribute('href', 'tel:112');
    await mine.getByRole('button', { name: 'Back to Today' }).click();
    await expect(mine.getByRole('heading', { name: 'Paused' })).toBeVisible();
    await expect(mine.getByRole('button', { name: /^Begin/ })).toHaveCount(0);
    const stored = sent(mine, 'practice');
    await mine.context().setOffline(false);
    expect(await stored).toBe('stored');

    await page.goto(record);
    await expect(page.getByText(/Every exercise but recovery is paused: chest pain/)).toBeVisible();
});

test('a closed tab loses at most the present breath, and Back ends a practice as far as it got', async ({
    page,
    phone,
}) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Reload Wren', '20');
    await startPlaying(mine);
    await expect(mine.getByText('2 of 20')).toBeVisible({ timeout: 15_000 });
    let stored = sent(mine, 'practice');
    await mine.reload();
    expect(await stored).toBe('stored');
    await expect(mine.getByText('1 of 3 done today')).toBeVisible();

    await startPlaying(mine);
    await expect(mine.getByText('2 of 20')).toBeVisible({ timeout: 15_000 });
    stored = sent(mine, 'practice');
    await mine.goBack();
    expect(await stored).toBe('stored');
    await expect(mine.getByText('2 of 3 done today')).toBeVisible();

    await page.goto(record);
    await expect(page.getByRole('cell', { name: '1 of 20 breaths' })).toHaveCount(2);
});

test('pause goes on with a new breath; sound can be off; motion can be reduced', async ({ page, phone }) => {
    const { record, phone: first } = await readyPatient(page, phone, 'Pausing Wren', '3');
    void record;
    await startPlaying(first);
    await expect(first.getByText('2 of 3')).toBeVisible({ timeout: 15_000 });
    await first.getByRole('button', { name: 'Pause' }).click();
    await expect(first.getByText('Paused. It goes on with a new breath.')).toBeVisible();
    await first.waitForTimeout(5000);
    await expect(first.getByText('2 of 3')).toBeVisible();
    await first.getByRole('button', { name: 'Sound on' }).click();
    await first.getByRole('button', { name: 'Go on' }).click();
    await expect(first.locator('[data-cue="inhale"]')).toBeVisible();
    await expect(first.getByText('2 of 3')).toBeVisible();
    await expect(first.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 20_000 });
    await first.getByRole('button', { name: 'Keep this' }).click();

    await first.emulateMedia({ reducedMotion: 'reduce' });
    await startPlaying(first);
    await expect(first.locator('[data-cue="exhale"]')).toBeVisible();
    // The ink stands at the end of the phase instead of moving with it.
    const ink = first.locator('.ridge .now');
    const before = await ink.getAttribute('d');
    await first.waitForTimeout(300);
    expect(await ink.getAttribute('d')).toBe(before);
});

test('what the server refuses stays visible on the device until it has been read', async ({ page, phone }) => {
    const { phone: mine } = await readyPatient(page, phone, 'Refused Wren');
    await mine.route('**/api/v1/outbox', async (route) => {
        const batch = route.request().postDataJSON() as { items: { body: object }[] };
        await route.continue({
            postData: JSON.stringify({
                ...batch,
                items: batch.items.map((item) => ({ ...item, body: { ...item.body, breaths_done: 99 } })),
            }),
        });
    });
    await startPlaying(mine);
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
    await mine.getByRole('button', { name: 'Keep this' }).click();
    await expect(mine.getByText(/could not be kept: More breaths were logged/)).toBeVisible();
    await mine.reload();
    await mine.getByRole('button', { name: 'I have read this' }).click();
    await expect(mine.getByText(/could not be kept/)).toHaveCount(0);
});

test('the pace may be changed within the limits, from the next breath on, and is kept', async ({ page, phone }) => {
    await signIn(page);
    const record = await screened(page, newName('Pace Wren'));
    await page.goto(`${record}/bench`);
    await page.getByLabel('Position').selectOption('seated');
    await type(page, 'Seconds a count', '0.4');
    await type(page, 'Breaths', '3');
    await page.getByRole('button', { name: 'How it is led' }).click();
    await type(page, 'Slowest, times the length', '1.1');
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();
    const mine = await phone.open();
    await join(mine, await quickLink(page, record));
    await startPlaying(mine);
    await expect(mine.getByText('pace as prescribed')).toBeVisible();
    await expect(mine.getByRole('button', { name: 'Faster' })).toBeDisabled();
    await mine.getByRole('button', { name: 'Slower' }).click();
    await mine.getByRole('button', { name: 'Slower' }).click();
    await expect(mine.getByText('breaths 110 % as long')).toBeVisible();
    await expect(mine.getByRole('button', { name: 'Slower' })).toBeDisabled();
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
    await keepPractice(mine);
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '3 of 3 breaths, breaths 110 % as long' })).toBeVisible();
});
