<script setup lang="ts">
/** From a figure to the page that says how it is worked out. */
defineProps<{ of: string; what: string }>();
</script>

<template>
    <RouterLink :to="`/methods/${of}`" class="no-print quiet ml-1.5 text-[13px] font-normal" :aria-label="`How ${what} is worked out`">
        how?
    </RouterLink>
</template>
