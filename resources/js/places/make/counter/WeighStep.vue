<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import type { Schemas } from '../../../api/client';
import type { Act } from '../../../queries/counter';
import { written } from '../../../ui/events';
import FormProblem from '../../../ui/FormProblem.vue';
import { fixed, num, sayDate } from '../../../ui/words';
import OverPourPanel from './OverPourPanel.vue';

/** One line: how much, and what the scale shows. What is not near enough is talked over before it is written down. */
const props = defineProps<{ batch: Schemas['Batch']; line: Schemas['Weighing']; errors: Record<string, string[]>; away: boolean }>();
const emit = defineEmits<{ act: [act: Act, settles: boolean] }>();
type Put = Pick<Schemas['WeighAsk'], 'grams' | 'how' | 'drops' | 'rebalance'>;
const shown = ref('');
const byScale = ref(props.line.how === 'weighed');
const input = ref<HTMLInputElement | null>(null);
const missing = ref('');
/** What the scale showed, while it is talked over. */
const off = ref<number | null>(null);
/** The bottle that is taken instead of the one to be used first. */
const chosen = ref<number | null>(null);
const choosing = ref(false);
function choose(lot: number): void {
    chosen.value = lot;
    choosing.value = false;
}
/** The first of hers, then what comes after it; the rest may be taken from as well. */
const bottles = computed(() => {
    const all = [...props.line.bottles, ...props.line.other_bottles];
    const mine = all.find((b) => b.lot === chosen.value);
    return mine ? [mine] : props.line.bottles;
});
const others = computed(() =>
    [...props.line.bottles, ...props.line.other_bottles].filter((b) => !bottles.value.some((t) => t.lot === b.lot)),
);
/** A line written in drops is counted, unless the maker would rather weigh it. */
const counts = computed(() => props.line.target_drops !== null && !byScale.value);
const said = computed(() => (missing.value ? { grams: [missing.value] } : props.errors));

function fill(): void {
    const w = props.line;
    shown.value = String((w.how === 'counted' ? w.actual_drops : w.how === 'weighed' ? w.actual_grams : null) ?? '');
    off.value = null;
    missing.value = '';
    chosen.value = w.lot;
    choosing.value = false;
    void nextTick(() => input.value?.focus());
}
onMounted(fill);
watch(() => props.line.line, fill);
/** What is typed anew is not what was talked over. */
function typed(): void {
    off.value = null;
    missing.value = '';
}

/** "from the mill, in the Fridge, to be used by 3 March; 180 g in it" */
function sayBottle(b: Schemas['NextBottle']): string {
    const where = [
        b.supplier ? `from ${b.supplier}` : '',
        b.batch_number ? `number ${b.batch_number}` : '',
        b.place ? `in ${b.place}` : '',
        b.use_by ? `to be used by ${sayDate(b.use_by)}` : '',
    ];
    return `${where.filter(Boolean).join(', ')}${b.left_grams === null ? '' : `; ${num(b.left_grams)} g in it`}`;
}
const put = (what: Put): void =>
    emit(
        'act',
        { kind: 'weigh', saw: props.line.actual_grams, body: { line: props.line.line, gathered: true, lot: chosen.value, ...what } },
        true,
    );
function enter(): void {
    const figure = written(String(shown.value));
    if (figure === null || !Number.isFinite(figure)) {
        missing.value = counts.value ? 'Enter how many drops fell.' : 'Enter what the scale shows, in grams.';
        return;
    }
    if (counts.value) return put({ grams: null, how: 'counted', drops: figure });
    // Without a network nobody can tell what it would do: it is kept as it was weighed.
    const near = figure >= props.line.near.low && figure <= props.line.near.high;
    if (near || figure <= 0 || props.away) return put({ grams: figure, how: 'weighed' });
    off.value = figure;
}
</script>

