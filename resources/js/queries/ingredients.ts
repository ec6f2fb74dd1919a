import { keepPreviousData, queryOptions } from '@tanstack/vue-query';
import { api, done, got, type Schemas } from '../api/client';
import type { paths } from '../api/schema';
import { useMake, useWrite } from './write';

export type Wanted = NonNullable<paths['/api/ingredients']['get']['parameters']['query']>;

export const findIngredients = (query: Wanted) => got(api.GET('/api/ingredients', { params: { query } }));

export const ingredientsQuery = (wanted: Wanted) =>
    queryOptions({ queryKey: ['ingredients', wanted], queryFn: () => findIngredients(wanted), placeholderData: keepPreviousData });

export const ingredient = (id: string, without = '') =>
    got(api.GET('/api/ingredients/{ingredient}', { params: { path: { ingredient: id }, query: { without } } }));

/** With what could stand in for it, as far as that is without what is named. */
export const ingredientQuery = (id: string, without: string) =>
    queryOptions({
        queryKey: ['ingredient', id, without],
        queryFn: () => ingredient(id, without),
        placeholderData: keepPreviousData,
    });

export const comparisonQuery = (ids: string) =>
    queryOptions({ queryKey: ['compare', ids], queryFn: () => got(api.GET('/api/ingredients/compare', { params: { query: { ids } } })) });

const at = (id: string) => ({ params: { path: { ingredient: id } } });

/** `undefined` grams: it stands there; null: how much there is is not known. */
export const useStock = () =>
    useWrite(
        ({ id, grams }: { id: string; grams?: number | null }) =>
            done(api.PUT('/api/ingredients/{ingredient}/cupboard', { ...at(id), body: grams === undefined ? {} : { grams } })),
        { stale: [['ingredients'], ['ingredient']] },
    );

export const useClearStock = () =>
    useWrite((id: string) => done(api.DELETE('/api/ingredients/{ingredient}/cupboard', at(id))), {
        stale: [['ingredients'], ['ingredient']],
    });

/** Every formula counts with it from now on. */
export const useCorrectFigure = () =>
    useWrite(
        ({ id, body }: { id: string; body: Schemas['OwnFigureDraft'] }) =>
            done(api.PUT('/api/ingredients/{ingredient}/figures', { ...at(id), body })),
        { stale: [[]] },
    );

export const useForgetFigure = () =>
    useWrite((figure: number) => done(api.DELETE('/api/own-figures/{figure}', { params: { path: { figure } } })), { stale: [[]] });

export const useWriteOwn = () =>
    useMake((body: Schemas['OwnDraft'], keyed) => got(api.POST('/api/own-ingredients', { body, ...keyed })), { stale: [[]] });

export const useSaveOwn = () =>
    useWrite(
        ({ id, body }: { id: number; body: Schemas['OwnSave'] }) =>
            got(api.PUT('/api/own-ingredients/{own}', { params: { path: { own: id } }, body })),
        { stale: [[]] },
    );

export const useDeleteOwn = () =>
    useWrite((own: number) => done(api.DELETE('/api/own-ingredients/{own}', { params: { path: { own } } })), { stale: [[]] });
