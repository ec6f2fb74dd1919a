<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import type { Schemas } from '../../../api/client';
import type { Act } from '../../../queries/counter';
import { written } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import { fixed, num } from '../../../ui/words';
import BottleChoice from './BottleChoice.vue';
import HowItWent from './HowItWent.vue';
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
/** A line written in drops is counted, unless the maker would rather weigh it. */
const counts = computed(() => props.line.target_drops !== null && !byScale.value);
/** Whatever is wrong with what was entered stands at the one field there is. */
const wrong = computed(() => {
    if (missing.value) return [missing.value];
    return props.errors['grams'] ?? props.errors['drops'] ?? props.errors['how'] ?? props.errors['rebalance'];
});

function fill(): void {
    const w = props.line;
    shown.value = String((w.how === 'counted' ? w.actual_drops : w.how === 'weighed' ? w.actual_grams : null) ?? '');
    off.value = null;
    missing.value = '';
    chosen.value = w.lot;
    void nextTick(() => input.value?.focus());
}
onMounted(fill);
watch(() => props.line.line, fill);
/** What is typed anew is not what was talked over. */
function typed(): void {
    off.value = null;
    missing.value = '';
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
    <BottleChoice v-model="chosen" :line="line" :problem="errors['lot']" />
    <form class="mt-4" @submit.prevent="enter">
        <FormField v-slot="{ field }" :label="counts ? 'Drops that fell' : 'The scale shows, grams'" :problem="wrong">
            <input
                ref="input"
                v-model="shown"
                v-bind="field"
                inputmode="decimal"
                autocomplete="off"
                maxlength="12"
                class="field !min-h-20 !w-64 !text-[44px] font-bold"
                @input="typed"
            />
        </FormField>
        <slot name="scale" :take="(grams: string) => ((shown = grams), enter())" :counts="counts" />
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
            <HowItWent :line="line" />
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
                <button type="button" class="counter-quiet" @click="put({ grams: null, how: 'left-out' })">I left it out</button>
            </div>
        </template>
    </form>
</template>
