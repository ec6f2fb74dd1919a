<script setup lang="ts">
import { ref } from 'vue';
import type { Schemas } from '../../api/client';
import { stockOf } from '../../queries/formulas';
import { useStock } from '../../queries/ingredients';
import KeptNumber from '../../ui/KeptNumber.vue';
import { tell, tellProblem } from '../../ui/notice';
import { fixed, num } from '../../ui/words';
import AsideTitle from './AsideTitle.vue';
import { useAside } from './useAside';
import type { Bench } from './useBench';

/** What stands in the cupboard against what this batch takes: what is short, and the largest batch it allows. */
const props = defineProps<{ bench: Bench }>();
const counting = useStock();
const counted = ref(0);
const { open, answer, problem } = useAside(props.bench, stockOf, [counted]);

type Row = Schemas['StockAnswer']['rows'][number];

async function count(row: Row, text: string): Promise<void> {
    try {
        await counting.mutateAsync({ id: row.ingredient, grams: text === '' ? null : Number(text) });
        counted.value++;
    } catch (e) {
        tellProblem(e);
    }
}
function make(grams: number): void {
    props.bench.edit('size', (draft) => (draft.size = { mode: 'mass', grams }));
    tell(`Batch size ${num(grams)} g: as much as your stock allows.`, { undo: props.bench.undo });
}
function said(row: Row): string {
    if (row.at_hand === null) return 'cannot tell';
    return row.short !== null && row.short > 0 ? `${fixed(row.short, 1)} g short` : 'enough';
}
</script>

<template>
    <section aria-label="From the cupboard">
        <AsideTitle
            v-model:open="open"
            title="From the cupboard"
            how="stock"
            hint="The largest batch that your stock allows, and what runs out first."
        />
        <p v-if="open && problem" class="said-stop mt-2" role="alert">{{ problem }}</p>
        <div v-if="open && answer" class="mt-2 max-w-2xl">
            <p v-if="answer.rows.length === 0" class="quiet">Nothing is in it yet.</p>
            <template v-else>
                <p class="mb-2 flex flex-wrap items-baseline gap-x-3">
                    <span v-if="answer.largest_grams === null">Cannot tell how much it allows: say how much there is.</span>
                    <span v-else-if="answer.largest_grams === 0">Nothing can be made: {{ answer.limiting.join(', ') }} is not there.</span>
                    <template v-else>
                        <span>
                            Enough for
                            <span class="fig fig-converted">{{ num(answer.largest_grams) }}</span>
                            <span class="unit">g.</span>
                            {{ answer.limiting.join(' and ') }} runs out first.
                            <template v-if="answer.unknown.length > 0">Not counted: {{ answer.unknown.join(', ') }}.</template>
                        </span>
                        <button type="button" class="act-quiet no-print" @click="make(answer.largest_grams)">Make that much</button>
                    </template>
                </p>
                <table class="w-full">
                    <caption class="sr-only">Stock of each ingredient</caption>
                    <thead>
                        <tr class="quiet border-rule border-b text-left text-[13px]">
                            <th scope="col" class="py-1 font-normal">Ingredient</th>
                            <th scope="col" class="text-right font-normal">Takes, g</th>
                            <th scope="col" class="w-36 pl-4 font-normal">There is, g</th>
                            <th scope="col" class="text-right font-normal">For this batch</th>
                            <th scope="col" class="text-right font-normal">Left of the largest, g</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="row in answer.rows" :key="row.ingredient" class="row-line">
                            <th scope="row" class="py-1 text-left font-normal">{{ row.name }}</th>
                            <td class="text-right">{{ fixed(row.needed, 1) }}</td>
                            <td class="pl-4">
                                <KeptNumber
                                    v-if="!row.steeped"
                                    class="my-0.5 text-right"
                                    :value="row.at_hand"
                                    :aria-label="`Grams of ${row.name} there are`"
                                    placeholder="some"
                                    @kept="count(row, $event)"
                                />
                                <span v-else class="fig fig-measured">{{ num(row.at_hand ?? 0) }}</span>
                            </td>
                            <td class="text-right" :class="row.short !== null && row.short > 0 ? 'said-caution font-semibold' : ''">
                                {{ said(row) }}
                            </td>
                            <td class="text-right">{{ row.left_of_largest === null ? 'cannot tell' : fixed(row.left_of_largest, 1) }}</td>
                        </tr>
                    </tbody>
                </table>
            </template>
        </div>
    </section>
</template>
