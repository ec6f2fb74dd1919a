import { queryOptions } from '@tanstack/vue-query';
import { api, got, type Schemas } from '../api/client';
import { useMake, useWrite } from './write';

export const kitQuery = () => queryOptions({ queryKey: ['kit'], queryFn: () => got(api.GET('/api/kit')) });

// Every figure is worked out with it from now on: whatever was fetched before is stale.
const keep = { keep: () => ['kit'], stale: [['formula'], ['formulas'], ['batch'], ['steep'], ['routine']] };
const at = (item: number) => ({ params: { path: { item } } });

export const useAddToKit = () => useMake((body: Schemas['KitItemDraft'], keyed) => got(api.POST('/api/kit', { body, ...keyed })), keep);

export const useChangeInKit = () =>
    useWrite(
        ({ item, body }: { item: number; body: Schemas['KitItemDraft'] }) => got(api.PUT('/api/kit/{item}', { ...at(item), body })),
        keep,
    );

export const useTakeFromKit = () => useWrite((item: number) => got(api.DELETE('/api/kit/{item}', at(item))), keep);
