/** What is typed or chosen in the field that an event comes from; "" when it is none. */
export function valueIn(event: Event): string {
    const field = event.target;
    return field instanceof HTMLInputElement || field instanceof HTMLSelectElement || field instanceof HTMLTextAreaElement
        ? field.value
        : '';
}

/** Whether the box that an event comes from is ticked. */
export function tickedIn(event: Event): boolean {
    return event.target instanceof HTMLInputElement && event.target.checked;
}

/** The one of a list, or of a table's keys, that a word names. */
export function oneOf<T extends string>(all: Readonly<Record<T, unknown>>, word: string): T | undefined {
    return keysOf(all).find((key) => key === word);
}

/** The keys of a table, in its order. */
export function keysOf<T extends string>(all: Readonly<Record<T, unknown>>): T[] {
    const keys: T[] = [];
    for (const key in all) keys.push(key);
    return keys;
}

/** A number as it is written, with a comma or a point; null where nothing is, and no number where it is none. */
export const written = (text: string): number | null => (text.trim() === '' ? null : Number(text.trim().replace(',', '.')));
