<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { num } from '../../../ui/words';

/** What was read, the curve that lies nearest to it, and where it is to come to. */
const props = defineProps<{ cooling: Schemas['CoolingTrace']; gate: Schemas['Band'] | null }>();
const WIDE = 480;
const HIGH = 170;
const LEFT = 40;
const FOOT = 26;
const points = computed(() => [
    ...props.cooling.readings.map((r) => [r.minutes, r.celsius] as const),
    ...props.cooling.curve.map((p) => [p[0] ?? 0, p[1] ?? 0] as const),
]);
const last = computed(() => Math.max(1, ...points.value.map(([m]) => m)));
const warmest = computed(() => Math.max(...points.value.map(([, c]) => c), props.gate?.high ?? 0) + 3);
const coldest = computed(() => Math.min(...points.value.map(([, c]) => c), props.gate?.low ?? 100) - 3);
const x = (minutes: number): number => LEFT + (minutes / last.value) * (WIDE - LEFT - 8);
const y = (celsius: number): number => 8 + ((warmest.value - celsius) / (warmest.value - coldest.value)) * (HIGH - FOOT - 8);
const line = computed(() => props.cooling.curve.map((p) => `${x(p[0] ?? 0).toFixed(1)},${y(p[1] ?? 0).toFixed(1)}`).join(' '));
const label = computed(
    () => `Read: ${props.cooling.readings.map((r) => `${num(r.celsius, 1)} °C after ${num(r.minutes, 0)} minutes`).join(', ')}.`,
);
</script>

<template>
    <svg :viewBox="`0 0 ${WIDE} ${HIGH}`" class="w-full max-w-xl" role="img" :aria-label="label">
        <rect
            v-if="gate"
            :x="LEFT"
            :width="WIDE - LEFT - 8"
            :y="y(gate.high)"
            :height="Math.max(2, y(gate.low) - y(gate.high))"
            fill="var(--lead-wash)"
        />
        <line :x1="LEFT" :x2="LEFT" y1="8" :y2="HIGH - FOOT" stroke="var(--rule)" />
        <line :x1="LEFT" :x2="WIDE - 8" :y1="HIGH - FOOT" :y2="HIGH - FOOT" stroke="var(--rule)" />
        <text v-for="c in [warmest - 3, coldest + 3]" :key="c" :x="LEFT - 5" :y="y(c) + 4" text-anchor="end" class="tag">
            {{ num(c, 0) }}°
        </text>
        <text :x="LEFT" :y="HIGH - 8" class="tag">0</text>
        <text :x="WIDE - 8" :y="HIGH - 8" text-anchor="end" class="tag">{{ num(last, 0) }} min</text>
        <text v-if="gate" :x="WIDE - 12" :y="y(gate.high) - 4" text-anchor="end" class="tag">{{ num(gate.high, 0) }} °C</text>
        <polyline :points="line" fill="none" stroke="var(--lead)" stroke-width="2" stroke-dasharray="6 4" />
        <circle v-for="r in cooling.readings" :key="r.minutes" :cx="x(r.minutes)" :cy="y(r.celsius)" r="4.5" fill="var(--ink)" />
    </svg>
</template>

<style scoped>
.tag {
    font-size: 13px;
    fill: var(--quiet);
}
</style>
