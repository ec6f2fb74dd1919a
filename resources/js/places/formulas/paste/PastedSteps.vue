<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { num, sayMinutes } from '../../../ui/words';

/** The method as it was read, and what was kept as notes. */
defineProps<{ reading: Schemas['Reading'] }>();
</script>

<template>
    <section v-if="reading.steps.length > 0" class="mt-5">
        <h2>Steps</h2>
        <ol class="mt-1 list-decimal pl-5">
            <li v-for="(step, i) in reading.steps" :key="i">
                {{ step.text }}
                <span class="quiet text-[13px]">
                    {{ step.act }}{{ step.minutes ? `, ${sayMinutes(step.minutes)}` : ''
                    }}{{ step.celsius !== null ? `, ${num(step.celsius)} °C` : '' }}
                </span>
            </li>
        </ol>
    </section>
    <p v-if="reading.notes.length > 0" class="quiet mt-4 text-[13px]">Kept as notes: {{ reading.notes.join(' / ') }}</p>
</template>
