import { vi } from 'vitest';
import { notice } from '../../resources/js/ui/notice';
import { anEvaluation, aPage } from './made';

export interface Call {
    method: string;
    path: string;
    body: unknown;
    headers: Headers;
    signal: AbortSignal | null;
}
type Answer = (call: Call) => unknown;

/** What a stand-in of the server answers besides plain JSON with 200. */
export class Status {
    constructor(
        readonly status: number,
        readonly json: unknown = null,
    ) {}
}

async function bodyOf(request: Request): Promise<unknown> {
    const kind = request.headers.get('Content-Type') ?? '';
    if (kind.startsWith('multipart/')) return request.clone().formData();
    const text = await request.clone().text();
    return text === '' ? null : JSON.parse(text);
}

/**
 * A stand-in for the server at the border where the browser would send: `on` says what a path answers, `calls` what was
 * sent. An answer can be a promise, so that a test decides when it comes.
 */
export function aServer() {
    const calls: Call[] = [];
    const answers = new Map<string, Answer>();
    vi.stubGlobal('fetch', async (asked: Request | string) => {
        const request = typeof asked === 'string' ? new Request(new URL(asked, location.origin)) : asked;
        const { pathname, search } = new URL(request.url);
        const path = pathname + search;
        const call: Call = {
            method: request.method,
            path,
            body: await bodyOf(request),
            headers: request.headers,
            signal: request.signal,
        };
        calls.push(call);
        if (path === '/sanctum/csrf-cookie' && !answers.has(`GET ${path}`)) {
            document.cookie = 'XSRF-TOKEN=from%20the%20server';
            return new Response(null, { status: 204 });
        }
        const answer = answers.get(`${call.method} ${path}`) ?? answers.get(`${call.method} ${path.split('?')[0]}`);
        if (!answer) throw new Error(`Nothing answers ${call.method} ${path}`);
        const aborted = new Promise<never>((_, reject) => {
            const giveUp = (): void => reject(new DOMException('given up', 'AbortError'));
            if (call.signal?.aborted) giveUp();
            call.signal?.addEventListener('abort', giveUp);
        });
        const said = await Promise.race([Promise.resolve(answer(call)), aborted]);
        if (said instanceof Response) return said;
        const { status, json } = said instanceof Status ? said : new Status(200, said);
        return new Response(status === 204 ? null : JSON.stringify(json), { status });
    });
    return {
        calls,
        on(method: string, path: string, answer: unknown): void {
            answers.set(`${method} ${path}`, typeof answer === 'function' ? (answer as Answer) : () => answer);
        },
        to: (path: string, method?: string): Call[] =>
            calls.filter((c) => c.path.split('?')[0] === path && (method === undefined || c.method === method)),
    };
}

/** A promise that the test settles. */
export function later<T>() {
    let settle!: (value: T) => void;
    let fail!: (reason: unknown) => void;
    const promise = new Promise<T>((yes, no) => {
        settle = yes;
        fail = no;
    });
    return { promise, settle, fail };
}

/** A stand-in that is signed in, where nothing was said yet; formula 7 is judged and saved. */
export function aBenchServer() {
    document.cookie = 'XSRF-TOKEN=here';
    notice.value = null;
    const server = aServer();
    server.on('POST', '/api/evaluate', () => anEvaluation());
    server.on('PUT', '/api/formulas/7', () => aPage({ revision: 4 }));
    return server;
}
