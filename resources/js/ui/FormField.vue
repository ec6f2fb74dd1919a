<script setup lang="ts">
import { computed, useId } from 'vue';

/**
 * A field with its label above it and, where something is wrong with it, the sentence that says so below: both are read
 * out with it. What stands in the slot is bound to `field`.
 */
const props = defineProps<{ label: string; problem?: string[] | undefined; hint?: string | undefined }>();
const id = useId();
const field = computed(() => ({
    id,
    'aria-invalid': props.problem !== undefined,
    'aria-describedby': [props.hint && `${id}-hint`, props.problem && `${id}-problem`].filter(Boolean).join(' ') || undefined,
}));
</script>

<template>
    <div>
        <label :for="id" class="label">{{ label }}</label>
        <slot :field="field" />
        <p v-if="hint" :id="`${id}-hint`" class="quiet mt-1 text-[13px]" aria-live="polite">{{ hint }}</p>
        <p v-if="problem" :id="`${id}-problem`" class="said-stop mt-1 text-[13px] font-semibold" role="alert">{{ problem[0] }}</p>
    </div>
</template>
