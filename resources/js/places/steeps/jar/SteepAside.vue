<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { num, sayDate } from '../../../ui/words';
import SteepFigures from '../SteepFigures.vue';

/** The figures of a jar, its oil in the pantry, and what was made from it. */
defineProps<{ steep: Schemas['Steep'] }>();
</script>

<template>
    <div>
        <SteepFigures :plan="steep.plan" :usual="steep.usual_ratio" :learned="steep.learned" />
        <section v-if="steep.lots.length > 0" class="mt-6">
            <h2>Its oil in the pantry</h2>
            <ul class="mt-1">
                <li v-for="lot in steep.lots" :key="lot.id" class="row-line py-1.5">
                    <RouterLink :to="`/pantry/${lot.ingredient}`" class="font-semibold">{{ lot.name }}</RouterLink>
                    <span class="quiet block text-[13px]">
                        {{ lot.code }}, {{ num(lot.grams) }} g, best before {{ sayDate(lot.best_before) }}. {{ lot.store }}
                    </span>
                </li>
            </ul>
        </section>
        <section v-if="steep.used_in.length > 0" class="mt-6">
            <h2>Made from it</h2>
            <ul class="mt-1">
                <li v-for="u in steep.used_in" :key="u.kind + u.id">
                    <RouterLink :to="u.kind === 'formula' ? `/formulas/${u.id}` : `/make/${u.id}`">{{ u.title }}</RouterLink>
                    <span class="quiet ml-2 text-[13px]">{{ u.kind }}</span>
                </li>
            </ul>
        </section>
    </div>
</template>
