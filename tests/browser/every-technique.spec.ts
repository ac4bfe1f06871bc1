import type { Page } from '@playwright/test';
import { timelines } from '../../bin/lib/rendering.mjs';
import { PHASES } from '../../resources/js/player/tones';
import type { Cue, Timeline } from '../../resources/js/shared/timeline';
import { expect, readyPatient, soundsOf, test } from './support';

/** Each plays in about this long, whatever its own length. */
const SECONDS = 7;
const AT_ONCE = 4;

/** The same timeline at a fast pace. */
function hurried(timeline: Timeline): Timeline {
    const by = (SECONDS * 1000) / timeline.total_ms;
    const fast = (ms: number): number => Math.round(ms * by);
    const cue = (each: Cue): Cue => ({
        ...each,
        at: fast(each.at),
        ms: Math.max(1, fast(each.at + each.ms) - fast(each.at)),
        greatest: each.greatest === null ? null : Math.min(1500, Math.max(1, fast(each.greatest))),
        beats: each.beats.map((beat) => ({ ...beat, at: fast(beat.at) })),
    });
    return {
        ...timeline,
        exercise_ms: fast(timeline.exercise_ms),
        total_ms: fast(timeline.total_ms),
        segments: timeline.segments.map((segment) => ({
            ...segment,
            ms: fast(segment.ms),
            cues: segment.cues.map(cue),
        })),
    };
}

const all = Object.entries(timelines() as Record<string, Timeline>).filter(([key]) => key !== 'ten-minutes');

/** In place of the programme: every technique, as needed, so that one click plays it. */
async function offerAll(phone: Page): Promise<void> {
    await phone.route('**/api/v1/outbox', (route) => route.abort());
    await phone.route('**/api/v1/today', async (route) => {
        const response = await route.fetch();
        const bundle = (await response.json()) as { items: Record<string, object[]> };
        for (const items of Object.values(bundle.items)) {
            const [plain] = items;
            items.splice(
                0,
                items.length,
                ...all.map(([key, timeline]) => ({
                    ...plain,
                    lineage: key,
                    technique: key,
                    name: `Try ${key}`,
                    as_needed: { use_when: key, most: 9, done: 0 },
                    timeline: hurried(timeline),
                    breaths: timeline.breaths || null,
                    seconds: SECONDS,
                    joining: null,
                    short: null,
                    recovery: false,
                })),
            );
        }
        await route.fulfill({ response, json: bundle });
    });
}

test('every technique plays to its end with its own cues in order, after a click', async ({ page, phone, watcher }) => {
    test.setTimeout(600_000);
    const { phone: first } = await readyPatient(page, phone, 'Every Wren');
    const context = first.context();
    await first.close();
    watcher.expect(/ERR_FAILED/);
    const left = [...all];
    const worker = async (): Promise<void> => {
        for (let next = left.shift(); next; next = left.shift()) {
            const [key, timeline] = next;
            const mine = await phone.openIn(context);
            await offerAll(mine);
            // Where the machine stalls, the player waits: that is right, and one goes on.
            await mine.addLocatorHandler(mine.getByRole('button', { name: 'Go on', exact: true }), (button) =>
                button.click(),
            );
            await mine.goto('/my');
            await mine
                .getByLabel('PIN', { exact: true })
                .or(mine.getByRole('button', { name: 'Lock' }))
                .waitFor();
            await mine.getByRole('button', { name: `Now Try ${key}`, exact: true }).click();
            await expect(mine.getByRole('heading', { name: 'Done' }), key).toBeVisible({ timeout: 90_000 });
            const heard = (await soundsOf(mine)).sort((a, b) => a.at - b.at).map((each) => each.from);
            const wanted = timeline.segments
                .flatMap((segment) => segment.cues)
                .filter((cue) => (cue.sound ?? 1) > 0)
                .flatMap((cue) => PHASES[cue.kind]?.[0]?.from ?? []);
            let at = 0;
            for (const frequency of wanted) {
                const found = heard.indexOf(frequency, at);
                expect(found, `${key}: ${frequency} Hz after ${at} of ${heard.length} tones`).toBeGreaterThanOrEqual(0);
                at = found + 1;
            }
            expect(wanted.length, key).toBeGreaterThan(1);
            await mine.close();
        }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, worker));
});
