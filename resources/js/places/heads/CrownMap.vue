<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Schemas } from '../../api/client';
import { keysOf } from '../../ui/events';
import { SCALPS, shortDate, ZONES } from '../../ui/words';

/** The scalp from above, the face at the top, in zones. A zone is chosen and then marked; the days below turn it back. */
const props = defineProps<{ head: Schemas['Head']; today: string }>();
type Zone = Schemas['HeadMark']['zone'];
type State = Schemas['HeadMark']['state'];
const emit = defineEmits<{ mark: [zone: Zone, state: State]; unmark: [id: number] }>();

/** Each zone as an outline on a crown of 300 by 340, and where its words stand. */
const SHAPES: Record<Zone, { d: string; x: number; y: number }> = {
    hairline: { d: 'M88 58Q150 10 212 58L196 92Q150 62 104 92Z', x: 150, y: 56 },
    'temple-left': { d: 'M88 58L104 92L98 132L42 118Q52 82 88 58Z', x: 71, y: 100 },
    'temple-right': { d: 'M212 58L196 92L202 132L258 118Q248 82 212 58Z', x: 229, y: 100 },
    top: { d: 'M104 92Q150 62 196 92L206 160Q150 146 94 160Z', x: 150, y: 122 },
    'side-left': { d: 'M42 118L98 132L94 160L92 232L50 246Q22 180 42 118Z', x: 62, y: 190 },
    'side-right': { d: 'M258 118L202 132L206 160L208 232L250 246Q278 180 258 118Z', x: 238, y: 190 },
    crown: { d: 'M94 160Q150 146 206 160L208 232Q150 246 92 232Z', x: 150, y: 198 },
    back: { d: 'M92 232Q150 246 208 232L250 246Q236 282 206 300Q150 286 94 300Q64 282 50 246Z', x: 150, y: 270 },
    nape: { d: 'M94 300Q150 286 206 300Q178 326 150 326Q122 326 94 300Z', x: 150, y: 312 },
};
const ALL = keysOf(SHAPES);
const STATES: State[] = ['calm', 'dry', 'oily', 'flaking', 'itchy', 'thinning', 'alarming', 'not-known'];
const chosen = ref<Zone | ''>('');
const day = ref(props.today);

const days = computed(() => [...new Set(props.head.marks.map((m) => m.on))].filter((d) => d < props.today));
/** What was marked last up to the chosen day: the marks come in order. */
const shown = computed(() => {
    const at: Partial<Record<Zone, State>> = {};
    for (const m of props.head.marks) if (m.on <= day.value) at[m.zone] = m.state;
    return at;
});
const words = computed(() => ALL.map((z) => `${ZONES[z]} ${SCALPS[shown.value[z] ?? 'not-known']}`).join(', '));
const history = computed(() => props.head.marks.filter((m) => m.zone === chosen.value).reverse());
function set(state: State): void {
    if (chosen.value === '') return;
    emit('mark', chosen.value, state);
    day.value = props.today;
}
</script>

