<script setup lang="ts">
import { Problem } from '../api/client';

/** What stands in place of something that is not there yet, or could not be fetched. */

defineProps<{ pending: boolean; error: unknown; what: string }>();
const emit = defineEmits<{ again: [] }>();
</script>

<template>
    <p v-if="pending" class="quiet" role="status">Fetching {{ what }}…</p>
    <div v-else-if="error" role="alert">
        <p class="said-stop font-semibold">{{ error instanceof Problem ? error.message : 'Something went wrong here.' }}</p>
        <button type="button" class="act-quiet mt-2" @click="emit('again')">Try again</button>
    </div>
    <slot v-else />
</template>
