<script setup lang="ts">
import { computed } from 'vue';
import HiddenField from './HiddenField.vue';

/** A new password, with how well it would hold as it is typed; the application has the last word. */
defineProps<{ label: string; invalid: boolean }>();
const password = defineModel<string>({ required: true });

const SHORTEST = 12;
const ENOUGH = 18;
const hint = computed(() => {
    const length = [...password.value].length;
    const different = new Set(password.value.toLowerCase()).size;
    if (length === 0) return `At least ${SHORTEST} characters. Three or four words that have nothing to do with each other are good.`;
    if (length < SHORTEST) return `${SHORTEST - length} more to go.`;
    if (different < 6) return 'Long enough, but of too few letters.';
    return length < ENOUGH ? 'It will do. Longer is better.' : 'Good.';
});
</script>

<template>
    <div>
        <HiddenField v-model="password" :label="label" autocomplete="new-password" :invalid="invalid" described-by="password-hint" />
        <span id="password-hint" class="quiet mt-1 block text-[13px]" aria-live="polite">{{ hint }}</span>
    </div>
</template>
