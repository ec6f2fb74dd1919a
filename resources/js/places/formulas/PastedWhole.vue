<script setup lang="ts">
import type { Schemas } from '../../api/client';
import { oneOf, valueIn } from '../../ui/events';
import { AUDIENCES, num } from '../../ui/words';
import type { Settled } from './usePasted';

/** What holds for all of a pasted recipe: whom it is for, how much of it, what an ounce is, and what it claims. */
defineProps<{ answer: Schemas['ReadAnswer']; settled: Settled }>();
const emit = defineEmits<{ settle: [what: Partial<Settled>] }>();
</script>

<template>
    <div>
        <div class="mt-3 flex flex-wrap items-baseline gap-x-3 gap-y-1">
            <label class="flex items-baseline gap-2">
                <span class="quiet text-[13px]">For</span>
                <select
                    class="field !w-auto !py-0.5"
                    :value="answer.formula.audience"
                    @change="emit('settle', { audience: oneOf(AUDIENCES, valueIn($event)) ?? null })"
                >
                    <option v-for="(word, value) in AUDIENCES" :key="value" :value="value">{{ word }}</option>
                </select>
            </label>
            <p v-if="answer.reading.for" class="text-[13px]" :class="settled.audience === null ? 'said-caution' : 'quiet'">
                It says "{{ answer.reading.for.words }}".
            </p>
            <label v-if="answer.reading.times.length > 0" class="flex items-baseline gap-2">
                <span class="quiet text-[13px]">How much of it</span>
                <select
                    class="field !w-auto !py-0.5"
                    :value="settled.times ?? 1"
                    @change="emit('settle', { times: Number(valueIn($event)) === 1 ? null : Number(valueIn($event)) })"
                >
                    <option :value="1">as written</option>
                    <option v-for="times in answer.reading.times" :key="times" :value="times">
                        {{ times < 1 ? 'half of it' : `${num(times)} times` }}
                    </option>
                </select>
            </label>
        </div>
        <fieldset v-if="answer.ounces" class="mt-2">
            <legend class="sr-only">What an ounce of a liquid is</legend>
            <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
                <span class="said-caution text-[13px]">An ounce of a liquid is</span>
                <label v-for="way in ['weight', 'volume'] as const" :key="way" class="flex items-center gap-1.5">
                    <input
                        type="radio"
                        name="ounces"
                        :checked="answer.ounces.by_volume === (way === 'volume')"
                        @change="emit('settle', { ounces: way })"
                    />
                    by {{ way }}
                </label>
            </div>
            <p class="quiet text-[13px]">{{ answer.ounces.changes }}</p>
        </fieldset>
        <p v-if="answer.reading.order" class="said-caution mt-2 text-[13px]">{{ answer.reading.order.words }}</p>
        <p v-for="said in answer.disagreements" :key="said" class="said-caution mt-2 text-[13px]">{{ said }}</p>
    </div>
</template>
