import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** The same browser without a window to draw: a third faster. */
const SHELL = '/usr/bin/chromium-headless-shell';

export default defineConfig({
    testDir: 'tests/browser',
    timeout: 240_000,
    expect: { timeout: 20_000 },
    fullyParallel: true,
    // A practice is mostly waiting: two more than the processors that are usual.
    workers: 4,
    // A machine under load may miss a time limit; what passes only when tried again is reported as flaky.
    retries: 2,
    forbidOnly: true,
    reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : [['list']],
    use: {
        baseURL: process.env.IVORY_PACE_ADDRESS,
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        screenshot: 'only-on-failure',
        launchOptions: {
            executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--no-first-run',
            ],
        },
    },
});
