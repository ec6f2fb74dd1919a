<script setup lang="ts">
import { reactive, ref } from 'vue';
import { Problem, type Schemas } from '../../../api/client';
import { useCorrectFigure } from '../../../queries/ingredients';
import FormField from '../../../ui/FormField.vue';
import FormProblem from '../../../ui/FormProblem.vue';
import NumberField from '../../../ui/NumberField.vue';
import { tell, tellProblem } from '../../../ui/notice';

/** A figure of one's own in the place of the catalogue's: its ends, and where it comes from. */
const props = defineProps<{ id: string; figure: Schemas['KnownFigure'] }>();
const emit = defineEmits<{ done: [] }>();
const correcting = useCorrectFigure();
const errors = ref<Record<string, string[]>>({});
const { form, property, value } = props.figure;
const draft = reactive<Schemas['OwnFigureDraft']>({ form, property, ...value, source: '' });
const ENDS = [
    ['low', 'at least'],
    ['best', 'best'],
    ['high', 'at most'],
] as const;

async function correct(): Promise<void> {
    errors.value = {};
    try {
        await correcting.mutateAsync({ id: props.id, body: { ...draft } });
        emit('done');
        tell("Your figure stands over the catalogue's. Every formula counts with it from now on.");
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
</script>

<template>
    <form class="bg-raised border-rule mt-3 rounded border p-3" @submit.prevent="correct">
        <p class="font-semibold">Your {{ figure.form }} {{ figure.label }}</p>
        <div class="mt-2 grid grid-cols-3 gap-3">
            <NumberField v-for="[end, words] in ENDS" :key="end" v-model.number="draft[end]" :label="words" :problem="errors[end]" />
        </div>
        <FormProblem :errors="errors" field="ingredient" />
        <FormField v-slot="{ field }" class="mt-2" label="Where it comes from" :problem="errors['source']">
            <input v-bind="field" v-model="draft.source" class="field" maxlength="200" placeholder="our scale, three bottles" />
        </FormField>
        <div class="mt-3 flex gap-2">
            <button class="act">Put it over the catalogue's</button>
            <button type="button" class="act-quiet" @click="emit('done')">Leave it</button>
        </div>
    </form>
</template>
