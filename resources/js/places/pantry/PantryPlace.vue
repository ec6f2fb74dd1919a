<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { ask } from '../../api/client';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num, sayDate } from '../../ui/words';

const wanted = ref('');
const lots = useQuery({ queryKey: ['lots'], queryFn: () => ask<'LotList'>('GET', '/api/lots') });
const ingredients = useQuery({
    queryKey: ['ingredients', wanted],
    queryFn: () => ask<'IngredientList'>('GET', `/api/ingredients?q=${encodeURIComponent(wanted.value)}`),
    placeholderData: keepPreviousData,
});
</script>

<template>
    <div>
        <h1 class="mb-4">Pantry</h1>
        <section>
            <h2>Oils steeped here</h2>
            <WaitOrProblem :pending="lots.isPending.value" :error="lots.error.value" what="the shelf" @again="lots.refetch">
                <ul v-if="(lots.data.value?.items.length ?? 0) > 0">
                    <li
                        v-for="lot in lots.data.value?.items"
                        :key="lot.id"
                        class="row-line grid gap-x-4 py-2 sm:grid-cols-[minmax(0,1fr)_8rem_14rem_12rem]"
                    >
                        <RouterLink :to="`/steeps/${lot.steep_id}`" class="font-semibold">{{ lot.name }}</RouterLink>
                        <span class="sm:text-right">
                            <span class="fig fig-measured">{{ num(lot.grams) }}</span>
                            <span class="unit">g</span>
                        </span>
                        <span class="quiet">best before {{ sayDate(lot.best_before) }}</span>
                        <span :class="lot.dry ? 'text-good' : 'said-caution font-semibold'">
                            {{ lot.dry ? 'dry' : `water ${num(lot.water_percent)} %` }}
                        </span>
                    </li>
                </ul>
                <p v-else class="quiet mt-1">
                    Nothing yet. When a steep is strained, its oil stands here and can go into a formula.
                    <RouterLink to="/steeps/start">Start a steep</RouterLink>
                </p>
            </WaitOrProblem>
        </section>
        <section class="mt-8">
            <h2>Ingredients of the craft</h2>
            <label class="mt-2 block max-w-md">
                <span class="label">Find by name, INCI name, synonym or slip of the pen</span>
                <input v-model="wanted" type="search" class="field" maxlength="80" />
            </label>
            <WaitOrProblem
                :pending="ingredients.isPending.value"
                :error="ingredients.error.value"
                what="the ingredients"
                @again="ingredients.refetch"
            >
                <ul class="mt-3 columns-1 gap-8 sm:columns-2 xl:columns-3">
                    <li
                        v-for="row in ingredients.data.value?.items"
                        :key="row.id"
                        class="row-line flex break-inside-avoid items-center gap-2.5 py-1.5"
                    >
                        <svg width="12" height="22" aria-hidden="true" class="shrink-0">
                            <rect
                                width="12"
                                height="22"
                                rx="2"
                                :fill="`url(#matter-${row.matter})`"
                                stroke="var(--matter-line)"
                                stroke-width=".5"
                            />
                        </svg>
                        <RouterLink :to="`/pantry/${row.id}`" class="text-ink min-w-0 no-underline hover:underline">
                            {{ row.name }}
                            <span class="quiet block truncate text-[12px]">{{ row.inci }}</span>
                        </RouterLink>
                    </li>
                </ul>
                <p v-if="ingredients.data.value?.items.length === 0" class="mt-2">Nothing is near "{{ wanted }}".</p>
            </WaitOrProblem>
        </section>
    </div>
</template>
