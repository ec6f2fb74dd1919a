<script setup lang="ts">
import { GRADES } from './words';

/** How well something is known: four rungs, filled from below; a ring where it was swallowed or tried in a laboratory only. */
defineProps<{ grade: number; route: string }>();
</script>

<template>
    <span class="inline-flex items-center gap-2 align-middle">
        <svg width="38" height="16" viewBox="0 0 38 16" aria-hidden="true" class="shrink-0">
            <rect
                v-for="n in 4"
                :key="n"
                :x="(n - 1) * 10"
                :y="12 - n * 3"
                width="7"
                :height="4 + n * 3"
                rx="1.5"
                :fill="n <= grade ? (route === 'eaten' ? 'none' : 'var(--lead)') : 'none'"
                :stroke="n <= grade ? 'var(--lead)' : 'var(--glass)'"
                :stroke-dasharray="n <= grade && route === 'eaten' ? '2 1.5' : ''"
            />
        </svg>
        <span class="text-[13px]">{{ GRADES[grade] }}{{ route === 'eaten' ? ', but swallowed' : '' }}</span>
    </span>
</template>
