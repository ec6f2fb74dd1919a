<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import type { Schemas } from '../api/client';
import { useSession } from './session';
import { num } from './words';

/** A number that says how it is known; selecting it opens the working. */
defineProps<{
    band: Schemas['Band'];
    unit: string;
    basis: Schemas['Conversion']['basis'];
    working?: Schemas['Working'];
    shown?: string;
    showBand?: boolean;
    what: string;
}>();
const session = useSession();
</script>

<template>
    <Popover v-if="working" class="relative inline-block">
        <PopoverButton class="text-inherit" :aria-label="`${what}: ${shown ?? num(band.best)} ${unit}, ${basis}. Show the working`">
            <span class="fig" :class="`fig-${basis}`">{{ shown ?? num(band.best) }}</span>
            <span class="unit">{{ unit }}</span>
        </PopoverButton>
        <PopoverPanel class="bg-raised border-rule absolute right-0 z-20 mt-1 w-80 rounded border p-4 text-left text-[14px] shadow-xl">
            <p class="font-head font-semibold">{{ what }}</p>
            <p class="mt-1">
                {{ num(band.best) }} {{ unit }}, between {{ num(band.low) }} and {{ num(band.high) }}. It was
                <strong>{{ basis }}.</strong>
            </p>
            <p class="mt-2">{{ working.words }}</p>
            <table class="mt-2 w-full">
                <caption class="sr-only">Inputs</caption>
                <tbody>
                    <tr v-for="input in working.inputs" :key="input.name" class="row-line align-top">
                        <th scope="row" class="quiet py-1 pr-2 text-left font-normal">{{ input.name }}</th>
                        <td class="py-1 text-right whitespace-nowrap">{{ num(input.value.best, 4) }} {{ input.unit }}</td>
                        <td class="quiet py-1 pl-2 text-[12px]">{{ session.source(input.source) }}</td>
                    </tr>
                </tbody>
            </table>
            <p class="mt-2 text-[13px]">
                <RouterLink :to="`/methods/${working.method}`">How it is worked out: {{ working.method.replaceAll('-', ' ') }}</RouterLink>
            </p>
        </PopoverPanel>
    </Popover>
    <span v-else>
        <span class="fig" :class="`fig-${basis}`">{{ shown ?? num(band.best) }}</span>
        <span class="unit">{{ unit }}</span>
        <span v-if="showBand" class="quiet text-[13px]">&ensp;{{ num(band.low) }} to {{ num(band.high) }}</span>
    </span>
</template>
