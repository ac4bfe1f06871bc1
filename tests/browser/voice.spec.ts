import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join as path } from 'node:path';
import { wav } from '../../resources/js/lib/recorder';
import { expect, expectNoAxeViolations, keepPractice, readyPatient, soundsOf, startPlaying, test } from './support';

/** What the microphone hears: a made-up word of 0.4 s that begins after 0.3 s, then silence for long. */
const sound = path(mkdtempSync(path(tmpdir(), 'voice-')), 'word.wav');
const RATE = 48_000;
const samples = Float32Array.from({ length: RATE * 20 }, (_, n) =>
    n > RATE * 0.3 && n < RATE * 0.7 ? 0.3 * Math.sin((2 * Math.PI * 220 * n) / RATE) : 0,
);

test.use({
    launchOptions: {
        executablePath: '/usr/bin/chromium',
        args: [
            '--no-sandbox',
            '--no-first-run',
            '--disable-background-networking',
            '--use-fake-device-for-media-stream',
            '--use-fake-ui-for-media-stream',
            `--use-file-for-fake-audio-capture=${sound}%noloop`,
        ],
    },
});

test.beforeAll(async () => writeFileSync(sound, Buffer.from(await wav(samples, RATE).arrayBuffer())));

test('a practitioner records a line, hears it, and a patient is led by it on the beat', async ({
    page,
    phone,
    watcher,
}) => {
    const { phone: mine } = await readyPatient(page, phone, 'Voice Wren', '2', 'tamsin@harrowquay.example');
    await page.goto('/voice');
    await expect(page.getByRole('heading', { name: 'My voice' })).toBeVisible();
    watcher.expect(/^answer: 422/);
    for (
        let tries = 0;
        tries < 3 && (await page.getByRole('button', { name: 'Hear in, nose' }).count()) === 0;
        tries++
    ) {
        await page.getByRole('button', { name: /^(Record|Again) in, nose$/ }).click();
        await expect(page.getByText('Recording: speak now.')).toBeVisible();
        await expect(page.getByText('Recording: speak now.')).toHaveCount(0);
        await expect(page.getByRole('button', { name: 'Hear in, nose' }).or(page.getByRole('alert'))).toBeVisible();
    }
    await page.getByRole('button', { name: 'Hear in, nose' }).click();
    await expectNoAxeViolations(page);

    const brought = mine.waitForResponse((response) => response.url().includes('/api/v1/voice/cue.inhale.nose'));
    await mine.reload();
    expect((await brought).ok()).toBe(true);
    await mine.evaluate(() => {
        const spoken: number[] = [];
        Object.assign(window, { spoken });
        const start = AudioBufferSourceNode.prototype.start;
        AudioBufferSourceNode.prototype.start = function (when = 0) {
            spoken.push(when);
            start.call(this, when);
        };
    });
    await startPlaying(mine);
    await expect(mine.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
    const spoken = await mine.evaluate(() => (window as unknown as { spoken: number[] }).spoken);
    expect(spoken).toHaveLength(2);
    // A breath is 4:0:5:1 at 0.4 s: the word comes every 4 s, to the sample.
    expect((spoken[1] ?? 0) - (spoken[0] ?? 0)).toBeCloseTo(4, 3);
    expect((await soundsOf(mine)).some((each) => each.from === 220)).toBe(false);
    await keepPractice(mine);

    await page.goto('/voice');
    await page.getByRole('button', { name: 'Remove in, nose' }).click();
    await expect(page.getByRole('button', { name: 'Hear in, nose' })).toHaveCount(0);
});
