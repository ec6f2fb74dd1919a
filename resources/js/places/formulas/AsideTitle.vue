<script setup lang="ts">
import HowLink from '../../ui/HowLink.vue';

/** The heading of a section of the bench that is opened when it is wanted, and what it would show while it is closed. */
defineProps<{ title: string; hint?: string; how: string }>();
const open = defineModel<boolean>('open', { required: true });
</script>

<template>
    <div>
        <h2>
            <button type="button" class="no-print" :aria-expanded="open" @click="open = !open">
                <span aria-hidden="true">{{ open ? '▾' : '▸' }}</span>
                {{ title }}
            </button>
            <HowLink :of="how" :what="title.toLowerCase()" />
        </h2>
        <p v-if="hint && !open" class="quiet no-print">{{ hint }}</p>
    </div>
</template>
