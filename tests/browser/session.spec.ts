import type { Page } from '@playwright/test';
import {
    addPatient,
    expect,
    expectNoAxeViolations,
    issueNow,
    join,
    keepPractice,
    newName,
    readyPatient,
    screen,
    signIn,
    startPlaying,
    test,
    type,
} from './support';
import { prescribed } from './ways/quick';

/** The address of the session that is open now, without its step. */
const sessionOf = (page: Page): string => new URL(page.url()).pathname.replace(/\/[a-z-]+$/, '');

/** To a step of the session. */
const to = (page: Page, label: string): Promise<void> =>
    page
        .getByRole('navigation', { name: 'Steps of the session' })
        .getByRole('link', { name: new RegExp(`^${label}`) })
        .click();

const kept = (page: Page) =>
    page.waitForResponse(
        (response) => response.request().method() === 'PUT' && response.url().includes('/steps/') && response.ok(),
    );

test('a first assessment of a new patient, from the first question to the signed note', async ({ page, phone }) => {
    await signIn(page);
    const name = newName('First Wren');
    const record = await addPatient(page, name, { minutes: '15' });
    await screen(page, ['Low back pain']);
    await page.getByRole('button', { name: 'Begin a session' }).click();
    await expect(page.getByRole('heading', { name: 'A first session' })).toBeVisible();
    await expect(page.getByText('What should be different when this is over')).toBeVisible();
    await expectNoAxeViolations(page);
    const session = sessionOf(page);

    await to(page, 'Measure');
    await page.getByLabel('Resting rate, breaths/min').fill('17');
    await page.getByRole('button', { name: 'keep it', exact: true }).click();
    await expect(page.getByRole('row', { name: /^Resting rate/ })).toContainText('17');
    await page.getByRole('button', { name: 'take it Hand check', exact: true }).click();
    await page.getByRole('group', { name: 'The chest hand moves' }).getByLabel('much', { exact: true }).check();
    await page.getByRole('group', { name: 'The belly hand moves' }).getByLabel('a little').check();
    await page.getByRole('group', { name: 'Which moves first' }).getByLabel('chest').check();
    await expect(page.getByText('75 % of the movement is at the chest.')).toBeVisible();
    await page.getByRole('button', { name: 'Keep the hand check' }).click();
    await expect(page.getByRole('row', { name: /^Hand check/ }).first()).toContainText('upper-chest, chest first');
    await page.getByRole('button', { name: 'take it Comfortable exhale or hum' }).click();
    await page.getByLabel('Comfortable exhale or hum, try 1, s').fill('6.5');
    await page.getByRole('button', { name: 'Keep Comfortable exhale or hum' }).click();
    await page.getByLabel('Symptom to rate').fill('evening tension');
    await page.getByRole('button', { name: 'add it' }).click();
    await page.getByLabel('Evening tension, of 10').fill('7');
    await page.getByLabel('Evening tension, of 10').press('Enter');
    await expect(page.getByRole('row', { name: /^Evening tension/ })).toContainText('7');
    await page.getByRole('button', { name: 'ask here GAD-7' }).click();
    await expect(page.getByRole('heading', { name: 'GAD-7' })).toBeVisible();
    for (const question of await page.getByRole('region', { name: 'GAD-7' }).getByRole('group').all())
        await question.getByLabel('Several days').check();
    await page.getByRole('button', { name: 'Score it' }).click();
    await expect(page.getByRole('row', { name: /^GAD-7/ })).toContainText('mild');
    await expectNoAxeViolations(page);

    await to(page, 'Teach and try');
    await page.getByLabel('Exercise', { exact: true }).selectOption({ label: 'Extended exhale' });
    await page.getByLabel('Ratio to try').fill('2:4');
    await page.getByLabel('Seconds a count to try').fill('0.4');
    await page.getByRole('button', { name: 'Play it here' }).click();
    await expect(page.locator('[data-cue="exhale"]')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByText('2:4 at 0.4 s')).toBeVisible();
    const answered = kept(page);
    await page.getByLabel('Effort').selectOption('3');
    await answered;
    await expect(page.getByText(/^kept at /)).toBeVisible();
    await expectNoAxeViolations(page);

    await to(page, 'Prescribe');
    await type(page, 'Breaths', '8');
    await issueNow(page);
    await expect(page.getByRole('heading', { name: 'Version 1, issued in this session' })).toBeVisible();
    await page.getByRole('button', { name: 'Show the link as a QR code' }).click();
    await expect(page.getByRole('img', { name: `Link for ${name}` })).toBeVisible();
    const stored = kept(page);
    await page.getByLabel('The patient has practised it once here').check();
    await stored;
    await expectNoAxeViolations(page);
    const address = (await page.locator('[data-link]').textContent()) ?? '';
    const mine = await phone.open();
    await join(mine, address);

    await to(page, 'Note');
    const note = page.getByLabel('Note', { exact: true });
    for (const said of [
        'Low back pain.',
        'Resting rate 17 breaths/min.',
        'Hand check upper-chest, chest first, 75 % at the chest.',
        'Evening tension 7 of 10.',
        'GAD-7 7 (mild).',
        'Extended exhale 2:4 at 0.4 s; effort 3 of 10',
        'Version 1, in force from',
    ]) {
        await expect(note).toHaveValue(new RegExp(said.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')));
    }
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: 'Sign the note' }).click();
    await expect(page.getByText(/^Signed by Nora Ashgrove/)).toBeVisible();
    await page.getByRole('button', { name: 'Sign the amendment' }).click();
    await expect(page.getByText('Write what is added or corrected.')).toBeVisible();
    await page.getByLabel('What is added or corrected').fill('Rate taken while seated.');
    await page.getByLabel('Why', { exact: true }).fill('left out');
    await page.getByRole('button', { name: 'Sign the amendment' }).click();
    await expect(page.getByText('Rate taken while seated.')).toBeVisible();
    await expectNoAxeViolations(page);
    await page.goto(`${session}/decide`);
    await expect(page.getByText('The note of this session is signed')).toBeVisible();
    await page.goto(`${record}/record`);
    await expect(page.getByRole('link', { name: 'Session 1' })).toBeVisible();
    await expect(page.getByText('Measurements').first()).toBeVisible();
    await expectNoAxeViolations(page);
});

