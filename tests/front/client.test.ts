import { beforeEach, describe, expect, it, vi } from 'vitest';
import { api, done, got, Problem } from '../../resources/js/api/client';
import { aFormula } from './made';
import { aServer, later, Status } from './api';

const begin = (headers: Record<string, string> = {}) => got(api.POST('/api/batches', { body: { formula_id: 3 }, headers }));
const save = () =>
    got(
        api.PUT('/api/formulas/{formula}', { params: { path: { formula: 7 } }, body: { revision: 1, formula: aFormula(), head_id: null } }),
    );
const today = () => got(api.GET('/api/today'));
let server: ReturnType<typeof aServer>;
beforeEach(() => {
    server = aServer();
});
const failed = (promise: Promise<unknown>): Promise<Problem> =>
    promise.then(
        () => {
            throw new Error('it did not fail');
        },
        (e: unknown) => e as Problem,
    );

describe('the token against forged writes', () => {
    it('is fetched before the first write, once for two writes at a time, and sent decoded', async () => {
        server.on('POST', '/api/batches', { id: 1 });
        await Promise.all([begin(), begin()]);
        expect(server.to('/sanctum/csrf-cookie')).toHaveLength(1);
        expect(server.to('/api/batches').map((c) => c.headers.get('X-XSRF-TOKEN'))).toEqual(['from the server', 'from the server']);
    });

    it('is not needed to read', async () => {
        server.on('GET', '/api/today', { items: [] });
        await today();
        expect(server.to('/sanctum/csrf-cookie')).toHaveLength(0);
    });

    it('is fetched anew when it has run out, and the write is sent again', async () => {
        document.cookie = 'XSRF-TOKEN=old';
        const answers = [new Status(419), { id: 2 }];
        server.on('POST', '/api/batches', () => answers.shift());
        await expect(begin()).resolves.toEqual({ id: 2 });
        expect(server.to('/api/batches').map((c) => c.body)).toEqual([{ formula_id: 3 }, { formula_id: 3 }]);
        expect(server.to('/api/batches').map((c) => c.headers.get('X-XSRF-TOKEN'))).toEqual(['old', 'from the server']);
    });
});

describe('what is sent', () => {
    beforeEach(() => void (document.cookie = 'XSRF-TOKEN=here'));

    it('is JSON with the key that makes it count once', async () => {
        server.on('POST', '/api/batches', { id: 1 });
        await begin({ 'Idempotency-Key': 'k1' });
        expect(server.calls[0]?.body).toEqual({ formula_id: 3 });
        expect(server.calls[0]?.headers.get('Content-Type')).toBe('application/json');
        expect(server.calls[0]?.headers.get('Idempotency-Key')).toBe('k1');
    });

    it('is a form when a picture goes with it, and the browser names its kind', async () => {
        server.on('POST', '/api/steeps/1/photos', { id: 1 });
        const form = new FormData();
        form.append('photo', new Blob(['x'], { type: 'image/png' }), 'jar.png');
        await got(
            api.POST('/api/steeps/{steep}/photos', { params: { path: { steep: 1 } }, body: { photo: '' }, bodySerializer: () => form }),
        );
        expect(server.calls[0]?.headers.get('Content-Type')).toMatch(/^multipart\/form-data; boundary=/);
        expect(server.calls[0]?.body).toBeInstanceOf(FormData);
    });
});

describe('what went wrong, in words', () => {
    beforeEach(() => void (document.cookie = 'XSRF-TOKEN=here'));

    it.each([
        [401, {}, /signed out.*what you typed is kept/],
        [413, {}, /too much text/],
        [429, {}, /Wait a minute/],
        [422, { message: 'The jar holds 10 to 5000 ml.' }, /^The jar holds 10 to 5000 ml\.$/],
        [500, {}, /Something went wrong here\. What you typed is kept/],
    ])('status %i', async (status, json, words) => {
        server.on('GET', '/api/today', new Status(status, json));
        const problem = await failed(today());
        expect(problem).toBeInstanceOf(Problem);
        expect(problem.status).toBe(status);
        expect(problem.message).toMatch(words);
    });

    it('carries the fields it is about and the newer state', async () => {
        server.on(
            'PUT',
            '/api/formulas/7',
            new Status(409, { message: 'Changed.', errors: { size: ['too big'] }, current: { revision: 4 } }),
        );
        const problem = await failed(save());
        expect(problem.errors).toEqual({ size: ['too big'] });
        expect(problem.current).toEqual({ revision: 4 });
        expect(problem.passes).toBe(false);
    });

    it('says that the application is away, and that it is worth trying again', async () => {
        vi.stubGlobal('fetch', () => Promise.reject(new TypeError('refused')));
        const problem = await failed(today());
        expect(problem.status).toBe(0);
        expect(problem.message).toMatch(/does not answer/);
        expect(problem.passes).toBe(true);
    });

    it('does not fall over an answer that is not JSON', async () => {
        server.on('GET', '/api/today', new Response('<html>', { status: 502 }));
        const problem = await failed(today());
        expect(problem.passes).toBe(true);
        server.on('GET', '/api/today', new Response('<html>', { status: 200 }));
        // It may have been done: whoever keeps a key sends it again.
        const lost = await failed(today());
        expect(lost.message).toMatch(/lost on the way/);
        expect(lost.passes).toBe(true);
    });

    it('has nothing to say of an answer that is empty on purpose', async () => {
        server.on('DELETE', '/api/heads/1', new Status(204));
        await expect(done(api.DELETE('/api/heads/{head}', { params: { path: { head: 1 } } }))).resolves.toBeUndefined();
    });

    it('lets through that it was given up', async () => {
        const never = later<unknown>();
        server.on('GET', '/api/today', () => never.promise);
        const stop = new AbortController();
        const asked = got(api.GET('/api/today', { signal: stop.signal }));
        stop.abort();
        await expect(asked).rejects.toMatchObject({ name: 'AbortError' });
    });
});
