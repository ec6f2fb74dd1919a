<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { stockOf } from '../../../queries/formulas';
import { valueIn } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import HowLink from '../../../ui/HowLink.vue';
import { tell, tellProblem } from '../../../ui/notice';
import { num } from '../../../ui/words';
import JarPick from '../../studio/JarPick.vue';
import type { Bench } from '../useBench';

/** How much is made: as it is written, a mass, so many jars, or what the cupboard allows. */
const props = defineProps<{ bench: Bench; sizing: Schemas['FormulaPage']['sizing'] }>();
const { formula, assessment, headId, hair } = props.bench;
const mode = computed(() => formula.value.size.mode);
const USUAL = { grams: 100, jars: 4, millilitres: 100 };

async function asStockAllows(): Promise<void> {
    try {
        const stock = await stockOf({ formula: formula.value, head_id: headId.value, hair: hair.value });
        const grams = stock.largest_grams;
        if (grams === null || grams <= 0) {
            const why = grams === null ? 'nobody said how much there is' : `${stock.limiting.join(' and ')} is not in the cupboard`;
            return tell(`Cannot tell what your stock allows: ${why}. See "From the cupboard" below.`, { stop: true });
        }
        props.bench.edit('size', (draft) => (draft.size = { mode: 'mass', grams }));
        tell(`${num(grams)} g: ${stock.limiting.join(' and ')} runs out first.`, { undo: props.bench.undo });
    } catch (e) {
        tellProblem(e);
    }
}
function setMode(chosen: string): void {
    if (chosen === 'stock') return void asStockAllows();
    props.bench.edit('size', (draft) => {
        draft.size =
            chosen === 'mass'
                ? { mode: 'mass', grams: Math.max(1, Math.round(assessment.value.total_grams.best) || USUAL.grams) }
                : chosen === 'jars'
                  ? {
                        mode: 'jars',
                        jars: USUAL.jars,
                        millilitres: USUAL.millilitres,
                        overfill: props.sizing.overfill,
                        loss: props.sizing.loss,
                    }
                  : { mode: 'as-written' };
    });
}
function setNumber(field: 'grams' | 'jars' | 'millilitres', event: Event): void {
    const value = Number(valueIn(event));
    if (!Number.isFinite(value) || value <= 0) return;
    props.bench.edit(`size ${field}`, (draft) => (draft.size[field] = field === 'jars' ? Math.max(1, Math.round(value)) : value));
}
</script>

<template>
    <div>
        <FormField v-slot="{ field }" label="Batch size">
            <select v-bind="field" class="field" :value="mode" @change="setMode(valueIn($event))">
                <option value="as-written">as written</option>
                <option value="mass">a mass</option>
                <option value="jars">jars to fill</option>
                <option value="stock">what my stock allows</option>
            </select>
        </FormField>
        <div v-if="mode === 'mass'" class="mt-1 flex items-center gap-1.5">
            <input
                class="field"
                type="number"
                min="1"
                step="any"
                :value="formula.size.grams"
                aria-label="Batch mass in grams"
                @input="setNumber('grams', $event)"
            />
            <span class="unit">g</span>
        </div>
        <template v-if="mode === 'jars'">
            <div class="mt-1 flex items-center gap-1.5">
                <input
                    class="field plain-number !px-1.5"
                    type="number"
                    min="1"
                    :value="formula.size.jars"
                    aria-label="How many jars"
                    @input="setNumber('jars', $event)"
                />
                <span>×</span>
                <input
                    class="field plain-number !px-1.5"
                    type="number"
                    min="1"
                    step="any"
                    :value="formula.size.millilitres"
                    aria-label="Millilitres in a jar"
                    @input="setNumber('millilitres', $event)"
                />
                <span class="unit">ml</span>
            </div>
            <JarPick
                class="mt-1"
                label="Jar of the kit"
                @choose="bench.edit('size millilitres', (draft) => (draft.size.millilitres = $event.fillMl))"
            />
            <p class="quiet mt-1 text-[13px]">
                {{ num((formula.size.overfill ?? 0) * 100, 1) }} % over, {{ num((formula.size.loss ?? 0) * 100, 1) }} % lost on the way
                <HowLink of="making" what="the loss" />
            </p>
        </template>
    </div>
</template>
