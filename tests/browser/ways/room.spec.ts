import { readFileSync } from 'node:fs';
import { expect, expectNoAxeViolations, expectToFit, newName, test } from '../support';
import { Devices, Way } from './devices';
import { quickSignIn, screened } from './quick';

const devices = new Devices();
test.afterAll(() => devices.end());

test('a quiet minute with belts and a clip, cut off in the middle, is kept with its source and goes out and in', async ({
    page,
    baseURL,
    watcher,
}) => {
    test.setTimeout(240_000);
    watcher.expect(/answer: 422 POST .*\/(sensors|signals\/file)$/);
    const way = await Way.to(baseURL ?? '');
    await quickSignIn(page);
    const record = await screened(page, newName('Belted'));
    await page.goto(`${record}/measure`);
    await page.getByRole('link', { name: 'With a belt or an oximeter' }).click();
    await expect(page.getByText('Nothing was recorded yet.')).toBeVisible();
    await page.getByRole('button', { name: 'The patient agrees' }).click();
    await expect(page.getByText('they stay for 90 days')).toBeVisible();

    // Without a name there is no code.
    await page.getByText('Pair another device').click();
    await page.getByRole('button', { name: 'Make a code' }).click();
    await expect(page.getByRole('alert')).toContainText('Give the device a name');
    const belts = await devices.pair(
        page,
        way.address,
        'belts',
        '--breath',
        '2:0:3:0',
        '--apart',
        '50',
        '--noise',
        '25',
    );
    const clip = await devices.pair(page, way.address, 'oximeter', '--breath', '2:0:3:0', '--pulse', '66');
    await expectNoAxeViolations(page);
    for (const name of [belts, clip]) await page.getByLabel(name).check();
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    await expect(page.getByText('ends by itself in')).toBeVisible();
    await expect(page.getByRole('img', { name: 'The last half minute: belly and chest' })).toBeVisible();
    await page.getByRole('button', { name: 'Now a full, slow breath' }).click();

    // A reload loses neither the recording nor what was marked.
    await page.reload();
    await expect(page.getByText('to compare by', { exact: true })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Now a full, slow breath' })).toHaveCount(0);
    way.isCut = true;
    await expect(page.getByText(`${belts}: not heard of just now`)).toBeVisible();
    await expectNoAxeViolations(page);
    way.isCut = false;
    await expect(page.getByLabel('The last minute').getByText('50°')).toBeVisible({ timeout: 60_000 });
    await expectToFit(page);
    await expect(page.getByText('chest and belly 5', { exact: false })).toBeVisible({ timeout: 90_000 });

    const made = page.getByRole('region', { name: /^Quiet minute/ });
    await expect(made.getByText('12 breaths a minute')).toBeVisible();
    await made.getByRole('button', { name: /^Keep 12 breaths\/min as Resting rate/ }).click();
    await expect(made.getByText(/^Resting rate 12 breaths\/min: kept/)).toBeVisible();
    await made.getByRole('button', { name: /^Keep 97 % as Oxygen saturation/ }).click();
    await expect(made.getByText(/^Oxygen saturation 97 %: kept/)).toBeVisible();
    await expectNoAxeViolations(page);

    // What was measured while the way was cut came after it.
    const download = page.waitForEvent('download');
    await made.getByRole('link', { name: 'CSV' }).click();
    const table = readFileSync(await (await download).path(), 'utf8')
        .trim()
        .split('\r\n');
    expect(table[0]).toBe('t_s,belly,chest,spo2,pulse');
    const times = table.slice(1).map((line) => Number(line.split(',')[0]));
    expect(Math.max(...times.slice(1).map((at, n) => at - (times[n] ?? at)))).toBeLessThan(0.05);

    const edf = page.waitForEvent('download');
    await made.getByRole('link', { name: 'EDF+' }).click();
    const file = await (await edf).path();
    await page
        .getByLabel('A trace from a file')
        .setInputFiles({ name: 'elsewhere.edf', mimeType: 'application/octet-stream', buffer: readFileSync(file) });
    const read = page.getByRole('region', { name: /^From a file/ });
    await expect(read.getByText('12 breaths a minute')).toBeVisible();
    const again = page.waitForEvent('download');
    await read.getByRole('link', { name: 'EDF+' }).click();
    expect(readFileSync(await (await again).path()).equals(readFileSync(file))).toBe(true);
    await page.getByLabel('A trace from a file').setInputFiles({
        name: 'broken.edf',
        mimeType: 'application/octet-stream',
        buffer: readFileSync(file).subarray(0, -7),
    });
    await expect(page.getByRole('alert')).toContainText('it ends in record');
    await expect(page.getByRole('alert')).toContainText('Nothing was stored');

    await page.getByRole('link', { name: 'Measure', exact: true }).first().click();
    await expect(page.getByText('two belts, quiet minute')).toBeVisible();
    await expect(page.getByText('oximeter, quiet minute')).toBeVisible();
    way.close();
});

test('a breath that is led is drawn under the trace, and what is left of it is read when it is stopped', async ({
    page,
    baseURL,
}) => {
    test.setTimeout(180_000);
    await quickSignIn(page);
    const record = await screened(page, newName('Led'));
    await page.goto(`${record}/signals`);
    // Somebody else's devices may be here as well: none is chosen that was not used from here.
    const other = await devices.pair(page, baseURL ?? '', 'oximeter', '--breath', '4:0:5:1');
    await page.reload();
    await expect(page.getByText('is here').first()).toBeVisible();
    await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(0);
    const belts = await devices.pair(page, baseURL ?? '', 'belts', '--breath', '4:0:5:1');
    await page.getByLabel('A breath that is led').check();
    await page.getByLabel(belts).check();
    await page.getByLabel('Exercise').selectOption({ label: 'Extended exhale' });
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    await expect(page.getByText('what is led')).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText('breath 4 of', { exact: false })).toBeVisible({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    const made = page.getByRole('region', { name: /^Led breath/ });
    await expect(made.getByText(/^Followed \d of [23] breaths/)).toBeVisible();
    // Nobody agreed: the samples go as soon as the device has sent them all.
    await expect(async () => {
        await page.reload();
        await expect(made.getByText('Samples removed')).toBeVisible({ timeout: 1000 });
    }).toPass({ timeout: 30_000 });
    await expect(page.getByLabel(belts)).toBeChecked();
    await expect(page.getByLabel(other)).not.toBeChecked();
    // Ended here, nothing more is taken from it.
    await page.getByRole('button', { name: `end it ${belts}` }).click();
    await page.getByRole('button', { name: 'End it', exact: true }).click();
    await expect(page.getByLabel(belts)).toHaveCount(0);
});
