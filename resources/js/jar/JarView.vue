<script setup lang="ts">
import { computed, toRef, watch } from 'vue';
import { fixed } from '../ui/words';
import { useEdge, type Moved } from './useEdge';

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
        /** What it would be: drawn in the right half, beside what it is. */
        then?: JarBand[] | null;
        /** Ids of the bands whose edges may be moved. */
        movable?: string[];
    }>(),
    { fill: 1, height: 380, width: 190, lit: '', small: false, then: null, movable: () => [] },
);
const emit = defineEmits<{ light: [id: string]; move: [moved: Moved] }>();

const lid = computed(() => (props.small ? 7 : 22));
const inner = computed(() => ({
    x: props.small ? 2 : 9,
    top: lid.value + (props.small ? 5 : 20),
    w: props.width - (props.small ? 4 : 18),
    h: props.height - lid.value - (props.small ? 7 : 29),
}));

const { edges, shown, grab, drag, drop, press, settle } = useEdge(
    toRef(props, 'bands'),
    toRef(props, 'movable'),
    computed(() => inner.value.h * Math.min(1, props.fill)),
    (moved) => emit('move', moved),
);
watch(() => props.bands, settle);

function lay(bands: JarBand[]) {
    let y = inner.value.top + inner.value.h;
    return bands
        .filter((b) => b.percent > 0)
        .map((b) => {
            const h = (inner.value.h * Math.min(1, props.fill) * b.percent) / 100;
            y -= h;
            return { ...b, y, h };
        });
}
const laid = computed(() => lay(shown.value));
const laidThen = computed(() => (props.then ? lay(props.then) : []));
const edgeAt = (lower: string): number => laid.value.find((b) => b.id === lower)?.y ?? 0;
/** Screen pixels to one unit of the drawing, where it is shown smaller than drawn. */
function scaleOf(event: PointerEvent): number {
    const svg = event.currentTarget instanceof SVGElement ? event.currentTarget.ownerSVGElement : null;
    return svg ? svg.getBoundingClientRect().height / props.height : 1;
}
const clip = computed(() => `jar-${Math.round(props.width)}-${Math.round(props.height)}-${props.small ? 's' : 'b'}`);
</script>

<template>
    <svg
        :viewBox="`0 0 ${width} ${height}`"
        :width="width"
        :height="height"
        :role="movable.length > 0 ? 'group' : 'img'"
        :aria-label="label"
        class="block max-w-full"
    >
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
        <g v-if="then" :clip-path="`url(#${clip})`">
            <rect :x="inner.x + inner.w / 2" :y="inner.top" :width="inner.w / 2" :height="inner.h" fill="var(--raised)" />
            <rect
                v-for="band in laidThen"
                :key="`then-${band.id}`"
                :x="inner.x + inner.w / 2"
                :y="band.y"
                :width="inner.w / 2"
                :height="band.h"
                :fill="`url(#matter-${band.matter})`"
                stroke="var(--matter-line)"
                stroke-width=".8"
            />
            <line
                :x1="inner.x + inner.w / 2"
                :x2="inner.x + inner.w / 2"
                :y1="inner.top"
                :y2="inner.top + inner.h"
                stroke="var(--ink)"
                stroke-width="2"
                stroke-dasharray="5 4"
            />
            <g font-size="12" font-weight="700" fill="#241b14" stroke="#ffffffd0" stroke-width="3" paint-order="stroke">
                <text :x="inner.x + inner.w / 4" :y="inner.top + 18" text-anchor="middle">now</text>
                <text :x="inner.x + (inner.w * 3) / 4" :y="inner.top + 18" text-anchor="middle">then</text>
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
        <!-- An edge that can be moved: a wide invisible grip over a fine line, worked by hand or by the arrow keys. -->
        <g
            v-for="edge in then ? [] : edges"
            :key="`edge-${edge.lower.id}`"
            class="edge"
            role="slider"
            tabindex="0"
            aria-orientation="vertical"
            :aria-label="`Edge between ${edge.lower.name} and ${edge.upper.name}`"
            aria-valuemin="0"
            aria-valuemax="100"
            :aria-valuenow="edge.lower.percent"
            :aria-valuetext="`${edge.lower.name} ${fixed(edge.lower.percent, 1)} %, ${edge.upper.name} ${fixed(edge.upper.percent, 1)} %`"
            @pointerdown="grab($event, edge.lower, edge.upper)"
            @pointermove="drag($event, edge.lower, edge.upper, scaleOf($event))"
            @pointerup="drop(edge.lower, edge.upper)"
            @pointercancel="settle"
            @keydown="press($event, edge.lower, edge.upper)"
            @focus="emit('light', edge.lower.id)"
            @blur="emit('light', '')"
        >
            <rect :x="inner.x" :y="edgeAt(edge.lower.id) - 6" :width="inner.w" height="12" fill="transparent" />
            <rect
                class="grip"
                :x="inner.x + inner.w / 2 - 13"
                :y="edgeAt(edge.lower.id) - 2.5"
                width="26"
                height="5"
                rx="2.5"
                fill="var(--lead)"
            />
        </g>
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

<style scoped>
.edge {
    cursor: ns-resize;
    touch-action: none;
    outline: none;
}
.grip {
    opacity: 0;
}
.edge:hover .grip,
.edge:focus-visible .grip,
svg:hover .grip {
    opacity: 0.85;
}
.edge:focus-visible .grip {
    opacity: 1;
    stroke: var(--ink);
    stroke-width: 2;
}
</style>
