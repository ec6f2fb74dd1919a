<script setup lang="ts">
import type { Schemas } from '../../api/client';
import { computed } from 'vue';
import { longDate, num, sayMonths } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';

/** How it stands where it is met, how it takes air, how long it keeps and what would lengthen that. All of it estimated. */
const props = defineProps<{ assessment: Schemas['Assessment']; keeps: Schemas['Keeping'] | null }>();

/** What the studio's own batches have moved, and how many findings stand behind it. */
const learned = computed(() => {
    const { texture, overrun, life } = props.assessment.learned;
    const moved: [string, Schemas['Shift']][] = [
        ['effective solids', texture],
        ['air from whipping', overrun],
        ['how long it keeps', life],
    ];
    return moved
        .filter(([, shift]) => shift.count > 0)
        .map(([what, { factor, count }]) => {
            const percent = Math.round((factor - 1) * 100);
            const by = percent === 0 ? 'as the handbook says' : `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;
            return `${what} ${by}, from ${count} ${count === 1 ? 'finding' : 'findings'}`;
        });
});
</script>

<template>
    <div class="grid gap-8 md:grid-cols-2">
        <section aria-label="Where it is met">
            <h2>
                Where it is met
                <HowLink of="texture" what="texture" />
            </h2>
            <p v-if="!assessment.texture_known" class="quiet mt-2">
                Cannot tell: the solid-fat curve of a line is not known, or most of it is powder.
            </p>
            <table v-else class="mt-2 w-full">
                <caption class="sr-only">Texture where it is met, estimated</caption>
                <tbody>
                    <tr v-for="moment in assessment.moments" :key="moment.place" class="row-line">
                        <th scope="row" class="py-1 text-left font-normal">
                            {{ moment.place }}
                            <span class="unit">{{ num(moment.celsius) }} °C</span>
                        </th>
                        <td>{{ moment.label }}</td>
                        <td class="text-right whitespace-nowrap">
                            <span class="fig fig-estimated">{{ num(moment.solids.best, 0) }}</span>
                            <span class="unit">% solid, {{ num(moment.solids.low, 0) }} to {{ num(moment.solids.high, 0) }}</span>
                        </td>
                    </tr>
                    <tr class="row-line">
                        <th scope="row" class="py-1 text-left font-normal">melted through</th>
                        <td colspan="2" class="text-right">
                            <template v-if="assessment.melts_at_c === null">not by 40 °C</template>
                            <template v-else-if="assessment.melts_at_c <= 10">liquid in the cold</template>
                            <template v-else>
                                about
                                <span class="fig fig-estimated">{{ num(assessment.melts_at_c, 0) }}</span>
                                <span class="unit">°C</span>
                            </template>
                        </td>
                    </tr>
                    <tr class="row-line">
                        <th scope="row" class="py-1 text-left font-normal">a millilitre weighs</th>
                        <td colspan="2" class="text-right">
                            {{ num(assessment.density_20c, 3) }}
                            <span class="unit">g at 20 °C,</span>
                            {{ num(assessment.density_60c, 3) }}
                            <span class="unit">g at 60 °C</span>
                        </td>
                    </tr>
                </tbody>
            </table>
            <p v-if="learned.length > 0" class="mt-3">
                <strong>
                    Learned from your own batches
                    <HowLink of="learned" what="what was learned" />
                </strong>
                ({{ assessment.learned.family }}): {{ learned.join('; ') }}.
            </p>
            <template v-if="assessment.whipping">
                <h3 class="mt-5">Whipping</h3>
                <p v-if="!assessment.whipping.possible" class="quiet mt-1">At no bowl temperature from 10 to 40 °C does it take air.</p>
                <template v-else>
                    <p class="mt-1">
                        Whip while the bowl is
                        <span class="fig fig-estimated">{{ num(assessment.whipping.coldest_c, 0) }}</span>
                        to
                        <span class="fig fig-estimated">{{ num(assessment.whipping.warmest_c, 0) }}</span>
                        <span class="unit">°C.</span>
                    </p>
                    <dl class="mt-1 space-y-0.5">
                        <div
                            v-for="school in assessment.whipping.schools"
                            :key="school.name"
                            class="flex flex-wrap justify-between gap-x-3"
                        >
                            <dt>{{ school.name }}, {{ num(school.minutes) }} min</dt>
                            <dd>
                                <span class="fig fig-estimated">{{ num(school.millilitres.best, 0) }}</span>
                                <span class="unit">
                                    ml, {{ num(school.millilitres.low, 0) }} to {{ num(school.millilitres.high, 0) }};
                                    {{ num(school.overrun_percent.best, 0) }} % of air
                                </span>
                            </dd>
                        </div>
                    </dl>
                </template>
            </template>
        </section>
        <section aria-label="How long it keeps">
            <h2>
                Why it keeps so long
                <HowLink of="life" what="how long it keeps" />
            </h2>
            <p v-if="keeps" class="mt-2">
                Made today, best before
                <span class="fig fig-estimated">{{ longDate(keeps.best_before) }}</span>
                by the low end; once opened
                <span class="fig fig-estimated">{{ keeps.opened.replace(' M', '') }}</span>
                <span v-if="keeps.opened.endsWith(' M')" class="unit">{{ keeps.opened === '1 M' ? 'month.' : 'months.' }}</span>
                <span v-if="keeps.store" class="said-caution block font-semibold">{{ keeps.store }}</span>
            </p>
            <ol class="mt-2 list-decimal space-y-1 pl-5">
                <li v-for="reason in assessment.life_reasons" :key="reason">{{ reason }}</li>
            </ol>
            <template v-if="assessment.longer.length > 0">
                <h3 class="mt-5">What would lengthen it most</h3>
                <dl class="mt-1 space-y-0.5">
                    <div v-for="way in assessment.longer" :key="way.words" class="flex flex-wrap justify-between gap-x-3">
                        <dt>{{ way.words }}</dt>
                        <dd class="fig fig-estimated">{{ sayMonths(way.months.best) }}</dd>
                    </div>
                </dl>
            </template>
        </section>
    </div>
</template>
