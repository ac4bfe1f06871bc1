import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { log } from './logs';

type Outbox = typeof import('../../resources/js/patient/keeping/outbox');
interface Item {
    id: string;
    kind: string;
    body: Record<string, unknown>;
}

let local: Map<string, string>;
let replies: ((items: Item[]) => Response | Promise<Response>)[];
let sent: Item[][];
let outbox: Outbox;

const json = (status: number, body: unknown = {}) => new Response(JSON.stringify(body), { status });
const all = (result: string, message?: string) => (items: Item[]) =>
    json(200, { answers: items.map(({ id }) => ({ id, result, message })) });
const offline = () => {
    throw new TypeError('Failed to fetch');
};

/** A browser that is started again: the same store, a new page. */
async function restart(): Promise<void> {
    vi.resetModules();
    outbox = await import('../../resources/js/patient/keeping/outbox');
    outbox.belongTo('wren');
    await outbox.open();
}

beforeEach(async () => {
    vi.stubGlobal('indexedDB', new IDBFactory());
    local = new Map();
    replies = [];
    sent = [];
    vi.stubGlobal('localStorage', {
        getItem: (key: string) => local.get(key) ?? null,
        setItem: (key: string, value: string) => local.set(key, value),
        removeItem: (key: string) => local.delete(key),
    });
    vi.stubGlobal('fetch', async (_: string, request: { body: string }) => {
        const { items } = JSON.parse(request.body) as { items: Item[] };
        sent.push(items);
        return (replies.shift() ?? all('stored'))(items);
    });
    await restart();
});
afterEach(() => {
    vi.unstubAllGlobals();
    vi.useRealTimers();
});

const put = (id: string, with_ = {}) => outbox.enqueue('practice', id, log(id, with_));
const ids = () => sent.map((items) => items.map((item) => item.id).join());

