import { computed, ref, shallowRef } from 'vue';
import { Problem, type Schemas } from '../../../api/client';
import { design } from '../../../queries/formulas';
import { oneOf } from '../../../ui/events';
import { tell } from '../../../ui/notice';
import { NEEDS } from '../../../ui/words';
import type { Bench } from '../useBench';
import { GOALS, keyOf, number, SIMPLE, type Asked, type Goal, type Wish } from './asked';

/** What a formula should be instead: the wishes, the demands they come to, and what meets them. */
export function useDesign(bench: Bench) {
    const { formula, headId, hair } = bench;
    const wishes = ref<(Wish & { name: string })[]>([]);
    const best = ref<Goal>('nearest');
    const next = ref<Goal | ''>('');
    const most = ref('');
    /** What was asked for besides the wishes: it stays when a wish comes or goes. */
    const own = new Set<string>();
    const inParts = ref(false);
    const answer = shallowRef<Schemas['DesignAnswer'] | null>(null);
    const demands = ref<Schemas['ShownDemand'][]>([]);
    const problem = ref('');
    const busy = ref(false);
    let abort: AbortController | null = null;

    /** @param edited whether the demands count as they stand, or follow from the wishes */
    async function solve(edited: boolean): Promise<void> {
        abort?.abort();
        abort = new AbortController();
        busy.value = true;
        problem.value = '';
        const mine = demands.value.filter((d) => own.has(keyOf(d)));
        // One that has no figure yet asks for nothing; it waits for one.
        const waiting = demands.value.filter((d) => d.kind !== 'dermal' && number(d.min) === null && number(d.max) === null);
        try {
            const found = await design(
                {
                    formula: formula.value,
                    head_id: headId.value,
                    hair: hair.value,
                    wishes: wishes.value.map(({ kind, of }) => ({ kind, of })),
                    demands: edited
                        ? demands.value
                              .filter((d) => !waiting.includes(d))
                              .map(({ kind, min, max, of, at }) => ({ kind, min: number(min), max: number(max), of, at }))
                        : null,
                    most_ingredients: number(most.value),
                    // A need that is asked for is meant also while it has no figure.
                    serves: demands.value.filter((d) => d.kind === 'need').flatMap((d) => oneOf(NEEDS, d.of) ?? []),
                    goals: next.value === '' || next.value === best.value ? [best.value] : [best.value, next.value],
                },
                abort.signal,
            );
            inParts.value = false;
            answer.value = found;
            demands.value = [...found.demands, ...(edited ? waiting : mine)];
            if (!edited && mine.length > 0) await solve(true);
        } catch (e) {
            if (e instanceof Problem) problem.value = e.message;
        } finally {
            busy.value = false;
        }
    }
    function toggle(kind: Wish['kind'], of = '', name = ''): void {
        const at = wishes.value.findIndex((w) => w.kind === kind && w.of === of);
        if (at >= 0) wishes.value.splice(at, 1);
        else wishes.value.push({ kind, of, name });
        if (wishes.value.length > 0 || own.size > 0 || best.value !== 'nearest') void solve(false);
        else forget();
    }
    function forget(): void {
        answer.value = null;
        demands.value = [];
        own.clear();
    }
    /** One figure more; what it should be is written into its line. False when it is asked already. */
    function also(asked: Asked, words: string): boolean {
        if (demands.value.some((d) => keyOf(d) === keyOf(asked))) {
            tell('That is asked of it already.');
            return false;
        }
        own.add(keyOf(asked));
        demands.value.push({ ...asked, min: null, max: null, words });
        return true;
    }
    function drop(n: number): void {
        for (const gone of demands.value.splice(n, 1)) own.delete(keyOf(gone));
        void solve(true);
    }
    const shown = computed(() => (inParts.value && answer.value?.simple ? answer.value.simple : answer.value));

    async function apply(): Promise<void> {
        const found = shown.value;
        if (!found?.formula) return;
        const asked = wishes.value.map((w) => w.name || SIMPLE.find(([k]) => k === w.kind)?.[1].toLowerCase() || w.kind);
        const words = [...asked, ...(best.value === 'nearest' ? [] : [GOALS[best.value]])].join(', ') || 'new demands';
        await bench.keep(`Before: ${words}`);
        bench.replace(found.formula, 'design');
        await bench.keep(words.slice(0, 300));
        wishes.value = [];
        best.value = 'nearest';
        next.value = '';
        most.value = '';
        forget();
        tell(`On the bench as a new version: ${words}.`, { undo: bench.undo });
    }

    return {
        wishes,
        best,
        next,
        most,
        inParts,
        answer,
        demands,
        problem,
        busy,
        shown,
        solve,
        again: () => solve(answer.value !== null),
        stop: () => abort?.abort(),
        toggle,
        also,
        drop,
        apply,
    };
}

export type Design = ReturnType<typeof useDesign>;
