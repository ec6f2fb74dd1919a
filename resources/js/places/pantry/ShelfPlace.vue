<script setup lang="ts">
import { computed, ref } from 'vue';
import { SHELF } from '../../queries/shelf';
import MoreRows from '../../ui/MoreRows.vue';
import { useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import CountShelf from './CountShelf.vue';
import PantryHalves from './PantryHalves.vue';
import PutOnShelf from './PutOnShelf.vue';
import ShelfBottle from './ShelfBottle.vue';

/** What stands there, board by board; what is to be used first stands before the rest. */
const { query, rows, none } = useList(SHELF);
/** Bottle after bottle on the scale. */
const counting = ref(false);
/** At most three are pressed on anybody. */
const first = computed(() => rows.value.filter((lot) => !lot.withdrawn && lot.soon).slice(0, 3));
/** Oils among them of which it is known how much there is. */
const leftOvers = computed(() =>
    first.value.filter((lot) => lot.matter === 'liquid' && lot.steepable && lot.batch_id === null && (lot.left_grams ?? 0) > 0),
);
const boards = computed(() => {
    const of = new Map<string, typeof rows.value>();
    for (const lot of rows.value) of.set(lot.place, [...(of.get(lot.place) ?? []), lot]);
    return [...of.entries()].sort(([a], [b]) => (a === '' ? 1 : b === '' ? -1 : a.localeCompare(b)));
});
</script>

<template>
    <div>
        <h1 class="mb-3">Pantry</h1>
        <PantryHalves here="shelf" />
        <PutOnShelf v-if="!counting" class="mb-2" />
        <p class="mb-6 -ml-2.5">
            <button type="button" class="act-quiet" :aria-pressed="counting" @click="counting = !counting">
                {{ counting ? 'Done weighing' : 'Weigh the whole shelf' }}
            </button>
        </p>
        <CountShelf v-if="counting" class="mb-6" :lots="rows" />
        <WaitOrProblem :pending="query.isPending.value" :error="query.error.value" what="the shelf" @again="query.refetch">
            <section v-if="first.length > 0" class="mb-6" aria-labelledby="use-first">
                <h2 id="use-first">Use first</h2>
                <div class="mt-2 flex flex-wrap gap-x-4 gap-y-3">
                    <ShelfBottle v-for="lot in first" :key="lot.id" :lot="lot" />
                </div>
            </section>
            <p v-if="leftOvers.length > 1" class="mb-6 -ml-2.5">
                <RouterLink
                    :to="`/steeps/start?oils=${leftOvers.map((l) => `${l.ingredient}:${l.left_grams}`).join(',')}`"
                    class="act-quiet"
                >
                    Steep something in the {{ leftOvers.length }} oils of these together
                </RouterLink>
            </p>
            <section v-for="[place, lots] in boards" :key="place" class="mb-6" :aria-label="place || 'No place given'">
                <h2>{{ place || 'No place given' }}</h2>
                <div class="mt-2 flex flex-wrap gap-x-4 gap-y-3">
                    <ShelfBottle v-for="lot in lots" :key="lot.id" :lot="lot" />
                </div>
            </section>
            <MoreRows :query="query" />
            <p v-if="none" class="max-w-prose">
                Nothing stands here yet. Write what you have as you would on a slip of paper, for example "250 ml castor, 6.90, best before
                3/28, opened today": it is read as you type, and each bottle then knows until when it keeps and what a gram of it costs.
            </p>
        </WaitOrProblem>
    </div>
</template>
