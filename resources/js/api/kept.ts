import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Act } from '../queries/counter';
import type { Schemas } from './client';

/**
 * What the browser keeps for an hour without a network: the batch at the counter, who is signed in, and what was done and not
 * acknowledged yet. Nothing else is kept on the disk, and signing out takes all of it away.
 */
export interface KeptAct {
    /** By which it is known to be the same when it is sent again. */
    key: string;
    batch: number;
    /** When it was done, in milliseconds: the order in which they are sent. */
    at: number;
    act: Act;
}

/** A batch as it was when it came. */
export interface KeptBatch {
    id: number;
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
            return await openDB<Stores>('counter', 1, {
                upgrade(fresh) {
                    fresh.createObjectStore('acts', { keyPath: 'key' }).createIndex('batch', 'batch');
                    fresh.createObjectStore('batches', { keyPath: 'id' });
                    fresh.createObjectStore('session');
                },
            });
        } catch {
            return null;
        }
    })();
    return opened;
}

export async function keptActs(batch: number): Promise<KeptAct[]> {
    const acts = await (await database())?.getAllFromIndex('acts', 'batch', batch);
    return (acts ?? []).sort((a, b) => a.at - b.at);
}
export const keepAct = async (act: KeptAct): Promise<void> => void (await (await database())?.put('acts', act));
export const dropAct = async (key: string): Promise<void> => (await database())?.delete('acts', key);

export async function keptBatch(id: number): Promise<Schemas['Batch'] | undefined> {
    const kept = await (await database())?.get('batches', id);
    return kept && asOfNow(kept, Date.now());
}
/** Only what came from the server is kept: what was kept is not made newer by being looked at. */
export const keepBatch = async (batch: Schemas['Batch']): Promise<void> =>
    void (await (await database())?.put('batches', { id: batch.id, batch, at: Date.now() }));
export const keepSession = async (session: Schemas['Session']): Promise<void> =>
    void (await (await database())?.put('session', session, 'session'));
/** A record is not gone on with: it need not be kept. */
export const dropBatch = async (id: number): Promise<void> => (await database())?.delete('batches', id);
export const keptSession = async (): Promise<Schemas['Session'] | undefined> => (await database())?.get('session', 'session');

/** Whoever signs out leaves nothing behind on this device. */
export async function forgetAll(): Promise<void> {
    const db = await database();
    await Promise.all([db?.clear('acts'), db?.clear('batches'), db?.clear('session')]);
    if ('caches' in window) await caches.delete('counter-shell');
}
