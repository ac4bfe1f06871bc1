import type { Page } from '@playwright/test';
import { expect, newName, promised, signIn, test } from '../support';
import { prescribed } from './quick';

const WIDTHS = [320, 390, 768, 820, 900, 1024, 1180, 1280] as const;

/** The record of a patient of the demo who has everything. */
async function recordOf(page: Page, name: string): Promise<string> {
    await page.goto('/');
    const href = await page.getByRole('link', { name }).first().getAttribute('href');
    return new URL(href ?? '', page.url()).pathname;
}

const overflow = (page: Page): Promise<string> =>
    page.evaluate(() => {
        const wide = document.documentElement.scrollWidth - document.documentElement.clientWidth;
        if (wide <= 0) return '';
        const out = [...document.querySelectorAll('body *')].filter(
            (each) => each.getBoundingClientRect().right > innerWidth + 1,
        );
        return `${wide} px too wide: ${out
            .slice(-3)
            .map((each) => `${each.tagName} ${each.className}`)
            .join(' | ')}`;
    });

test('no page of the practitioner is wider than the screen', async ({ page }) => {
    await signIn(page);
    const record = await recordOf(page, promised('step-up-with-recovery'));
    const pages = [
        '/',
        `${record}`,
        ...[
            'screening',
            'measure',
            'bench',
            'access',
            'record',
            'versions/1',
            'join',
            'letters',
            'letters/summary',
        ].map((each) => `${record}/${each}`),
    ];
    const found: string[] = [];
    for (const address of [
        ...pages,
        '/exercises',
        '/exercises/square',
        '/routines/trunk-and-ribs',
        '/week',
        '/clinic',
        '/patients/new',
        '/voice',
        '/account',
    ]) {
        for (const width of WIDTHS) {
            await page.setViewportSize({ width, height: width < 700 ? 844 : 800 });
            if (width === WIDTHS[0]) await page.goto(address);
            const wide = await overflow(page);
            if (wide) found.push(`${address.replace(record, '')} at ${width}: ${wide}`);
        }
    }
    expect(found).toEqual([]);
});

test('the code and the picture of a link are on the screen of a phone', async ({ page }) => {
    await signIn(page);
    const record = await prescribed(page, newName('Narrow Wren'));
    await page.goto(`${record}/access`);
    await page.getByRole('button', { name: 'Make a link' }).click();
    await expect(page.getByRole('button', { name: 'Copy the link' })).toBeVisible();
    for (const width of [390, 320]) {
        await page.setViewportSize({ width, height: 844 });
        expect(await overflow(page), `${width}`).toBe('');
    }
});

test('no field makes a page wider, neither when it is used nor by what is typed in it', async ({ page }) => {
    await signIn(page);
    const record = await recordOf(page, promised('step-up-with-recovery'));
    const found: string[] = [];
    for (const address of [
        ...['bench', 'measure', 'signals', 'record', 'letters/summary'].map((each) => `${record}/${each}`),
        '/patients/new',
        '/week',
        '/clinic',
        '/account',
    ]) {
        await page.setViewportSize({ width: 390, height: 844 });
        await page.goto(address);
        await page.getByRole('heading', { level: 1 }).waitFor();
        const typed = 'input:not([type=range], [type=file], [type=checkbox], [type=radio]), textarea';
        const fields = page.locator(typed).filter({ visible: true });
        const names: string[] = [];
        for (const width of [390, 320]) {
            await page.setViewportSize({ width, height: 844 });
            for (const field of await fields.all()) {
                await field.focus();
                const wide = await overflow(page);
                if (wide)
                    names.push(`${(await field.getAttribute('aria-label')) ?? 'a field'}, used, at ${width}: ${wide}`);
            }
        }
        for (const field of await fields.all()) {
            await field.fill('x'.repeat(600)).catch(() => undefined);
        }
        // What is said of it comes a moment later.
        await page.waitForTimeout(800);
        for (const width of [320, 390]) {
            await page.setViewportSize({ width, height: 844 });
            const wide = await overflow(page);
            if (wide) names.push(`filled, at ${width}: ${wide}`);
        }
        found.push(...names.map((each) => `${address.replace(record, '')}: ${each}`));
    }
    expect(found).toEqual([]);
});

test('on the Bench nothing lies over anything, and Issue is in view', async ({ page }) => {
    await signIn(page);
    const record = await recordOf(page, promised('step-up-with-recovery'));
    const found: string[] = [];
    for (const [width, height] of [
        [768, 1024],
        [820, 1180],
        [900, 800],
        [1024, 768],
        [1180, 820],
        [1280, 800],
    ] as const) {
        await page.setViewportSize({ width, height });
        await page.goto(`${record}/bench`);
        await expect(page.getByRole('button', { name: /^Issue version/ })).toBeInViewport();
        const covered = await page.evaluate(() => {
            const bad: string[] = [];
            for (const each of document.querySelectorAll<HTMLElement>('main button, main a, main input, main select')) {
                if (each.closest('.visually-hidden, [hidden]') || each.getClientRects().length === 0) continue;
                each.scrollIntoView({ block: 'center' });
                const box = each.getBoundingClientRect();
                if (box.width < 4) continue;
                const at = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
                const isIt =
                    at !== null && (each.contains(at) || at.contains(each) || at.closest('label')?.contains(each));
                if (!isIt)
                    bad.push(
                        `${each.tagName} ${each.textContent.slice(0, 30)} under ${at?.tagName ?? 'nothing'} ${at?.className.toString().slice(0, 40) ?? ''}`,
                    );
            }
            return bad;
        });
        found.push(...covered.map((each) => `${width}: ${each}`));
    }
    expect(found).toEqual([]);
});
