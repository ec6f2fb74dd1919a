<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import ReasonDialog from '../../../ui/ReasonDialog.vue';
import UiDialog from '../../../ui/UiDialog.vue';

/** What the bench stops at is asked about before it is made. */
const props = defineProps<{ open: boolean; stops: Schemas['Finding'][]; busy: boolean }>();
const emit = defineEmits<{ close: []; make: [although: string] }>();
const mayBeMade = computed(() => props.stops.every((s) => s.acceptable));
const TITLE = 'Settle these before making it';
</script>

<template>
    <ReasonDialog
        v-if="mayBeMade"
        :open="open"
        :title="TITLE"
        :stops="stops.map((s) => s.message)"
        asks="Why it is made all the same; this stands on the record"
        does="Make it all the same"
        back="Back to the bench"
        :busy="busy"
        @close="emit('close')"
        @go="emit('make', $event)"
    />
    <UiDialog v-else :open="open" :title="TITLE" @close="emit('close')">
        <ul class="space-y-1">
            <li v-for="stop in stops" :key="stop.code + stop.message" class="said-stop">{{ stop.message }}</li>
        </ul>
        <p class="mt-3">This cannot be accepted, only changed: settle it on the bench first.</p>
        <button type="button" class="act mt-3" @click="emit('close')">Back to the bench</button>
    </UiDialog>
</template>
