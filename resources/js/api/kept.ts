import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Act } from '../queries/counter';
import type { Schemas } from './client';

/**
 * What the browser keeps for an hour without a network: the batch at the counter, who is signed in, and what was done and not
 * acknowledged yet. Each is whose it is: another person on this device sees none of it and sends none of it. Signing out takes
 * away all but weights that were not sent yet: they wait for her to sign in here again.
 */
export interface KeptAct {
    /** By which it is known to be the same when it is sent again. */
    key: string;
    batch: number;
    /** Who did it: by whom alone it is sent. */
    by: string;
    /** When it was done, in milliseconds: the order in which they are sent. */
    at: number;
    act: Act;
}

/** A batch as it was when it came. */
export interface KeptBatch {
    id: number;
    /** Who may see it. */
    by: string;
    batch: Schemas['Batch'];
    /** When it came, by this device's clock, in milliseconds. */
    at: number;
}
/** The server's clock went on meanwhile: what it would say now is worked out, so that no clock of a batch stands still. */
export const asOfNow = ({ batch, at }: KeptBatch, now: number): Schemas['Batch'] => ({
    ...batch,
    now: new Date(Date.parse(batch.now) + (now - at)).toISOString(),
});

interface Stores extends DBSchema {
    acts: { key: string; value: KeptAct; indexes: { batch: number } };
    batches: { key: number; value: KeptBatch };
    session: { key: 'session'; value: Schemas['Session'] };
}

let opened: Promise<IDBPDatabase<Stores> | null> | null = null;
/** A browser that keeps nothing (a private window) still works, as long as its page stays open: null. */
function database(): Promise<IDBPDatabase<Stores> | null> {
    opened ??= (async () => {
        try {
            return await openDB<Stores>('counter', 2, {
                upgrade(fresh, before, _now, all) {
                    if (before < 1) {
                        fresh.createObjectStore('acts', { keyPath: 'key' }).createIndex('batch', 'batch');
                        fresh.createObjectStore('batches', { keyPath: 'id' });
                        fresh.createObjectStore('session');
                    } else {
                        // Recipes of before belong to nobody that is known.
                        void all.objectStore('batches').clear();
                    }
                },
            });
        } catch {
            return null;
        }
    })();
    return opened;
}

/** What this person did at a batch and is not sent yet. */
export async function keptActs(batch: number, by: string): Promise<KeptAct[]> {
    const acts = await (await database())?.getAllFromIndex('acts', 'batch', batch);
    return (acts ?? []).filter((a) => a.by === by).sort((a, b) => a.at - b.at);
}
/** How much of this person's is not sent yet, at any batch. */
export async function unsentOf(by: string): Promise<number> {
    return ((await (await database())?.getAll('acts')) ?? []).filter((a) => a.by === by).length;
}
export const keepAct = async (act: KeptAct): Promise<void> => void (await (await database())?.put('acts', act));
export const dropAct = async (key: string): Promise<void> => (await database())?.delete('acts', key);

export async function keptBatch(id: number): Promise<Schemas['Batch'] | undefined> {
    const db = await database();
    const kept = await db?.get('batches', id);
    const who = whoseIs(await db?.get('session', 'session'));
    return kept && kept.by === who ? asOfNow(kept, Date.now()) : undefined;
}
/** Only what came from the server is kept: what was kept is not made newer by being looked at. */
export async function keepBatch(batch: Schemas['Batch']): Promise<void> {
    const db = await database();
    const by = whoseIs(await db?.get('session', 'session'));
    if (by !== '') await db?.put('batches', { id: batch.id, by, batch, at: Date.now() });
}
export const keepSession = async (session: Schemas['Session']): Promise<void> =>
    void (await (await database())?.put('session', session, 'session'));
/** A record is not gone on with: it need not be kept. */
export const dropBatch = async (id: number): Promise<void> => (await database())?.delete('batches', id);
export const keptSession = async (): Promise<Schemas['Session'] | undefined> => (await database())?.get('session', 'session');

/** Whose a session is: the name by which she signs in. */
export const whoseIs = (session: Schemas['Session'] | null | undefined): string => session?.user?.email ?? '';

/** What was kept for another person than the one who is signed in now goes, but for what she did and nobody has sent. */
export async function keepOnlyOf(session: Schemas['Session']): Promise<void> {
    const db = await database();
    const before = await db?.get('session', 'session');
    if (before && whoseIs(before) !== whoseIs(session)) await forgetAll();
}

/** Whoever signs out leaves no recipe behind on this device; her weights that were not sent wait for her. */
export async function forgetAll(): Promise<void> {
    const db = await database();
    await Promise.all([db?.clear('batches'), db?.clear('session')]);
    if ('caches' in window) await caches.delete('counter-shell');
}
