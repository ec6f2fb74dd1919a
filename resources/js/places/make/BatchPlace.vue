<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { batchQuery } from '../../queries/batches';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import BatchCounter from './BatchCounter.vue';
import BatchRecord from './BatchRecord.vue';

/** One batch: at the counter while it is being made, on record afterwards. */

const props = defineProps<{ id: string }>();
const { data, isPending, error, refetch } = useQuery(batchQuery(Number(props.id)));
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the batch" @again="refetch">
        <template v-if="data">
            <div v-if="data.withdrawn.length > 0" class="bg-stop-wash said-stop mb-4 rounded p-3 font-semibold" role="alert">
                <p>Do not use this batch.</p>
                <p v-for="why in data.withdrawn" :key="why">{{ why }}</p>
                <p v-if="data.shares_with.length > 0" class="font-normal">
                    Something of the same bottles is in
                    <template v-for="(other, n) in data.shares_with" :key="other.id">
                        {{ n > 0 ? ', ' : '' }}
                        <RouterLink :to="`/make/${other.id}`">{{ other.title }} ({{ other.lot_code }})</RouterLink>
                    </template>
                    : look at their jars too.
                </p>
            </div>
            <BatchRecord v-if="data.state === 'done'" :batch="data" />
            <BatchCounter v-else :batch="data" />
        </template>
    </WaitOrProblem>
</template>
