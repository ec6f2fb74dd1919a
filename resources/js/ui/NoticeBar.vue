<script setup lang="ts">
import { notice } from './notice';

/** What was just done, and its undoing. */

function undo(): void {
    notice.value?.undo?.();
    notice.value = null;
}
</script>

<template>
    <div class="no-print pointer-events-none fixed inset-x-0 bottom-4 z-30 flex justify-center px-4" role="status" aria-live="polite">
        <div v-if="notice" class="bg-ink text-ground pointer-events-auto flex max-w-2xl items-center gap-3 rounded px-4 py-2.5 shadow-xl">
            <span v-if="notice.stop" aria-hidden="true" class="font-bold">!</span>
            <span>{{ notice.words }}</span>
            <button v-if="notice.undo" type="button" class="font-bold underline underline-offset-4" @click="undo">Undo</button>
            <button type="button" class="underline underline-offset-4" @click="notice = null">Close</button>
        </div>
    </div>
</template>
