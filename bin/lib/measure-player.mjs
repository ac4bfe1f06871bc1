// Measures the patient's side: tones against the plan, what is drawn against the audio clock with a slow processor, the
// weight of the pages, and Lighthouse.
//   node bin/lib/measure-player.mjs ADDRESS BUILD_DIRECTORY [MINUTES]
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import lighthouse, { snapshot } from 'lighthouse';
import puppeteer from 'puppeteer-core';
import { render, timelines } from './rendering.mjs';

const promises = JSON.parse(
    readFileSync(new URL('../../database/seeders/Demo/promises.json', import.meta.url), 'utf8'),
);
const [address, build, minutes = '10'] = process.argv.slice(2);
if (!address || !build) throw new Error('Usage: node bin/lib/measure-player.mjs ADDRESS BUILD_DIRECTORY [MINUTES]');
const PORT = 19_431;
const PIN = '480153';
const line = (label, text) => console.log(`${label.padEnd(58)} ${text}`);
const share = (values, part) =>
    [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * part))] ?? NaN;

const profile = `${process.env.TMPDIR ?? '/tmp'}/ivory-pace-measure-${process.pid}`;
const context = await chromium.launchPersistentContext(profile, {
    executablePath: '/usr/bin/chromium',
    baseURL: address,
    locale: 'en-GB',
    viewport: { width: 390, height: 844 },
    args: ['--no-sandbox', '--disable-background-networking', '--no-first-run', `--remote-debugging-port=${PORT}`],
});

// 1. Onsets.
const rendered = await render(await context.newPage());
const worst = rendered.reduce((most, each) => (each.worst > most.worst ? each : most));
line(
    'tone onsets, rendered, against the plan',
    `${rendered.length} techniques, ${rendered.reduce((sum, each) => sum + each.tones, 0)} tones, worst ${worst.worst.toFixed(3)} ms (${worst.technique}), cues without a tone ${rendered.reduce((sum, each) => sum + each.missing, 0)}   budget 1 ms`,
);

// 2. Weight.
const manifest = JSON.parse(readFileSync(`public/${build}/manifest.json`, 'utf8'));
const files = new Set();
const collect = (key) => {
    const entry = manifest[key];
    files.add(entry.file);
    for (const css of entry.css ?? []) files.add(css);
    for (const each of entry.imports ?? []) collect(each);
};
collect('resources/js/patient.ts');
const weight = [...files].reduce((sum, file) => sum + gzipSync(readFileSync(`public/${build}/${file}`)).length, 0);
line(
    'the patient’s pages: script and style, gzipped',
    `${(weight / 1024).toFixed(1)} KB in ${files.size} files   budget 90 KB`,
);

// A phone of a demo patient, joined.
const page = await context.newPage();
await page.goto('/sign-in');
await page.getByLabel('E-mail').fill('nora@harrowquay.example');
await page.getByLabel('Password').fill('lantern-over-quay');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('link', { name: promises['step-up-of-a-colleague'].patient, exact: true }).click();
await page.waitForURL(/patients\/[^/]+$/);
await page.goto(`${new URL(page.url()).pathname}/access`);
await page.getByRole('button', { name: /^Make a (new )?link$/ }).click();
await page.locator('[data-link]').waitFor({ state: 'attached' });
const link = new URL((await page.locator('[data-link]').textContent()) ?? '');
await page.goto(link.pathname + link.hash);
await page.getByRole('button', { name: 'Use this device' }).click();
await page.getByRole('button', { name: 'I have read this and agree' }).click();
await page.getByLabel('PIN', { exact: true }).fill(PIN);
await page.getByLabel('PIN once more').fill(PIN);
await page.getByRole('button', { name: 'Keep this PIN' }).click();
await page.getByRole('button', { name: 'Lock' }).waitFor();

// 3. Lighthouse with its mobile settings.
const scores = ({ lhr }) =>
    Object.values(lhr.categories)
        .map(
            (category) =>
                `${category.title.toLowerCase()} ${category.score === null ? '–' : Math.round(category.score * 100)}`,
        )
        .join(', ');
const flags = {
    port: PORT,
    output: 'json',
    logLevel: 'error',
    onlyCategories: ['performance', 'accessibility'],
    disableStorageReset: true,
};
const today = await lighthouse(`${address}/my`, flags);
line('Lighthouse, mobile settings, Today', `${scores(today)}   budget 95`);
if (process.env.DETAILS)
    for (const key of [
        'first-contentful-paint',
        'largest-contentful-paint',
        'total-blocking-time',
        'speed-index',
        'cumulative-layout-shift',
    ])
        line(`  ${key}`, today.lhr.audits[key].displayValue);

