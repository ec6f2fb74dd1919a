const last = new Map<string, Promise<unknown>>();

/**
 * Does work after the work before it on the same thing has ended, well or badly.
 *
 * What a hand does in a second (patch test done, skin is calm) can rest on what it did just before, and an answer that
 * comes late must not stand in the place of a newer one: so writes to one thing are sent one after another.
 */
export function inTurn<T>(thing: string, work: () => Promise<T>): Promise<T> {
    const mine = (last.get(thing) ?? Promise.resolve()).then(work, work);
    last.set(thing, mine);
    const clear = (): void => void (last.get(thing) === mine && last.delete(thing));
    mine.then(clear, clear);
    return mine;
}
