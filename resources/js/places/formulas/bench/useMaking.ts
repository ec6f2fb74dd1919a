import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useBeginBatch, useRehearse } from '../../../queries/batches';
import { plainText, useBringBack, usePutAway } from '../../../queries/formulas';
import { tell, tellProblem } from '../../../ui/notice';
import type { Bench } from '../useBench';

/** What is done with a formula once it is saved: it is made, rehearsed, copied, or put away. */
export function useMaking(id: number, bench: Bench, gone: () => void) {
    const router = useRouter();
    const beginning = useBeginBatch();
    const rehearsing = useRehearse();
    const puttingAway = usePutAway();
    const bringingBack = useBringBack();
    const stops = computed(() => bench.assessment.value.findings.filter((f) => f.severity === 'stop' && f.accepted === ''));
    /** Whether she is asked about the stops before it is made. */
    const asking = ref(false);

    /** Works with what is kept: what is on the screen alone is saved first. */
    async function onceSaved(work: () => Promise<void>): Promise<void> {
        if (!(await bench.flush())) return tell('Save it first: it is not saved yet.', { stop: true });
        try {
            await work();
        } catch (e) {
            tellProblem(e);
        }
    }
    const make = (although = ''): Promise<void> =>
        onceSaved(async () => {
            if (stops.value.length > 0 && !asking.value) {
                asking.value = true;
                return;
            }
            const batch = await beginning.mutateAsync({ formula_id: id, although });
            asking.value = false;
            await router.push(`/make/${batch.id}`);
        });
    const rehearse = (): Promise<void> =>
        onceSaved(async () => {
            await router.push(`/make/${(await rehearsing.mutateAsync(id)).id}`);
        });
    const copy = (): Promise<void> =>
        onceSaved(async () => {
            const { text } = await plainText(id);
            await navigator.clipboard.writeText(text);
            tell('Copied as plain text: grams, shares, method and what was said of it.');
        });
    async function putAway(): Promise<void> {
        await bench.flush();
        try {
            await puttingAway.mutateAsync(id);
            gone();
            await router.push('/formulas');
            tell(`"${bench.formula.value.title}" was put away.`, {
                undo: () => void bringingBack.mutateAsync(id).catch(tellProblem),
            });
        } catch (e) {
            tellProblem(e);
        }
    }

    return {
        stops,
        asking,
        making: beginning.isPending,
        rehearsing: rehearsing.isPending,
        make,
        rehearse,
        copy,
        putAway,
    };
}
