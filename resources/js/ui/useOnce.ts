import { ref } from 'vue';
import { ask, Problem, type Schemas } from '../api/client';
import { tell } from './notice';

/** Milliseconds after which a post that was not acknowledged is sent again: about half a minute in all. */
const AGAIN_AFTER = [500, 1000, 2000, 4000, 8000, 15000];

const wait = (ms: number): Promise<void> => new Promise((done) => window.setTimeout(done, ms));

function newKey(): string {
    return crypto.randomUUID?.() ?? `${Date.now()}-${Math.random().toString(36).slice(2)}`;
}

interface Post {
    key: string;
    under_way: Promise<unknown> | null;
}

/**
 * Posts of one form, each done once however often it is pressed or sent.
 *
 * The key belongs to what is sent: pressed twice it is one post, sent again after no answer it is the same post, and only what
 * is different, or was acknowledged before, is another. While the application is away it is sent again by itself.
 *
 * @example
 * const once = useOnce();
 * const head = await once.post<'Head'>('/api/heads', draft);
 */
export function useOnce() {
    const posts = new Map<string, Post>();
    /** While something is under way: its button waits. */
    const busy = ref(false);

    async function untilAnswered<Name extends keyof Schemas>(path: string, body: unknown, key: string): Promise<Schemas[Name]> {
        for (const pause of [...AGAIN_AFTER, null]) {
            try {
                return await ask<Name>('POST', path, body, { key });
            } catch (e) {
                if (pause === null || !(e instanceof Problem) || !e.passes) throw e;
                tell('The application does not answer. What you sent is kept, and is sent again until it does.', { stop: true });
                await wait(pause);
            }
        }
        throw new Problem(0, 'The application does not answer. What you typed is kept; press again when it is back.');
    }

    async function post<Name extends keyof Schemas>(path: string, body: unknown = {}): Promise<Schemas[Name]> {
        const what = `${path} ${JSON.stringify(body)}`;
        const known: Post = posts.get(what) ?? { key: newKey(), under_way: null };
        posts.set(what, known);
        if (known.under_way) return known.under_way as Promise<Schemas[Name]>;
        busy.value = true;
        const sent = untilAnswered<Name>(path, body, known.key);
        known.under_way = sent;
        try {
            const answer = await sent;
            // Acknowledged: the same pressed once more is meant once more.
            posts.delete(what);
            return answer;
        } finally {
            known.under_way = null;
            busy.value = [...posts.values()].some((p) => p.under_way !== null);
        }
    }

    return { post, busy };
}
