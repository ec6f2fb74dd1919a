import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { Schemas } from '../../../api/client';
import { useStrain } from '../../../queries/steeps';
import { tell } from '../../../ui/notice';
import { useSteep } from '../useSteep';

export interface StrainKept {
    at: number;
    grams: string;
    before: string;
    after: string;
    choice: NonNullable<Schemas['StrainAsk']['choice']>;
    herb: NonNullable<Schemas['StrainAsk']['herb']>;
    note: string;
}

/** Strain day: where it stands is kept, also when the screen sleeps, and what was found is sent at its end. */
export function useStrainDay(id: number) {
    const router = useRouter();
    const steep = useSteep(id);
    const straining = useStrain(id);
    const key = `strain-${id}`;
    const state = useLocalStorage<StrainKept>(
        key,
        { at: 0, grams: '', before: '', after: '', choice: 'kept', herb: 'composted', note: '' },
        // A torn memory is no memory.
        { mergeDefaults: true, onError: () => undefined },
    );
    const steps = computed(() => steep.data.value?.strain_steps ?? []);
    const step = computed(() => steps.value[Math.min(state.value.at, steps.value.length - 1)]);
    const last = computed(() => state.value.at >= steps.value.length - 1);

    async function strain(): Promise<void> {
        const { grams, choice, herb, note } = state.value;
        const strained = await steep.act(() =>
            straining.mutateAsync({
                revision: steep.data.value?.revision ?? 0,
                yield_grams: Number(grams),
                loss_grams: 0,
                choice,
                herb,
                note,
            }),
        );
        if (!strained) {
            if (steep.errors.value['yield_grams']) state.value.at = steps.value.findIndex((s) => s.id === 'weigh');
            return;
        }
        localStorage.removeItem(key);
        await router.push(`/steeps/${id}`);
        tell('Strained. Its oil stands in the pantry.');
    }
    async function next(): Promise<void> {
        if (step.value?.id === 'weigh' && !(Number(state.value.grams) > 0)) {
            steep.errors.value = { yield_grams: ['Weigh what came out: more than 0 g.'] };
            return;
        }
        steep.errors.value = {};
        if (last.value) await strain();
        else state.value.at++;
    }
    /** The bowl was weighed before and after it was heated. */
    async function bowl(): Promise<void> {
        const { before, after } = state.value;
        const counted = { kind: 'bowl', before: Number(before), after: Number(after) } as const;
        if (await steep.record(counted, 'The loss counts as water driven off.')) state.value.before = state.value.after = '';
    }

    return { ...steep, state, steps, step, last, next, bowl, busy: straining.isPending };
}
