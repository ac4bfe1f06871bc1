import type { Page } from '@playwright/test';
import { expect, issueNow, newName } from './support';
import { quickSignIn, screened } from './ways/quick';

export async function onTheBench(page: Page, stem: string): Promise<string> {
    await quickSignIn(page);
    const record = await screened(page, newName(stem));
    await page.goto(`${record}/bench`);
    return record;
}

/** Does something on the Bench, and waits for what PHP says to it. */
export async function andAnswered(page: Page, what: () => Promise<unknown>): Promise<void> {
    const answer = page.waitForResponse((response) => response.url().endsWith('/bench/answer'));
    await what();
    await answer;
}

export async function issued(page: Page): Promise<void> {
    await issueNow(page);
    await expect(page.getByText(/^Version \d+ issued/)).toBeVisible();
}
