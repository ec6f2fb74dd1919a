<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { valueIn } from '../../../ui/events';
import TouchedBy from '../../../ui/TouchedBy.vue';
import TakeAlong from '../../studio/TakeAlong.vue';
import type { Bench } from '../useBench';

/** The title, whether it is saved, and what is done with the whole formula. */
const props = defineProps<{ page: Schemas['FormulaPage']; bench: Bench; making: boolean; rehearsing: boolean }>();
const emit = defineEmits<{ copy: []; 'put-away': []; rehearse: []; make: [] }>();
const { formula, status, canUndo, canRedo } = props.bench;
const SAVED: Record<typeof status.value, string> = {
    saved: 'Saved',
    waiting: 'Not saved yet',
    saving: 'Saving…',
    away: 'Not saved yet: the application does not answer. It is tried again by itself.',
    overtaken: 'Not saved: someone changed this formula',
    refused: 'Not saved: see below',
};
const saved = computed(() => SAVED[status.value]);
</script>

<template>
    <div class="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
        <div class="min-w-0 flex-1">
            <input
                class="bare -ml-1.5 font-head !text-[28px] leading-none font-bold"
                :value="formula.title"
                aria-label="Title"
                maxlength="200"
                @input="bench.setText('title', valueIn($event))"
            />
            <h1 class="sr-only">{{ formula.title }}</h1>
            <p class="pl-px">
                <span class="quiet mr-2 text-[13px]" role="status">{{ saved }}</span>
                <TouchedBy :touched="page.touched" />
                <TakeAlong class="!min-h-0 !py-0" :what="{ kind: 'formula', body: { formula, head_id: null } }" />
            </p>
        </div>
        <div class="no-print flex flex-wrap items-center">
            <button type="button" class="act-quiet" :disabled="!canUndo" @click="bench.undo">Undo</button>
            <button type="button" class="act-quiet" :disabled="!canRedo" @click="bench.redo">Redo</button>
            <RouterLink :to="`/formulas/compare?of=${page.id}`" class="act-quiet">Compare</RouterLink>
            <button type="button" class="act-quiet" @click="emit('copy')">Copy as text</button>
            <a :href="`/papers/formulas/${page.id}/sheet.pdf`" target="_blank" class="act-quiet">Print</a>
            <button type="button" class="act-quiet" @click="emit('put-away')">Put away</button>
            <button type="button" class="act-quiet" :disabled="rehearsing" @click="emit('rehearse')">Practise it</button>
            <button type="button" class="act ml-2" :disabled="making" @click="emit('make')">Make it</button>
        </div>
    </div>
</template>