<template>
    <p class="quiet">{{ line.phase_label }}</p>
    <h2 class="counter-head">{{ line.more_grams ? `Add more ${line.name}` : line.name }}</h2>
    <template v-if="counts">
        <p class="mt-2 leading-none">
            <span class="counter-figure">{{ line.target_drops }}</span>
            <span class="unit text-[32px]">{{ line.target_drops === 1 ? ' drop' : ' drops' }}</span>
        </p>
        <p class="quiet">about {{ num(line.target_grams) }} g, {{ num(line.drop_grams ?? 0) }} g a drop</p>
    </template>
    <template v-else>
        <p class="mt-2 leading-none">
            <span class="counter-figure">{{ fixed(line.target_grams, line.target_grams < 10 ? 2 : 1) }}</span>
            <span class="unit text-[32px]">g</span>
        </p>
        <p class="quiet">
            within {{ num(line.tolerance_grams) }} g
            <strong v-if="line.more_grams" class="text-ink">
                {{ `; ${num(line.actual_grams ?? 0)} g are in: add ${num(line.more_grams)} g, then enter the whole` }}
            </strong>
        </p>
    </template>
    <ul v-if="bottles.length > 0" class="text-[15px]" aria-label="From which bottle">
        <li v-for="(bottle, n) in bottles" :key="bottle.lot">
            {{ n === 0 ? 'From the bottle' : `then ${num(bottle.grams)} g from the one` }}
            {{ sayBottle(bottle) }}
        </li>
    </ul>
    <div v-if="others.length > 0" class="mt-3">
        <button type="button" class="counter-quiet" :aria-expanded="choosing" @click="choosing = !choosing">From another bottle</button>
        <ul v-if="choosing" class="mt-3 grid gap-3" aria-label="Other bottles">
            <li v-for="bottle in others" :key="bottle.lot">
                <button type="button" class="counter-quiet text-left" @click="choose(bottle.lot)">
                    <span class="inline-block first-letter:uppercase">{{ sayBottle(bottle) }}</span>
                </button>
            </li>
        </ul>
    </div>
    <FormProblem :errors="said" field="lot" />
    <form class="mt-4" @submit.prevent="enter">
        <label>
            <span class="label">{{ counts ? 'Drops that fell' : 'The scale shows, grams' }}</span>
            <input
                ref="input"
                v-model="shown"
                inputmode="decimal"
                autocomplete="off"
                maxlength="12"
                class="field !min-h-20 !w-64 !text-[44px] font-bold"
                :aria-invalid="!!said['grams']"
                @input="typed"
            />
        </label>
        <slot name="scale" :take="(grams: string) => ((shown = grams), enter())" :counts="counts" />
        <FormProblem v-for="field in ['grams', 'drops', 'how', 'rebalance']" :key="field" :errors="said" :field="field" />
        <OverPourPanel
            v-if="off !== null"
            :batch="batch.id"
            :line="line"
            :grams="off"
            @accept="put({ grams: off, how: 'weighed' })"
            @follow="put({ grams: off, how: 'weighed', rebalance: true })"
            @again="fill"
        />
        <template v-else>
            <p v-if="line.how === 'left-out'" class="said-caution mt-2 font-semibold">Left out.</p>
            <p v-else-if="line.how === 'too-little'" class="mt-2">
                In it, too little for the scale: {{ num(line.target_grams) }} g counts, as uncertain as the scale is.
            </p>
            <p v-else-if="line.within === false && line.how === 'counted'" class="said-caution mt-2 font-semibold">
                {{ line.actual_drops }} drops instead of {{ line.target_drops }}. The record keeps what went in.
            </p>
            <p v-else-if="line.within === false && !line.more_grams" class="said-caution mt-2 font-semibold">
                {{ num(Math.abs((line.actual_grams ?? 0) - line.target_grams)) }} g
                {{ (line.actual_grams ?? 0) > line.target_grams ? 'over' : 'under' }}. The record keeps what was truly weighed and works the
                shares out anew.
            </p>
            <div class="mt-4 flex flex-wrap gap-3">
                <button class="counter-act">{{ counts ? 'Counted' : 'Weighed' }}</button>
                <button
                    v-if="line.too_little && !counts"
                    type="button"
                    class="counter-quiet"
                    @click="put({ grams: null, how: 'too-little' })"
                >
                    In it, too little to show
                </button>
                <button v-if="line.target_drops !== null" type="button" class="counter-quiet" @click="byScale = !byScale">
                    {{ byScale ? 'Count drops' : 'Weigh it instead' }}
                </button>
                <button type="button" class="counter-quiet" @click="put({ grams: null, how: 'left-out' })">Left it out</button>
            </div>
        </template>
    </form>
</template>
