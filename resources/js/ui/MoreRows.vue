<script setup lang="ts">
/** Under a list that can grow. */
defineProps<{ query: { hasNextPage: { value: boolean }; isFetchingNextPage: { value: boolean }; fetchNextPage: () => unknown } }>();
</script>

<template>
    <button
        v-if="query.hasNextPage.value"
        type="button"
        class="act-quiet no-print mt-3 -ml-2.5"
        :disabled="query.isFetchingNextPage.value"
        @click="query.fetchNextPage()"
    >
        Show more
    </button>
</template>
