import { queryOptions } from '@tanstack/vue-query';
import { api, got, type Schemas } from '../api/client';
import type { Keyed } from '../api/once';

/** What a hand does at the counter. It is sent when there is a network, and kept until then. */
export type Act =
    | { kind: 'weigh'; body: Omit<Schemas['WeighAsk'], 'revision'>; saw: number | null }
    | { kind: 'tick'; body: Omit<Schemas['TickAsk'], 'revision'> }
    | { kind: 'time'; body: Schemas['TimerAsk'] }
    | { kind: 'stop'; timer: number }
    | { kind: 'read'; body: Schemas['ReadingAsk'] }
    | { kind: 'unread'; reading: number };

/** Sends one act: `revision` is the newest that is known when its turn has come. */
export function sendAct(batch: number, act: Act, revision: number, keyed: Keyed): Promise<Schemas['Batch']> {
    const at = { params: { path: { batch } } };
    switch (act.kind) {
        case 'weigh':
            return got(api.PUT('/api/batches/{batch}/weighings', { ...at, body: { ...act.body, revision } }));
        case 'tick':
            return got(api.PUT('/api/batches/{batch}/tasks', { ...at, body: { ...act.body, revision } }));
        case 'time':
            return got(api.POST('/api/batches/{batch}/timers', { ...at, body: act.body, ...keyed }));
        case 'stop':
            return got(api.DELETE('/api/batches/{batch}/timers/{timer}', { params: { path: { batch, timer: act.timer } } }));
        case 'read':
            return got(api.POST('/api/batches/{batch}/readings', { ...at, body: act.body, ...keyed }));
        case 'unread':
            return got(api.DELETE('/api/batches/{batch}/readings/{reading}', { params: { path: { batch, reading: act.reading } } }));
    }
}

/** What it does when so much of a line went in. */
export const pourQuery = (batch: number, line: string, grams: number) =>
    queryOptions({
        queryKey: ['batch', batch, 'pour', line, grams],
        queryFn: () => got(api.GET('/api/batches/{batch}/pour', { params: { path: { batch }, query: { line, grams: String(grams) } } })),
        retry: false,
    });
