import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, got, Problem, type Schemas } from '../../resources/js/api/client';
import { once } from '../../resources/js/api/once';
import { notice } from '../../resources/js/ui/notice';
import { aServer, later, Status } from './api';

const describing = () => once((body: Schemas['HeadDraft'], keyed) => got(api.POST('/api/heads', { body, ...keyed })));
let server: ReturnType<typeof aServer>;
const keys = (): (string | null)[] => server.to('/api/heads').map((c) => c.headers.get('Idempotency-Key'));
async function wait(ms: number): Promise<void> {
    await vi.advanceTimersByTimeAsync(ms);
    await flushPromises();
}

beforeEach(() => {
    vi.useFakeTimers();
    document.cookie = 'XSRF-TOKEN=here';
    notice.value = null;
    server = aServer();
});
afterEach(() => vi.useRealTimers());

describe('a post is done once', () => {
    it('however often it is pressed while it is under way', async () => {
        const slow = later<unknown>();
        server.on('POST', '/api/heads', () => slow.promise);
        const post = describing();
        const both = [post({ name: 'Imani' }), post({ name: 'Imani' })];
        slow.settle({ id: 1 });
        expect(await Promise.all(both)).toEqual([{ id: 1 }, { id: 1 }]);
        expect(keys()).toHaveLength(1);
    });

    it('sent again by itself under the same key when nobody answered', async () => {
        const answers = [new Status(503), new Response('<html>', { status: 502 }), { id: 1 }];
        server.on('POST', '/api/heads', () => answers.shift());
        const post = describing();
        const sent = post({ name: 'Imani' });
        await wait(0);
        expect(notice.value?.words).toMatch(/sent again until it does/);
        await wait(500);
        await wait(1000);
        expect(await sent).toEqual({ id: 1 });
        expect(keys()).toHaveLength(3);
        expect(new Set(keys()).size).toBe(1);
    });

    it('also when the answer was lost on the way: it may have been done', async () => {
        const answers = [new Response('', { status: 201 }), { id: 1 }];
        server.on('POST', '/api/heads', () => answers.shift());
        const sent = describing()({ name: 'Imani' });
        await wait(0);
        await wait(500);
        expect(await sent).toEqual({ id: 1 });
        expect(new Set(keys()).size).toBe(1);
    });

    it('and given up after a while, the next press is still the same post', async () => {
        server.on('POST', '/api/heads', new Status(503, { message: 'The database does not answer.' }));
        const post = describing();
        const gaveUp = post({ name: 'Imani' }).catch((e: unknown) => e);
        await wait(60_000);
        expect(await gaveUp).toBeInstanceOf(Problem);
        server.on('POST', '/api/heads', { id: 1 });
        await post({ name: 'Imani' });
        expect(new Set(keys()).size).toBe(1);
    });
});

describe('what is another post', () => {
    it('is the same pressed again after it was done', async () => {
        server.on('POST', '/api/heads', { id: 1 });
        const post = describing();
        await post({ name: 'Imani' });
        await post({ name: 'Imani' });
        expect(new Set(keys()).size).toBe(2);
    });

    it('is one with other contents', async () => {
        server.on('POST', '/api/heads', new Status(422, { message: 'A head needs a name.', errors: { name: ['A head needs a name.'] } }));
        const post = describing();
        await post({ name: '' }).catch(() => undefined);
        server.on('POST', '/api/heads', { id: 1 });
        await post({ name: 'Imani' });
        expect(new Set(keys()).size).toBe(2);
    });

    it('has a key of its own also where the browser makes none', async () => {
        vi.stubGlobal('crypto', {});
        server.on('POST', '/api/heads', { id: 1 });
        const post = describing();
        await post({ name: 'Imani' });
        await post({ name: 'Zola' });
        expect(new Set(keys()).size).toBe(2);
        expect(keys().every((k) => /^[\w-]{8,100}$/.test(k ?? ''))).toBe(true);
    });
});

describe('what was refused', () => {
    it('is said at once and not sent again', async () => {
        server.on('POST', '/api/heads', new Status(422, { message: 'A head needs a name.' }));
        await expect(describing()({ name: 'Imani' })).rejects.toThrow('A head needs a name.');
        expect(keys()).toHaveLength(1);
    });
});
