<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';

/** What the bench stops at, wherever the batch is shown; with the reason for making it all the same. */
const props = defineProps<{ batch: Schemas['Batch'] }>();
const stops = computed(() =>
    (props.batch.actual ?? props.batch.planned).findings
        .filter((f) => f.severity === 'stop')
        // A record of before has no reasons.
        .map((f) => ({ ...f, accepted: 'accepted' in f && typeof f.accepted === 'string' ? f.accepted : '' })),
);
</script>

<template>
    <div v-if="stops.length > 0" class="bg-stop-wash mt-3 rounded p-3" role="note" aria-label="Stops">
        <p v-for="stop in stops" :key="stop.code + stop.message" class="said-stop font-semibold">
            {{ stop.message }}
            <span v-if="stop.accepted" class="text-ink font-normal">Accepted: {{ stop.accepted }}</span>
        </p>
        <p v-if="batch.although" class="mt-1">Made all the same: {{ batch.although }}</p>
    </div>
</template>
