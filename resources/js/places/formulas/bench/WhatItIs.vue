<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { HEADS } from '../../../queries/lists';
import { tickedIn, valueIn } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import { useEvery } from '../../../ui/useList';
import { AUDIENCES, HAIR_TYPES, KINDS } from '../../../ui/words';
import PlacePick from '../../studio/PlacePick.vue';
import type { Bench } from '../useBench';
import BatchSize from './BatchSize.vue';

/** What is made and for whom, how much of it, and how it will stand: all that is judged beside the lines. */
const props = defineProps<{ bench: Bench; sizing: Schemas['FormulaPage']['sizing'] }>();
const { formula, headId, hair } = props.bench;
const heads = useEvery(HEADS);

function chooseFor(value: string): void {
    const type = HAIR_TYPES.find((h) => h.key === value);
    props.bench.chooseFor(type ? null : Number(value) || null, type?.hair ?? null);
}
/** Dates go by where it stands; a wet place wets whatever stands in it. */
function keepIn(place: Schemas['Place']): void {
    props.bench.edit('place', (draft) => {
        draft.storage_c = place.celsius;
        if (place.wet) draft.wet_use = true;
    });
}
</script>

<template>
    <div class="mb-3 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-[1.3fr_1.1fr_.9fr_.9fr]">
        <FormField v-slot="{ field }" label="Product">
            <select v-bind="field" class="field" :value="formula.kind" @change="bench.setText('kind', valueIn($event))">
                <option v-for="(word, kind) in KINDS" :key="kind" :value="kind">{{ word }}</option>
            </select>
        </FormField>
        <FormField v-slot="{ field }" label="For">
            <select v-bind="field" class="field" :value="formula.audience" @change="bench.setText('audience', valueIn($event))">
                <option v-for="(word, audience) in AUDIENCES" :key="audience" :value="audience">{{ word }}</option>
            </select>
        </FormField>
        <FormField v-slot="{ field }" label="On the head of">
            <select
                v-bind="field"
                class="field"
                :value="headId ?? (hair ? `${hair.strand} ${hair.porosity}` : '')"
                @change="chooseFor(valueIn($event))"
            >
                <option value="">nobody in particular</option>
                <option v-for="head in heads" :key="head.id" :value="head.id">{{ head.name }}</option>
                <optgroup label="a type of hair">
                    <option v-for="type in HAIR_TYPES" :key="type.key" :value="type.key">{{ type.words }}</option>
                </optgroup>
            </select>
        </FormField>
        <BatchSize :bench="bench" :sizing="sizing" />
    </div>
    <p class="no-print mb-3 flex flex-wrap gap-x-5 text-[14px]">
        <label class="inline-flex items-center gap-2">
            <input type="checkbox" :checked="formula.wet_use" @change="bench.edit('wet', (d) => (d.wet_use = tickedIn($event)))" />
            Meets wet fingers or a shower
        </label>
        <label class="inline-flex items-center gap-2">
            <input type="checkbox" :checked="formula.for_sale" @change="bench.edit('sale', (d) => (d.for_sale = tickedIn($event)))" />
            For sale (local law is yours to check first)
        </label>
        <label class="inline-flex items-center gap-2">
            <input
                type="checkbox"
                :checked="formula.clear_glass ?? false"
                @change="bench.edit('glass', (d) => (d.clear_glass = tickedIn($event)))"
            />
            In clear glass, in the light
        </label>
        <PlacePick label="Stands in" :celsius="formula.storage_c" :wet="formula.wet_use" @choose="keepIn" />
    </p>
</template>
