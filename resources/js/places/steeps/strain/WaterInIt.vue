<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import NumberField from '../../../ui/NumberField.vue';
import OneOf from '../../../ui/OneOf.vue';
import { num } from '../../../ui/words';
import type { StrainKept } from './useStrainDay';

/** The water that is still counted, what the bowl lost, and what is done about the rest. */
defineProps<{ water: Schemas['Band']; errors: Record<string, string[]> }>();
const emit = defineEmits<{ bowl: [] }>();
const kept = defineModel<StrainKept>({ required: true });
const DONE = {
    kept: 'Treat it as bearing water',
    'drawn-off': 'Settled, drawn off, last centimetre left',
    'frozen-poured': 'Frozen, and poured off the ice',
} as const;
</script>

<template>
    <div class="space-y-3">
        <p class="text-[18px]">
            Still counted:
            <span class="fig fig-estimated">{{ num(water.best) }}</span>
            <span class="unit">g of water, {{ num(water.low) }} to {{ num(water.high) }}</span>
        </p>
        <form class="flex flex-wrap items-start gap-3" novalidate @submit.prevent="emit('bowl')">
            <NumberField v-model="kept.before" label="Bowl before heating, g" :problem="errors['before']" min="0" class="min-h-14" />
            <NumberField v-model="kept.after" label="after, g" :problem="errors['after']" min="0" class="min-h-14" />
            <button class="act-quiet mt-6 min-h-14">Count the loss</button>
        </form>
        <OneOf v-model="kept.choice" legend="What is done about it" :options="DONE" large />
    </div>
</template>
