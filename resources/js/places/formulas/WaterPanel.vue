<script setup lang="ts">
import { waterPlan } from '../../queries/formulas';
import { num } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';
import AsideTitle from './AsideTitle.vue';
import { useAside } from './useAside';
import type { Bench } from './useBench';

/** The water ledger: which line brings how much, what may be done next, and which preservative fits in which dose. */
const props = defineProps<{ bench: Bench }>();
const { open, answer, problem } = useAside(props.bench, waterPlan);

function add(id: string, percent: number): void {
    void props.bench.cure('Preservative added', { op: 'add-line', ingredient: id, amount: `${percent} %` });
}
</script>

<template>
    <section aria-label="Water and preservation">
        <AsideTitle
            v-model:open="open"
            title="Water and preservation"
            how="water"
            hint="Which line brings how much water, what may be done next, and what would preserve it."
        />
        <p v-if="open && problem" role="alert" class="said-stop mt-2">{{ problem }}</p>
        <div v-if="open && answer" class="mt-2 grid gap-8 lg:grid-cols-[19rem_minmax(0,1fr)]">
            <div>
                <p>
                    <strong>{{ answer.label }} ({{ answer.class }}).</strong>
                    <template v-if="answer.bearers.length > 0">
                        Water in the finished mass:
                        <span class="fig fig-estimated">{{ num(answer.percent.best) }}</span>
                        <span class="unit">%, {{ num(answer.percent.low) }} to {{ num(answer.percent.high) }}.</span>
                    </template>
                    <template v-else>No line brings any.</template>
                </p>
                <ul class="mt-2">
                    <li v-for="bearer in answer.bearers" :key="bearer.line" class="row-line flex justify-between gap-3 py-1">
                        {{ bearer.name }}
                        <span class="whitespace-nowrap">
                            <span class="fig fig-estimated">{{ num(bearer.percent.best) }}</span>
                            <span class="unit">%, {{ num(bearer.percent.low) }} to {{ num(bearer.percent.high) }}</span>
                        </span>
                    </li>
                </ul>
                <p v-if="answer.emulsifier_percent > 0" class="mt-2">
                    Emulsifier
                    <span class="fig fig-converted">{{ num(answer.emulsifier_percent) }}</span>
                    <span class="unit">%</span>
                </p>
                <h3 class="mt-4">What may be done next</h3>
                <ol class="mt-1 list-decimal space-y-1 pl-5">
                    <li v-for="step in answer.next" :key="step">{{ step }}</li>
                </ol>
            </div>
            <div class="overflow-x-auto" tabindex="0" role="group" aria-label="Preservatives">
                <table class="w-full min-w-[36rem]">
                    <caption class="quiet pb-1 text-left text-[13px]">
                        Preservatives. A dose is a share of the finished mass, itself included; reckoned on the base it comes out too low.
                        <HowLink of="preservation" what="preservation" />
                    </caption>
                    <thead>
                        <tr class="quiet border-rule border-b text-left text-[13px]">
                            <th scope="col" class="py-1 font-normal">Preservative</th>
                            <th scope="col" class="text-right font-normal">Dose</th>
                            <th scope="col" class="text-right font-normal">Grams</th>
                            <th scope="col" class="text-right font-normal">On the base</th>
                            <th scope="col" class="text-right font-normal">pH</th>
                            <th scope="col" class="text-right font-normal">Added under</th>
                            <th scope="col"><span class="sr-only">Add</span></th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="c in answer.choices" :key="c.id" class="row-line align-baseline">
                            <th scope="row" class="py-1 pr-2 text-left font-normal">
                                <RouterLink :to="`/pantry/${c.id}`">{{ c.name }}</RouterLink>
                                <span v-if="c.against.length > 0" class="quiet block text-[13px]">{{ c.against.join('; ') }}</span>
                                <span v-else class="text-good block text-[13px] font-semibold">fits</span>
                            </th>
                            <td
                                class="text-right whitespace-nowrap"
                                :title="c.law_percent === null ? '' : `Law: at most ${num(c.law_percent)} %`"
                            >
                                {{ num(c.dose_percent) }}
                                <span class="unit">%</span>
                            </td>
                            <td class="text-right whitespace-nowrap">
                                {{ num(c.grams) }}
                                <span class="unit">g</span>
                            </td>
                            <td class="quiet text-right whitespace-nowrap">
                                {{ num(c.grams_on_base) }}
                                <span class="unit">g</span>
                            </td>
                            <td class="text-right whitespace-nowrap">{{ c.ph ? `${num(c.ph.low)} to ${num(c.ph.high)}` : '–' }}</td>
                            <td class="text-right whitespace-nowrap">{{ c.most_celsius === null ? '–' : `${num(c.most_celsius)} °C` }}</td>
                            <td class="text-right">
                                <button
                                    v-if="c.fits"
                                    type="button"
                                    class="act-quiet no-print"
                                    :aria-label="`Add ${c.name}`"
                                    @click="add(c.id, c.dose_percent)"
                                >
                                    Add
                                </button>
                            </td>
                        </tr>
                    </tbody>
                </table>
                <p class="quiet mt-2 text-[13px]">
                    The pH of the product is yours to measure: it cannot be told from its lines. Local law and the maker of the preservative
                    have the last word on what may be used, how much and on whom.
                </p>
            </div>
        </div>
    </section>
</template>
