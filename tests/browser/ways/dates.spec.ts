import { onTheBench } from '../desk';
import { expect, expectNoAxeViolations, newName, signIn, test } from '../support';

test('a date is typed as people write it, or taken from a calendar by keys alone', async ({ page, watcher }) => {
    await signIn(page);
    await page.goto('/patients/new');
    const born = page.getByLabel('Date of birth', { exact: true });
    const calendar = page.getByRole('button', { name: 'Calendar for: Date of birth' });
    await page.getByLabel('Name', { exact: true }).fill(newName('Day First'));
    await born.fill('3/4/1984');
    await born.press('Tab');
    await expect(born).toHaveValue('3 Apr 1984');
    await expect(calendar).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Tuesday, 3 April 1984' })).toBeFocused();
    await expectNoAxeViolations(page);
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('button', { name: 'Tuesday, 10 April 1984' })).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(calendar).toBeFocused();
    await expect(born).toHaveValue('3 Apr 1984');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Tuesday, 3 April 1984' })).toBeFocused();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('button', { name: 'Wednesday, 4 April 1984' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(born).toHaveValue('4 Apr 1984');
    await expect(calendar).toBeFocused();

    // What cannot be understood stays as it was typed, also when the page is opened anew.
    await born.fill('in spring');
    watcher.expect(/answer: 422 /);
    await page.getByRole('button', { name: 'Add and go to screening' }).click();
    await expect(page.getByText('This is not a date; write it like 14 Mar 1968.')).toBeVisible();
    await expect(born).toHaveValue('in spring');
    await page.reload();
    await expect(born).toHaveValue('in spring');
    await born.fill('4.4.1984');
    await page.keyboard.press('Enter');
    await page.waitForURL(/screening$/);
    await page.goto(page.url().replace(/screening$/, 'record'));
    await page.getByRole('button', { name: 'Change the details' }).click();
    await expect(page.getByLabel('Date of birth', { exact: true })).toHaveValue('4 Apr 1984');
});

test('the calendar of the review date lies over the Bench and changes nothing until a day is chosen', async ({
    page,
}) => {
    await onTheBench(page, 'Review Date');
    const review = page.getByLabel('Review on', { exact: true });
    const before = await review.inputValue();
    expect(before).toMatch(/^\d{1,2} [A-Z][a-z]{2} \d{4}$/);
    await page.getByRole('button', { name: 'Calendar for: Review on' }).click();
    const chosen = page.locator('button[aria-pressed="true"]:focus');
    await expect(chosen).toBeVisible();
    const box = await page.getByRole('dialog', { name: 'Calendar' }).boundingBox();
    expect(box && box.x >= 0 && box.y >= 0 && box.x + box.width <= 1280 && box.y + box.height <= 800).toBe(true);
    await page.keyboard.press('Escape');
    await expect(review).toHaveValue(before);
    await review.fill('1 1 2031');
    await review.press('Tab');
    await expect(review).toHaveValue('1 Jan 2031');
});
