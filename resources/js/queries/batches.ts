import { keepPreviousData, queryOptions } from '@tanstack/vue-query';
import { api, done, got, Problem, type Schemas } from '../api/client';
import { keepBatch, keptBatch } from '../api/kept';
import { inTurn } from '../api/inTurn';
import { useMake, useWrite } from './write';

export const batchQuery = (id: number) => queryOptions({ queryKey: ['batch', id], queryFn: () => batch(id), networkMode: 'always' });

/** Without a network the one that was open at the counter is gone on with. */
async function batch(id: number): Promise<Schemas['Batch']> {
    try {
        const answer = await got(api.GET('/api/batches/{batch}', { params: { path: { batch: id } } }));
        if (answer.state === 'open') void keepBatch(answer);
        return answer;
    } catch (e) {
        const known = e instanceof Problem && e.passes ? await keptBatch(id) : undefined;
        if (known) return known;
        throw e;
    }
}

/** What stands there now, told to whoever came too late. */
export const isBatch = (value: unknown): value is Schemas['Batch'] => typeof value === 'object' && value !== null && 'weighings' in value;

const kept = (batch: Schemas['Batch']) => batchQuery(batch.id).queryKey;
const at = (batch: number) => ({ params: { path: { batch } } });
/** Two writes to one batch are sent one after the other: the second rests on the revision that the first brought. */
const after = <T>(batch: number, work: () => Promise<T>): Promise<T> => inTurn(`batch ${batch}`, work);

export const useBeginBatch = () =>
    useMake((body: Schemas['BatchDraft'], keyed) => got(api.POST('/api/batches', { body, ...keyed })), {
        stale: [['batches']],
    });

export const useRehearse = () =>
    useMake((formula_id: number, keyed) => got(api.POST('/api/rehearsals', { body: { formula_id }, ...keyed })), { keep: kept });
export const useEndRehearsal = () => useWrite((batch: number) => done(api.DELETE('/api/rehearsals/{batch}', at(batch))));

/** What a finished batch and a jar of it cost, with what is reckoned beside what went in. */
export const batchCostQuery = (batch: number, beside: Record<'container' | 'minutes' | 'hourly' | 'margin' | 'rise', string>) =>
    queryOptions({
        queryKey: ['batch', batch, 'cost', beside],
        queryFn: () => got(api.GET('/api/batches/{batch}/cost', { params: { path: { batch }, query: beside } })),
        placeholderData: keepPreviousData,
    });

export const useFinishBatch = () =>
    useMake(
        ({ id, body }: { id: number; body: Schemas['FinishAsk'] }, keyed) =>
            got(api.POST('/api/batches/{batch}/finish', { ...at(id), body, ...keyed })),
        { keep: kept, stale: [['batches'], ['today']] },
    );

export const usePutAwayBatch = () =>
    useWrite((id: number) => done(api.DELETE('/api/batches/{batch}', at(id))), { stale: [['today'], ['batches']] });

export const useBringBackBatch = () =>
    useWrite((id: number) => got(api.POST('/api/batches/{batch}/restore', at(id))), { keep: kept, stale: [['today'], ['batches']] });

export const useFindOnBatch = () =>
    useMake(
        ({ id, body }: { id: number; body: Schemas['BatchFindingDraft'] }, keyed) =>
            after(id, () => got(api.POST('/api/batches/{batch}/findings', { ...at(id), body, ...keyed }))),
        { keep: kept },
    );

export const useTakeBackFinding = () =>
    useWrite(
        ({ batch, finding }: { batch: number; finding: number }) =>
            after(batch, () => got(api.DELETE('/api/batch-findings/{finding}', { params: { path: { finding } } }))),
        { keep: kept },
    );
