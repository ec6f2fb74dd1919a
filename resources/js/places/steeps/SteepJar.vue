<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { num } from '../../ui/words';

/** A steep as a jar to scale: settled plant, oil line, air. Without the jar's measures it says so instead of guessing. */
const props = defineProps<{ plan: Schemas['SteepPlan']; jarMl: number; diameterCm: number; name: string; small?: boolean }>();

const W = computed(() => (props.small ? 46 : 170));
const H = computed(() => (props.small ? 64 : 300));
const airCm = computed(() => props.plan.headspace_cm?.best ?? 0);
const overCm = computed(() => props.plan.oil_above_plant_cm?.best ?? 0);
const known = computed(() => props.jarMl > 0 && props.diameterCm > 0 && props.plan.headspace_cm !== null);
const heightCm = computed(() => (4 * props.jarMl) / (Math.PI * props.diameterCm ** 2));
const inner = computed(() => ({ top: props.small ? 10 : 34, bottom: H.value - (props.small ? 2 : 6) }));
const perCm = computed(() => (inner.value.bottom - inner.value.top) / heightCm.value);
const oilCm = computed(() => Math.max(0, Math.min(heightCm.value, heightCm.value - airCm.value)));
const plantCm = computed(() => Math.max(0, oilCm.value - overCm.value));
const oilY = computed(() => inner.value.bottom - oilCm.value * perCm.value);
const plantY = computed(() => inner.value.bottom - plantCm.value * perCm.value);
const clip = computed(() => (props.small ? 'steep-small' : 'steep-large'));
const words = computed(() =>
    known.value
        ? `${props.name}: plant to ${num(plantCm.value, 1)} cm, oil ${num(overCm.value, 1)} cm above it, ${num(airCm.value, 1)} cm of air.`
        : `${props.name}: the jar's measures are not known.`,
);
</script>

<template>
    <svg :width="W" :height="H" :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="words">
        <rect :x="W * 0.1" y="1" :width="W * 0.8" :height="small ? 6 : 20" :rx="small ? 1.5 : 4" fill="var(--ink)" />
        <defs>
            <clipPath :id="clip">
                <rect x="2" :y="inner.top" :width="W - 4" :height="inner.bottom - inner.top" :rx="small ? 4 : 12" />
            </clipPath>
        </defs>
        <path
            :d="`M${W * 0.16} ${inner.top} V${small ? 6 : 20} H${W * 0.84} V${inner.top}`"
            fill="none"
            stroke="var(--glass)"
            :stroke-width="small ? 1.5 : 2.5"
        />
        <g :clip-path="`url(#${clip})`">
            <rect x="2" :y="inner.top" :width="W - 4" :height="inner.bottom - inner.top" fill="var(--raised)" />
            <template v-if="known">
                <rect
                    x="2"
                    :y="oilY"
                    :width="W - 4"
                    :height="inner.bottom - oilY"
                    fill="url(#matter-liquid)"
                    class="transition-all duration-150"
                />
                <rect
                    x="2"
                    :y="plantY"
                    :width="W - 4"
                    :height="inner.bottom - plantY"
                    fill="url(#matter-plant)"
                    class="transition-all duration-150"
                />
                <line x1="2" :x2="W - 2" :y1="oilY" :y2="oilY" stroke="var(--matter-line)" :stroke-width="small ? 1 : 2" />
            </template>
        </g>
        <text v-if="!known && !small" :x="W / 2" :y="H / 2" text-anchor="middle" font-size="13" fill="var(--quiet)">jar not measured</text>
        <rect
            x="2"
            :y="inner.top"
            :width="W - 4"
            :height="inner.bottom - inner.top"
            :rx="small ? 4 : 12"
            fill="none"
            stroke="var(--glass)"
            :stroke-width="small ? 1.5 : 2.5"
        />
        <g
            v-if="known && !small"
            font-size="12.5"
            fill="#241b14"
            font-weight="600"
            stroke="#ffffffb0"
            stroke-width="2.5"
            paint-order="stroke"
        >
            <text x="12" :y="Math.max(inner.top + 14, oilY - 6)" fill="var(--ink)" stroke="none">air {{ num(airCm, 1) }} cm</text>
            <text x="12" :y="oilY + 16">oil {{ num(overCm, 1) }} cm over</text>
            <text x="12" :y="inner.bottom - 12">plant {{ num(plantCm, 1) }} cm</text>
        </g>
    </svg>
</template>
