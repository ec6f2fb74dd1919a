<script setup lang="ts">
import MoreRows from '../../ui/MoreRows.vue';
import { BATCHES } from '../../queries/lists';
import { useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { useSession } from '../../ui/session';
import { BAD, num, sayBestBefore } from '../../ui/words';

/** The label and the record of every finished batch. */

const session = useSession();
const { query, rows: done, none } = useList(BATCHES, () => ({ state: 'done' }));
</script>

<template>
    <div>
        <h1 class="mb-1">Papers</h1>
        <p class="quiet mb-4 max-w-prose">
            A label for one jar and a record for each finished batch. {{ session.studio?.before_selling }}
            <RouterLink to="/methods">How each figure is worked out.</RouterLink>
        </p>
        <WaitOrProblem :pending="query.isPending.value" :error="query.error.value" what="the papers" @again="query.refetch">
            <ul v-if="done.length > 0">
                <li
                    v-for="batch in done"
                    :key="batch.id"
                    class="row-line grid items-center gap-x-4 py-2.5 sm:grid-cols-[minmax(0,1fr)_15rem_auto_auto]"
                >
                    <span>
                        <span class="font-head text-[18px] font-semibold">{{ batch.title }}</span>
                        <span class="quiet block text-[13px]">
                            lot {{ batch.lot_code }}, {{ batch.jars }} × {{ num(batch.net_grams) }} g
                        </span>
                    </span>
                    <span v-if="batch.bad" class="said-stop text-[14px] font-semibold">{{ BAD }}</span>
                    <span v-else class="quiet text-[14px]">{{ sayBestBefore(batch.best_before) }}</span>
                    <a v-if="!batch.bad" :href="`/papers/batches/${batch.id}/label.pdf`" target="_blank" class="act-quiet">Label as PDF</a>
                    <RouterLink :to="`/make/${batch.id}`" class="act-quiet">Batch record</RouterLink>
                </li>
            </ul>
            <MoreRows :query="query" />
            <p v-if="none" class="max-w-prose">
                No batch is finished yet. When one is, its label and its record stand here: for example "Scalp oil, lot 261127-1, 50 g net,
                best before May". It begins with a formula
                <RouterLink to="/make">that is made</RouterLink>
                .
            </p>
        </WaitOrProblem>
    </div>
</template>
