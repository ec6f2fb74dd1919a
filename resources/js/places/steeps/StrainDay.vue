<script setup lang="ts">
import { useLocalStorage, useWakeLock } from '@vueuse/core';
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import type { Schemas } from '../../api/client';
import { useStrain } from '../../queries/steeps';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { tell } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num, sayDate } from '../../ui/words';
import { useSteep } from './useSteep';
import HowLink from '../../ui/HowLink.vue';

/** Strain day, one step at a time, read from a metre away. Where it stands is kept, also when the screen sleeps. */
const props = defineProps<{ id: string }>();
const router = useRouter();
const { data, isPending, error, refetch, errors, act, record } = useSteep(Number(props.id));
const straining = useStrain(Number(props.id));
interface Kept {
    at: number;
    grams: string;
    before: string;
    after: string;
    choice: NonNullable<Schemas['StrainAsk']['choice']>;
    herb: NonNullable<Schemas['StrainAsk']['herb']>;
    note: string;
}
const KEEP = `strain-${props.id}`;
const state = useLocalStorage<Kept>(
    KEEP,
    { at: 0, grams: '', before: '', after: '', choice: 'kept', herb: 'composted', note: '' },
    // A torn memory is no memory.
    { mergeDefaults: true, onError: () => undefined },
);
const steps = computed(() => data.value?.strain_steps ?? []);
const step = computed(() => steps.value[Math.min(state.value.at, steps.value.length - 1)]);
const last = computed(() => state.value.at >= steps.value.length - 1);
const busy = straining.isPending;

const wake = useWakeLock();
onMounted(() => void wake.request('screen').catch(() => undefined));

