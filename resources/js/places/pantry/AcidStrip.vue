<script setup lang="ts">
import { computed } from 'vue';
import { num } from '../../ui/words';

/** Fatty acids, or constituents, as a strip whose widths are their shares; most first. */
const props = defineProps<{ parts: Record<string, number>; what: string; thin?: boolean }>();
const PATTERNS = [
    'matter-liquid',
    'matter-soft-fat',
    'matter-hard-fat',
    'matter-wax',
    'matter-active',
    'matter-plant',
    'matter-water',
    'matter-unknown',
];
const sorted = computed(() =>
    Object.entries(props.parts)
        .filter(([, p]) => p > 0)
        .sort((a, b) => b[1] - a[1]),
);
const whole = computed(() =>
    Math.max(
        100,
        sorted.value.reduce((sum, [, p]) => sum + p, 0),
    ),
);
const laid = computed(() => {
    let x = 0;
    return sorted.value.map(([name, percent], i) => {
        const w = (percent / whole.value) * 640;
        const part = { name, percent, x, w, fill: PATTERNS[Math.min(i, PATTERNS.length - 1)] };
        x += w;
        return part;
    });
});
const words = computed(() => `${props.what}: ${sorted.value.map(([n, p]) => `${n} ${num(p)} %`).join(', ')}.`);
</script>

<template>
    <figure>
        <svg :viewBox="`0 0 640 ${thin ? 30 : 46}`" class="w-full max-w-2xl" role="img" :aria-label="words">
            <g v-for="part in laid" :key="part.name">
                <rect
                    :x="part.x"
                    y="0"
                    :width="part.w"
                    :height="thin ? 30 : 46"
                    :fill="`url(#${part.fill})`"
                    stroke="var(--matter-line)"
                    stroke-width=".6"
                />
                <text
                    v-if="part.w > 58 && !thin"
                    :x="part.x + 6"
                    y="19"
                    font-size="12"
                    font-weight="600"
                    fill="#241b14"
                    stroke="#ffffffb0"
                    stroke-width="2.5"
                    paint-order="stroke"
                >
                    {{ part.w > part.name.length * 7 ? part.name : part.name.slice(0, Math.floor(part.w / 7) - 1) + '…' }}
                    <tspan :x="part.x + 6" dy="16">{{ num(part.percent) }} %</tspan>
                </text>
            </g>
        </svg>
        <figcaption class="quiet text-[13px]">{{ sorted.map(([n, p]) => `${n} ${num(p)}`).join(', ') }} %</figcaption>
    </figure>
</template>
