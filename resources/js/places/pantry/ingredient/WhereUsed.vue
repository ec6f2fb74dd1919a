<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { KINDS } from '../../../ui/words';

/** The formulas that it is in, and what else it is called. */
defineProps<{ page: Schemas['IngredientPage'] }>();
</script>

<template>
    <section>
        <h2>Used in my formulas</h2>
        <ul v-if="page.used_in.length > 0" class="mt-1">
            <li v-for="f in page.used_in" :key="f.id" class="py-0.5">
                <RouterLink :to="`/formulas/${f.id}`">{{ f.title }}</RouterLink>
                <span class="quiet ml-2 text-[13px]">{{ KINDS[f.kind] }}</span>
            </li>
        </ul>
        <p v-else class="quiet mt-1">In none yet.</p>
    </section>
    <section v-if="page.ingredient.synonyms.length > 0">
        <h2>Also called</h2>
        <p class="mt-1">{{ page.ingredient.synonyms.join(', ') }}</p>
    </section>
</template>
