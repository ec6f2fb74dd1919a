<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import type { Schemas } from '../api/client';
import { num } from './words';

/** A number that says how it is known; where it has a working, selecting it opens that. */
defineProps<{
    band: Schemas['Band'];
    unit: string;
    basis: Schemas['Conversion']['basis'];
    shown?: string;
    showBand?: boolean;
    what: string;
}>();
</script>

<template>
    <Popover v-if="$slots['working']" class="relative inline-block">
        <PopoverButton class="text-inherit" :aria-label="`${what}: ${shown ?? num(band.best)} ${unit}, ${basis}. Show the working`">
            <span class="fig" :class="`fig-${basis}`">{{ shown ?? num(band.best) }}</span>
            <span class="unit">{{ unit }}</span>
        </PopoverButton>
        <PopoverPanel
            class="bg-raised border-rule fixed inset-x-4 bottom-4 z-20 rounded border p-4 text-left text-[14px] whitespace-normal shadow-xl sm:absolute sm:inset-x-auto sm:right-0 sm:bottom-auto sm:mt-1 sm:w-80"
        >
            <p class="font-head font-semibold">{{ what }}</p>
            <p class="mt-1">
                {{ num(band.best) }} {{ unit }}, between {{ num(band.low) }} and {{ num(band.high) }}. It was
                <strong>{{ basis }}.</strong>
            </p>
            <div class="mt-2"><slot name="working" /></div>
        </PopoverPanel>
    </Popover>
    <span v-else>
        <span class="fig" :class="`fig-${basis}`">{{ shown ?? num(band.best) }}</span>
        <span class="unit">{{ unit }}</span>
        <span v-if="showBand" class="quiet text-[13px]">&ensp;{{ num(band.low) }} to {{ num(band.high) }}</span>
    </span>
</template>