<template>
    <div>
        <svg viewBox="0 0 300 340" class="w-full max-w-[19rem]" role="group" :aria-label="`The scalp from above: ${words}.`">
            <defs>
                <pattern id="scalp-dry" width="9" height="9" patternUnits="userSpaceOnUse">
                    <rect width="9" height="9" fill="var(--raised)" />
                    <path d="M0 9l9-9" stroke="var(--matter-line)" stroke-width=".8" opacity=".5" />
                </pattern>
                <pattern id="scalp-oily" width="14" height="8" patternUnits="userSpaceOnUse">
                    <rect width="14" height="8" fill="var(--matter-liquid)" />
                    <path d="M0 4q3.5-3 7 0t7 0" fill="none" stroke="var(--matter-line)" stroke-width=".5" opacity=".4" />
                </pattern>
                <pattern id="scalp-flaking" width="10" height="10" patternUnits="userSpaceOnUse">
                    <rect width="10" height="10" fill="var(--matter-soft-fat)" />
                    <rect x="2" y="2" width="3" height="2" fill="var(--matter-line)" opacity=".55" />
                    <rect x="6" y="7" width="3" height="2" fill="var(--matter-line)" opacity=".55" />
                </pattern>
                <pattern id="scalp-itchy" width="8" height="8" patternUnits="userSpaceOnUse">
                    <rect width="8" height="8" fill="var(--matter-active)" />
                    <path d="M1 2l2 2M5 5l2 2" stroke="var(--matter-line)" stroke-width=".9" opacity=".6" />
                </pattern>
                <pattern id="scalp-thinning" width="12" height="12" patternUnits="userSpaceOnUse">
                    <rect width="12" height="12" fill="var(--matter-hard-fat)" />
                    <circle cx="3" cy="3" r="1" fill="var(--matter-line)" opacity=".6" />
                    <circle cx="9" cy="9" r="1" fill="var(--matter-line)" opacity=".6" />
                </pattern>
                <pattern id="scalp-alarming" width="8" height="8" patternUnits="userSpaceOnUse">
                    <rect width="8" height="8" fill="var(--stop-wash)" />
                    <path d="M0 0l8 8M8 0L0 8" stroke="var(--stop)" stroke-width="1.4" />
                </pattern>
                <pattern id="scalp-calm" width="10" height="10" patternUnits="userSpaceOnUse">
                    <rect width="10" height="10" fill="var(--matter-plant)" />
                </pattern>
            </defs>
            <path d="M138 18L150 4L162 18" fill="none" stroke="var(--quiet)" stroke-width="1.5" />
            <g
                v-for="(shape, zone) in SHAPES"
                :key="zone"
                role="button"
                tabindex="0"
                :aria-pressed="chosen === zone"
                :aria-label="`${ZONES[zone]}: ${SCALPS[shown[zone] ?? 'not-known']}`"
                class="cursor-pointer"
                @click="chosen = zone"
                @keydown.enter.prevent="chosen = zone"
                @keydown.space.prevent="chosen = zone"
            >
                <path
                    :d="shape.d"
                    :fill="shown[zone] && shown[zone] !== 'not-known' ? `url(#scalp-${shown[zone]})` : 'var(--raised)'"
                    :stroke="chosen === zone ? 'var(--lead)' : 'var(--glass)'"
                    :stroke-width="chosen === zone ? 3.5 : 1.2"
                    stroke-linejoin="round"
                />
                <text
                    v-if="shown[zone] && shown[zone] !== 'not-known'"
                    :x="shape.x"
                    :y="shape.y + 4"
                    text-anchor="middle"
                    font-size="11.5"
                    font-weight="600"
                    :fill="shown[zone] === 'dry' || shown[zone] === 'alarming' ? 'var(--ink)' : '#241b14'"
                    :stroke="shown[zone] === 'dry' || shown[zone] === 'alarming' ? 'var(--raised)' : '#ffffffb0'"
                    stroke-width="2.5"
                    paint-order="stroke"
                >
                    {{ shown[zone] === 'thinning' ? 'thinner' : shown[zone] === 'alarming' ? 'see clinician' : shown[zone] }}
                </text>
            </g>
        </svg>
        <p v-if="days.length > 0" class="flex flex-wrap gap-x-1 text-[13px]">
            <button
                v-for="d in [...days, today]"
                :key="d"
                type="button"
                class="act-quiet !min-h-0 !px-1.5"
                :class="d === day ? 'font-bold !no-underline' : ''"
                :aria-pressed="d === day"
                @click="day = d"
            >
                {{ d === today ? 'now' : shortDate(d) }}
            </button>
        </p>
        <div v-if="chosen" class="mt-2">
            <p class="font-semibold">{{ ZONES[chosen] }} today</p>
            <div class="mt-1 flex flex-wrap gap-1.5" role="group" :aria-label="`State of the ${ZONES[chosen]}`">
                <button
                    v-for="state in STATES"
                    :key="state"
                    type="button"
                    class="border-rule min-h-8 rounded border px-2 text-[13px]"
                    :class="shown[chosen] === state ? 'bg-lead text-on-lead' : ''"
                    :aria-pressed="shown[chosen] === state"
                    @click="set(state)"
                >
                    {{ SCALPS[state] }}
                </button>
            </div>
            <ul v-if="history.length > 0" class="mt-2 text-[13px]">
                <li v-for="m in history" :key="m.id">
                    {{ shortDate(m.on) }}: {{ SCALPS[m.state] }}
                    <button type="button" class="act-quiet !min-h-0 !py-0 text-[13px]" @click="emit('unmark', m.id)">take back</button>
                </li>
            </ul>
        </div>
        <p v-else class="quiet mt-1 text-[13px]">Choose a zone to mark how it is today.</p>
    </div>
</template>
