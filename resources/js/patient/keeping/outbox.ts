import { Refusal } from '../../shared/http';
import { api } from './api';
import { store, type Kind, type Waiting } from './store';
import type { PracticeLog } from '../types';

/**
 * What waits on this device until the server has it. Each thing carries its own id, so sending it twice stores it once.
 * The page works on a copy in memory; the store brings it through a closed browser. What the server refuses stays
 * visible until it has been read.
 */
const BATCH = 50;
const AGAIN_MS = 20_000;
const LATER_MS = 60_000;
const UNFINISHED = 'ivory-pace:unfinished';

/** By id, in the order in which they were put in. */
let items = new Map<string, Waiting>();
let turns = 0;
let owner = '';
let flushing = false;
const listeners = new Set<(delivered: boolean) => void>();

function tell(delivered = false): void {
    for (const listener of listeners) listener(delivered);
}

/** Tells of every change, and whether it is because the server has taken something. */
export function onChange(listener: (delivered: boolean) => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
}

export async function open(): Promise<void> {
    const kept = await store.waiting();
    const whole = [...kept.filter((item) => !items.has(item.id)), ...items.values()].sort((a, b) => a.turn - b.turn);
    items = new Map(whole.map((item) => [item.id, item]));
    turns = Math.max(turns, whole.at(-1)?.turn ?? 0);
    tell();
}

/** From here on what is put in is this patient's, and only theirs is sent. */
export function belongTo(whose: string): void {
    owner = whose;
}

export const whose = (): string => owner;

export const all = (): readonly Waiting[] => [...items.values()].filter((item) => item.owner === owner);
export const unsent = (): Waiting[] => all().filter((item) => !item.delivered && item.refused === null);
/** As somebody counts them: the parts of a trace are no things of their own. */
export const unsentThings = (): Waiting[] => unsent().filter((item) => item.kind !== 'trace-part');
export const refused = (): Waiting[] => all().filter((item) => item.refused !== null && item.kind !== 'trace-part');
export function find(id: string): Waiting | undefined {
    const item = items.get(id);
    return item?.owner === owner ? item : undefined;
}

/** Puts something in; the newest form of the same thing wins. */
export async function enqueue(kind: Kind, id: string, body: object, notBefore = 0): Promise<void> {
    const item: Waiting = { id, kind, body, owner, turn: ++turns, notBefore, refused: null, delivered: false };
    items.delete(id);
    items.set(id, item);
    tell();
    await store.putWaiting([item]);
    await flush();
}

/** Notes what became of things, unless they were put in anew meanwhile. */
async function note(changes: [Waiting, Partial<Waiting>][]): Promise<void> {
    const changed = changes
        .filter(([item]) => items.get(item.id)?.turn === item.turn)
        .map(([item, by]) => ({ ...item, ...by }));
    for (const item of changed) items.set(item.id, item);
    await store.putWaiting(changed);
}

export async function dismiss(id: string): Promise<void> {
    items.delete(id);
    tell();
    await store.dropWaiting([id]);
}

/** What had been delivered before the pages were fetched anew is in them now. */
export function delivered(): string[] {
    return [...items.values()].filter((item) => item.delivered).map((item) => item.id);
}
export async function forgetDelivered(ids: string[]): Promise<void> {
    const gone = ids.filter((id) => items.get(id)?.delivered === true);
    if (gone.length === 0) return;
    for (const id of gone) items.delete(id);
    await store.dropWaiting(gone);
    tell();
}

/** The patient leaves this device: nothing of theirs stays. */
export async function forgetAll(): Promise<void> {
    const mine = all().map((item) => item.id);
    for (const id of mine) items.delete(id);
    forgetUnfinished();
    await store.dropWaiting(mine);
}

/** Sends what can be sent, also what is put in meanwhile. */
export async function flush(): Promise<void> {
    if (flushing) return;
    flushing = true;
    try {
        for (let size = BATCH; ;) {
            const batch = sendable().slice(0, size);
            if (batch.length === 0) break;
            const result = await send(batch);
            if (result === 'wait') break;
            // Something in it was not even readable: the others go without it.
            size = result === 'split' ? 1 : size;
        }
    } finally {
        flushing = false;
    }
}

function sendable(): Waiting[] {
    return unsent().filter((item) => item.notBefore <= Date.now());
}

async function send(batch: Waiting[]): Promise<'sent' | 'wait' | 'split'> {
    let answers;
    try {
        answers = await api.outbox(batch.map(({ id, kind, body }) => ({ id, kind, body })));
    } catch (problem) {
        if (!(problem instanceof Refusal) || (problem.status !== 422 && problem.status !== 413)) return 'wait';
        const only = batch[0];
        if (batch.length > 1 || !only) return 'split';
        await note([[only, { refused: problem.message || String(problem.status) }]]);
        tell();
        return 'sent';
    }
    const byId = new Map(answers.map((answer) => [answer.id, answer]));
    const changes: [Waiting, Partial<Waiting>][] = [];
    for (const item of batch) {
        const answer = byId.get(item.id);
        if (answer?.result === 'refused') changes.push([item, { refused: answer.message ?? '' }]);
        else if (answer?.result === 'later') changes.push([item, { notBefore: Date.now() + LATER_MS }]);
        else if (answer) changes.push([item, { delivered: true }]);
    }
    await note(changes);
    tell(changes.some(([, by]) => by.delivered === true));
    return changes.length > 0 ? 'sent' : 'wait';
}

/** Tries again when the network comes back, when the page is looked at again, and now and then. */
export function keepTrying(): () => void {
    const attempt = (): void => void flush();
    const look = (): void => {
        if (document.visibilityState === 'visible') attempt();
    };
    window.addEventListener('online', attempt);
    document.addEventListener('visibilitychange', look);
    const timer = setInterval(attempt, AGAIN_MS);
    attempt();
    return () => {
        window.removeEventListener('online', attempt);
        document.removeEventListener('visibilitychange', look);
        clearInterval(timer);
    };
}

/**
 * How far a practice has got is written breath by breath, and once more when the page is closed: that has to be done at
 * once, which only this small store can.
 */
let unfinishedHere: string | null = null;

export function keepUnfinished(log: PracticeLog): void {
    unfinishedHere = JSON.stringify({ log, owner });
    try {
        localStorage.setItem(UNFINISHED, unfinishedHere);
    } catch {
        /* it lives as long as the page */
    }
}

export function forgetUnfinished(): void {
    unfinishedHere = null;
    try {
        localStorage.removeItem(UNFINISHED);
    } catch {
        /* nothing was written */
    }
}

/** A practice that was left without an end counts as far as it got. */
export async function recoverUnfinished(isStopped: (uuid: string) => boolean = () => false): Promise<void> {
    let text = unfinishedHere;
    try {
        text = localStorage.getItem(UNFINISHED) ?? text;
    } catch {
        /* there is only the page */
    }
    if (text === null) return;
    let kept: { log: PracticeLog; owner: string } | null = null;
    try {
        kept = JSON.parse(text) as { log: PracticeLog; owner: string };
    } catch {
        /* unreadable: nothing can be made of it */
    }
    // One that was stopped waits for what made it stop.
    if (kept && !isStopped(kept.log.uuid) && (kept.log.seconds_done > 0 || kept.log.breaths_done > 0)) {
        const before = owner;
        owner = kept.owner;
        const put = enqueue('practice', kept.log.uuid, kept.log);
        owner = before;
        await put;
    }
    forgetUnfinished();
}

export function newId(): string {
    if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
    bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
