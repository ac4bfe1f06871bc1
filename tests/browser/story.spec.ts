import {
    addPatient,
    expect,
    issueNow,
    join,
    keepPractice,
    newName,
    screen,
    signIn,
    soundsOf,
    startPlaying,
    test,
    type,
} from './support';
import { quickLink } from './ways/quick';

test('a practitioner prescribes, a patient practises, the practitioner sees it and changes the prescription', async ({
    page,
    phone,
    watcher,
}) => {
    watcher.expect(/^answer: 422 POST .*\/(versions|bench\/check)/);
    const name = newName('Story Wren');
    await signIn(page);
    const record = await addPatient(page, name, { minutes: '10' });

    // A red flag blocks issuing until an action is recorded.
    await screen(page, ['Blue lips?', 'Low back pain']);
    await page.goto(`${record}/bench`);
    await expect(page.getByText(/A red flag is open: blue lips/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Issue version 1' })).toBeDisabled();
    await page.getByRole('link', { name: 'To the screening' }).click();
    await page.getByLabel('What was done about it').fill('Sent to the emergency department; seen, saturation 98 %.');
    await page.getByRole('radio', { name: 'may go on' }).check();
    await page.getByRole('button', { name: 'Record this action' }).click();
    await expect(page.getByText(/^Nora Ashgrove, .* · may go on$/)).toBeVisible();

    // The Bench answers as one types.
    await page.getByRole('link', { name: 'To the Bench' }).click();
    await type(page, 'Ratio', '4:0:5:1:');
    await expect(page.getByText(/ends with a separator/)).toBeVisible();
    await type(page, 'Ratio', '4:0:5:1');
    await expect(page.getByText('6.0', { exact: true })).toBeVisible();
    await expect(page.getByText('1 : 1.25')).toBeVisible();
    await expect(page.getByText('60 %')).toBeVisible();
    await expect(page.getByText('6 min a day')).toBeVisible();

    // A finding's change is one click.
    await page.getByRole('button', { name: 'add a pillow under the knees' }).click();
    await expect(page.getByLabel('pillow under the knees')).toBeChecked();
    await expect(page.getByRole('heading', { name: 'Low back pain, lying flat' })).toHaveCount(0);
    await page.getByLabel('Position').selectOption('seated');
    await type(page, 'Seconds a count', '0.4');
    await type(page, 'Breaths', '3');
    await issueNow(page);
    await expect(page.getByText(/^Version 1 issued/)).toBeVisible();

    // Access: opening the link changes nothing, confirming it uses it up.
    const address = await quickLink(page, record);
    const mine = await phone.open();
    const link = new URL(address);
    await mine.goto(link.pathname + link.hash);
    await expect(mine.getByRole('button', { name: 'Use this device' })).toBeVisible();
    await mine.reload();
    await join(mine, address);

    // Practice, with sound put ahead on the audio clock.
    await expect(mine.getByText(/0 of 3 done today|1 of 3|Done for today/)).toBeVisible();
    await startPlaying(mine, '6');
    await expect(mine.locator('[data-cue="lead-in"]')).toBeVisible();
    await expect(mine.locator('[data-cue="inhale"]')).toHaveText('in, nose');
    await expect(mine.locator('[data-cue="exhale"]')).toHaveText('out, nose');
    await expect(mine.getByText('last breath')).toBeVisible({ timeout: 20_000 });
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 20_000 });
    const sounds = await soundsOf(mine);
    const phases = sounds.filter((sound) => [220, 330, 147].includes(sound.from)).sort((a, b) => a.at - b.at);
    expect(phases.map((sound) => sound.from)).toEqual([220, 330, 147, 220, 330, 147, 220, 330, 147]);
    const breathStarts = phases.filter((sound) => sound.from === 220).map((sound) => sound.at);
    expect((breathStarts[1] ?? 0) - (breathStarts[0] ?? 0)).toBeCloseTo(4, 6);
    expect((breathStarts[2] ?? 0) - (breathStarts[1] ?? 0)).toBeCloseTo(4, 6);
    for (const sound of phases) expect(sound.at - sound.put).toBeGreaterThan(0);
    expect(sounds.some((sound) => sound.from === 784)).toBe(true);

    await mine.getByRole('group', { name: 'Your tension now' }).getByRole('button', { name: '3', exact: true }).click();
    await mine.getByRole('group', { name: 'How hard was it?' }).getByRole('button', { name: '2', exact: true }).click();
    await mine.getByRole('button', { name: 'Yes' }).click();
    await mine.getByLabel('Anything to add?').fill('Easier than the stairs <b>really</b>');
    await keepPractice(mine);
    await expect(mine.getByText('1 of 3 done today')).toBeVisible();

    // The practitioner sees it.
    await page.goto(record);
    await expect(page.getByRole('cell', { name: '3 of 3 breaths' })).toBeVisible();
    await expect(page.getByRole('cell', { name: '6 → 3' })).toBeVisible();
    await expect(page.getByText('Easier than the stairs <b>really</b>')).toBeVisible();

    // And changes it: version 1 stays readable, and is still measured against itself.
    await page.getByRole('link', { name: 'Take to the Bench', exact: true }).click();
    await type(page, 'Ratio', '4:0:6:1');
    await page.getByRole('button', { name: 'Issue version 2', exact: true }).click();
    await expect(page.getByText('Say in a line why the programme changes.')).toBeVisible();
    await page.getByLabel('Why it changes').fill('Unhurried at 5.');
    await page.getByRole('button', { name: 'Issue version 2', exact: true }).click();
    await page.getByRole('button', { name: 'Issue version 2 now' }).click();
    await expect(page.getByText(/^Version 2 issued/)).toBeVisible();
    await expect(page.locator('[data-adherence="2"]')).toContainText('in force from');
    await page.locator('[data-adherence="1"]').getByRole('link').click();
    await expect(page.getByRole('heading', { name: /4:0:5:1, seated, 3 breaths/ })).toBeVisible();

    // The Caseload has a line for the patient.
    await page.goto('/');
    // Sixty are shown at once, and other tests add patients too.
    await page.getByRole('searchbox', { name: 'Find' }).fill(name);
    await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('4:0:6:1, seated, 3 breaths');
});
