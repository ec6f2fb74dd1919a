<script setup lang="ts">
import type { Schemas } from '../../api/client';
import { num } from '../../ui/words';

/** What a ready blend is made of. */
defineProps<{ blend: Schemas['BlendPart'][] }>();

function share({ percent }: Schemas['BlendPart']): string {
    return percent.low === percent.high ? `${num(percent.best)} %` : `share not said, at most ${num(percent.high)} %`;
}
</script>

<template>
    <p v-if="blend.length > 0">
        Made of
        <span v-for="(part, n) in blend" :key="part.ingredient">
            <RouterLink :to="`/pantry/${part.ingredient}`">{{ part.name }}</RouterLink>
            {{ `(${share(part)})${n < blend.length - 1 ? ',' : ''} ` }}
        </span>
    </p>
</template>
