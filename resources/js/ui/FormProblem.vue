<script setup lang="ts">
/** What is wrong with one field of a form, beside it. */
defineProps<{ errors: Record<string, string[]>; field: string }>();
</script>

<template>
    <p v-if="errors[field]" class="said-stop mt-1 text-[13px] font-semibold" role="alert">
        {{ errors[field]?.[0] }}
    </p>
</template>
