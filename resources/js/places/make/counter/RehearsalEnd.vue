<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { Schemas } from '../../../api/client';
import { useEndRehearsal } from '../../../queries/batches';
import { tellProblem } from '../../../ui/notice';

/** What would have gone wrong, had it been real. */
const props = defineProps<{ batch: Schemas['Batch'] }>();
const ending = useEndRehearsal();
const router = useRouter();
const wrong = computed(() => [
    ...props.batch.stops_now.map((s) => `Stopped: ${s}`),
    ...props.batch.deviations,
    ...props.batch.weighings.filter((w) => w.actual_grams === null).map((w) => `${w.name} was never weighed.`),
    ...props.batch.weighings.filter((w) => w.more_grams).map((w) => `More of ${w.name} was wanted.`),
    ...props.batch.tasks.filter((t) => !t.done).map((t) => `Not done: ${t.act}`),
]);
async function end(): Promise<void> {
    try {
        await ending.mutateAsync(props.batch.id);
        await router.push(props.batch.formula_id ? `/formulas/${props.batch.formula_id}` : '/make');
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <h2 class="counter-head">The rehearsal is over</h2>
    <template v-if="wrong.length > 0">
        <p class="text-[18px]">Had it been real, this would have gone otherwise than planned:</p>
        <ul class="mt-2 list-disc space-y-1 pl-6 text-[18px]">
            <li v-for="what in wrong" :key="what">{{ what }}</li>
        </ul>
    </template>
    <p v-else class="text-[20px]">Everything went as planned.</p>
    <button type="button" class="counter-act mt-4" :disabled="ending.isPending.value" @click="end">End it; nothing is kept</button>
</template>
