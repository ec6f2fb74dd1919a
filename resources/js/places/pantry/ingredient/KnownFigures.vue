<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Schemas } from '../../../api/client';
import { num } from '../../../ui/words';
import OwnFigureForm from './OwnFigureForm.vue';

/** Every figure with its source, and the studio's own over it. */
const props = defineProps<{ id: string; page: Schemas['IngredientPage'] }>();
const emit = defineEmits<{ back: [id: number, property: string] }>();
const editing = ref<Schemas['KnownFigure'] | null>(null);
const CORRECTABLE = [
    'density_20c',
    'density_60c',
    'bulk_density',
    'piece_grams',
    'drop_ml',
    'melting_c',
    'life_months',
    'opened_months',
    'moisture',
    'retention',
    'retention_pressed',
    'release',
    'reuse',
    'weight',
];
const byForm = computed(() => {
    const groups: Record<string, Schemas['KnownFigure'][]> = {};
    for (const f of props.page.ingredient.figures) (groups[f.form] ??= []).push(f);
    return groups;
});
const basis = (f: Schemas['KnownFigure']): string => (f.own ? 'fig-measured' : f.estimate ? 'fig-estimated' : 'fig-converted');
const from = (f: Schemas['KnownFigure']): string => (f.own ? `yours: ${f.source}` : f.estimate ? 'estimate' : f.source);
/** Money is told to its hundredths. */
const digits = (f: Schemas['KnownFigure']): number => (f.property === 'price_per_kg' ? 2 : 3);
const ownFigure = (f: Schemas['KnownFigure']): Schemas['OwnFigure'] | undefined =>
    props.page.own_figures.find((o) => o.form === f.form && o.property === f.property);
</script>

<template>
    <section>
        <h2>Every figure, and where it comes from</h2>
        <table v-for="(figures, form) in byForm" :key="form" class="mt-2 w-full">
            <caption class="pb-1 text-left font-semibold">{{ form === '' ? 'As it comes' : form }}</caption>
            <tbody>
                <tr v-for="f in figures" :key="f.property" class="row-line align-baseline">
                    <th scope="row" class="py-1 pr-3 text-left font-normal">
                        {{ f.label }}
                        <span class="quiet block text-[13px] sm:hidden">{{ from(f) }}</span>
                    </th>
                    <td class="py-1 text-right whitespace-nowrap">
                        <span class="fig" :class="basis(f)">
                            {{ num(f.value.best, digits(f)) }}
                        </span>
                        <span class="unit">{{ f.unit }}</span>
                    </td>
                    <td class="quiet py-1 pl-3 whitespace-nowrap">
                        {{ f.value.low === f.value.high ? '' : `${num(f.value.low, digits(f))} to ${num(f.value.high, digits(f))}` }}
                    </td>
                    <td class="quiet hidden py-1 pl-3 text-[13px] sm:table-cell">
                        {{ from(f) }}
                    </td>
                    <td class="no-print text-right">
                        <button
                            v-if="ownFigure(f)"
                            type="button"
                            class="act-quiet !min-h-0 !py-0 text-[13px]"
                            @click="emit('back', ownFigure(f)?.id ?? 0, f.property)"
                        >
                            {{ f.property === 'price_per_kg' ? 'forget it' : "the catalogue's" }}
                        </button>
                        <button
                            v-else-if="CORRECTABLE.includes(f.property) && page.ingredient.origin === 'reference'"
                            type="button"
                            class="act-quiet !min-h-0 !py-0 text-[13px]"
                            :aria-label="`Put your own figure for ${f.form} ${f.label}`"
                            @click="editing = f"
                        >
                            mine
                        </button>
                    </td>
                </tr>
            </tbody>
        </table>
        <OwnFigureForm v-if="editing" :id="id" :key="`${editing.form} ${editing.property}`" :figure="editing" @done="editing = null" />
    </section>
</template>
