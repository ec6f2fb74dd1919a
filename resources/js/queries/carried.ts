import { api, got, type Schemas } from '../api/client';

/** What is taken from the demo studio into one's own: it waits in this window until one is in. */
export type Carried =
    | { kind: 'formula'; body: Schemas['FormulaDraft'] }
    | { kind: 'steep'; body: Schemas['SteepDraft'] }
    | { kind: 'head'; body: Schemas['HeadDraft'] };

const KEPT = 'carried';

const isCarried = (value: unknown): value is Carried =>
    typeof value === 'object' && value !== null && 'kind' in value && 'body' in value && typeof value.body === 'object';

export function carry(what: Carried): void {
    sessionStorage.setItem(KEPT, JSON.stringify(what));
}

export const isCarrying = (): boolean => sessionStorage.getItem(KEPT) !== null;

async function put(what: Carried): Promise<string> {
    if (what.kind === 'formula') return `/formulas/${(await got(api.POST('/api/formulas', { body: what.body }))).id}`;
    if (what.kind === 'steep') return `/steeps/${(await got(api.POST('/api/steeps', { body: what.body }))).id}`;
    return `/heads/${(await got(api.POST('/api/heads', { body: what.body }))).id}`;
}

/** Puts it down in the studio that was entered; gives its address, or nothing when nothing was carried. */
export async function takeIn(): Promise<string | null> {
    const kept = sessionStorage.getItem(KEPT);
    if (kept === null) return null;
    sessionStorage.removeItem(KEPT);
    const what: unknown = JSON.parse(kept);
    return isCarried(what) ? put(what) : null;
}
