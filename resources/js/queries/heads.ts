import { queryOptions } from '@tanstack/vue-query';
import { api, done, got, type Schemas } from '../api/client';
import { useMake, useWrite } from './write';

type HeadSave = Schemas['HeadSave'];

export const headQuery = (id: number) =>
    queryOptions({ queryKey: ['head', id], queryFn: () => got(api.GET('/api/heads/{head}', { params: { path: { head: id } } })) });

export const headGuideQuery = () =>
    queryOptions({ queryKey: ['head-guide'], queryFn: () => got(api.GET('/api/head-guide')), staleTime: Infinity });

/** Of a head as it is now: the key follows its revision and its scalp. */
export const headAdviceQuery = (head: Schemas['Head']) =>
    queryOptions({
        queryKey: ['advice', head.id, head.revision, head.scalp_now],
        queryFn: () => got(api.GET('/api/heads/{head}/advice', { params: { path: { head: head.id } } })),
    });

/** What stands there now, told to whoever came too late. */
export const isHead = (value: unknown): value is Schemas['Head'] =>
    typeof value === 'object' && value !== null && 'revision' in value && 'scalp_now' in value;

/** What the answers speak for. */
export const suggest = (answers: Record<string, string>) => got(api.POST('/api/head-guide', { body: { answers } }));

export const useDescribeHead = () =>
    useMake((body: Schemas['HeadDraft'], keyed) => got(api.POST('/api/heads', { body, ...keyed })), { stale: [['heads']] });

export const useSaveHead = () =>
    useWrite(
        ({ id, body }: { id: number; body: HeadSave }) => got(api.PUT('/api/heads/{head}', { params: { path: { head: id } }, body })),
        {
            stale: [['heads']],
        },
    );

export const useDeleteHead = () =>
    useWrite((id: number) => done(api.DELETE('/api/heads/{head}', { params: { path: { head: id } } })), { stale: [[]] });

export const useMarkHead = () =>
    useMake(({ id, body }: { id: number; body: Schemas['MarkDraft'] }, keyed) =>
        got(api.POST('/api/heads/{head}/marks', { params: { path: { head: id } }, body, ...keyed })),
    );

export const useUnmarkHead = () => useWrite((mark: number) => got(api.DELETE('/api/head-marks/{mark}', { params: { path: { mark } } })));

export const useStartForHead = () =>
    useMake(({ id, body }: { id: number; body: Schemas['FirstFormulaAsk'] }, keyed) =>
        got(api.POST('/api/heads/{head}/formula', { params: { path: { head: id } }, body, ...keyed })),
    );
