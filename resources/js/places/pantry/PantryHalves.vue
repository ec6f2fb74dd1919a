<script setup lang="ts">
/** The parts of the pantry: what stands there, what is to be bought, and what there is to know of all that could be. */
defineProps<{ here: 'shelf' | 'ingredients' | 'shopping' | 'orders' }>();
</script>

<template>
    <nav class="border-rule mb-4 flex flex-wrap gap-x-6 border-b" aria-label="Parts of the pantry">
        <RouterLink to="/pantry/shelf" class="half" :aria-current="here === 'shelf' ? 'page' : undefined">On the shelf</RouterLink>
        <RouterLink to="/pantry/shopping" class="half" :aria-current="here === 'shopping' ? 'page' : undefined">Shopping list</RouterLink>
        <RouterLink to="/pantry/orders" class="half" :aria-current="here === 'orders' ? 'page' : undefined">Orders</RouterLink>
        <RouterLink to="/pantry" class="half" :aria-current="here === 'ingredients' ? 'page' : undefined">All ingredients</RouterLink>
    </nav>
</template>

<style scoped>
.half {
    padding: 0.35rem 0;
    color: var(--ink);
    text-decoration: none;
}
.half[aria-current] {
    color: var(--lead);
    font-weight: 700;
    box-shadow: inset 0 -3px 0 var(--lead);
}
</style>
