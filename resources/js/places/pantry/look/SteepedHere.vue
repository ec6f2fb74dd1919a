<script setup lang="ts">
import { LOTS } from '../../../queries/lists';
import MoreRows from '../../../ui/MoreRows.vue';
import { useList } from '../../../ui/useList';
import { daysFromToday, num, sayDate } from '../../../ui/words';

/** The oils that were steeped here, how long they keep, and whether they are dry. */
const { query: lotPages, rows: lots } = useList(LOTS);
</script>

<template>
    <section v-if="lots.length > 0">
        <h2>Oils steeped here</h2>
        <ul>
            <li v-for="lot in lots" :key="lot.id" class="row-line grid gap-x-4 py-1.5 sm:grid-cols-[minmax(0,1fr)_6rem_15rem_7rem]">
                <RouterLink :to="`/steeps/${lot.steep_id}`" class="font-semibold">{{ lot.name }}</RouterLink>
                <span class="sm:text-right">
                    <span class="fig fig-measured">{{ num(lot.grams) }}</span>
                    <span class="unit">g</span>
                </span>
                <span v-if="lot.withdrawn" class="said-stop font-semibold sm:col-span-2">must not be used: {{ lot.withdrawn }}</span>
                <template v-else>
                    <span v-if="daysFromToday(lot.best_before) < 0" class="said-stop font-semibold">
                        past its day since {{ sayDate(lot.best_before) }}
                    </span>
                    <span v-else class="quiet">best before {{ sayDate(lot.best_before) }}</span>
                    <span :class="lot.dry ? 'text-good' : 'said-caution font-semibold'">
                        {{ lot.dry ? 'dry' : `water ${num(lot.water_percent)} %` }}
                    </span>
                    <span v-if="lot.store" class="said-caution col-span-full font-semibold">{{ lot.store }}</span>
                </template>
            </li>
        </ul>
        <MoreRows :query="lotPages" />
    </section>
</template>
