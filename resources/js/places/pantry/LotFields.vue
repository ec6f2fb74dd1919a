<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive, watch } from 'vue';
import type { Schemas } from '../../api/client';
import { kitQuery } from '../../queries/kit';
import { written } from '../../ui/events';
import FormField from '../../ui/FormField.vue';
import { useSession } from '../../ui/session';
import { num, todayDate } from '../../ui/words';

/** What the bottle says of itself: dates, price, where from, where it stands. */
const props = defineProps<{ lot: Schemas['LotPage']; errors: Record<string, string[]> }>();
const emit = defineEmits<{ change: [said: Schemas['LotChange']] }>();
const { data: kit } = useQuery(kitQuery());
const text = (value: number | null): string => (value === null ? '' : String(value));
const of = (lot: Schemas['LotPage']) => ({
    bought_on: lot.bought_on ?? '',
    printed_on: lot.printed_on ?? '',
    opened_on: lot.opened_on ?? '',
    opened_months: text(lot.opened_months),
    cost: text(lot.cost),
    rate: text(lot.rate),
    tare_grams: text(lot.tare_grams),
    supplier: lot.supplier,
    batch_number: lot.batch_number,
    place: lot.place,
    note: lot.note,
});
const draft = reactive(of(props.lot));
watch(
    () => props.lot,
    (lot) => Object.assign(draft, of(lot)),
);
/** Of what was made here only where it stands is said, and a note: its day and what is in it are worked out. */
const bought = computed(() => props.lot.source === 'bought');
function keep(): void {
    if (!bought.value) return emit('change', { place: draft.place, note: draft.note });
    emit('change', {
        ...draft,
        opened_months: written(draft.opened_months),
        cost: written(draft.cost),
        rate: written(draft.rate),
        tare_grams: written(draft.tare_grams),
    });
}
const DATES = [
    ['bought_on', 'Bought'],
    ['printed_on', 'Best before, printed'],
    ['opened_on', 'Opened'],
] as const;
const money = useSession().studio?.currency ?? '';
const figures = computed(() => [
    ['opened_months', 'Keeps once opened, months'] as const,
    ['cost', props.lot.currency ? `It cost, ${props.lot.currency}` : 'It cost'] as const,
    // Paid in the money of another country, it was worth so much of one's own.
    ...(props.lot.foreign ? [['rate', `1 ${props.lot.currency} was worth, ${money}`] as const] : []),
    ['tare_grams', 'Weighs empty, grams'] as const,
]);
const WORDS = [
    ['supplier', 'From'],
    ['batch_number', 'Batch number on it'],
] as const;
</script>

<template>
    <form class="grid max-w-2xl grid-cols-2 gap-3 sm:grid-cols-3" @submit.prevent="keep">
        <div v-for="[field, label] in bought ? DATES : []" :key="field">
            <FormField v-slot="{ field: bound }" :label="label" :problem="errors[field]">
                <input v-bind="bound" v-model="draft[field]" type="date" class="field" />
            </FormField>
            <button
                v-if="field === 'opened_on' && draft.opened_on === ''"
                type="button"
                class="act-quiet -ml-2.5 text-[13px]"
                @click="((draft.opened_on = todayDate()), keep())"
            >
                Opened today
            </button>
        </div>
        <FormField
            v-for="[field, label] in bought ? figures : []"
            :key="field"
            v-slot="{ field: bound }"
            :label="label"
            :problem="errors[field]"
        >
            <input v-bind="bound" v-model="draft[field]" class="field" inputmode="decimal" maxlength="12" />
        </FormField>
        <FormField v-slot="{ field }" label="Stands in" :problem="errors['place']">
            <select v-bind="field" v-model="draft.place" class="field">
                <option value="">nobody said</option>
                <option v-for="place in kit?.places ?? []" :key="place.name" :value="place.name">
                    {{ place.name }}, {{ num(place.celsius) }} °C
                </option>
            </select>
        </FormField>
        <label v-for="[field, label] in bought ? WORDS : []" :key="field">
            <span class="label">{{ label }}</span>
            <input v-model="draft[field]" class="field" maxlength="80" />
        </label>
        <label class="col-span-2 sm:col-span-3">
            <span class="label">Note</span>
            <input v-model="draft.note" class="field" maxlength="500" />
        </label>
        <div class="col-span-2 sm:col-span-3"><button class="act">Keep it</button></div>
    </form>
</template>