test('what is typed in a session survives a reload, a lost network and Back', async ({ page, watcher }) => {
    await signIn(page);
    await addPatient(page, newName('Kept Wren'));
    await screen(page);
    await page.getByRole('button', { name: 'Begin a session' }).click();
    await expect(page.getByRole('heading', { name: 'A first session' })).toBeVisible();
    await to(page, 'Catch up');
    const told = page.getByLabel('What the patient tells');
    await told.fill('Sleeps better.');
    await expect(page.getByText(/^kept at /)).toBeVisible();
    watcher.expect(/ERR_INTERNET_DISCONNECTED/);
    await page.context().setOffline(true);
    await told.fill('Sleeps better, wakes at four.');
    await expect(page.getByText('No connection to Ivory Pace. What you typed is kept on this device.')).toBeVisible();
    await page.context().setOffline(false);
    await expect(page.getByText(/^kept at /)).toBeVisible();
    await told.fill('Sleeps better, wakes at four, tired.');
    await page.reload();
    await expect(told).toHaveValue('Sleeps better, wakes at four, tired.');
    await to(page, 'Note');
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue(/Sleeps better, wakes at four, tired\./);
    await page.goBack();
    await expect(told).toHaveValue('Sleeps better, wakes at four, tired.');
});

test('two devices on one session: the second is shown both and chooses', async ({
    page,
    browser,
    baseURL,
    watcher,
}) => {
    watcher.expect(/^answer: 409 PUT/);
    await signIn(page);
    await addPatient(page, newName('Two Desks Wren'));
    await screen(page);
    await page.getByRole('button', { name: 'Begin a session' }).click();
    await expect(page.getByRole('heading', { name: 'A first session' })).toBeVisible();
    const url = `${sessionOf(page)}/catch-up`;
    const other = await (await browser.newContext({ baseURL: baseURL ?? '', locale: 'en-GB' })).newPage();
    await signIn(other, 'idris@harrowquay.example');
    await page.goto(url);
    await other.goto(url);
    await page.getByLabel('What the patient tells').fill('From the desk');
    await expect(page.getByText(/^kept at /)).toBeVisible();
    await other.getByLabel('What the patient tells').fill('From the tablet');
    await expect(other.getByRole('heading', { name: 'Nora Ashgrove has typed here meanwhile' })).toBeVisible();
    await expect(other.getByText('From the desk')).toBeVisible();
    await expect(other.getByLabel('What the patient tells')).toHaveValue('From the tablet');
    await other.getByRole('button', { name: 'Take theirs' }).click();
    await expect(other.getByLabel('What the patient tells')).toHaveValue('From the desk');
    await other.getByLabel('What the patient tells').fill('From the tablet, later');
    await expect(other.getByText(/^kept at /)).toBeVisible();
    await page.getByLabel('What the patient tells').fill('From the desk again');
    await page.getByRole('button', { name: 'Keep mine instead' }).click();
    await expect(page.getByText(/^kept at /)).toBeVisible();
    await other.context().close();
});

