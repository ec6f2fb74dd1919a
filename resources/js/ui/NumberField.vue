<script setup lang="ts">
import FormField from './FormField.vue';

/** A number that is typed, with its label and what is wrong with it. */
defineOptions({ inheritAttrs: false });
defineProps<{ label: string; problem?: string[] | undefined; large?: boolean }>();
const typed = defineModel<string | number>({ required: true });
</script>

<template>
    <FormField v-slot="{ field }" :label="label" :problem="problem">
        <input
            v-model="typed"
            v-bind="{ ...field, ...$attrs }"
            type="number"
            step="any"
            inputmode="decimal"
            class="field"
            :class="large ? 'min-h-12 text-xl' : ''"
        />
    </FormField>
</template>
