import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { test as base, expect, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { prescribed, quickLink, quickSignIn } from './ways/quick';

/** Watches a page: a policy violation, a console error or a request without an answer fails the test. */
export class Watch {
    readonly problems: string[] = [];
    private readonly expected: RegExp[] = [];

    /** From here on, trouble that matches this is part of the test. */
    expect(...patterns: RegExp[]): void {
        this.expected.push(...patterns);
    }

    add(problem: string): void {
        if (!this.expected.some((pattern) => pattern.test(problem))) this.problems.push(problem);
    }
}

async function watch(page: Page, watcher: Watch): Promise<void> {
    page.on('console', (message) => {
        // The browser's own note of a refused request says less than the answer below.
        if (message.type() === 'error' && !message.text().startsWith('Failed to load resource'))
            watcher.add(`console: ${message.text()}`);
    });
    page.on('pageerror', (error) => watcher.add(`page: ${error.message}`));
    page.on('requestfailed', (request) => {
        // A request that a newer one or a new page makes needless is taken back on purpose.
        if (request.failure()?.errorText !== 'net::ERR_ABORTED')
            watcher.add(`request: ${request.url()} ${request.failure()?.errorText}`);
    });
    page.on('response', (response) => {
        if (response.status() >= 400)
            watcher.add(`answer: ${response.status()} ${response.request().method()} ${response.url()}`);
    });
    await page.addInitScript(() => {
        document.addEventListener('securitypolicyviolation', (event) =>
            console.error(`policy: ${event.violatedDirective} ${event.blockedURI} ${event.sample}`),
        );
    });
}

/** What the page put on the audio clock, in order. */
export interface Sound {
    at: number;
    from: number;
    length: number;
    put: number;
}

async function recordSounds(page: Page): Promise<void> {
    await page.addInitScript(() => {
        const sounds: { at: number; from: number; length: number; put: number }[] = [];
        const contexts: AudioContext[] = [];
        Object.assign(window, { sounds, contexts });
        const context = window.AudioContext;
        const createOscillator = context.prototype.createOscillator;
        context.prototype.createOscillator = function (this: AudioContext) {
            if (!contexts.includes(this)) contexts.push(this);
            const oscillator = createOscillator.call(this);
            let from = 0;
            let at = 0;
            const set = oscillator.frequency.setValueAtTime.bind(oscillator.frequency);
            oscillator.frequency.setValueAtTime = (value, when) => {
                from = value;
                return set(value, when);
            };
            const start = oscillator.start.bind(oscillator);
            const stop = oscillator.stop.bind(oscillator);
            let record: { at: number; from: number; length: number; put: number } | null = null;
            oscillator.start = (when = 0) => {
                at = when;
                record = { at, from, length: 0, put: this.currentTime };
                sounds.push(record);
                start(when);
            };
            oscillator.stop = (when) => {
                if (record && when !== undefined) record.length = when - at;
                stop(when);
            };
            return oscillator;
        };
    });
}

export const soundsOf = (page: Page): Promise<Sound[]> =>
    page.evaluate(() => (window as unknown as { sounds: Sound[] }).sounds);

interface Fixtures {
    watcher: Watch;
    page: Page;
    phone: Phones;
}

/** Makes patients' phones: each its own browser profile. */
export class Phones {
    readonly contexts: BrowserContext[] = [];

    constructor(
        private readonly browser: Browser,
        private readonly baseURL: string,
        private readonly watcher: Watch,
    ) {}

    async open(options: { reducedMotion?: 'reduce'; isMobile?: boolean } = {}): Promise<Page> {
        const context = await this.browser.newContext({
            viewport: { width: 390, height: 844 },
            hasTouch: true,
            isMobile: true,
            baseURL: this.baseURL,
            locale: 'en-GB',
            ...options,
        });
        this.contexts.push(context);
        return this.openIn(context);
    }

    /** Another page of the same phone, as after the browser was started again. */
    async openIn(context: BrowserContext): Promise<Page> {
        const page = await context.newPage();
        await watch(page, this.watcher);
        await recordSounds(page);
        return page;
    }
}

export const test = base.extend<Fixtures>({
    watcher: async ({ baseURL }, use) => {
        void baseURL;
        const watcher = new Watch();
        await use(watcher);
        expect(watcher.problems).toEqual([]);
    },
    page: async ({ page, watcher }, use) => {
        await watch(page, watcher);
        await use(page);
    },
    phone: async ({ browser, baseURL, watcher }, use) => {
        const phones = new Phones(browser, baseURL ?? '', watcher);
        await use(phones);
        for (const context of phones.contexts) await context.close();
    },
});

export { expect };

export async function signIn(page: Page, email = 'nora@harrowquay.example'): Promise<void> {
    await quickSignIn(page, email);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Who needs me' })).toBeVisible();
}

const promises = JSON.parse(
    readFileSync(new URL('../../database/seeders/Demo/promises.json', import.meta.url), 'utf8'),
) as Record<string, { patient: string }>;

/** The demo patient who stands for a state. */
export function promised(state: string): string {
    const promise = promises[state];
    if (!promise) throw new Error(`The demo promises nothing of “${state}”.`);
    return promise.patient;
}

let made = 0;

/** A name that no other test uses. */
export function newName(stem: string): string {
    return `${stem} ${process.pid}-${Date.now().toString(36)}${made++}`;
}

/** Adds a patient and returns the address of the record. */
export async function addPatient(page: Page, name: string, fields: Record<string, string> = {}): Promise<string> {
    await page.goto('/patients/new');
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.getByLabel('Date of birth', { exact: true }).fill(fields.birth_date ?? '1984-03-02');
    if (fields.minutes) await page.getByLabel(/^Minutes a day/).fill(fields.minutes);
    await page.getByRole('button', { name: 'Add and go to screening' }).click();
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
    return new URL(page.url()).pathname.replace(/\/screening$/, '');
}

/** Answers every screening question: yes to the named ones, no to the rest. */
export async function screen(page: Page, yes: string[] = []): Promise<void> {
    for (const question of yes) await page.getByRole('radiogroup', { name: question }).getByLabel('Yes').check();
    const red = page.getByRole('group', { name: 'Refer first' }).getByRole('radiogroup');
    for (const group of await red.all()) {
        if ((await group.locator('input:checked').count()) === 0) await group.getByLabel('No').check();
    }
    const rest = page.getByRole('button', { name: 'The rest: no in every group' });
    if (await rest.isVisible()) await rest.click();
    await page.getByRole('button', { name: 'Keep the screening' }).click();
    await expect(page.getByRole('heading', { name: /^Screening of/ })).toBeVisible();
}

/** Types into the Bench and waits for PHP's answer. */
export async function type(page: Page, label: string, value: string): Promise<void> {
    const answered = page.waitForResponse((response) => response.url().endsWith('/bench/answer'));
    await page.getByLabel(label, { exact: true }).fill(value);
    await answered;
}

/** Puts another exercise in the place of the present one, or adds one. */
export async function pick(page: Page, technique: string, how: 'change' | 'Add an exercise' = 'change'): Promise<void> {
    await page
        .getByRole('region', { name: 'In this programme' })
        .getByRole('button', { name: how, exact: true })
        .click();
    await page
        .getByRole('button', { name: new RegExp(`^${technique} `) })
        .first()
        .click();
}

/** Issues what is on the Bench: what it says, or changes, is read first. */
export async function issueNow(page: Page): Promise<void> {
    await page.getByRole('button', { name: /^Issue version \d+$/ }).click();
    await page.getByRole('button', { name: /^Issue version \d+ now$/ }).click();
}

/** A patient with a short, fast programme: 4:0:5:1 at 0.4 s a count. */
export async function issueFast(page: Page, record: string, breaths = '2'): Promise<void> {
    await page.goto(`${record}/bench`);
    await page.getByLabel('Position').selectOption('seated');
    await type(page, 'Seconds a count', '0.4');
    await type(page, 'Breaths', breaths);
    await issueNow(page);
    await expect(page.getByText(/^Version \d+ issued/)).toBeVisible();
}

export async function makeLink(page: Page, record: string): Promise<{ address: string; code: string }> {
    await page.goto(`${record}/access`);
    await page.getByRole('button', { name: /^Make a (new )?link$/ }).click();
    await page.locator('[data-link]').waitFor({ state: 'attached' });
    const address = (await page.locator('[data-link]').textContent()) ?? '';
    const code = (await page.getByText(/^[0-9A-Z]{5}-[0-9A-Z]{5}$/).textContent()) ?? '';
    return { address, code };
}

/** Takes a phone from the link to Today. */
export async function join(phone: Page, address: string, pin = '480153'): Promise<void> {
    const url = new URL(address);
    await phone.goto(url.pathname + url.hash);
    await phone.getByRole('button', { name: 'Use this device' }).click();
    await phone.getByRole('button', { name: 'I have read this and agree' }).click();
    await phone.getByLabel('PIN', { exact: true }).fill(pin);
    await phone.getByLabel('PIN once more').fill(pin);
    await phone.getByRole('button', { name: 'Keep this PIN' }).click();
    await expect(phone.getByRole('button', { name: 'Lock' })).toBeVisible();
}

/** From Today into the player. */
export async function startPlaying(phone: Page, before = '6'): Promise<void> {
    await phone
        .getByRole('button', { name: /^(Begin|Once more)/ })
        .first()
        .click();
    await phone.getByRole('button', { name: before, exact: true }).click();
    await phone.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(phone.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
}

/** The answer to something of this kind that the device sends next. */
export async function sent(phone: Page, kind: string): Promise<string> {
    const response = await phone.waitForResponse(
        (each) =>
            each.url().endsWith('/api/v1/outbox') && (each.request().postData() ?? '').includes(`"kind":"${kind}"`),
    );
    const asked = (response.request().postDataJSON() as { items: { id: string; kind: string }[] }).items.find(
        (item) => item.kind === kind,
    );
    const answers = ((await response.json()) as { answers: { id: string; result: string }[] }).answers;
    return answers.find((answer) => answer.id === asked?.id)?.result ?? 'none';
}

/** Keeps what was practised, and waits until the server has it: Today shows it before that. */
export async function keepPractice(phone: Page): Promise<void> {
    const taken = sent(phone, 'practice');
    await phone.getByRole('button', { name: 'Keep this' }).click();
    expect(await taken).toBe('stored');
}

/** Until the phone would open without a network. */
export async function readyOffline(phone: Page): Promise<void> {
    await phone.evaluate(() => navigator.serviceWorker.ready);
    await expect.poll(() => phone.evaluate(async () => (await caches.match('/my')) !== undefined)).toBe(true);
    await expect
        .poll(() =>
            phone.evaluate(
                () =>
                    new Promise((resolve) => {
                        const opening = indexedDB.open('ivory-pace');
                        opening.onsuccess = () => {
                            const asking = opening.result.transaction('kept').objectStore('kept').getAllKeys();
                            asking.onsuccess = () => {
                                opening.result.close();
                                resolve(
                                    ['today', 'diary', 'progress', 'sheet', 'needed', 'pin'].every((name) =>
                                        asking.result.includes(name),
                                    ),
                                );
                            };
                        };
                    }),
            ),
        )
        .toBe(true);
}

/** A new patient with a fast programme, and a phone that has joined. */
export async function readyPatient(
    page: Page,
    phones: Phones,
    stem: string,
    breaths = '2',
    email?: string,
    options: { isMobile?: boolean } = {},
): Promise<{ record: string; phone: Page; name: string }> {
    const name = newName(stem);
    await quickSignIn(page, email);
    const record = await prescribed(page, name, breaths);
    const phone = await phones.open(options);
    await join(phone, await quickLink(page, record));
    return { record, phone, name };
}

export async function expectNoAxeViolations(page: Page): Promise<void> {
    // The pages hold no frames: asked as one page, for what is wrong alone, it takes a third of the time.
    const result = await new AxeBuilder({ page })
        .options({
            runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
            resultTypes: ['violations'],
        })
        .setLegacyMode()
        .analyze();
    expect(
        result.violations.map(
            (violation) =>
                `${page.url()} ${violation.id}: ${violation.nodes.map((node) => node.html.slice(0, 140)).join(' | ')}`,
        ),
    ).toEqual([]);
}

/** Locks the screen by hand. What the page has asked for at that moment is refused, and that is right. */
export async function lockScreen(phone: Page, watcher: Watch): Promise<void> {
    watcher.expect(/^answer: 423 GET .*\/api\/v1\/(today|diary|progress|sheet|as-needed|voice)/);
    await phone.getByRole('button', { name: 'Lock' }).click();
}

/** On a tablet and on a phone nothing is off the page: what is wider scrolls by itself. */
export async function expectToFit(page: Page): Promise<void> {
    for (const width of [820, 320]) {
        await page.setViewportSize({ width, height: 900 });
        await expect
            .poll(() => page.evaluate(() => document.documentElement.scrollWidth), `${page.url()} at ${width}`)
            .toBeLessThanOrEqual(width);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
}
