<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import type { Schemas } from '../../api/client';
import { comparisonQuery } from '../../queries/ingredients';
import EvidenceMark from '../../ui/EvidenceMark.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { ACTIONS, num, sayMonths } from '../../ui/words';
import AcidStrip from './AcidStrip.vue';
import FatCurves from '../../jar/FatCurves.vue';

/** Ingredients side by side. */

const route = useRoute();
const ids = computed(() => String(route.query['ids'] ?? ''));
const { data, isPending, error, refetch } = useQuery(computed(() => comparisonQuery(ids.value)));
type I = Schemas['Ingredient'];
interface Row {
    name: string;
    of: (i: I) => string;
}
const PAIRS: [string, (i: I) => string][] = [
    ['Weight on the hair', (i) => (i.weight ? `${num(i.weight, 1)} of 5` : 'cannot tell')],
    ['On the fibre', (i) => ACTIONS[i.action] || '–'],
    ['After-feel', (i) => i.feel || 'cannot tell'],
    ['Solid at 25 °C', (i) => (i.solid_fat ? `${num(i.solid_fat['25'] ?? 0)} %` : 'cannot tell')],
    ['Melts', (i) => (i.melting_c ? `${num(i.melting_c.low)} to ${num(i.melting_c.high)} °C` : '–')],
    ['Keeps unopened', (i) => (i.life_months ? sayMonths(i.life_months.best) : 'cannot tell')],
    ['Iodine value', (i) => (i.iodine_value ? num(i.iodine_value.best, 0) : '–')],
    ['Polyunsaturated', (i) => (i.polyunsaturated === null ? '–' : `${num(i.polyunsaturated)} %`)],
    ['Dermal maximum', (i) => (i.dermal_max ? `${num(i.dermal_max)} %` : '–')],
    ['Allergens', (i) => i.allergens.join(', ') || 'none to name'],
    ['Vegan', (i) => (i.vegan ? 'yes' : 'no')],
    ['Pregnancy, nursing', (i) => ({ ok: 'nothing known against it', caution: 'ask first', avoid: 'avoid' })[i.pregnancy]],
];
const ROWS: Row[] = PAIRS.map(([name, of]) => ({ name, of }));
const differs = (of: (i: I) => string): boolean => new Set(data.value?.ingredients.map(of)).size > 1;
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the ingredients" @again="refetch">
        <div v-if="data">
            <h1 class="mb-4">Side by side</h1>
            <FatCurves what="Solid fat" :series="data.ingredients.map((i) => ({ name: i.name, solids: i.solid_fat }))" />
            <div class="mt-4 overflow-x-auto" tabindex="0" role="group" aria-label="Comparison">
                <table class="w-full min-w-[40rem]">
                    <thead>
                        <tr class="row-line align-bottom">
                            <td class="w-40"></td>
                            <th v-for="i in data.ingredients" :key="i.id" scope="col" class="py-2 pr-4 text-left font-head text-[17px]">
                                <RouterLink :to="`/pantry/${i.id}`">{{ i.name }}</RouterLink>
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="row in ROWS" :key="row.name" class="row-line align-baseline">
                            <th scope="row" class="quiet py-1.5 pr-3 text-left font-normal">{{ row.name }}</th>
                            <td
                                v-for="i in data.ingredients"
                                :key="i.id"
                                class="py-1.5 pr-4"
                                :class="differs(row.of) ? 'font-semibold' : 'quiet'"
                            >
                                {{ row.of(i) }}
                            </td>
                        </tr>
                        <tr class="row-line align-top">
                            <th scope="row" class="quiet py-2 pr-3 text-left font-normal">Fatty acids or constituents</th>
                            <td v-for="i in data.ingredients" :key="i.id" class="py-2 pr-4 text-[13px]">
                                <AcidStrip
                                    thin
                                    what="Make-up"
                                    :parts="
                                        Object.keys(i.fatty_acids).length > 0
                                            ? i.fatty_acids
                                            : Object.fromEntries(Object.entries(i.constituents).map(([n, b]) => [n, b.best]))
                                    "
                                />
                            </td>
                        </tr>
                        <tr class="row-line align-top">
                            <th scope="row" class="quiet py-2 pr-3 text-left font-normal">Serves</th>
                            <td v-for="i in data.ingredients" :key="i.id" class="py-2 pr-4">
                                <span v-for="n in i.needs" :key="n.need" class="block">
                                    {{ n.label }}
                                    <EvidenceMark :grade="n.grade" :route="n.route" />
                                </span>
                            </td>
                        </tr>
                        <tr class="align-top">
                            <th scope="row" class="quiet py-2 pr-3 text-left font-normal">Against {{ data.ingredients[0]?.name }}</th>
                            <td v-for="(list, n) in data.differences" :key="n" class="py-2 pr-4 text-[14px]">
                                <span v-for="d in list" :key="d.message" class="block">{{ d.message }}</span>
                                <span v-if="n > 0 && list.length === 0" class="quiet">Nothing that is known differs.</span>
                            </td>
                        </tr>
                    </tbody>
                </table>
            </div>
        </div>
    </WaitOrProblem>
</template>
