import { queryOptions } from '@tanstack/vue-query';
import { api, done, got, type Schemas } from '../api/client';
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

export const usePutAwayRoutine = () =>
    useWrite((id: number) => done(api.DELETE('/api/routines/{routine}', { params: { path: { routine: id } } })), {
        stale: [['today'], ['routines']],
    });

export const useBringBackRoutine = () =>
    useWrite((id: number) => got(api.POST('/api/routines/{routine}/restore', { params: { path: { routine: id } } })), {
        keep: (answer) => routineQuery(answer.id).queryKey,
        stale: [['today'], ['routines']],
    });
