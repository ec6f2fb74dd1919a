import { queryOptions } from '@tanstack/vue-query';
import { api, got, type Schemas } from '../api/client';
import { todayDate } from '../ui/words';
import { useMake, useWrite } from './write';

export const todayQuery = () => queryOptions({ queryKey: ['today'], queryFn: () => got(api.GET('/api/today')) });

type Tick = NonNullable<Schemas['TodayItem']['tick']>;

const shake = (steep: number, on: boolean) =>
    got(api.PUT('/api/steeps/{steep}/shakes', { params: { path: { steep } }, body: { date: todayDate(), done: on } }));
const day = (of: number, state: Schemas['RoutineTick']['state']) =>
    got(api.PUT('/api/routine-days/{day}', { params: { path: { day: of } }, body: { state } }));

/** One press on what is due. The answer is what takes it back. */
export const useTick = () =>
    useMake(
        async ({ does, id }: Tick, keyed): Promise<() => Promise<unknown>> => {
            if (does === 'shake') {
                await shake(id, true);
                return () => shake(id, false);
            }
            if (does === 'routine-day') {
                await day(id, 'done');
                return () => day(id, 'planned');
            }
            const steep = await got(
                api.POST('/api/steeps/{steep}/events', {
                    params: { path: { steep: id } },
                    body: { kind: does, on: todayDate(), note: '' },
                    ...keyed,
                }),
            );
            const event = Math.max(...steep.events.map((e) => e.id));
            return () => got(api.DELETE('/api/steep-events/{event}', { params: { path: { event } } }));
        },
        { stale: [[]] },
    );

export const useTakeBackTick = () => useWrite((back: () => Promise<unknown>) => back(), { stale: [[]] });
