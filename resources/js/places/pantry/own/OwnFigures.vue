<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import FormProblem from '../../../ui/FormProblem.vue';

/** Figures of an ingredient that the studio knows better, each with where it comes from. */
defineProps<{ errors: Record<string, string[]> }>();
const figures = defineModel<Schemas['OwnDraft']['figures']>({ required: true });
const PROPERTIES: Record<string, string> = {
    weight: 'weight on the hair, 1 to 5',
    life_months: 'life unopened, months',
    opened_months: 'life once opened, months',
    density_20c: 'density at 20 °C, g/ml',
    bulk_density: 'bulk density, g/ml',
    melting_c: 'melting range, °C',
    drop_ml: 'drop volume, ml',
    piece_grams: 'mass of one piece, g',
    price_per_kg: 'price of a kilogram',
};
const ENDS = { low: 'at least', best: 'best', high: 'at most' } as const;
const add = (): void => void figures.value.push({ form: '', property: 'weight', low: 2, best: 2, high: 2, source: '' });
</script>

<template>
    <section>
        <h2>Figures that you know better</h2>
        <div
            v-for="(f, n) in figures"
            :key="n"
            class="row-line grid grid-cols-3 gap-2 py-2 sm:grid-cols-[minmax(0,1fr)_5rem_5rem_5rem_minmax(0,1fr)_2rem]"
        >
            <label class="col-span-3 sm:col-span-1">
                <span class="sr-only">Figure</span>
                <select v-model="f.property" class="field">
                    <option v-for="(word, property) in PROPERTIES" :key="property" :value="property">{{ word }}</option>
                </select>
            </label>
            <input
                v-for="(word, end) in ENDS"
                :key="end"
                v-model.number="f[end]"
                type="number"
                step="any"
                class="field"
                :aria-label="word"
                :aria-invalid="!!errors[`figures.${n}.${end}`]"
                :aria-describedby="`wrong-${n}`"
            />
            <input
                v-model="f.source"
                class="field col-span-2 sm:col-span-1"
                maxlength="200"
                placeholder="where it comes from"
                aria-label="Where it comes from"
                :aria-invalid="!!errors[`figures.${n}.source`]"
                :aria-describedby="`wrong-${n}`"
            />
            <button type="button" class="act-quiet" aria-label="Take this figure out" @click="figures.splice(n, 1)">×</button>
            <div :id="`wrong-${n}`" class="col-span-3 sm:col-span-6">
                <FormProblem v-for="at in ['low', 'best', 'high', 'source']" :key="at" :errors="errors" :field="`figures.${n}.${at}`" />
            </div>
        </div>
        <button type="button" class="act-quiet -ml-2.5" @click="add">Add a figure</button>
    </section>
</template>
