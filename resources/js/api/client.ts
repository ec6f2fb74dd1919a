import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

/** What went wrong, in words that can be shown, with the fields it is about. */
export class Problem extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly errors: Record<string, string[]> = {},
        /** What is there now, where someone else was faster. */
        readonly current: unknown = null,
    ) {
        super(message);
    }

    /** Worth sending again: the server or the database was away, not the request wrong. */
    get passes(): boolean {
        return this.status === 0 || [502, 503, 504].includes(this.status);
    }

    /** Something is said of single fields. */
    get hasFields(): boolean {
        return Object.keys(this.errors).length > 0;
    }
}

const WORDS: Record<number, string> = {
    401: 'You are signed out. Sign in again; what you typed is kept.',
    413: 'This is too much text to send.',
    429: 'Too many tries. Wait a minute.',
};

function cookie(name: string): string {
    const found = document.cookie.split('; ').find((c) => c.startsWith(`${name}=`));
    return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

let csrf: Promise<Response> | null = null;
async function token(anew: boolean): Promise<string> {
    if (anew || cookie('XSRF-TOKEN') === '') {
        csrf ??= fetch('/sanctum/csrf-cookie').finally(() => (csrf = null));
        await csrf;
    }
    return cookie('XSRF-TOKEN');
}

async function send(request: Request, anew = false): Promise<Response> {
    const headers = new Headers(request.headers);
    headers.set('Accept', 'application/json');
    if (request.method !== 'GET') headers.set('X-XSRF-TOKEN', await token(anew));
    return fetch(new Request(request, { headers, signal: request.signal }));
}

/** Sends it, with the token against forged writes; what is refused becomes a Problem. */
async function answered(request: Request): Promise<Response> {
    const again = request.method === 'GET' ? null : request.clone();
    let response: Response;
    try {
        response = await send(request);
        if (response.status === 419 && again) response = await send(again, true);
    } catch (e) {
        if (e instanceof DOMException && e.name === 'AbortError') throw e;
        throw new Problem(0, 'The application does not answer. What you typed is kept; press again when it is back.');
    }
    if (response.ok) return response;
    const said: Partial<Schemas['Problem']> = (await response.json().catch(() => null)) ?? {};
    throw new Problem(
        response.status,
        WORDS[response.status] ?? (said.message || 'Something went wrong here. What you typed is kept; try again.'),
        said.errors ?? {},
        said.current ?? null,
    );
}

/** The API, held to its document by the compiler: addresses, what is asked for, bodies and answers. Used by queries/ alone. */
export const api = createClient<paths>({ baseUrl: location.origin, fetch: answered });

const lost = (): Problem => new Problem(0, 'The answer was lost on the way. What you typed is kept; press again.');

/** The answer. One that cannot be read was lost: it may have been done, and there is nothing to go on with. */
export async function got<T>(asked: Promise<{ data?: T }>): Promise<T> {
    try {
        const { data } = await asked;
        if (data !== undefined) return data;
    } catch (e) {
        throw e instanceof SyntaxError ? lost() : e;
    }
    throw lost();
}

/** Done, and nothing to answer. */
export async function done(asked: Promise<unknown>): Promise<void> {
    await asked;
}
