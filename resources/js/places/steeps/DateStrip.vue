<script setup lang="ts">
import { computed, ref } from 'vue';
import { daysFromToday, sayDate, shortDate, todayDate } from '../../ui/words';

/**
 * The steep along time. The left end is drawn to begin on another day, the right end to stand longer or shorter; by arrow
 * keys too. A heated way has only its day.
 */
const props = defineProps<{
    start: string;
    stopShaking: string;
    strain: string;
    ready: string;
    bestBefore: string;
    range: number[];
    wanted: string;
}>();
const emit = defineEmits<{ start: [date: string]; days: [days: number] }>();

const W = 900;
const PAD = 26;
const today = todayDate();
const svg = ref<SVGSVGElement | null>(null);
const d = (date: string): number => daysFromToday(date, today);
/** While an end is held the scale stays as it was, so that the hand and the day move together. */
const held = ref<{ from: number; to: number } | null>(null);
const span = computed(
    () =>
        held.value ?? {
            from: Math.min(-3, d(props.start) - 4),
            to: Math.max(d(props.ready) + 10, props.wanted ? d(props.wanted) + 4 : 0, 24),
        },
);
const x = (day: number): number => PAD + ((day - span.value.from) / (span.value.to - span.value.from)) * (W - 2 * PAD);
const fixed = computed(() => (props.range[0] ?? 1) === (props.range[1] ?? 1));
function addDays(date: string, n: number): string {
    const at = new Date(`${date}T00:00:00Z`);
    at.setUTCDate(at.getUTCDate() + n);
    return at.toISOString().slice(0, 10);
}
function shift(end: 'start' | 'strain', by: number): void {
    if (end === 'start') emit('start', addDays(props.start, by));
    else {
        const days = d(props.strain) - d(props.start) + by;
        emit('days', Math.max(props.range[0] ?? 1, Math.min(props.range[1] ?? 1, days)));
    }
}
function key(end: 'start' | 'strain', event: KeyboardEvent): void {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 7, PageDown: -7 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    shift(end, by);
}
function grab(end: 'start' | 'strain', event: PointerEvent): void {
    const box = svg.value?.getBoundingClientRect();
    if (!box) return;
    held.value = { ...span.value };
    const target = event.currentTarget;
    if (!(target instanceof SVGElement)) return;
    target.setPointerCapture(event.pointerId);
    const move = (e: PointerEvent): void => {
        const at = ((e.clientX - box.left) / box.width) * W;
        const day = Math.round(span.value.from + ((at - PAD) / (W - 2 * PAD)) * (span.value.to - span.value.from));
        const now = end === 'start' ? d(props.start) : d(props.strain);
        if (day !== now) shift(end, day - now);
    };
    const up = (): void => {
        target.removeEventListener('pointermove', move);
        held.value = null;
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', up, { once: true });
    target.addEventListener('pointercancel', up, { once: true });
}
const points = computed(() =>
    [
        { at: props.stopShaking, words: 'stop shaking' },
        { at: props.ready, words: 'ready' },
    ].filter((p) => p.at !== props.start && p.at !== props.strain),
);
</script>

<template>
    <figure>
        <svg
            ref="svg"
            :viewBox="`0 0 ${W} 92`"
            class="w-full touch-none"
            role="group"
            :aria-label="`From ${sayDate(start)} to ${sayDate(ready)}`"
        >
            <line :x1="PAD" :x2="W - PAD" y1="46" y2="46" stroke="var(--rule)" stroke-width="2" />
            <rect
                :x="x(d(start))"
                :width="Math.max(3, x(d(strain)) - x(d(start)))"
                y="36"
                height="20"
                rx="4"
                fill="url(#matter-plant)"
                stroke="var(--matter-line)"
                stroke-width=".8"
            />
            <rect
                :x="x(d(strain))"
                :width="Math.max(0, x(d(ready)) - x(d(strain)))"
                y="36"
                height="20"
                fill="url(#matter-liquid)"
                stroke="var(--matter-line)"
                stroke-width=".8"
            />
            <g>
                <line :x1="x(0)" :x2="x(0)" y1="24" y2="66" stroke="var(--ink)" stroke-width="1.5" />
                <text :x="x(0)" y="18" text-anchor="middle" font-size="12" fill="var(--ink)">today</text>
            </g>
            <g v-if="wanted">
                <line :x1="x(d(wanted))" :x2="x(d(wanted))" y1="24" y2="66" stroke="var(--lead)" stroke-width="2" stroke-dasharray="4 3" />
                <text :x="x(d(wanted))" y="88" text-anchor="middle" font-size="12" fill="var(--lead)">wanted</text>
            </g>
            <g v-for="p in points" :key="p.words">
                <line :x1="x(d(p.at))" :x2="x(d(p.at))" y1="30" y2="62" stroke="var(--quiet)" />
                <text
                    :x="x(d(p.at))"
                    :y="p.words === 'ready' ? 76 : 26"
                    :text-anchor="p.words === 'ready' ? 'start' : 'end'"
                    font-size="12"
                    fill="var(--quiet)"
                >
                    {{ p.words }} {{ shortDate(p.at) }}
                </text>
            </g>
            <g
                v-for="end in fixed ? (['start'] as const) : (['start', 'strain'] as const)"
                :key="end"
                role="slider"
                tabindex="0"
                :aria-label="end === 'start' ? 'Day it begins' : 'Day it is strained'"
                :aria-valuenow="d(end === 'start' ? start : strain)"
                :aria-valuetext="sayDate(end === 'start' ? start : strain)"
                class="cursor-ew-resize"
                @keydown="key(end, $event)"
                @pointerdown="grab(end, $event)"
            >
                <rect :x="x(d(end === 'start' ? start : strain)) - 7" y="28" width="14" height="36" rx="4" fill="var(--lead)" />
                <text
                    :x="x(d(end === 'start' ? start : strain))"
                    :y="end === 'start' ? 80 : 18"
                    :text-anchor="end === 'start' ? 'middle' : 'start'"
                    font-size="12"
                    font-weight="600"
                    fill="var(--ink)"
                >
                    {{ end === 'start' ? 'begin' : 'strain' }} {{ shortDate(end === 'start' ? start : strain) }}
                </text>
            </g>
        </svg>
        <figcaption class="quiet text-[13px]">
            Strain {{ sayDate(strain) }}, ready {{ sayDate(ready)
            }}{{
                bestBefore
                    ? `, best before ${sayDate(bestBefore)}`
                    : '. Water comes in: it has no date before it is strained and shown dry'
            }}.
            {{ fixed ? 'Drag the left end to another day.' : 'Drag either end, or use the arrow keys.' }}
        </figcaption>
    </figure>
</template>
