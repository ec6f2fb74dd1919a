<script setup lang="ts">
import type { Schemas } from '../../../api/client';

/** Where strain day stands; what lies behind can be gone back to. */
defineProps<{ steps: Schemas['Steep']['strain_steps'] }>();
const at = defineModel<number>({ required: true });
</script>

<template>
    <ol class="flex gap-1" aria-label="Steps">
        <li v-for="(s, n) in steps" :key="s.id" class="grow">
            <button
                type="button"
                class="h-3 w-full rounded"
                :class="n <= at ? 'bg-lead' : ''"
                :style="{ border: '1px solid var(--glass)' }"
                :aria-label="`Step ${n + 1}: ${s.does}`"
                :aria-current="n === at ? 'step' : undefined"
                :disabled="n > at"
                @click="at = n"
            ></button>
        </li>
    </ol>
</template>
