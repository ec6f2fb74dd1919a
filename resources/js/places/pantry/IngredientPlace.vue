<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { ask } from '../../api/client';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num, sayMonths } from '../../ui/words';

const props = defineProps<{ id: string }>();
const { data, isPending, error, refetch } = useQuery({
    queryKey: ['ingredient', props.id],
    queryFn: () => ask<'Ingredient'>('GET', `/api/ingredients/${encodeURIComponent(props.id)}`),
});
const GRADES = ['no basis found', 'traditional use', 'laboratory or animal', 'trials on people', 'well established'];
const NEEDS: Record<string, string> = {
    'dry-lengths': 'dry lengths',
    'dry-scalp': 'dry scalp',
    'oily-scalp': 'oily scalp',
    'thin-edges': 'thin edges',
    'length-retention': 'keeping length',
    'over-processed': 'over-processed hair',
    'protective-styles': 'protective styles',
    'first-grey': 'first grey',
    'child-gentle': 'gentle for children',
};
const acids = computed(() => Object.entries(data.value?.fatty_acids ?? {}).sort((a, b) => b[1] - a[1]));
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the ingredient" @again="refetch">
        <div v-if="data" class="max-w-4xl">
            <h1>{{ data.name }}</h1>
            <p class="quiet mt-1">{{ data.inci }}</p>
            <dl class="mt-5 grid grid-cols-[9rem_1fr] gap-x-4 gap-y-1.5">
                <template v-if="data.density_20c">
                    <dt class="quiet">Density at 20 °C</dt>
                    <dd>
                        {{ num(data.density_20c.best, 3) }}
                        <span class="unit">g/ml, {{ num(data.density_20c.low, 3) }} to {{ num(data.density_20c.high, 3) }}</span>
                    </dd>
                </template>
                <template v-if="data.weight">
                    <dt class="quiet">Weight on the hair</dt>
                    <dd>
                        {{ num(data.weight) }}
                        <span class="unit">of 5</span>
                    </dd>
                </template>
                <template v-if="data.life_months">
                    <dt class="quiet">Keeps unopened</dt>
                    <dd>
                        {{ sayMonths(data.life_months.best) }}
                        <span class="unit">
                            ({{ num(data.life_months.low) }} to {{ num(data.life_months.high) }} months). {{ data.storage }}
                        </span>
                    </dd>
                </template>
                <template v-if="data.melting_c">
                    <dt class="quiet">Melts</dt>
                    <dd>
                        {{ num(data.melting_c.low) }} to {{ num(data.melting_c.high) }}
                        <span class="unit">°C</span>
                    </dd>
                </template>
                <template v-if="data.iodine_value">
                    <dt class="quiet">Iodine value</dt>
                    <dd>
                        {{ num(data.iodine_value.best, 0) }}
                        <span class="unit">from its fatty acids</span>
                    </dd>
                </template>
                <template v-if="data.dermal_max">
                    <dt class="quiet">Dermal maximum</dt>
                    <dd>
                        {{ num(data.dermal_max) }}
                        <span class="unit">% ({{ data.dermal_max_reason }})</span>
                    </dd>
                </template>
                <template v-if="data.preservation?.use">
                    <dt class="quiet">Range of use</dt>
                    <dd>
                        {{ num(data.preservation.use.low) }} to {{ num(data.preservation.use.high) }}
                        <span class="unit">
                            % of the finished mass;
                            {{
                                data.preservation.kind === 'antioxidant'
                                    ? 'an antioxidant, not a preservative'
                                    : `${data.preservation.kind} spectrum`
                            }}
                        </span>
                    </dd>
                </template>
                <template v-if="data.allergens.length > 0">
                    <dt class="quiet">Allergens</dt>
                    <dd class="said-caution font-semibold">{{ data.allergens.join(', ') }}</dd>
                </template>
                <dt class="quiet">Pregnancy, nursing</dt>
                <dd>{{ { ok: 'nothing known against it', caution: 'ask the clinician first', avoid: 'avoid' }[data.pregnancy] }}</dd>
            </dl>
            <section v-if="acids.length > 0" class="mt-6">
                <h2>Fatty acids</h2>
                <div
                    class="mt-2 flex h-12 overflow-hidden rounded border"
                    style="border-color: var(--glass)"
                    role="img"
                    :aria-label="acids.map(([n, p]) => `${n} ${p} %`).join(', ')"
                >
                    <div
                        v-for="([name, percent], i) in acids"
                        :key="name"
                        class="overflow-hidden px-1.5 pt-1 text-[12px] whitespace-nowrap"
                        :style="{
                            width: `${percent}%`,
                            background: `color-mix(in srgb, var(--matter-liquid) ${100 - i * 14}%, var(--raised))`,
                            color: '#241b14',
                        }"
                    >
                        {{ percent >= 6 ? name : '' }}
                        <span v-if="percent >= 6" class="block">{{ num(percent) }} %</span>
                    </div>
                </div>
            </section>
            <section v-if="data.needs.length > 0" class="mt-6">
                <h2>What it is used for, and how well that is known</h2>
                <ul class="mt-1">
                    <li
                        v-for="need in data.needs"
                        :key="need.need"
                        class="row-line grid gap-x-4 py-2 sm:grid-cols-[9rem_11rem_minmax(0,1fr)]"
                    >
                        <span class="font-semibold">{{ NEEDS[need.need] ?? need.need }}</span>
                        <span>
                            <span aria-hidden="true">{{ '●'.repeat(need.grade) }}{{ '○'.repeat(4 - need.grade) }}</span>
                            <span class="quiet block text-[13px]">{{ GRADES[need.grade] }}</span>
                        </span>
                        <span>
                            {{ need.found }}
                            <span v-if="need.grade > 1" class="quiet block text-[13px]">
                                {{ need.source === 'estimate' ? 'our reading; no single source' : need.source }}
                            </span>
                        </span>
                    </li>
                </ul>
            </section>
            <section v-if="data.cautions.length > 0" class="mt-6">
                <h2>Cautions</h2>
                <ul class="mt-1 list-disc pl-5">
                    <li v-for="caution in data.cautions" :key="caution">{{ caution }}</li>
                </ul>
            </section>
            <section class="mt-6">
                <h2>Sources</h2>
                <ul class="mt-1 list-disc pl-5">
                    <li v-for="source in data.sources" :key="source">{{ source }}</li>
                </ul>
                <p class="quiet mt-1">Every figure without one of these is an estimate with a band.</p>
            </section>
        </div>
    </WaitOrProblem>
</template>