describe('what waits on a device', () => {
    it('is sent, shown until the pages know of it, and then forgotten', async () => {
        await put('a');
        expect(ids()).toEqual(['a']);
        expect(outbox.unsent()).toEqual([]);
        expect(outbox.all()).toHaveLength(1);
        await outbox.forgetDelivered(outbox.delivered());
        expect(outbox.all()).toEqual([]);
        await restart();
        expect(outbox.all()).toEqual([]);
    });

    it('survives a closed browser and goes in one batch, with what was put in since', async () => {
        replies = [offline, offline];
        await put('a');
        await outbox.enqueue('diary', 'diary:2026-11-25', { day: '2026-11-25', sleep: 3 });
        await restart();
        expect(outbox.unsent()).toHaveLength(2);
        await put('b');
        expect(ids().at(-1)).toBe('a,diary:2026-11-25,b');
        expect(outbox.unsent()).toEqual([]);
    });

    it('waits for a signed-out device, a broken server, and an answer that leaves something out', async () => {
        for (const status of [401, 423, 429, 500, 503]) {
            replies = [() => json(status)];
            await put('a');
            expect(outbox.unsent()).toHaveLength(1);
        }
        replies = [() => json(200, { answers: [] })];
        await outbox.flush();
        expect(outbox.unsent()).toHaveLength(1);
    });

    it('puts a refused one aside with its reason, and lets the others through', async () => {
        replies = [
            offline,
            offline,
            (items) =>
                json(200, {
                    answers: [
                        { id: items[0]?.id, result: 'refused', message: 'In the future.' },
                        { id: items[1]?.id, result: 'stored' },
                    ],
                }),
        ];
        await put('a');
        await put('b');
        await outbox.flush();
        expect(outbox.refused()).toMatchObject([{ id: 'a', refused: 'In the future.' }]);
        await restart();
        expect(outbox.refused()).toHaveLength(1);
        await outbox.dismiss('a');
        await restart();
        expect(outbox.refused()).toEqual([]);
    });

    it('sends a batch that cannot be read one by one, and refuses only what cannot be read', async () => {
        replies = [
            offline,
            offline,
            () => json(422, { errors: { 'items.0.body': ['Not a practice.'] } }),
            () => json(422, { errors: { 'items.0.body': ['Not a practice.'] } }),
        ];
        await put('a');
        await put('b');
        await outbox.flush();
        expect(ids().slice(2)).toEqual(['a,b', 'a', 'b']);
        expect(outbox.refused()).toMatchObject([{ id: 'a', refused: 'Not a practice.' }]);
        expect(outbox.unsent()).toEqual([]);
    });

    it('tries later what the server asks to be tried later', async () => {
        replies = [all('later')];
        await put('a');
        expect(outbox.unsent()).toHaveLength(1);
        await outbox.flush();
        expect(sent).toHaveLength(1);
        vi.useFakeTimers({ now: Date.now() + 120_000, toFake: ['Date'] });
        await outbox.flush();
        expect(outbox.unsent()).toEqual([]);
    });

    it('sends anew what was changed while it was being sent', async () => {
        replies = [
            async (items) => {
                await outbox.enqueue('diary', 'd', { sleep: 9 });
                return all('stored')(items);
            },
        ];
        await outbox.enqueue('diary', 'd', { sleep: 1 });
        expect(sent.map((items) => items[0]?.body.sleep)).toEqual([1, 9]);
        expect(outbox.unsent()).toEqual([]);
    });

    it('holds a stop back for the second look, and lets the newer word of it win', async () => {
        await outbox.enqueue(
            'practice',
            'a',
            log('a', { stop_class: 'made-me-stop', stop_symptom: 'dizziness' }),
            Date.now() + 150_000,
        );
        expect(sent).toEqual([]);
        await put('a', { stop_class: 'get-help', stop_symptom: 'breathlessness-stays' });
        expect(sent.map((items) => items[0]?.body.stop_class)).toEqual(['get-help']);
    });

    it('brings ten thousand through, in batches of fifty, each once', async () => {
        replies = [offline];
        const { store } = await import('../../resources/js/patient/keeping/store');
        await store.putWaiting(
            Array.from({ length: 10_000 }, (_, n) => ({
                id: `p${n}`,
                kind: 'practice',
                body: {},
                owner: 'wren',
                turn: n,
                notBefore: 0,
                refused: null,
                delivered: false,
            })),
        );
        await restart();
        expect(outbox.unsent()).toHaveLength(10_000);
        replies = [];
        await outbox.flush();
        expect(sent).toHaveLength(200);
        expect(new Set(sent.flat().map((item) => item.id)).size).toBe(10_000);
        expect(outbox.unsent()).toEqual([]);
    }, 60_000);

    it('is sent for nobody else', async () => {
        replies = [offline];
        await put('a');
        outbox.belongTo('another');
        expect(outbox.all()).toEqual([]);
        await outbox.flush();
        expect(sent).toHaveLength(1);
        outbox.belongTo('wren');
        await outbox.flush();
        expect(ids()).toEqual(['a', 'a']);
    });

    it('works as long as the page where there is no store', async () => {
        vi.stubGlobal('indexedDB', undefined);
        vi.stubGlobal('localStorage', {
            getItem: () => {
                throw new Error('denied');
            },
            setItem: () => {
                throw new Error('denied');
            },
            removeItem: () => {
                throw new Error('denied');
            },
        });
        await restart();
        replies = [offline];
        await put('a');
        outbox.keepUnfinished(log('b', { breaths_done: 3 }));
        await outbox.recoverUnfinished();
        expect(ids().at(-1)).toBe('a,b');
    });
});

describe('a practice that was left', () => {
    it('counts as far as it got, also after the browser was closed, and one that never began does not', async () => {
        outbox.keepUnfinished(log('a', { breaths_done: 4 }));
        await restart();
        await outbox.recoverUnfinished();
        expect(sent.flat()).toMatchObject([{ id: 'a', body: { breaths_done: 4 } }]);
        outbox.keepUnfinished(log('b', { breaths_done: 0, seconds_done: 0 }));
        await outbox.recoverUnfinished();
        await outbox.recoverUnfinished();
        expect(sent).toHaveLength(1);
    });

    it('stays with the patient whose it was', async () => {
        outbox.keepUnfinished(log('a', { breaths_done: 4 }));
        outbox.belongTo('another');
        await outbox.recoverUnfinished();
        expect(sent).toEqual([]);
        outbox.belongTo('wren');
        expect(outbox.unsent()).toHaveLength(1);
    });

    it('is forgotten once it is finished, and unreadable rests are', async () => {
        outbox.keepUnfinished(log('a', { breaths_done: 4 }));
        outbox.forgetUnfinished();
        await outbox.recoverUnfinished();
        local.set('ivory-pace:unfinished', '{not json');
        await outbox.recoverUnfinished();
        expect(sent).toEqual([]);
    });
});

it('makes ids that the server takes, also without a secure context', () => {
    vi.stubGlobal('crypto', { getRandomValues: (bytes: Uint8Array) => bytes.map((_, n) => n * 17) });
    expect(outbox.newId()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});
