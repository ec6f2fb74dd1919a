<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import type { Schemas } from '../../api/client';
import { useUpQuery } from '../../queries/shelf';
import { num } from '../../ui/words';

/** Where what is left of a bottle could go: her own formulas, a new one, or a steep. */
const props = defineProps<{ lot: Schemas['LotPage'] }>();
const { data } = useQuery(useUpQuery(props.lot.id));
</script>

<template>
    <section v-if="lot.batch_id === null && (lot.left_grams ?? 0) > 0 && !lot.withdrawn" aria-label="Use it up">
        <h2>Use it up</h2>
        <ul>
            <li v-for="one in data?.items ?? []" :key="one.id" class="row-line py-1.5">
                <RouterLink :to="`/formulas/${one.id}`" class="font-semibold">{{ one.title }}</RouterLink>
                <span class="block text-[14px]">
                    A batch takes {{ num(one.uses_grams) }} g of it,
                    {{ one.remains_grams > 0 ? `${num(one.remains_grams)} g are left.` : 'and nothing is left.' }}
                    A batch of {{ num(one.batch_for_all_grams) }} g takes all.
                </span>
                <RouterLink
                    :to="{ path: `/formulas/${one.id}`, query: { 'use-up': lot.ingredient, called: lot.name } }"
                    class="act-quiet -ml-2.5 text-[14px]"
                >
                    Design it to take more of it
                </RouterLink>
                <span v-if="one.short.length > 0" class="quiet block text-[13px]">
                    Then short: {{ one.short.map((s) => `${s.name} ${num(s.grams)} g`).join(', ') }}
                </span>
            </li>
        </ul>
        <p v-if="data && data.items.length === 0" class="quiet">None of your formulas holds it.</p>
        <div class="-ml-2.5 flex flex-wrap">
            <RouterLink :to="{ path: '/formulas/new', query: { with: lot.ingredient, called: lot.name } }" class="act-quiet">
                Begin a formula around it
            </RouterLink>
            <RouterLink
                v-if="lot.matter === 'liquid' && lot.steepable"
                :to="`/steeps/start?oils=${lot.ingredient}:${lot.left_grams}`"
                class="act-quiet"
            >
                Steep something in it
            </RouterLink>
        </div>
    </section>
</template>
