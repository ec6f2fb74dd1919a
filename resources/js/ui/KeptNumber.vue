<script setup lang="ts">
import { ref, watch } from 'vue';
import { valueIn } from './events';

/** A number that is kept when the field is left. What is being typed is not written over by an answer that comes meanwhile. */
const props = defineProps<{ value: number | null }>();
const emit = defineEmits<{ kept: [text: string] }>();
const shown = (): string => (props.value === null ? '' : String(props.value));
const text = ref(shown());
const typing = ref(false);

watch(
    () => props.value,
    () => {
        if (!typing.value) text.value = shown();
    },
);
function type(event: Event): void {
    typing.value = true;
    text.value = valueIn(event);
}
function keep(): void {
    if (!typing.value) return;
    typing.value = false;
    emit('kept', text.value.trim());
}
</script>

<template>
    <input class="field plain-number" type="number" min="0" step="any" :value="text" @input="type" @change="keep" @blur="keep" />
</template>
