<script setup lang="ts">
import { computed } from 'vue';
import { fixed } from '../ui/words';

/** A jar cut open: bands from the bottom up, their heights exactly their shares of what is in it. */
export interface JarBand {
    id: string;
    name: string;
    percent: number;
    matter: string;
}

const props = withDefaults(
    defineProps<{
        bands: JarBand[];
        /** Share of the inner height that is filled, 0 to 1. */
        fill?: number;
        height?: number;
        width?: number;
        label: string;
        lit?: string;
        small?: boolean;
    }>(),
    { fill: 1, height: 380, width: 190, lit: '', small: false },
);
const emit = defineEmits<{ light: [id: string] }>();

const lid = computed(() => (props.small ? 7 : 22));
const inner = computed(() => ({
    x: props.small ? 2 : 9,
    top: lid.value + (props.small ? 5 : 20),
    w: props.width - (props.small ? 4 : 18),
    h: props.height - lid.value - (props.small ? 7 : 29),
}));

const laid = computed(() => {
    let y = inner.value.top + inner.value.h;
    return props.bands
        .filter((b) => b.percent > 0)
        .map((b) => {
            const h = (inner.value.h * Math.min(1, props.fill) * b.percent) / 100;
            y -= h;
            return { ...b, y, h };
        });
});
const clip = computed(() => `jar-${Math.round(props.width)}-${Math.round(props.height)}-${props.small ? 's' : 'b'}`);
</script>

<template>
    <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" role="img" :aria-label="label" class="block max-w-full">
        <defs>
            <clipPath :id="clip">
                <rect :x="inner.x" :y="inner.top" :width="inner.w" :height="inner.h" :rx="small ? 4 : 14" />
            </clipPath>
        </defs>
        <g :clip-path="`url(#${clip})`">
            <rect :x="inner.x" :y="inner.top" :width="inner.w" :height="inner.h" fill="var(--raised)" />
            <g v-for="band in laid" :key="band.id" @mouseenter="emit('light', band.id)" @mouseleave="emit('light', '')">
                <rect
                    :x="inner.x"
                    :y="band.y"
                    :width="inner.w"
                    :height="band.h"
                    :fill="`url(#matter-${band.matter})`"
                    :data-band="band.id"
                    class="transition-all duration-150"
                />
                <rect
                    v-if="lit === band.id"
                    :x="inner.x"
                    :y="band.y"
                    :width="inner.w"
                    :height="Math.max(2, band.h)"
                    fill="var(--lead)"
                    opacity=".35"
                />
                <line
                    v-if="!small"
                    :x1="inner.x"
                    :x2="inner.x + inner.w"
                    :y1="band.y"
                    :y2="band.y"
                    stroke="var(--matter-line)"
                    stroke-width=".8"
                    opacity=".7"
                />
                <text
                    v-if="!small && band.name !== '' && band.h >= 17"
                    :x="inner.x + 10"
                    :y="band.y + band.h / 2 + 4.5"
                    font-size="12.5"
                    font-weight="600"
                    fill="#241b14"
                    stroke="#ffffffb0"
                    stroke-width="2.5"
                    paint-order="stroke"
                >
                    {{ band.name.length > 17 ? band.name.slice(0, 16) + '…' : band.name }}
                    <tspan :x="inner.x + inner.w - 9" text-anchor="end">{{ fixed(band.percent, 1) }}</tspan>
                </text>
            </g>
        </g>
        <!-- Glass with straight sides, so that height is volume; a screw lid in section. -->
        <rect
            :x="inner.x"
            :y="inner.top"
            :width="inner.w"
            :height="inner.h"
            :rx="small ? 4 : 14"
            fill="none"
            stroke="var(--glass)"
            :stroke-width="small ? 1.2 : 2.5"
        />
        <path
            :d="`M${width * 0.13} ${inner.top} V${lid} H${width * 0.87} V${inner.top}`"
            fill="none"
            stroke="var(--glass)"
            :stroke-width="small ? 1.2 : 2.5"
        />
        <rect :x="width * 0.07" :y="1" :width="width * 0.86" :height="lid" :rx="small ? 1.5 : 4" fill="var(--ink)" />
        <g v-if="!small" stroke="var(--ground)" stroke-width="1" opacity=".35">
            <line
                v-for="n in 16"
                :key="n"
                :x1="width * 0.07 + n * ((width * 0.86) / 17)"
                :x2="width * 0.07 + n * ((width * 0.86) / 17)"
                y1="6"
                :y2="lid - 3"
            />
        </g>
    </svg>
</template>
