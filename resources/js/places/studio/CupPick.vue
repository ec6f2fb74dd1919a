<script setup lang="ts">
import type { Schemas } from '../../api/client';

/** What a cup holds. */
const cup = defineModel<Schemas['StudioDraft']['cup']>({ required: true });
</script>

<template>
    <select v-model="cup" class="field">
        <option value="us">US, 236.6 ml</option>
        <option value="metric">metric, 250 ml</option>
        <option value="imperial">imperial, 284.1 ml</option>
    </select>
</template>
