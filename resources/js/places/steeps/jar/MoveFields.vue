<script setup lang="ts">
import { computed } from 'vue';
import FormField from '../../../ui/FormField.vue';
import NumberField from '../../../ui/NumberField.vue';
import { HEATED } from '../ways';
import { PLACES, type RecordForm } from './recording';

/** Where a jar stands from today on: for how long, or how long it is held warm. */
defineProps<{ errors: Record<string, string[]> }>();
const form = defineModel<RecordForm>({ required: true });
const heated = computed(() => HEATED.includes(form.value.method));
</script>

<template>
    <FormField v-slot="{ field }" label="It stands from today in">
        <select v-bind="field" v-model="form.method" class="field min-h-12">
            <option v-for="[value, words] in PLACES" :key="value" :value="value">{{ words }}</option>
        </select>
    </FormField>
    <div class="grid grid-cols-2 gap-3">
        <FormField v-if="heated" v-slot="{ field }" label="For how long (optional)" :problem="errors['held_for']">
            <input v-bind="field" v-model="form.held" class="field min-h-12" maxlength="60" placeholder="45 to 60 minutes" />
        </FormField>
        <NumberField
            v-else
            v-model="form.days"
            label="For days (optional)"
            :problem="errors['days']"
            min="1"
            max="400"
            placeholder="as planned"
        />
        <NumberField v-model="form.celsius" label="At °C (optional)" :problem="errors['celsius']" placeholder="as usual" />
    </div>
</template>
