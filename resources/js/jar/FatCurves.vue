<script setup lang="ts">
import { computed } from 'vue';
import { num } from '../ui/words';

/** Per cent solid against temperature, laid over each other: up to four, told apart by dash and by name. */
const props = defineProps<{ series: { name: string; solids: Record<string, number> | null }[]; what: string }>();
const W = 460;
const H = 150;
const TEMPS = ['10', '20', '25', '30', '35', '40'];
const DASHES = ['', '8 4', '2 4', '10 3 2 3'];
const x = (t: number): number => 34 + ((t - 10) / 30) * (W - 44);
const y = (s: number): number => 8 + (1 - Math.min(100, s) / 100) * (H - 34);
const curves = computed(() =>
    props.series
        .map((i, n) => ({ name: i.name, fat: i.solids, dash: DASHES[n] ?? '' }))
        .filter((c) => c.fat && Object.values(c.fat).some((v) => v > 0)),
);
const words = computed(() =>
    curves.value.map((c) => `${c.name}: ${TEMPS.map((t) => `${num(c.fat?.[t] ?? 0)} % at ${t} °C`).join(', ')}.`).join(' '),
);
</script>

<template>
    <figure v-if="curves.length > 0">
        <svg :viewBox="`0 0 ${W} ${H}`" class="w-full max-w-xl" role="img" :aria-label="`${what}. ${words}`">
            <g v-for="s in [0, 50, 100]" :key="s">
                <line :x1="34" :x2="W - 10" :y1="y(s)" :y2="y(s)" stroke="var(--rule)" />
                <text :x="28" :y="y(s) + 4" text-anchor="end" font-size="11" fill="var(--quiet)">{{ s }}</text>
            </g>
            <g
                v-for="[t, name] in [
                    [12, 'cold room'],
                    [21, 'room'],
                    [32, 'hot day'],
                    [34.5, 'skin'],
                ] as const"
                :key="name"
            >
                <line :x1="x(t)" :x2="x(t)" :y1="8" :y2="H - 26" stroke="var(--quiet)" stroke-dasharray="2 3" />
                <text :x="x(t)" :y="H - 12" :text-anchor="name === 'hot day' ? 'end' : 'start'" font-size="11" fill="var(--quiet)">
                    {{ name }} {{ t }}°
                </text>
            </g>
            <g v-for="c in curves" :key="c.name">
                <polyline
                    :points="TEMPS.map((t) => `${x(Number(t))},${y(c.fat?.[t] ?? 0)}`).join(' ')"
                    fill="none"
                    stroke="var(--lead)"
                    stroke-width="2.5"
                    stroke-linejoin="round"
                    :stroke-dasharray="c.dash"
                />
                <template v-if="!c.dash">
                    <circle v-for="t in TEMPS" :key="t" :cx="x(Number(t))" :cy="y(c.fat?.[t] ?? 0)" r="3" fill="var(--lead)" />
                </template>
            </g>
        </svg>
        <figcaption v-if="curves.length > 1" class="flex flex-wrap gap-x-4 text-[13px]">
            <span v-for="c in curves" :key="c.name" class="inline-flex items-center gap-1.5">
                <svg width="30" height="6" aria-hidden="true">
                    <line x1="0" x2="30" y1="3" y2="3" stroke="var(--lead)" stroke-width="2.5" :stroke-dasharray="c.dash" />
                </svg>
                {{ c.name }}
            </span>
        </figcaption>
    </figure>
</template>
