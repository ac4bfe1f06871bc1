import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PracticeLog } from '../../resources/js/patient/types';

type Queue = typeof import('../../resources/js/patient/queue');

let store: Map<string, string>;
let answers: (() => Response | Promise<Response>)[];
let sent: Record<string, unknown>[];
let queue: Queue;

const json = (status: number, body: unknown = {}) => new Response(JSON.stringify(body), { status });

beforeEach(async () => {
    vi.useFakeTimers({ now: new Date('2026-11-25T10:00:00Z') });
    store = new Map();
    answers = [];
    sent = [];
    vi.stubGlobal('localStorage', {
        getItem: (key: string) => store.get(key) ?? null,
        setItem: (key: string, value: string) => store.set(key, value),
        removeItem: (key: string) => store.delete(key),
    });
    vi.stubGlobal('fetch', async (_: string, request: { body: string }) => {
        sent.push(JSON.parse(request.body) as Record<string, unknown>);
        return (answers.shift() ?? (() => json(201)))();
    });
    vi.resetModules();
    queue = await import('../../resources/js/patient/queue');
});
afterEach(() => { vi.unstubAllGlobals(); vi.useRealTimers(); });

const settle = () => vi.advanceTimersByTimeAsync(0);
const offline = () => { throw new TypeError('Failed to fetch'); };

function log(uuid: string, with_: Partial<PracticeLog> = {}): PracticeLog {
    return {
        uuid, version_id: 1, lineage: 'x', anchor: null, started_at: '2026-11-25T09:50:00Z', ended_at: '2026-11-25T09:52:00Z', breaths_done: 12, seconds_done: 120, open_ms: null, enough_step: null, tempo: null,
        before: null, after: null, effort: null, smooth: null, slight_symptom: null, remark: null, stop_class: null, stop_symptom: null, ...with_,
    };
}

describe('the queue of practices', () => {
    it('sends what is put in, with the time of sending, and forgets it', async () => {
        queue.enqueue(log('a'));
        await settle();
        expect(sent).toMatchObject([{ uuid: 'a', sent_at: '2026-11-25T10:00:00.000Z' }]);
        expect(queue.waiting()).toEqual([]);
    });

    it('keeps what cannot be sent, and sends all of it later', async () => {
        answers = [offline, offline];
        queue.enqueue(log('a'));
        await settle();
        queue.enqueue(log('b'));
        await settle();
        expect(queue.waiting()).toHaveLength(2);
        await queue.flush();
        expect(sent.map((each) => each.uuid).slice(-2)).toEqual(['a', 'b']);
        expect(queue.waiting()).toEqual([]);
    });

    it('keeps what meets a signed-out device or a broken server', async () => {
        for (const status of [401, 423, 500, 503, 429]) {
            answers = [() => json(status)];
            queue.enqueue(log('a'));
            await settle();
            expect(queue.waiting()).toMatchObject([{ refused: null }]);
        }
    });

    it('puts a refused one aside with its reason, and goes on with the others', async () => {
        answers = [() => json(422, { errors: { ended_at: ['The practice ends in the future.'] } })];
        queue.enqueue(log('a'));
        queue.enqueue(log('b'));
        await settle();
        expect(queue.waiting()).toMatchObject([{ log: { uuid: 'a' }, refused: 'The practice ends in the future.' }]);
        queue.dismiss('a');
        expect(queue.waiting()).toEqual([]);
    });

    it('sends what is put in while it is sending', async () => {
        answers = [async () => { queue.enqueue(log('b', { stop_class: 'get-help', stop_symptom: 'chest-pain' })); return json(201); }];
        queue.enqueue(log('a'));
        await settle();
        expect(sent.map((each) => each.uuid)).toEqual(['a', 'b']);
    });

    it('holds a stop back for the second look, and lets the newer word of it win', async () => {
        queue.enqueue(log('a', { stop_class: 'made-me-stop', stop_symptom: 'dizziness' }), Date.now() + 150_000);
        await settle();
        expect(sent).toEqual([]);
        expect(queue.pausedHere()).toBe(false);
        answers = [offline];
        queue.enqueue(log('a', { stop_class: 'get-help', stop_symptom: 'breathlessness-stays' }));
        await settle();
        expect(queue.pausedHere()).toBe(true);
        await queue.flush();
        expect(sent.at(-1)).toMatchObject({ uuid: 'a', stop_class: 'get-help' });
        expect(queue.waiting()).toEqual([]);
        expect(queue.pausedHere()).toBe(false);
    });

    it('recovers a practice that was left, as far as it got, and nothing that never began', async () => {
        queue.keepUnfinished(log('a', { breaths_done: 4, seconds_done: 40 }));
        queue.recoverUnfinished();
        await settle();
        expect(sent).toMatchObject([{ uuid: 'a', breaths_done: 4 }]);
        queue.keepUnfinished(log('b', { breaths_done: 0, seconds_done: 0 }));
        queue.recoverUnfinished();
        queue.recoverUnfinished();
        await settle();
        expect(sent).toHaveLength(1);
    });

    it('forgets the unfinished form once the practice is in the queue', async () => {
        queue.keepUnfinished(log('a', { breaths_done: 4 }));
        queue.enqueue(log('a'));
        queue.recoverUnfinished();
        await settle();
        expect(sent).toMatchObject([{ uuid: 'a', breaths_done: 12 }]);
        expect(sent).toHaveLength(1);
    });

    it('survives a store that is broken or forbidden', async () => {
        store.set('ivory-pace:waiting', '{not json');
        expect(queue.waiting()).toEqual([]);
        vi.stubGlobal('localStorage', { getItem: () => { throw new Error('denied'); }, setItem: () => { throw new Error('denied'); }, removeItem: () => { throw new Error('denied'); } });
        answers = [offline];
        queue.enqueue(log('a'));
        await settle();
        expect(queue.waiting()).toHaveLength(1);
        await queue.flush();
        expect(queue.waiting()).toEqual([]);
    });

    it('tells whether the server has stored something', async () => {
        const heard = vi.fn();
        const stop = queue.onChange(heard);
        answers = [offline];
        queue.enqueue(log('a'));
        await settle();
        expect(heard.mock.calls).toEqual([[false]]);
        await queue.flush();
        expect(heard).toHaveBeenLastCalledWith(true);
        stop();
    });

    it('makes ids that the server takes, also without a secure context', () => {
        vi.stubGlobal('crypto', { getRandomValues: (bytes: Uint8Array) => bytes.map((_, n) => n * 17) });
        expect(queue.newId()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    });
});
