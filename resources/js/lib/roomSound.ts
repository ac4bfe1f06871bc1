import { onDestroy } from 'svelte';
import { endSound } from '../shared/quiet';

/** What is played in the room, and what it sounds with. */
export interface Sounding<T> {
    play: T;
    context: AudioContext;
}

/**
 * Opens one sound, however often the button is pressed: null while it is opening already. The click that starts is what
 * lets the browser make sound, so it is opened before what is played has come. Call it where a component begins.
 */
export function roomSound(): <T>(load: () => Promise<T>) => Promise<Sounding<T> | null> {
    let isOpening = false;
    let isGone = false;
    onDestroy(() => {
        isGone = true;
    });
    return async (load) => {
        if (isOpening) return null;
        isOpening = true;
        const context = new AudioContext({ latencyHint: 'interactive' });
        void context.resume();
        try {
            const play = await load();
            if (!isGone) return { play, context };
            endSound(context);
            return null;
        } catch (problem) {
            endSound(context);
            throw problem;
        } finally {
            isOpening = false;
        }
    };
}
