// Times the Caseload and the Course where a clinic has many patients, against a bare page in the same run.
//   node bin/lib/measure-scale.mjs ADDRESS LABEL [short]
import { chromium } from '@playwright/test';

const [address, label, short] = process.argv.slice(2);
if (!address || !label) throw new Error('Usage: node bin/lib/measure-scale.mjs ADDRESS LABEL [short]');

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--lang=en-GB',
    ],
});
const page = await (
    await browser.newContext({ baseURL: address, locale: 'en-GB', viewport: { width: 1280, height: 800 } })
).newPage();
await page.goto('/sign-in');
await page.getByLabel('E-mail').fill('scale@measured.example');
await page.getByLabel('Password').fill('lantern-over-quay');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Who needs me' }).waitFor();
const course = await page
    .getByRole('link', { name: /^Measured Wren/ })
    .first()
    .getAttribute('href');

const times = await page.evaluate(
    async ({ course }) => {
        const version = JSON.parse(document.querySelector('script[data-page]')?.textContent ?? '{}').version ?? '';
        const headers = {
            'X-Inertia': 'true',
            'X-Inertia-Version': version,
            'X-Requested-With': 'XMLHttpRequest',
            Accept: 'text/html, application/xhtml+xml',
        };
        const requests = { bare: '/measure/page', caseload: '/', course, year: `${course}?span=all` };
        const all = Object.fromEntries(Object.keys(requests).map((name) => [name, []]));
        for (let run = 0; run < 90; run++) {
            for (const [name, url] of Object.entries(requests)) {
                const begun = performance.now();
                const response = await fetch(url, { headers });
                await response.arrayBuffer();
                if (!response.ok) throw new Error(`${name} answered ${response.status}`);
                if (run >= 10) all[name].push(performance.now() - begun);
            }
        }
        return all;
    },
    { course },
);
await browser.close();

const at = (name, share) => [...times[name]].sort((a, b) => a - b)[Math.floor(times[name].length * share)] ?? NaN;
const ratio = (name) => `${(at(name, 0.95) / at('bare', 0.95)).toFixed(2)} ×`;
if (short) {
    console.log(
        `${label.padEnd(44)} bare ${at('bare', 0.95).toFixed(1).padStart(6)} ms   Caseload ${at('caseload', 0.95).toFixed(1).padStart(6)} ms = ${ratio('caseload').padStart(7)}   Course ${at('course', 0.95).toFixed(1).padStart(6)} ms = ${ratio('course').padStart(7)}`,
    );
} else {
    const line = (what, name, budget) =>
        console.log(
            `${what.padEnd(58)} p50 ${at(name, 0.5).toFixed(1).padStart(6)} ms  p95 ${at(name, 0.95).toFixed(1).padStart(6)} ms${budget ? `  = ${ratio(name)} bare   budget ${budget}` : ''}`,
        );
    console.log(label);
    line('  a bare Inertia page', 'bare');
    line('  the Caseload', 'caseload', '2 ×');
    line('  the Course, three months of a year', 'course', '100 ms');
    line('  the Course, the whole year week by week', 'year', '100 ms');
}
