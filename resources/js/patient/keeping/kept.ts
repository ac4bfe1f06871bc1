import { Refusal } from '../../shared/http';
import { api } from './api';
import * as outbox from './outbox';
import { store } from './store';
import { fetchVoice } from '../voice';
import type { Bundle, DiaryData, NeededData, ProgressData, SheetData } from '../types';

/** Copies of what the server says, so that the pages are there without a network. */
const FETCH = {
    today: api.today,
    needed: api.needed,
    diary: api.diary,
    progress: api.progress,
    sheet: async () => (await api.sheet()).sheet,
} as const;

interface Pages {
    today: Bundle;
    needed: NeededData;
    diary: DiaryData;
    progress: ProgressData;
    sheet: SheetData | null;
}

let isOver = false;

/** The device is another person's now: what is still under way is kept no more. */
export function keepNothingMore(): void {
    isOver = true;
}

/**
 * Fetches a page anew, keeps it and shows it. What had been delivered before is in it then, and only when it is shown
 * is that forgotten here: otherwise what was done would be undone for a moment.
 */
export async function fetchPage<K extends keyof Pages>(
    name: K,
    show: (page: Pages[K]) => void = () => undefined,
): Promise<void> {
    const delivered = outbox
        .delivered()
        .filter((id) => (name === 'diary' ? id.startsWith('diary:') : name === 'today' && !id.startsWith('diary:')));
    const asked = Date.now();
    const page = (await FETCH[name]()) as Pages[K];
    if (isOver) return;
    if (name === 'today') await store.keep('clock', Date.parse((page as Bundle).now) - (asked + Date.now()) / 2);
    await store.keep(name, page);
    show(page);
    await outbox.forgetDelivered(delivered);
}

function isOfAnEarlierVersion<K extends keyof Pages>(name: K, page: Pages[K]): boolean {
    if (name === 'today') {
        const { rules, items } = page as Partial<Bundle>;
        return !rules?.night || Object.values(items ?? {}).some((each) => each.some((item) => !('told' in item)));
    }
    if (name === 'needed') return !('told' in ((page as Partial<NeededData>).item ?? {}));
    return name === 'sheet' && (page as SheetData).items.some((item) => !('told' in item));
}

/** A copy that an earlier version of these pages has kept lacks what is needed now: it is fetched anew. */
export async function keptPage<K extends keyof Pages>(name: K): Promise<Pages[K] | null> {
    const page = await store.kept<Pages[K]>(name);
    return page !== null && isOfAnEarlierVersion(name, page) ? null : page;
}

/** Milliseconds by which the server's clock is ahead of this device's. */
export const clockOffset = async (): Promise<number> => (await store.kept<number>('clock')) ?? 0;

/** Shows what is kept at once, and what the server says as soon as it does. Returns false when there is neither. */
export async function showPage<K extends keyof Pages>(name: K, show: (page: Pages[K]) => void): Promise<boolean> {
    const kept = await keptPage(name);
    if (kept !== null) show(kept);
    try {
        await fetchPage(name, show);
    } catch (problem) {
        // What is locked is not read from a copy either.
        if (problem instanceof Refusal && LOCKED.includes(problem.status)) locked();
        return kept !== null;
    }
    return true;
}

const LOCKED = [401, 423];
let locked = (): void => undefined;

/** Called when the server says that the screen is locked, or the device signed out. */
export function whenLocked(then: () => void): void {
    locked = then;
}

const AHEAD_AGAIN_MS = 120_000;
let fetchedAhead = 0;

/** Brings the pages that may be opened without a network; not at every look, unless something has changed. */
export async function fetchAhead(hasChanged: boolean): Promise<void> {
    if (!hasChanged && Date.now() - fetchedAhead < AHEAD_AGAIN_MS) return;
    fetchedAhead = Date.now();
    const pages = await Promise.allSettled(
        (['diary', 'progress', 'sheet', 'needed'] as const).map((name) => fetchPage(name)),
    );
    await fetchVoice().catch(() => undefined);
    if (pages.some((page) => page.status === 'rejected')) fetchedAhead = 0;
}
