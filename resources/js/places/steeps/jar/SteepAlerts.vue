<script setup lang="ts">
import type { Schemas } from '../../../api/client';

/** That a jar was given up, or that an oil of it must not be used, and what it went into. */
defineProps<{ steep: Schemas['Steep'] }>();
const emit = defineEmits<{ mistaken: [] }>();
</script>

<template>
    <p v-if="steep.state === 'spoiled'" class="bg-stop-wash said-stop mb-4 rounded p-3 font-semibold" role="alert">
        Given up: {{ steep.reason }} Throw oil and herb away, and wash the jar hot.
    </p>
    <p v-if="steep.although" class="mb-4">
        <strong>Begun all the same:</strong>
        {{ steep.although }}
    </p>
    <div v-for="lot in steep.lots.filter((l) => l.withdrawn)" :key="lot.id" class="bg-stop-wash said-stop mb-4 rounded p-3" role="alert">
        <p class="font-semibold">{{ lot.name }} must not be used: {{ lot.withdrawn }}</p>
        <p v-if="steep.used_in.length > 0">
            It is in
            <template v-for="(u, n) in steep.used_in" :key="u.kind + u.id">
                <RouterLink :to="u.kind === 'formula' ? `/formulas/${u.id}` : `/make/${u.id}`">
                    {{ u.title + (n < steep.used_in.length - 1 ? ',' : '.') }}
                </RouterLink>
                {{ ' ' }}
            </template>
        </p>
        <button v-if="steep.state !== 'spoiled'" type="button" class="act-quiet -ml-2.5" @click="emit('mistaken')">
            That was a mistake
        </button>
    </div>
</template>
