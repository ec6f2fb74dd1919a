<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import FormField from '../../../ui/FormField.vue';
import FormProblem from '../../../ui/FormProblem.vue';
import IngredientPick from '../../formulas/IngredientPick.vue';
import type { RecordForm } from './recording';

/** A plant or an oil that comes into a jar that stands already. */
defineProps<{ plant: boolean; errors: Record<string, string[]> }>();
const form = defineModel<RecordForm>({ required: true });

function pick(row: Schemas['IngredientRow']): void {
    Object.assign(form.value, {
        ingredient: row.id,
        name: row.name,
        forms: row.forms.length > 0 ? row.forms : [''],
        form: row.usual_form || row.forms[0] || '',
        preparation: row.usual_preparation,
    });
}
</script>

<template>
    <div>
        <span class="label">{{ plant ? 'Plant' : 'Oil' }}</span>
        <IngredientPick :name="form.name" :label="plant ? 'Plant' : 'Oil'" placed @choose="pick" />
        <FormProblem :errors="errors" field="ingredient" />
    </div>
    <FormField v-slot="{ field }" label="How much" :problem="errors['amount']">
        <input v-bind="field" v-model="form.amount" class="field" maxlength="120" placeholder="10 g" />
    </FormField>
    <div v-if="plant" class="grid grid-cols-2 gap-3">
        <FormField v-slot="{ field }" label="Form" :problem="errors['form']">
            <select v-bind="field" v-model="form.form" class="field">
                <option v-for="f in form.forms" :key="f" :value="f">{{ f }}</option>
            </select>
        </FormField>
        <FormField v-slot="{ field }" label="Done to it">
            <select v-bind="field" v-model="form.preparation" class="field">
                <option value="none">as it is</option>
                <option value="chopped">chopped</option>
                <option value="crushed">crushed</option>
            </select>
        </FormField>
    </div>
</template>
