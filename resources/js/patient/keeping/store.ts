import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What a device sends, perhaps much later. */
export type Kind =
    'practice' | 'diary' | 'form' | 'put-off' | 'home-check' | 'second-look' | 'tick' | 'trace-part' | 'trace';

export interface Waiting {
    id: string;
    kind: Kind;
    body: object;
    /** Whose it is: it is sent for nobody else. */
    owner: string;
    /** Counts what was put in, so that what was changed while it was being sent is sent again. */
    turn: number;
    notBefore: number;
    /** Why the server would not have it, in words. */
    refused: string | null;
    /** The server has it; it is kept until the pages that show it have been fetched anew. */
    delivered: boolean;
}

interface Tables extends DBSchema {
    waiting: { key: string; value: Waiting };
    kept: { key: string; value: unknown };
}

/** Where there is no store, things live as long as the page. */
const memory = { waiting: new Map<string, Waiting>(), kept: new Map<string, unknown>() };
let opening: Promise<IDBPDatabase<Tables> | null> | undefined;

function database(): Promise<IDBPDatabase<Tables> | null> {
    opening ??= (async () => {
        try {
            return await openDB<Tables>('ivory-pace', 1, {
                upgrade(fresh) {
                    fresh.createObjectStore('waiting', { keyPath: 'id' });
                    fresh.createObjectStore('kept');
                },
                // Another page with newer code waits for us.
                blocking(_current, _wanted, event) {
                    (event.target as IDBDatabase).close();
                    opening = undefined;
                },
            });
        } catch {
            return null;
        }
    })();
    return opening;
}

/** Does it in the store, or in memory when the store is missing, full or forbidden. */
async function inStore<T>(act: (store: IDBPDatabase<Tables>) => Promise<T>, otherwise: () => T): Promise<T> {
    const store = await database();
    if (!store) return otherwise();
    try {
        return await act(store);
    } catch {
        return otherwise();
    }
}

/** What was put in before a kind had its present name. */
function asNow(item: Omit<Waiting, 'kind'> & { kind: string }): Waiting {
    return { ...item, kind: (item.kind === 'check' ? 'home-check' : item.kind) as Kind };
}

export const store = {
    waiting: (): Promise<Waiting[]> =>
        inStore(
            async (db) => (await db.getAll('waiting')).map(asNow),
            () => [...memory.waiting.values()],
        ),
    putWaiting: (items: Waiting[]): Promise<unknown> =>
        inStore<unknown>(
            async (db) => {
                const change = db.transaction('waiting', 'readwrite');
                await Promise.all([...items.map((item) => change.store.put(item)), change.done]);
            },
            () => {
                for (const item of items) memory.waiting.set(item.id, item);
            },
        ),
    dropWaiting: (ids: string[]): Promise<unknown> =>
        inStore<unknown>(
            async (db) => {
                const change = db.transaction('waiting', 'readwrite');
                await Promise.all([...ids.map((id) => change.store.delete(id)), change.done]);
            },
            () => {
                for (const id of ids) memory.waiting.delete(id);
            },
        ),
    kept: async <T>(name: string): Promise<T | null> =>
        ((await inStore<unknown>(
            (db) => db.get('kept', name),
            () => memory.kept.get(name),
        )) as T | undefined) ?? null,
    keep: (name: string, value: unknown): Promise<unknown> =>
        inStore<unknown>(
            (db) => db.put('kept', value, name),
            () => memory.kept.set(name, value),
        ),
    /** Everything that is kept, but not what waits. */
    forgetKept: (): Promise<unknown> =>
        inStore<unknown>(
            (db) => db.clear('kept'),
            () => {
                memory.kept.clear();
            },
        ),
};
