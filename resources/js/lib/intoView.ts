import { tick } from 'svelte';

/** What was just opened or answered is not left under a bar that stays in view, or below the screen. */
export async function intoView(shown: () => HTMLElement | undefined): Promise<void> {
    await tick();
    shown()?.scrollIntoView({ block: 'nearest' });
}
