<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';

/** A sheet over the page. */

defineProps<{ open: boolean; title: string; wide?: boolean }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
    <Dialog :open="open" class="relative z-40" @close="emit('close')">
        <div class="fixed inset-0 bg-black/40" aria-hidden="true" />
        <div class="fixed inset-0 overflow-y-auto p-4 pt-[10vh]">
            <DialogPanel class="bg-raised mx-auto rounded p-5 shadow-xl" :class="wide ? 'max-w-3xl' : 'max-w-xl'">
                <DialogTitle as="h2" class="mb-3">{{ title }}</DialogTitle>
                <slot />
            </DialogPanel>
        </div>
    </Dialog>
</template>