// 4. What is drawn against the audio clock: ten minutes of one breath in place of the programme's.
const exercise = timelines()['ten-minutes'];
await page.route('**/api/v1/today', async (route) => {
    const response = await route.fetch();
    const bundle = await response.json();
    for (const items of Object.values(bundle.items))
        for (const item of items)
            Object.assign(item, {
                timeline: exercise,
                breaths: exercise.breaths,
                seconds: Math.round(exercise.exercise_ms / 1000),
            });
    await route.fulfill({ response, json: bundle });
});
await page.addInitScript(() => {
    const drawn = [];
    const planned = [];
    const steps = [];
    Object.assign(window, { drawn, planned, steps });
    const create = AudioContext.prototype.createOscillator;
    let clock = null;
    const remember = (context) => {
        clock ??= context;
    };
    AudioContext.prototype.createOscillator = function () {
        remember(this);
        const oscillator = create.call(this);
        const start = oscillator.start.bind(oscillator);
        const set = oscillator.frequency.setValueAtTime.bind(oscillator.frequency);
        let from = 0;
        oscillator.frequency.setValueAtTime = (value, when) => {
            from = value;
            return set(value, when);
        };
        oscillator.start = (when = 0) => {
            planned.push({ at: when, from });
            start(when);
        };
        return oscillator;
    };
    // Beside it a metronome as one would write it first: each timer sets the next. It keeps the same phases.
    const phases = [4000, 5000, 1000];
    window.metronome = () => {
        let due = clock.currentTime;
        let n = 0;
        const step = () => {
            steps.push((clock.currentTime - due) * 1000);
            due += phases[n % 3] / 1000;
            setTimeout(step, phases[n++ % 3]);
        };
        step();
    };
    new MutationObserver((changes) => {
        for (const change of changes)
            if (clock && change.target instanceof HTMLElement)
                drawn.push({ kind: change.target.dataset.cue, at: clock.currentTime - (clock.outputLatency || 0) });
    }).observe(document, { subtree: true, attributes: true, attributeFilter: ['data-cue'] });
});
await page.goto('/my');
await page
    .getByRole('button', { name: /^(Begin|Once more)/ })
    .first()
    .click();
await page.getByRole('button', { name: '5', exact: true }).click();
const devtools = await context.newCDPSession(page);
await devtools.send('Emulation.setCPUThrottlingRate', { rate: 4 });
await page.getByRole('button', { name: 'Start', exact: true }).click();
await page.locator('[data-cue="inhale"]').waitFor();
await page.evaluate(() => window.metronome());
await page.waitForTimeout(Number(minutes) * 60_000);
const { drawn, planned, steps } = await page.evaluate(() => ({
    drawn: window.drawn,
    planned: window.planned,
    steps: window.steps,
}));
const TONES = { inhale: 220, exhale: 330, rest: 147 };
const lags = drawn
    .filter((each) => each.kind in TONES)
    .map((each) => {
        const due = planned
            .filter((tone) => tone.from === TONES[each.kind])
            .reduce(
                (best, tone) => (Math.abs(tone.at - each.at) < Math.abs(best - each.at) ? tone.at : best),
                Infinity,
            );
        return (each.at - due) * 1000;
    });
const mean = (values) => values.reduce((sum, value) => sum + value, 0) / values.length;
line(
    `drawn against the audio clock, ${minutes} min, processor slowed 4×`,
    `${lags.length} cues: median ${share(lags.map(Math.abs), 0.5).toFixed(1)} ms, p99 ${share(lags.map(Math.abs), 0.99).toFixed(1)} ms   budget 10 and 40 ms`,
);
line(
    'its drift: mean of the last tenth less the first',
    `${(mean(lags.slice(-Math.ceil(lags.length / 10))) - mean(lags.slice(0, Math.ceil(lags.length / 10)))).toFixed(1)} ms   budget none`,
);
line(
    'a metronome of chained timers in the same run',
    `${steps.length} steps: off by ${Math.abs(steps.at(-1) ?? 0).toFixed(0)} ms at the end = ${(Math.abs(steps.at(-1) ?? 0) / Math.max(0.1, share(lags.map(Math.abs), 0.5))).toFixed(0)} × the player’s median`,
);
await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });

// 5. The Practice page as it stands while it plays.
const outer = await puppeteer.connect({ browserURL: `http://127.0.0.1:${PORT}`, defaultViewport: null });
const playing = (await outer.pages()).find((each) => each.url().endsWith('/my/practice'));
if (playing) {
    const result = await snapshot(playing, { flags: { onlyCategories: ['accessibility'], logLevel: 'error' } });
    line('Lighthouse of the Practice page while it plays', `${result ? scores(result) : '–'}   budget 95`);
}
await outer.disconnect();
await context.close();
