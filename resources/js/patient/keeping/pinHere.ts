import { store } from './store';

/**
 * Opens the screen without a network. The PIN keeps others out of the screen; it encrypts nothing, and so little is
 * kept here. Where the browser cannot do it (no secure connection), the screen opens with a network only.
 */
interface Kept {
    salt: Uint8Array<ArrayBuffer>;
    hash: string;
    wrong: number;
}

const ROUNDS = 210_000;
export const MOST_WRONG = 10;
const OPEN = 'ivory-pace:open';
/** How many digits the PIN has, so that the last one opens. It tells no more than watching somebody type does. */
const DIGITS = 'pin-digits';

async function hashOf(pin: string, salt: Uint8Array<ArrayBuffer>): Promise<string> {
    const key = await crypto.subtle.importKey('raw', new TextEncoder().encode(pin), 'PBKDF2', false, ['deriveBits']);
    const bits = await crypto.subtle.deriveBits(
        { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: ROUNDS },
        key,
        256,
    );
    return [...new Uint8Array(bits)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** After the server has accepted it. */
export async function remember(pin: string): Promise<void> {
    markOpen(true);
    await store.keep(DIGITS, pin.length);
    if (typeof crypto.subtle === 'undefined') return;
    const salt = crypto.getRandomValues(new Uint8Array(16));
    await store.keep('pin', { salt, hash: await hashOf(pin, salt), wrong: 0 } satisfies Kept);
}

export async function canOpen(): Promise<boolean> {
    return typeof crypto.subtle !== 'undefined' && (await store.kept<Kept>('pin')) !== null;
}

/** @returns tries that are left when it was wrong, or true */
export async function tryPin(pin: string): Promise<true | number> {
    const kept = await store.kept<Kept>('pin');
    if (!kept || kept.wrong >= MOST_WRONG) return 0;
    // Counted before it is checked, so that closing the page wins nothing.
    await store.keep('pin', { ...kept, wrong: kept.wrong + 1 });
    if ((await hashOf(pin, kept.salt)) !== kept.hash) return MOST_WRONG - kept.wrong - 1;
    await store.keep('pin', { ...kept, wrong: 0 });
    markOpen(true);
    return true;
}

/** For as long as this tab is open: a reload without a network does not ask again. */
export function markOpen(open: boolean): void {
    try {
        if (open) sessionStorage.setItem(OPEN, '1');
        else sessionStorage.removeItem(OPEN);
    } catch {
        /* then it is asked again */
    }
}

export function isMarkedOpen(): boolean {
    try {
        return sessionStorage.getItem(OPEN) === '1';
    } catch {
        return false;
    }
}

/** Null before it was ever typed here. */
export const digitsOfThePin = (): Promise<number | null> => store.kept<number>(DIGITS);
