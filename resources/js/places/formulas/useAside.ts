import { ref, shallowRef, watch, type WatchSource } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import type { Bench } from './useBench';

/**
 * Something about the formula on the bench that is worked out only while its section is open. The assessment changes once
 * for each pause in typing, so nothing is asked more often than that; a late answer is dropped.
 */
export function useAside<Answer>(bench: Bench, question: (draft: Schemas['FormulaDraft']) => Promise<Answer>, also: WatchSource[] = []) {
    const open = ref(false);
    const answer = shallowRef<Answer | null>(null);
    const problem = ref('');
    let asked = 0;

    async function work(): Promise<void> {
        if (!open.value) return;
        const mine = ++asked;
        try {
            const found = await question({ formula: bench.formula.value, head_id: bench.headId.value, hair: bench.hair.value });
            if (mine !== asked) return;
            answer.value = found;
            problem.value = '';
        } catch (e) {
            if (mine === asked) problem.value = e instanceof Problem ? e.message : 'It could not be worked out.';
        }
    }
    watch([open, bench.assessment, ...also], () => void work());

    return { open, answer, problem };
}
