import { queryOptions } from '@tanstack/vue-query';
import { api, got, type Schemas } from '../api/client';
import { inTurn } from '../api/inTurn';
import { useMake, useWrite } from './write';

export const routineQuery = (id: number) =>
    queryOptions({
        queryKey: ['routine', id],
        queryFn: () => got(api.GET('/api/routines/{routine}', { params: { path: { routine: id } } })),
    });

export const usePlanRoutine = () =>
    useMake((body: Schemas['RoutineDraft'], keyed) => got(api.POST('/api/routines', { body, ...keyed })), { stale: [[]] });

export const useTickDay = (routine: number) =>
    useWrite(
        ({ day, state }: { day: number; state: Schemas['RoutineTick']['state'] }) =>
            inTurn(`routine ${routine}`, () => got(api.PUT('/api/routine-days/{day}', { params: { path: { day } }, body: { state } }))),
        { keep: (answer) => routineQuery(answer.id).queryKey, stale: [['today'], ['routines']] },
    );
