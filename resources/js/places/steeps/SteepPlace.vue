<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { ask, onceKey, Problem } from '../../api/client';
import FormProblem from '../../ui/FormProblem.vue';
import { tell, tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num, sayDate, shortDate } from '../../ui/words';
import SteepFigures from './SteepFigures.vue';
import SteepJar from './SteepJar.vue';

const props = defineProps<{ id: string }>();
const client = useQueryClient();
const { data, isPending, error, refetch } = useQuery({
    queryKey: ['steep', props.id],
    queryFn: () => ask<'Steep'>('GET', `/api/steeps/${props.id}`),
});
const yieldGrams = ref('');
const before = ref('');
const after = ref('');
const errors = ref<Record<string, string[]>>({});

async function shake(date: string, done: boolean): Promise<void> {
    try {
        client.setQueryData(['steep', props.id], await ask<'Steep'>('PUT', `/api/steeps/${props.id}/shakes`, { date, done }));
        await client.invalidateQueries({ queryKey: ['today'] });
    } catch (e) {
        tellProblem(e);
    }
}
async function strain(): Promise<void> {
    errors.value = {};
    const loss = before.value !== '' && after.value !== '' ? Number(before.value) - Number(after.value) : 0;
    if (loss < 0) {
        errors.value = { loss_grams: ['The bowl cannot weigh more after heating than before.'] };
        return;
    }
    try {
        client.setQueryData(
            ['steep', props.id],
            await ask<'Steep'>(
                'POST',
                `/api/steeps/${props.id}/strain`,
                { revision: data.value?.revision, yield_grams: Number(yieldGrams.value), loss_grams: loss },
                { key: onceKey() },
            ),
        );
        await client.invalidateQueries();
        tell('Strained. Its oil is an ingredient now.');
    } catch (e) {
        if (e instanceof Problem && Object.keys(e.errors).length > 0) errors.value = e.errors;
        else tellProblem(e);
    }
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the steep" @again="refetch">
        <div v-if="data" class="grid gap-8 lg:grid-cols-[170px_minmax(0,1fr)_minmax(0,22rem)]">
            <SteepJar :plan="data.plan" :jar-ml="data.jar_ml" :diameter-cm="data.diameter_cm" :name="data.name" />
            <div>
                <h1>{{ data.name }}</h1>
                <p class="quiet mt-1">
                    {{ num(data.plant_grams) }} g {{ data.form }} {{ data.plant.toLowerCase() }} in {{ num(data.oil_grams) }} g
                    {{ data.oil.toLowerCase() }}, {{ data.method_label.toLowerCase() }}
                </p>
                <p class="mt-3 text-[18px]" :class="data.state === 'due' ? 'said-caution font-semibold' : ''">
                    <template v-if="data.state === 'running'">
                        Day {{ data.day }} of {{ data.days }}. Strain it {{ sayDate(data.plan.dates.strain) }}.
                    </template>
                    <template v-else-if="data.state === 'due'">Strain it now: it was due {{ sayDate(data.plan.dates.strain) }}.</template>
                    <template v-else>Strained.</template>
                </p>

                <section v-if="data.shakes.length > 0 && data.state === 'running'" class="mt-6">
                    <h2>Shakes</h2>
                    <div class="mt-2 flex flex-wrap gap-2">
                        <button
                            v-for="day in data.shakes"
                            :key="day.date"
                            type="button"
                            class="min-h-14 min-w-14 rounded border-2 px-2 text-[13px]"
                            :class="day.done ? 'bg-lead text-on-lead border-lead' : 'border-rule'"
                            :aria-pressed="day.done"
                            :aria-label="`Shaken ${sayDate(day.date)}`"
                            @click="shake(day.date, !day.done)"
                        >
                            {{ shortDate(day.date) }}
                            <span class="block font-bold">{{ day.done ? 'done' : '·' }}</span>
                        </button>
                    </div>
                    <p class="quiet mt-2 text-[13px]">Stop shaking {{ sayDate(data.plan.dates.stop_shaking) }}, so that it settles.</p>
                </section>

                <section v-if="data.lot" class="mt-6">
                    <h2>What came out</h2>
                    <p class="mt-1">
                        <span class="fig fig-measured">{{ num(data.lot.grams) }}</span>
                        <span class="unit">g</span>
                        against {{ num(data.plan.yield_grams.best) }} g foreseen ({{ num(data.plan.yield_grams.low) }} to
                        {{ num(data.plan.yield_grams.high) }}). Best before {{ sayDate(data.lot.best_before) }}.
                    </p>
                    <p class="mt-1" :class="data.lot.dry ? 'text-good font-semibold' : 'said-caution font-semibold'">
                        {{
                            data.lot.dry
                                ? 'Counts as dry.'
                                : `Holds traces of water: ${num(data.lot.water_percent)} %. Every formula that uses it carries them.`
                        }}
                    </p>
                    <p class="quiet mt-1">In a formula, type "{{ data.lot.name }}" as the ingredient.</p>
                </section>

                <details v-else class="mt-6 max-w-md" :open="data.state === 'due'">
                    <summary class="cursor-pointer font-head text-[17px] font-semibold">
                        {{ data.state === 'due' ? 'Strain it' : 'Strain it before its day' }}
                    </summary>
                    <form @submit.prevent="strain">
                        <p class="mt-1">{{ data.plan.straining }}</p>
                        <label class="mt-3 block">
                            <span class="label">Oil that came out, grams</span>
                            <input
                                v-model="yieldGrams"
                                inputmode="decimal"
                                class="field"
                                required
                                :aria-invalid="!!errors['yield_grams']"
                            />
                        </label>
                        <FormProblem :errors="errors" field="yield_grams" />
                        <div v-if="data.plan.water_in_grams.high > 0" class="mt-3">
                            <p class="text-[14px]">
                                Oil does not evaporate here: what the bowl loses is water. Without this weighing the water counts as still
                                there.
                            </p>
                            <div class="mt-1 grid grid-cols-2 gap-3">
                                <label>
                                    <span class="label">Bowl before heating, g</span>
                                    <input v-model="before" inputmode="decimal" class="field" />
                                </label>
                                <label>
                                    <span class="label">Bowl after, g</span>
                                    <input v-model="after" inputmode="decimal" class="field" />
                                </label>
                            </div>
                            <FormProblem :errors="errors" field="loss_grams" />
                        </div>
                        <button class="act mt-3">Record the yield</button>
                    </form>
                </details>
            </div>
            <div>
                <SteepFigures :plan="data.plan" :usual="data.usual_ratio" />
            </div>
        </div>
    </WaitOrProblem>
</template>
