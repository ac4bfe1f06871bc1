import { render, timelines } from '../../bin/lib/rendering.mjs';
import { expect, test } from './support';

test('every technique sounds when the core says, each cue of it, to the end', async ({ browser }) => {
    const page = await browser.newPage();
    const rendered = await render(page);
    expect(rendered.map((each) => each.technique).sort()).toEqual(
        Object.keys(timelines())
            .filter((key) => key !== 'ten-minutes')
            .sort(),
    );
    for (const each of rendered) {
        expect(each.worst, `${each.technique}: ms from the plan`).toBeLessThanOrEqual(1);
        expect(each.missing, `${each.technique}: cues without a tone`).toBe(0);
        expect(each.inOrder, each.technique).toBe(true);
        expect(each.tones, each.technique).toBeGreaterThan(2);
    }
    await page.close();
});
