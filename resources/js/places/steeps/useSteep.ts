import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { steepQuery, useRecord, useShake, useUnrecord } from '../../queries/steeps';
import { tell, tellProblem } from '../../ui/notice';
import { todayDate } from '../../ui/words';

type Event = Partial<Schemas['SteepEventDraft']> & { kind: Schemas['SteepEventDraft']['kind'] };

/** One steep and what can be done to it; every act puts the answer in the place of what was shown, and can be undone. */
export function useSteep(id: number) {
    const errors = ref<Record<string, string[]>>({});
    const query = useQuery(steepQuery(id));
    const recording = useRecord(id);
    const unrecording = useUnrecord(id);
    const shaking = useShake(id);

    /** Null when it was refused, which is said. */
    async function act<T>(work: () => Promise<T>): Promise<T | null> {
        errors.value = {};
        try {
            return await work();
        } catch (e) {
            if (e instanceof Problem && e.hasFields) errors.value = e.errors;
            if (!(e instanceof Problem) || e.status !== 422 || !e.hasFields) tellProblem(e);
            if (e instanceof Problem && e.status === 409) void query.refetch();
            return null;
        }
    }
    async function unrecord(event: number): Promise<void> {
        if (await act(() => unrecording.mutateAsync(event))) tell('Taken back.');
    }
    async function record(event: Event, said: string): Promise<boolean> {
        const known = new Set(query.data.value?.events.map((e) => e.id));
        const steep = await act(() => recording.mutateAsync({ on: todayDate(), note: '', ...event }));
        const made = steep?.events.find((e) => !known.has(e.id));
        if (made) tell(said, { undo: () => void unrecord(made.id) });
        return steep !== null;
    }
    async function shake(date: string, done: boolean): Promise<void> {
        const steep = await act(() => shaking.mutateAsync({ date, done }));
        if (steep && done) tell('Shaken.', { undo: () => void shake(date, false) });
    }
    return { ...query, errors, act, record, unrecord, shake };
}
