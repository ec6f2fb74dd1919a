<script setup lang="ts">
import { computed } from 'vue';
import HiddenField from './HiddenField.vue';
import { counted } from '../../ui/words';

/** A new password, with how well it would hold as it is typed; the application has the last word. */
defineProps<{ label: string; problem: string[] | undefined }>();
const password = defineModel<string>({ required: true });

const SHORTEST = 12;
const ENOUGH = 18;
const hint = computed(() => {
    const length = [...password.value].length;
    const different = new Set(password.value.toLowerCase()).size;
    if (length === 0) return `At least ${SHORTEST} characters. Three or four words that have nothing to do with each other are good.`;
    if (length < SHORTEST) return `${counted(SHORTEST - length, 'more character')}.`;
    if (different < 6) return 'Long enough, but of too few letters.';
    return length < ENOUGH ? 'It will do. Longer is better.' : 'Good.';
});
</script>

<template>
    <HiddenField v-model="password" :label="label" autocomplete="new-password" :problem="problem" :hint="hint" />
</template>
