<script setup lang="ts">
import { useWakeLock } from '@vueuse/core';
import { onMounted } from 'vue';
import FormField from '../../ui/FormField.vue';
import HowLink from '../../ui/HowLink.vue';
import OneOf from '../../ui/OneOf.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { sayDate } from '../../ui/words';
import StepRail from './strain/StepRail.vue';
import { useStrainDay } from './strain/useStrainDay';
import WaterInIt from './strain/WaterInIt.vue';
import WeighOil from './strain/WeighOil.vue';

/** Strain day, one step at a time, read from a metre away. */
const props = defineProps<{ id: string }>();
const { data, isPending, error, refetch, errors, state, steps, step, last, next, bowl, busy } = useStrainDay(Number(props.id));
const HERB = { kept: 'Kept for another draw', composted: 'Composted' } as const;

const wake = useWakeLock();
onMounted(() => void wake.request('screen').catch(() => undefined));
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
            <StepRail v-model="state.at" class="mt-3" :steps="steps" />
            <div class="mt-6 min-h-[15rem]" aria-live="polite">
                <p class="font-head text-[30px] leading-tight font-semibold sm:text-[38px]">{{ step.does }}</p>
                <p class="quiet mt-3 text-[18px]">{{ step.why }}</p>
                <p v-if="step.most_hours > 0" class="mt-2 text-[18px]">
                    It takes {{ step.fewest_hours }} to {{ step.most_hours }} hours. Come back to this step; it is kept.
                </p>

                <WeighOil v-if="step.id === 'weigh'" v-model="state.grams" class="mt-5" :steep="data" :problem="errors['yield_grams']" />
                <WaterInIt
                    v-if="step.id === 'water'"
                    v-model="state"
                    class="mt-5"
                    :water="data.water_left_grams"
                    :errors="errors"
                    @bowl="bowl"
                />
                <div v-if="step.id === 'herb'" class="mt-5 space-y-3">
                    <OneOf v-model="state.herb" legend="The herb" :options="HERB" large />
                    <FormField v-slot="{ field }" label="Note (optional)" :problem="errors['note']">
                        <input v-bind="field" v-model="state.note" class="field min-h-14" maxlength="400" />
                    </FormField>
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
