import type { Locator, Page } from '@playwright/test';
import { expect, join, newName, signIn, test } from '../support';
import { prescribed, quickLink } from './quick';

/**
 * Presses, types and goes back at random, from a seed that is told when something is found: nothing may break, nothing may
 * be shown that is no word or number, and nothing may be wider than the screen. On pages of others it only reads.
 */
const ACTIONS = Number(process.env.MONKEY_ACTIONS ?? 150);
const SEED = Number(process.env.MONKEY_SEED ?? 20261201);

const TYPED = [
    '',
    '7',
    '4:0:6:1',
    '0.4',
    '-1',
    '1e9',
    '2026-12-24',
    '25:61',
    'Quay wren',
    'ü ß 漢字 🙂',
    'x'.repeat(600),
    '12:30',
];
/** What would end the walk, or takes a file out. */
const NOT = /^(Sign out|Somebody else|Sign it out|Record it|I do not agree|Yes, I do not agree|Sign out all the same)/;
const WHAT_MAY_BE_REFUSED = /answer: (401|403|404|409|413|419|422|423|429) /;

/** Mulberry32. */
function randomOf(seed: number): () => number {
    let a = seed;
    return () => {
        a = (a + 0x6d2b79f5) | 0;
        let t = Math.imul(a ^ (a >>> 15), 1 | a);
        t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
        return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    };
}

const whatIsWrong = (page: Page): Promise<string> =>
    page.evaluate(() => {
        const text = document.body.innerText;
        const found =
            /\bundefined\b|\bNaN\b|\[object |\b(?:patient|stop|anchor|technique)\.[a-z-]+\.[a-z-]+|\d\.\d{3,}/.exec(
                text,
            )?.[0] ?? '';
        const wide = document.documentElement.scrollWidth - document.documentElement.clientWidth;
        return [found && `shows “${found}”`, wide > 0 && `${wide} px too wide`].filter(Boolean).join(', ');
    });

/** Something has the focus: not so on a page that was opened anew. */
const focused = (page: Page): Promise<{ page: number; is: boolean }> =>
    page.evaluate(() => ({
        page: performance.timeOrigin,
        is: document.activeElement !== null && document.activeElement !== document.body,
    }));

/** For a second: what is fetched or drawn meanwhile takes it. */
async function losesFocus(page: Page, opened: number): Promise<boolean> {
    for (let n = 0; n < 10; n++) {
        const now = await focused(page).catch(() => null);
        if (now === null || now.is || now.page !== opened) return false;
        await page.waitForTimeout(100);
    }
    return true;
}

async function act(page: Page, random: () => number, mayPress: boolean, back: string): Promise<string> {
    const pick = <T>(of: readonly T[]): T | undefined => of[Math.floor(random() * of.length)];
    const within =
        (await page.locator('dialog[open]').count()) > 0 ? page.locator('dialog[open]') : page.locator('body');
    const dice = random();
    if (dice < 0.05) {
        await page.goBack({ timeout: 5000 }).catch(() => undefined);
        return 'Back';
    }
    if (dice < 0.1) {
        await page.keyboard.press(pick(['Escape', 'Tab', 'Enter', '?', 'ArrowRight']) ?? 'Tab');
        return 'a key';
    }
    if (dice < 0.14) {
        await page.context().setOffline(true);
        await press(within.locator('button:visible'), random, mayPress, false);
        await page.context().setOffline(false);
        return 'a press without a network';
    }
    if (mayPress && dice < 0.32) {
        const fields = await within
            .locator('input:visible:enabled:not([type=range]):not([type=file]), textarea:visible')
            .all();
        const field = pick(fields);
        const kind = (await field?.getAttribute('type', { timeout: 2000 }).catch(() => null)) ?? 'text';
        if (field && (kind === 'checkbox' || kind === 'radio'))
            await field.click({ timeout: 2000 }).catch(() => undefined);
        else await field?.fill(pick(TYPED) ?? '', { timeout: 2000 }).catch(() => undefined);
        return 'a field';
    }
    if (mayPress && dice < 0.4) {
        const select = pick(await within.locator('select:visible:enabled').all());
        const values = await select
            ?.locator('option')
            .evaluateAll((all) => all.map((each) => (each as HTMLOptionElement).value));
        await select?.selectOption(pick(values ?? []) ?? '', { timeout: 2000 }).catch(() => undefined);
        return 'a choice';
    }
    const isLink = !mayPress || random() < 0.3;
    const what = isLink
        ? 'a[href]:visible:not([download]):not([href*=".pdf"]):not([href*=".json"]):not([href^="tel:"])'
        : 'button:visible:enabled';
    const named = await press(within.locator(what), random, true, random() < 0.25);
    if (named === '') await page.goto(back);
    return named || 'the beginning';
}

async function press(all: Locator, random: () => number, mayPress: boolean, twice: boolean): Promise<string> {
    const count = mayPress ? await all.count() : 0;
    if (count === 0) return '';
    const one = all.nth(Math.floor(random() * count));
    const name = ((await one.innerText({ timeout: 2000 }).catch(() => '')) || 'something')
        .replace(/\s+/g, ' ')
        .slice(0, 60);
    if (NOT.test(name.trim())) return name;
    await (twice ? one.dblclick({ timeout: 2000 }) : one.click({ timeout: 2000 })).catch(() => undefined);
    return `${twice ? 'twice ' : ''}“${name}”`;
}

async function walk(
    page: Page,
    seed: number,
    actions: number,
    back: string,
    isOurs: (path: string) => boolean,
): Promise<void> {
    const random = randomOf(seed);
    const done: string[] = [];
    page.on('dialog', (dialog) => void dialog.accept());
    await page.goto(back);
    for (let n = 0; n < actions; n++) {
        const { pathname } = new URL(page.url());
        const before = await focused(page).catch(() => null);
        const what = await act(page, random, isOurs(pathname), back);
        done.push(`${pathname}: ${what}`);
        await page.waitForTimeout(120);
        if (!page.url().startsWith('http')) await page.goto(back);
        // The second press of two meets a button that is off: that is pressing beside it.
        const isLost = before?.is === true && !what.startsWith('twice') && (await losesFocus(page, before.page));
        const wrong = (await whatIsWrong(page).catch(() => '')) + (isLost ? 'the focus was lost' : '');
        expect(wrong, `seed ${seed}, action ${n}\n${done.slice(-6).join('\n')}`).toBe('');
    }
}

for (const [index, width] of [1280, 390].entries()) {
    test(`whatever is pressed in the practitioner’s rooms at ${width}, nothing breaks`, async ({ page, watcher }) => {
        await page.setViewportSize({ width, height: 800 });
        await signIn(page);
        const record = await prescribed(page, newName('Monkey Wren'));
        watcher.expect(WHAT_MAY_BE_REFUSED, /ERR_INTERNET_DISCONNECTED/, /Failed to fetch|NetworkError/);
        await walk(page, SEED + index, ACTIONS / 2, record, (path) => path.startsWith(record));
    });
}

test('whatever is pressed on the phone, nothing breaks', async ({ page, phone, watcher }) => {
    await signIn(page);
    const record = await prescribed(page, newName('Monkey Wren'));
    const address = await quickLink(page, record);
    const mine = await phone.open();
    await join(mine, address);
    watcher.expect(WHAT_MAY_BE_REFUSED, /ERR_INTERNET_DISCONNECTED/, /Failed to fetch|NetworkError/);
    await walk(mine, SEED + 7, ACTIONS, '/my', () => true);
});
