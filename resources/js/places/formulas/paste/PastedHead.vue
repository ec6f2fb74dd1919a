<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { KINDS, counted, num, sayMinutes } from '../../../ui/words';

/** What was read as a whole, and where it can go from here. */
const props = defineProps<{
    answer: Schemas['ReadAnswer'];
    /** Lines that are still to be settled. */
    left: number;
    /** Whether the maker has said something of it. */
    settled: boolean;
    busy: boolean;
}>();
const emit = defineEmits<{ 'take-back': []; bench: []; steep: []; dose: [] }>();
const formula = computed(() => props.answer.formula);
const judged = computed(() => props.answer.assessment);
const lines = computed(() => props.answer.reading.lines);
const steep = computed(() => props.answer.reading.steep);
const names = (of: number[]): string => of.map((n) => lines.value[n - 1]?.name).join(' and ');
</script>

<template>
    <div class="flex flex-wrap items-baseline justify-between gap-3">
        <div class="min-w-0">
            <h2 class="!text-[22px] break-words">{{ formula.title }}</h2>
            <p class="quiet text-[13px]">
                {{ KINDS[formula.kind] }}, {{ num(judged.total_grams.best ?? 0) }} g.
                {{ left === 0 ? 'Every line was understood.' : `${left} of ${lines.length} lines to settle.` }}
                <button v-if="settled" type="button" class="act-quiet !min-h-0 !py-0" @click="emit('take-back')">
                    Take back what I said
                </button>
            </p>
        </div>
    </div>
    <div class="mt-2 flex flex-wrap items-center gap-x-2 gap-y-1">
        <button type="button" class="act" :disabled="busy || lines.length === 0" @click="emit('bench')">Open it</button>
        <button v-if="steep" type="button" class="act" :disabled="busy" @click="emit('steep')">Begin its steep</button>
        <button type="button" class="act-quiet" :disabled="busy || lines.length === 0" @click="emit('dose')">
            Make just one use, {{ num(answer.dose_grams) }} g
        </button>
    </div>
    <p v-if="steep" class="quiet mt-1 text-[13px]">
        {{ names(steep.herbs) }} in {{ names(steep.oils) }} is a steep of its own:
        {{ steep.minutes ? sayMinutes(steep.minutes) : counted(steep.days, 'day')
        }}{{ steep.celsius ? ` at ${num(steep.celsius)} °C` : '' }}. Its oil then stands in the formula, and per cents are of what was
        strained.
    </p>
</template>
