import { keepNothingMore } from './kept';
import { markOpen } from './pinHere';
import { store } from './store';

/** This device is another person's from here on: nothing that was kept of the one before is shown. */
export async function takeTurns(): Promise<void> {
    keepNothingMore();
    markOpen(false);
    tell();
    await store.forgetKept();
    location.replace('/my');
}

const CHANNEL = 'ivory-pace-my';
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);

/** One lock is every tab's. */
export function tell(): void {
    channel?.postMessage('locked');
}

export function whenLockedElsewhere(then: () => void): () => void {
    if (channel) channel.onmessage = then;
    return () => {
        if (channel) channel.onmessage = null;
    };
}
