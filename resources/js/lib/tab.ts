/**
 * What was typed and is kept in this browser belongs to the practitioner who typed it: signing out clears it, and so
 * does somebody else who signs in. A sign-in that only expired keeps it for the same practitioner.
 */
const OWNER = 'ivory-pace:of';
const OF_THIS_TAB = 'ivory-pace:';
const OF_THIS_DEVICE = 'ivory-pace:step:';

function clear(store: Storage, beginning: string): void {
    for (const name of Object.keys(store)) if (name.startsWith(beginning)) store.removeItem(name);
}

export function clearWhatWasTyped(): void {
    try {
        clear(sessionStorage, OF_THIS_TAB);
        clear(localStorage, OF_THIS_DEVICE);
        localStorage.removeItem(OWNER);
    } catch {
        // A store that is forbidden holds nothing either.
    }
}

/** @param key the practitioner's, as the page says; null where nobody is signed in */
export function belongsTo(key: string | null): void {
    if (key === null) return;
    try {
        for (const [store, beginning] of [
            [sessionStorage, OF_THIS_TAB],
            [localStorage, OF_THIS_DEVICE],
        ] as const) {
            if (store.getItem(OWNER) === key) continue;
            clear(store, beginning);
            store.setItem(OWNER, key);
        }
    } catch {
        // As above.
    }
}
