import { tell } from '../ui/notice';
import { Problem } from './client';
import { newKey } from './newKey';

/** Milliseconds after which a post that was not acknowledged is sent again: about half a minute in all. */
const AGAIN_AFTER = [500, 1000, 2000, 4000, 8000, 15000];

const wait = (ms: number): Promise<void> => new Promise((done) => window.setTimeout(done, ms));

/** By which a post that is sent again is known to be the same. */
export interface Keyed {
    headers: { 'Idempotency-Key': string };
}

interface Post<Answer> {
    key: string;
    underWay: Promise<Answer> | null;
}

/**
 * Posts of one form, each done once however often it is pressed or sent.
 *
 * The key belongs to what is sent: pressed twice it is one post, sent again after no answer it is the same post, and only what
 * is different, or was acknowledged before, is another. While the application is away it is sent again by itself.
 */
export function once<Asked, Answer>(send: (asked: Asked, keyed: Keyed) => Promise<Answer>): (asked: Asked) => Promise<Answer> {
    const posts = new Map<string, Post<Answer>>();

    async function untilAnswered(asked: Asked, keyed: Keyed): Promise<Answer> {
        for (const pause of AGAIN_AFTER) {
            try {
                return await send(asked, keyed);
            } catch (e) {
                if (!(e instanceof Problem) || !e.passes) throw e;
                tell('The application does not answer. What you sent is kept, and is sent again until it does.', { stop: true });
                await wait(pause);
            }
        }
        return send(asked, keyed);
    }

    return async (asked) => {
        const what = JSON.stringify(asked) ?? '';
        const known = posts.get(what) ?? { key: newKey(), underWay: null };
        posts.set(what, known);
        if (known.underWay) return known.underWay;
        known.underWay = untilAnswered(asked, { headers: { 'Idempotency-Key': known.key } });
        try {
            const answer = await known.underWay;
            // Acknowledged: the same pressed once more is meant once more.
            posts.delete(what);
            return answer;
        } finally {
            known.underWay = null;
        }
    };
}