test('a second session decides with its evidence', async ({ page, phone }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Deciding Wren');
    await startPlaying(mine, '6');
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
    await keepPractice(mine);
    await page.goto(record);
    await page.getByRole('button', { name: 'Begin a session' }).click();
    await to(page, 'Decide');
    await expect(page.getByRole('region', { name: 'Extended exhale' })).toContainText(
        /1\s*practice since the last change\./,
    );
    await page.getByRole('region', { name: 'Extended exhale' }).getByText('step up', { exact: true }).click();
    const answered = kept(page);
    await page.getByLabel('Reason for Extended exhale').fill('Easy at this pace.');
    await answered;
    await expectNoAxeViolations(page);
    await to(page, 'Note');
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue(
        /Extended exhale: step up\. Easy at this pace\./,
    );
});

test('two keys lead anywhere, and they can be turned off', async ({ page }) => {
    await signIn(page);
    const record = await addPatient(page, newName('Keys Wren'));
    await screen(page);
    await page.keyboard.press('?');
    await expect(page.getByRole('heading', { name: 'Words and keys', exact: true })).toBeVisible();
    await expectNoAxeViolations(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('g');
    await page.keyboard.press('m');
    await expect(page).toHaveURL(new RegExp(`${record}/measure$`));
    await page.getByRole('button', { name: 'Begin a session' }).click();
    await expect(page.getByRole('heading', { name: 'A first session' })).toBeVisible();
    await page.keyboard.press('g');
    await page.keyboard.press('8');
    await expect(page.getByLabel('Note', { exact: true })).toBeVisible();
    await page.keyboard.press('g');
    await page.keyboard.press('k');
    await expect(page.getByRole('heading', { name: 'Harrow Quay Breathing Clinic' })).toBeVisible();
    await expectNoAxeViolations(page);
    await page.keyboard.press('?');
    await page.getByRole('button', { name: 'Turn the keys off' }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await page.keyboard.press('g');
    await page.keyboard.press('c');
    await page.waitForTimeout(500);
    await expect(page).toHaveURL(/\/clinic$/);
});

test('a session is led by keyboard alone', async ({ page }) => {
    await signIn(page);
    await addPatient(page, newName('Handless Wren'));
    await screen(page);
    await page.getByRole('button', { name: 'Begin a session' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'A first session' })).toBeVisible();
    await page.keyboard.press('g');
    await page.keyboard.press('2');
    await expect(page.getByLabel('No, nothing new')).toBeVisible();
    await page.getByLabel('No, nothing new').focus();
    await page.keyboard.press('Space');
    await page.keyboard.press('Tab');
    await expect(page.getByLabel('What the patient tells')).toBeFocused();
    await page.keyboard.type('Gardens again; g 4 is only text here.');
    await expect(page.getByText(/^kept at /)).toBeVisible();
    await page.keyboard.press('Tab');
    await expect(page.getByRole('link', { name: 'Measure', exact: true }).last()).toBeFocused();
    await page.keyboard.press('g');
    await page.keyboard.press('8');
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue(/Gardens again; g 4 is only text here\./);
    await page.getByRole('button', { name: 'Sign the note' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Signed by Nora Ashgrove/)).toBeVisible();
});

test('what is decided is done in the draft, can be undone, and a draft that does not do it says so', async ({
    page,
}) => {
    await signIn(page);
    const record = await prescribed(page, newName('Agreed Wren'), '6');
    await page.goto(record);
    await page
        .getByRole('button', { name: /session/i })
        .first()
        .click();
    await page.waitForURL(/brief/);
    await page.getByRole('link', { name: 'Decide' }).first().click();
    await page.getByText('step up', { exact: true }).click();
    await page.getByLabel(/^Reason for/).fill('Effort is low.');
    await page.getByRole('link', { name: 'Prescribe' }).first().click();
    const decided = page.getByRole('region', { name: 'Decided in this session' });
    await expect(decided).toContainText('step up. Effort is low');
    await expect(decided).toContainText('It is done in this draft');
    await expect(page.getByLabel('Why it changes')).toHaveValue(/step up \(Effort is low\)$/);
    await expectNoAxeViolations(page);

    await page.getByRole('button', { name: 'undo' }).click();
    await expect(decided).toContainText('Do it in this draft');
    await page.reload();
    await expect(decided).toContainText('Do it in this draft');
    await page.getByRole('button', { name: 'Issue version 2' }).click();
    await expect(page.getByRole('alert').filter({ hasText: '“step up” was decided' })).toBeVisible();
    await page.getByRole('button', { name: 'Go on building' }).click();
    await decided.getByRole('button', { name: 'Do it in this draft' }).click();
    await expect(decided).toContainText('It is done in this draft');
    await page.getByRole('button', { name: 'Issue version 2' }).click();
    await expect(page.getByText('was decided, and this does not do it')).toBeHidden();
    await page.getByRole('button', { name: 'Issue version 2 now' }).click();
    await page.waitForURL(/hand-over/);
    await page.getByRole('link', { name: 'Note' }).first().click();
    await expect(page.getByLabel(/note/i).first()).toHaveValue(/step up\. Effort is low\.[\s\S]*Version 2/);
});

test('a practitioner pauses an exercise at once, and what lifts it is read again', async ({ page, phone }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Resting Wren', '4');
    await page.goto(record);
    await page.getByText('Pause an exercise, or everything').click();
    await page.getByRole('button', { name: 'Pause it now' }).click();
    await expect(page.getByText('Say why, in words that the patient reads.')).toBeVisible();
    await page.getByLabel('Why, as the patient reads it').fill('Rest your ribs until we have seen the picture.');
    await page.getByRole('button', { name: 'Pause it now' }).click();
    await expect(
        page.getByText(/^Every exercise but recovery is paused by Nora Ashgrove: Rest your ribs/),
    ).toBeVisible();
    await mine.reload();
    await expect(mine.getByText('Rest your ribs until we have seen the picture.')).toBeVisible();
    await expect(mine.getByRole('button', { name: 'Paused' }).first()).toBeDisabled();
    await expectNoAxeViolations(mine);
    await page.getByLabel('Why it goes on').fill('The ribs are whole.');
    await page.getByRole('button', { name: 'Let it go on' }).click();
    await expect(page.getByRole('heading', { name: 'What was found when a pause was lifted' })).toBeVisible();
    await expect(page.getByText('The ribs are whole.').first()).toBeVisible();
    await expectNoAxeViolations(page);
    await mine.reload();
    await expect(mine.getByText('Rest your ribs until we have seen the picture.')).toBeHidden();
});
