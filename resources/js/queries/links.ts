import { queryOptions } from '@tanstack/vue-query';
import { api, got } from '../api/client';
import { useMake, useWrite } from './write';

/** Private links: one thing of a studio, shown to whoever has its link. */
export const linksQuery = () => queryOptions({ queryKey: ['links'], queryFn: () => got(api.GET('/api/links')), staleTime: 0 });

export const lookQuery = (token: string) =>
    queryOptions({
        queryKey: ['look', token],
        queryFn: () => got(api.GET('/api/look/{token}', { params: { path: { token } } })),
        retry: false,
    });

export const jarQuery = (token: string) =>
    queryOptions({
        queryKey: ['jar', token],
        queryFn: () => got(api.GET('/api/jar/{token}', { params: { path: { token } } })),
        retry: false,
    });

export const useLinkJar = () =>
    useMake((batch: number, keyed) => got(api.POST('/api/batches/{batch}/link', { params: { path: { batch } }, ...keyed })), {
        stale: [['links']],
    });

export const useLinkRoutine = () =>
    useMake((routine: number, keyed) => got(api.POST('/api/routines/{routine}/link', { params: { path: { routine } }, ...keyed })), {
        stale: [['links']],
    });

export const useEndLink = () =>
    useWrite((link: number) => got(api.DELETE('/api/links/{link}', { params: { path: { link } } })), { keep: () => ['links'] });
