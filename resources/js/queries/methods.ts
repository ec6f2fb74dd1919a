import { queryOptions } from '@tanstack/vue-query';
import { api, got } from '../api/client';

export const methodsQuery = () => queryOptions({ queryKey: ['methods'], queryFn: () => got(api.GET('/api/methods')) });

/** Nothing is asked for while no page is named. */
export const methodQuery = (name: string) =>
    queryOptions({
        queryKey: ['methods', name],
        queryFn: () => got(api.GET('/api/methods/{method}', { params: { path: { method: name } } })),
        enabled: name !== '',
    });
