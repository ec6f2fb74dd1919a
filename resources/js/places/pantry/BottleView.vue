<script setup lang="ts">
import { computed } from 'vue';

/** A bottle or jar drawn to what is left in it; dashes where nobody knows. */
const props = withDefaults(defineProps<{ fill: number | null; matter: string; source: string; height?: number }>(), { height: 84 });
const width = computed(() => props.height * 0.52);
const top = computed(() => props.height * (props.source === 'bought' ? 0.24 : 0.16));
const inner = computed(() => props.height - top.value - 3);
const level = computed(() => inner.value * Math.max(0, Math.min(1, props.fill ?? 0)));
</script>

<template>
    <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true">
        <rect
            :x="source === 'bought' ? width * 0.34 : width * 0.08"
            y="0"
            :width="source === 'bought' ? width * 0.32 : width * 0.84"
            :height="height * 0.09"
            rx="1.5"
            fill="var(--ink)"
        />
        <rect v-if="source === 'bought'" :x="width * 0.38" :y="height * 0.09" :width="width * 0.24" :height="height * 0.15" class="glass" />
        <rect
            v-if="level > 0"
            x="2"
            :y="top + inner - level"
            :width="width - 4"
            :height="level"
            :fill="`url(#matter-${matter})`"
            stroke="var(--matter-line)"
            stroke-width="0.6"
        />
        <line v-if="fill === null" x1="5" :x2="width - 5" :y1="top + inner / 2" :y2="top + inner / 2" class="unknown" />
        <rect x="1" :y="top" :width="width - 2" :height="inner + 1" :rx="source === 'bought' ? 5 : 3" class="glass" />
    </svg>
</template>

<style scoped>
.glass {
    fill: none;
    stroke: var(--glass);
    stroke-width: 1.6;
}
.unknown {
    stroke: var(--quiet);
    stroke-width: 1.4;
    stroke-dasharray: 3 3;
}
</style>
