<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../api/client';
import { num } from '../ui/words';

/** How it stands from 10 to 40 °C: the curve of effective solids with its band, over the classes of texture. */
const props = defineProps<{ assessment: Schemas['Assessment'] }>();

const W = 1000;
const H = 104;
const LEFT = 92;
const TOP = 6;
const BASE = 84;
const TEMPS = ['10', '20', '25', '30', '35', '40'] as const;
const CLASSES: [number, string][] = [
    [0, 'liquid'],
    [2, 'pourable'],
    [8, 'soft salve'],
    [18, 'butter'],
    [32, 'firm balm'],
    [50, 'stick'],
    [70, 'bar'],
];
const PLACES: [number, string][] = [
    [12, 'cold room'],
    [21, 'room'],
    [32, 'hot day'],
    [34.5, 'skin'],
];

/** Classes are given equal room, so that the soft ones, where the decisions are, can be told apart. */
function y(solids: number): number {
    const s = Math.max(0, Math.min(100, solids));
    const i = CLASSES.findLastIndex(([from]) => s >= from);
    const from = CLASSES[i]?.[0] ?? 0;
    const to = CLASSES[i + 1]?.[0] ?? 100;
    const step = (BASE - TOP) / CLASSES.length;
    return BASE - step * (i + (s - from) / (to - from));
}
function x(celsius: number): number {
    return LEFT + ((celsius - 10) / 30) * (W - LEFT - 8);
}

const line = computed(() => TEMPS.map((t) => `${x(Number(t))},${y(props.assessment.solids[t])}`).join(' '));
const area = computed(() => {
    const up = TEMPS.map((t) => `${x(Number(t))},${y(props.assessment.solids_band[t].high)}`);
    const down = [...TEMPS].reverse().map((t) => `${x(Number(t))},${y(props.assessment.solids_band[t].low)}`);
    return [...up, ...down].join(' ');
});
const words = computed(() =>
    props.assessment.texture_known
        ? `At 25 °C ${props.assessment.texture_label}, effective solids ${num(props.assessment.solids['25'])} %, estimated.`
        : 'Cannot tell the texture yet.',
);
</script>

<template>
    <figure>
        <figcaption class="mb-1 flex flex-wrap items-baseline gap-x-3">
            <h2>Texture</h2>
            <span>{{ words }}</span>
            <span v-if="assessment.texture_known && assessment.solids['10'] >= 8" class="quiet">
                {{ assessment.pours_from_c === null ? 'Still stands at 40 °C.' : `Pours from about ${num(assessment.pours_from_c)} °C.` }}
            </span>
        </figcaption>
        <svg v-if="assessment.texture_known" :viewBox="`0 0 ${W} ${H}`" class="w-full" role="img" :aria-label="words">
            <g v-for="([from, name], i) in CLASSES" :key="name">
                <rect
                    :x="LEFT"
                    :y="y(from) - (BASE - TOP) / CLASSES.length"
                    :width="W - LEFT - 8"
                    :height="(BASE - TOP) / CLASSES.length"
                    fill="var(--ink)"
                    :opacity="i % 2 ? 0.05 : 0.015"
                />
                <text :x="LEFT - 8" :y="y(from) - 2.6" text-anchor="end" font-size="11.5" fill="var(--quiet)">{{ name }}</text>
            </g>
            <g v-for="[celsius, name] in PLACES" :key="name">
                <line :x1="x(celsius)" :x2="x(celsius)" :y1="TOP" :y2="BASE" stroke="var(--quiet)" stroke-dasharray="2 3" />
                <text :x="x(celsius)" :y="H - 2" :text-anchor="name === 'hot day' ? 'end' : 'start'" font-size="11.5" fill="var(--quiet)">
                    {{ name }} {{ num(celsius) }}°
                </text>
            </g>
            <polygon :points="area" fill="var(--lead)" opacity=".16" />
            <polyline
                :points="line"
                fill="none"
                stroke="var(--lead)"
                stroke-width="2.5"
                stroke-linejoin="round"
                class="transition-all duration-150"
            />
            <circle v-for="t in TEMPS" :key="t" :cx="x(Number(t))" :cy="y(assessment.solids[t])" r="3" fill="var(--lead)" />
        </svg>
    </figure>
</template>
