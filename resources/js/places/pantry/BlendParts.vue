<script setup lang="ts">
import FormProblem from '../../ui/FormProblem.vue';
import HowLink from '../../ui/HowLink.vue';
import IngredientPick from '../formulas/IngredientPick.vue';
import type { BlendRow } from './blend';

/** What a ready blend is made of, and how much of it each is, as far as the supplier says. */
const parts = defineModel<BlendRow[]>({ required: true });
defineProps<{ errors: Record<string, string[]> }>();
const MOST = 20;
const add = (): void => void parts.value.push({ ingredient: '', name: '', percent: '' });
if (parts.value.length === 0) {
    add();
    add();
}
</script>

<template>
    <fieldset>
        <legend class="label">
            What is in it, and how much of it that is. Leave a share empty where nobody says it.
            <HowLink of="pantry" what="ready blends" />
        </legend>
        <div v-for="(part, n) in parts" :key="n" class="row-line grid grid-cols-[minmax(0,1fr)_5.5rem_2.75rem] gap-x-3 py-1.5">
            <IngredientPick
                :name="part.name"
                :label="`Part ${n + 1}`"
                :placed="part.ingredient !== '' || part.name === ''"
                @choose="Object.assign(part, { ingredient: $event.id, name: $event.name })"
            />
            <span class="flex items-center gap-1.5">
                <input
                    v-model="part.percent"
                    class="field"
                    inputmode="decimal"
                    maxlength="8"
                    :aria-label="`Per cent of part ${n + 1}`"
                    :aria-invalid="!!errors[`parts.${n}.percent`]"
                />
                <span class="unit">%</span>
            </span>
            <button type="button" class="act-quiet" :aria-label="`Take part ${n + 1} out`" @click="parts.splice(n, 1)">×</button>
            <div class="col-span-3">
                <FormProblem :errors="errors" :field="`parts.${n}.ingredient`" />
                <FormProblem :errors="errors" :field="`parts.${n}.percent`" />
            </div>
        </div>
        <FormProblem :errors="errors" field="parts" />
        <button v-if="parts.length < MOST" type="button" class="act-quiet -ml-2.5" @click="add">Add a part</button>
    </fieldset>
</template>
