import {
    expect,
    promised,
    expectNoAxeViolations,
    expectToFit,
    lockScreen,
    makeLink,
    readyPatient,
    signIn,
    startPlaying,
    test,
} from './support';

const ROOMS: Record<string, string[]> = {
    [promised('step-up-with-recovery')]: ['', '/measure', '/bench', '/screening', '/access', '/record', '/versions/2'],
    [promised('red-flag')]: ['', '/screening', '/bench'],
    [promised('not-screened')]: ['', '/screening'],
    [promised('paused')]: [''],
    [promised('review-overdue')]: ['/bench'],
};

for (const [name, rooms] of Object.entries(ROOMS)) {
    test(`the rooms of ${name} are accessible`, async ({ page }) => {
        await signIn(page);
        const href = await page.getByRole('link', { name, exact: true }).getAttribute('href');
        for (const room of rooms) {
            await page.goto(href + room);
            await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
            await expectNoAxeViolations(page);
            await expectToFit(page);
        }
    });
}

test('signing in, the Caseload and adding a patient are accessible', async ({ page }) => {
    await page.goto('/sign-in');
    await expectNoAxeViolations(page);
    await signIn(page);
    await expectNoAxeViolations(page);
    await expectToFit(page);
    await page.goto('/patients/new');
    await expectNoAxeViolations(page);
    await page.getByRole('button', { name: 'Add and go to screening' }).click();
    await expect(page.getByText('Type the patient’s name.')).toBeVisible();
    await expectNoAxeViolations(page);
});

test('a page that is not there is accessible too', async ({ page, watcher }) => {
    watcher.expect(/^answer: 404/);
    await page.goto('/no-such-page');
    await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
    await expectNoAxeViolations(page);
});

test('every page of the patient is accessible', async ({ page, phone, watcher }) => {
    const { record, phone: mine } = await readyPatient(page, phone, 'Axe Wren', '20');
    await expectNoAxeViolations(mine);
    await mine
        .getByRole('button', { name: /^Begin/ })
        .first()
        .click();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: '5', exact: true }).click();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Back' }).click();
    await startPlaying(mine);
    await expect(mine.locator('[data-cue="exhale"]')).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Stop', exact: true }).click();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Dizzy' }).click();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'It has not settled' }).click();
    await expect(mine.getByRole('heading', { name: 'Get help now' })).toBeVisible();
    await expectNoAxeViolations(mine);
    await mine.getByRole('button', { name: 'Back to Today' }).click();
    await expect(mine.getByRole('heading', { name: 'Paused' })).toBeVisible();
    await expectNoAxeViolations(mine);
    await lockScreen(mine, watcher);
    await expect(mine.getByLabel('PIN')).toBeVisible();
    await expectNoAxeViolations(mine);

    const { address } = await makeLink(page, record);
    await expectNoAxeViolations(page);
    const second = await phone.open();
    await second.goto('/enter');
    await expect(second.getByLabel('Code')).toBeVisible();
    await expectNoAxeViolations(second);
    const link = new URL(address);
    await second.goto('about:blank');
    await second.goto(link.pathname + link.hash);
    await second.getByRole('button', { name: 'Use this device' }).click();
    await expect(second.getByRole('heading', { name: 'Before you begin' })).toBeVisible();
    await expectNoAxeViolations(second);
    await second.getByRole('button', { name: 'I have read this and agree' }).click();
    await expect(second.getByLabel('PIN', { exact: true })).toBeVisible();
    await expectNoAxeViolations(second);
});
