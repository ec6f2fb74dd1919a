import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../../api/client';
import { cure as cured, useBeginSteep, useMakeDose, useStartFormula } from '../../../queries/formulas';
import { tell, tellProblem } from '../../../ui/notice';
import type { Pasted } from '../usePasted';

/** Where a pasted recipe goes: on the bench, into a jar, to the counter. */
export function useGoOn(pasted: Pasted) {
    const router = useRouter();
    const starting = useStartFormula();
    const steeping = useBeginSteep();
    const dosing = useMakeDose();
    const curing = ref(false);
    const busy = computed(() => starting.isPending.value || steeping.isPending.value || dosing.isPending.value || curing.value);

    /** Somewhere else with it: the text is done with when that is done. */
    async function further(go: () => Promise<string>): Promise<void> {
        try {
            const to = await go();
            pasted.clear();
            await router.push(to);
        } catch (e) {
            tellProblem(e);
        }
    }
    const bench = async (from: Schemas['Formula']): Promise<string> =>
        `/formulas/${(await starting.mutateAsync({ formula: from, head_id: null })).id}`;
    const toBench = (): Promise<void> =>
        further(() =>
            pasted.answer.value?.formula ? bench(pasted.answer.value?.formula) : Promise.reject(new Error('Nothing was read yet.')),
        );
    /** What its jar is stopped at, until there is a reason or it is left. */
    const stopped = ref<string[]>([]);
    async function toSteep(although = ''): Promise<void> {
        stopped.value = [];
        try {
            const begun = await steeping.mutateAsync({ ...pasted.asked.value, although });
            tell(`${begun.name} is begun. It stands under Steeps, and its oil in this formula.`);
            pasted.clear();
            await router.push(`/formulas/${begun.formula_id}`);
        } catch (e) {
            if (e instanceof Problem && e.errors['although']) stopped.value = e.errors['although'];
            else tellProblem(e);
        }
    }
    const toDose = (): Promise<void> => further(async () => `/make/${(await dosing.mutateAsync(pasted.asked.value)).id}`);
    const cure = (_label: string, change: Schemas['Change']): Promise<void> =>
        further(async () => {
            if (!pasted.answer.value?.formula) throw new Error('Nothing was read yet.');
            curing.value = true;
            try {
                return await bench((await cured({ formula: pasted.answer.value?.formula, head_id: null, change })).formula);
            } finally {
                curing.value = false;
            }
        });

    return { busy, stopped, toBench, toSteep, toDose, cure };
}
