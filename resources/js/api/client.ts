import type { components } from './schema';

export type Schemas = components['schemas'];

/** What went wrong, in words that can be shown, with the fields it is about. */
export class Problem extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly errors: Record<string, string[]> = {},
        readonly current: unknown = null,
    ) {
        super(message);
    }

    /** Worth sending again: the server or the database was away, not the request wrong. */
    get passes(): boolean {
        return this.status === 0 || [502, 503, 504].includes(this.status);
    }
}

function cookie(name: string): string {
    const found = document.cookie.split('; ').find((c) => c.startsWith(`${name}=`));
    return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

let csrf: Promise<Response> | null = null;

async function send(
    method: string,
    path: string,
    body: unknown,
    options: { signal?: AbortSignal | undefined; key?: string | undefined },
): Promise<Response> {
    if (method !== 'GET' && cookie('XSRF-TOKEN') === '') {
        csrf ??= fetch('/sanctum/csrf-cookie').finally(() => (csrf = null));
        await csrf;
    }
    const headers: Record<string, string> = { Accept: 'application/json', 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') };
    const form = body instanceof FormData;
    if (body !== undefined && !form) headers['Content-Type'] = 'application/json';
    if (options.key) headers['Idempotency-Key'] = options.key;
    return fetch(path, {
        method,
        headers,
        body: body === undefined ? null : form ? body : JSON.stringify(body),
        signal: options.signal ?? null,
    });
}

/** Asks the API. `Name` is the schema that the answer keeps to; the API's own tests hold it to that. */
export async function ask<Name extends keyof Schemas>(
    method: 'GET' | 'POST' | 'PUT' | 'DELETE',
    path: string,
    body?: unknown,
    options: { signal?: AbortSignal; key?: string } = {},
): Promise<Schemas[Name]> {
    let response: Response;
    try {
        response = await send(method, path, body, options);
        if (response.status === 419) {
            await fetch('/sanctum/csrf-cookie');
            response = await send(method, path, body, options);
        }
    } catch (e) {
        if (e instanceof DOMException && e.name === 'AbortError') throw e;
        throw new Problem(0, 'The application does not answer. What you typed is kept; press again when it is back.');
    }
    if (response.status === 204) return undefined as unknown as Schemas[Name];
    const json: unknown = await response.json().catch(() => null);
    if (response.ok && json !== null) return json as Schemas[Name];
    // It may have been done, and what came of it was lost on the way: no failure, and nothing to go on with either.
    if (response.ok) throw new Problem(0, 'The answer was lost on the way. What you typed is kept; press again.');
    const problem = (json ?? {}) as Partial<Schemas['Problem']>;
    const words: Record<number, string> = {
        401: 'You are signed out. Sign in again; what you typed is kept.',
        413: 'This is too much text to send.',
        429: 'Too many tries. Wait a minute.',
    };
    throw new Problem(
        response.status,
        words[response.status] ?? (problem.message || 'Something went wrong here. What you typed is kept; try again.'),
        problem.errors ?? {},
        problem.current ?? null,
    );
}
