<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Schemas } from '../../api/client';
import { costPlan } from '../../queries/formulas';
import { useCorrectFigure } from '../../queries/ingredients';
import KeptNumber from '../../ui/KeptNumber.vue';
import { tellProblem } from '../../ui/notice';
import { fixed } from '../../ui/words';
import AsideTitle from './AsideTitle.vue';
import { useAside } from './useAside';
import type { Bench } from './useBench';

/** What the batch costs by the maker's own prices, which are typed here and kept as figures of the studio. */
const props = defineProps<{ bench: Bench }>();
const { open, answer, problem } = useAside(props.bench, costPlan);
const source = ref('');
const correcting = useCorrectFigure();

const cost = computed(() => props.bench.assessment.value.cost);
const lines = computed(() => props.bench.assessment.value.lines.filter((l) => l.problem === '').length);

async function price(row: Schemas['CostPlan']['rows'][number], typed: string): Promise<void> {
    const value = Number(typed);
    if (typed === '') return;
    try {
        const of = source.value.trim() || 'our price';
        await correcting.mutateAsync({
            id: row.ingredient,
            body: { form: '', property: 'price_per_kg', low: value, best: value, high: value, source: of },
        });
        await props.bench.judge();
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <section aria-label="Cost">
        <AsideTitle v-model:open="open" title="Cost" how="cost" />
        <p v-if="lines === 0" class="quiet">Nothing is in it yet.</p>
        <p v-else-if="!cost || cost.unpriced.length === lines" class="quiet">
            Cannot tell: no price is known. Give what you pay for a kilogram.
        </p>
        <p v-else>
            {{ cost.unpriced.length > 0 ? 'At least' : '' }}
            <span class="fig fig-converted">{{ fixed(cost.known.best, 2) }}</span>
            <span class="unit">for the batch, {{ fixed(cost.known.low, 2) }} to {{ fixed(cost.known.high, 2) }};</span>
            <span class="fig fig-converted ml-1.5">{{ fixed(cost.per_100g, 2) }}</span>
            <span class="unit">for 100 g.</span>
            <template v-if="cost.unpriced.length > 0">
                {{ ' ' }}{{ cost.unpriced.length }} {{ cost.unpriced.length === 1 ? 'line has' : 'lines have' }} no price.
            </template>
        </p>
        <p v-if="open && problem" class="said-stop mt-2" role="alert">{{ problem }}</p>
        <div v-if="open && answer" class="mt-2 max-w-2xl">
            <table class="w-full">
                <caption class="sr-only">Cost of each line</caption>
                <thead>
                    <tr class="quiet border-rule border-b text-left text-[13px]">
                        <th scope="col" class="py-1 font-normal">Ingredient</th>
                        <th scope="col" class="text-right font-normal">Grams</th>
                        <th scope="col" class="w-52 pl-4 font-normal">Price of a kilogram</th>
                        <th scope="col" class="text-right font-normal">Costs</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="row in answer.rows" :key="row.line" class="row-line">
                        <th scope="row" class="py-1 text-left font-normal">{{ row.name }}</th>
                        <td class="text-right">{{ fixed(row.grams, 1) }}</td>
                        <td class="pl-4">
                            <RouterLink v-if="row.price_is === 'paid'" to="/pantry/shelf" class="text-[13px]">
                                {{ fixed(row.price_per_kg ?? 0, 2) }}, as the bottle cost
                            </RouterLink>
                            <KeptNumber
                                v-else-if="row.price_is === 'said'"
                                class="no-print"
                                max="100000"
                                :value="row.price_per_kg"
                                :aria-label="`Price of a kilogram of ${row.name}`"
                                @kept="price(row, $event)"
                            />
                            <span v-else class="quiet text-[13px]">{{ row.price_is === 'steeped' ? 'steeped here' : 'not placed' }}</span>
                        </td>
                        <td class="text-right">{{ row.money === null ? 'cannot tell' : fixed(row.money.best, 2) }}</td>
                    </tr>
                </tbody>
            </table>
            <label class="no-print mt-3 block max-w-sm">
                <span class="label">Where these prices come from</span>
                <input v-model="source" class="field" maxlength="200" placeholder="our price; or a receipt of October" />
            </label>
            <p class="quiet mt-2 text-[13px]">
                In whatever you pay with. Your prices hold for every formula. Jars, labels and your hours are counted on the record of a
                batch.
            </p>
        </div>
    </section>
</template>
