<script setup lang="ts">
import { acts } from './acts';
import UiDialog from './UiDialog.vue';

/** Which keys do what on this page. */

const open = defineModel<boolean>('open', { required: true });
</script>

<template>
    <UiDialog :open="open" title="Keys" @close="open = false">
        <dl class="grid grid-cols-[5rem_1fr] gap-y-1.5">
            <dt><kbd>Ctrl K</kbd></dt>
            <dd>Find or do anything</dd>
            <template v-for="act in acts.filter((a) => a.key)" :key="act.label">
                <dt>
                    <kbd>{{ act.key }}</kbd>
                </dt>
                <dd>{{ act.label }}</dd>
            </template>
            <dt><kbd>Esc</kbd></dt>
            <dd>Close what is open</dd>
        </dl>
        <p class="quiet mt-4 text-[13px]">Single letters work when nothing is being typed.</p>
        <button type="button" class="act mt-4" @click="open = false">Close</button>
    </UiDialog>
</template>
