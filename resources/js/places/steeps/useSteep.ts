import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { ask, Problem, type Schemas } from '../../api/client';
import { useOnce } from '../../ui/useOnce';
import { ref } from 'vue';
import { inTurn } from '../../api/inTurn';
import { tell, tellProblem } from '../../ui/notice';
import { todayDate } from '../../ui/words';

type Event = Partial<Schemas['SteepEventDraft']> & { kind: Schemas['SteepEventDraft']['kind'] };

/** One steep and what can be done to it; every act puts the answer in the place of what was shown, and can be undone. */
export function useSteep(id: string) {
    const client = useQueryClient();
    const once = useOnce();
    const errors = ref<Record<string, string[]>>({});
    const query = useQuery({ queryKey: ['steep', id], queryFn: () => ask<'Steep'>('GET', `/api/steeps/${id}`) });

    async function act(work: () => Promise<Schemas['Steep']>): Promise<Schemas['Steep'] | null> {
        errors.value = {};
        try {
            const steep = await inTurn(`steep ${id}`, work);
            client.setQueryData(['steep', id], steep);
            for (const key of ['today', 'steeps', 'lots', 'ingredients']) void client.invalidateQueries({ queryKey: [key] });
            return steep;
        } catch (e) {
            if (e instanceof Problem && Object.keys(e.errors).length > 0) errors.value = e.errors;
            if (!(e instanceof Problem) || e.status !== 422 || Object.keys(e.errors).length === 0) tellProblem(e);
            if (e instanceof Problem && e.status === 409) void query.refetch();
            return null;
        }
    }
    async function unrecord(event: number): Promise<void> {
        if (await act(() => ask<'Steep'>('DELETE', `/api/steep-events/${event}`))) tell('Taken back.');
    }
    async function record(event: Event, said: string): Promise<boolean> {
        const known = new Set(query.data.value?.events.map((e) => e.id));
        const steep = await act(() => once.post<'Steep'>(`/api/steeps/${id}/events`, { on: todayDate(), note: '', ...event }));
        const made = steep?.events.find((e) => !known.has(e.id));
        if (made) tell(said, { undo: () => void unrecord(made.id) });
        return steep !== null;
    }
    async function shake(date: string, done: boolean): Promise<void> {
        const steep = await act(() => ask<'Steep'>('PUT', `/api/steeps/${id}/shakes`, { date, done }));
        if (steep && done) tell('Shaken.', { undo: () => void shake(date, false) });
    }
    return { ...query, errors, act, record, unrecord, shake };
}