async function next(): Promise<void> {
    if (step.value?.id === 'weigh' && !(Number(state.value.grams) > 0)) {
        errors.value = { yield_grams: ['Weigh what came out: more than 0 g.'] };
        return;
    }
    errors.value = {};
    if (!last.value) {
        state.value.at++;
        return;
    }
    const { grams, choice, herb, note } = state.value;
    const steep = await act(() =>
        straining.mutateAsync({
            revision: data.value?.revision ?? 0,
            yield_grams: Number(grams),
            loss_grams: 0,
            choice,
            herb,
            note,
        }),
    );
    if (!steep) {
        if (errors.value['yield_grams']) state.value.at = steps.value.findIndex((s) => s.id === 'weigh');
        return;
    }
    localStorage.removeItem(KEEP);
    await router.push(`/steeps/${props.id}`);
    tell('Strained. Its oil stands in the pantry.');
}
async function bowl(): Promise<void> {
    if (
        await record(
            { kind: 'bowl', before: Number(state.value.before), after: Number(state.value.after) },
            'The loss counts as water driven off.',
        )
    ) {
        state.value.before = state.value.after = '';
    }
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the steep" @again="refetch">
        <div v-if="data && (data.state === 'strained' || data.state === 'spoiled')">
            <h1>{{ data.name }}</h1>
            <p class="mt-2">
                {{ data.state === 'strained' ? 'It has been strained already.' : 'It was given up.' }}
                <RouterLink :to="`/steeps/${id}`">Back to the steep</RouterLink>
            </p>
        </div>
        <div v-else-if="data && step" class="mx-auto max-w-3xl">
            <h1 class="!text-[20px]">
                Strain {{ data.name }}
                <HowLink of="straining" what="straining" />
            </h1>
            <p v-if="data.state === 'running'" class="said-caution mt-1">
                Its day is {{ sayDate(data.plan.dates.strain) }}. Earlier gives less; nothing forbids it.
            </p>
            <ol class="mt-3 flex gap-1" aria-label="Steps">
                <li v-for="(s, n) in steps" :key="s.id" class="grow">
                    <button
                        type="button"
                        class="h-3 w-full rounded"
                        :class="n <= state.at ? 'bg-lead' : ''"
                        :style="{ border: '1px solid var(--glass)' }"
                        :aria-label="`Step ${n + 1}: ${s.does}`"
                        :aria-current="n === state.at ? 'step' : undefined"
                        :disabled="n > state.at"
                        @click="state.at = n"
                    ></button>
                </li>
            </ol>
            <div class="mt-6 min-h-[15rem]" aria-live="polite">
                <p class="font-head text-[30px] leading-tight font-semibold sm:text-[38px]">{{ step.does }}</p>
                <p class="quiet mt-3 text-[18px]">{{ step.why }}</p>
                <p v-if="step.most_hours > 0" class="mt-2 text-[18px]">
                    It takes {{ step.fewest_hours }} to {{ step.most_hours }} hours. Come back to this step; it is kept.
                </p>

                <FormField
                    v-if="step.id === 'weigh'"
                    v-slot="{ field }"
                    class="mt-5"
                    label="Oil that came out, grams"
                    :problem="errors['yield_grams']"
                >
                    <input
                        v-bind="field"
                        v-model="state.grams"
                        type="number"
                        min="0"
                        step="any"
                        inputmode="decimal"
                        class="field !h-24 text-center font-head !text-[72px] leading-none font-bold"
                    />
                </FormField>
                <p v-if="step.id === 'weigh' && Number(state.grams) > 0" class="mt-2 text-[18px]">
                    {{ num((Number(state.grams) / Math.max(1, data.oil_left_grams)) * 100, 0) }} % of the oil.
                    {{
                        Number(state.grams) < data.plan.yield_grams.low
                            ? 'Less than foretold: the herb kept more, or some is still in it.'
                            : Number(state.grams) > data.plan.yield_grams.high
                              ? 'More than foretold: look for water.'
                              : 'As foretold.'
                    }}
                </p>
                <div v-if="step.id === 'water'" class="mt-5 space-y-3">
                    <p class="text-[18px]">
                        Still counted:
                        <span class="fig fig-estimated">{{ num(data.water_left_grams.best) }}</span>
                        <span class="unit">g of water, {{ num(data.water_left_grams.low) }} to {{ num(data.water_left_grams.high) }}</span>
                    </p>
                    <form class="flex flex-wrap items-end gap-3" @submit.prevent="bowl">
                        <label>
                            <span class="label">Bowl before heating, g</span>
                            <input v-model="state.before" type="number" min="0" step="any" inputmode="decimal" class="field min-h-14" />
                        </label>
                        <label>
                            <span class="label">after, g</span>
                            <input v-model="state.after" type="number" min="0" step="any" inputmode="decimal" class="field min-h-14" />
                        </label>
                        <button class="act-quiet min-h-14">Count the loss</button>
                    </form>
                    <FormProblem :errors="errors" field="after" />
                    <fieldset>
                        <legend class="label">What is done about it</legend>
                        <div class="flex flex-wrap gap-2">
                            <label
                                v-for="(word, value) in {
                                    kept: 'Treat it as bearing water',
                                    'drawn-off': 'Settled, drawn off, last centimetre left',
                                    'frozen-poured': 'Frozen, and poured off the ice',
                                }"
                                :key="value"
                                class="has-checked:bg-lead has-checked:text-on-lead border-rule flex min-h-14 cursor-pointer items-center rounded border px-4 has-focus-visible:outline-2"
                            >
                                <input v-model="state.choice" type="radio" name="choice" :value="value" class="sr-only" />
                                {{ word }}
                            </label>
                        </div>
                    </fieldset>
                </div>
                <div v-if="step.id === 'herb'" class="mt-5 space-y-3">
                    <div class="flex flex-wrap gap-2" role="radiogroup" aria-label="The herb">
                        <label
                            v-for="(word, value) in { kept: 'Kept for another draw', composted: 'Composted' }"
                            :key="value"
                            class="has-checked:bg-lead has-checked:text-on-lead border-rule flex min-h-14 cursor-pointer items-center rounded border px-4 has-focus-visible:outline-2"
                        >
                            <input v-model="state.herb" type="radio" name="herb" :value="value" class="sr-only" />
                            {{ word }}
                        </label>
                    </div>
                    <label class="block">
                        <span class="label">Note (optional)</span>
                        <input v-model="state.note" class="field min-h-14" maxlength="400" />
                    </label>
                </div>
            </div>
            <div class="mt-6 flex gap-3">
                <button type="button" class="counter-act grow" :disabled="busy" @click="next">
                    {{ last ? 'Done: put it in the pantry' : 'Done, next' }}
                </button>
                <button v-if="state.at > 0" type="button" class="act-quiet min-h-14" @click="state.at--">Back</button>
            </div>
        </div>
    </WaitOrProblem>
</template>
