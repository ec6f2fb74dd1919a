<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { workingQuery } from '../../../queries/formulas';
import { useSession } from '../../../ui/session';
import WaitOrProblem from '../../../ui/WaitOrProblem.vue';
import { num } from '../../../ui/words';
import type { Bench } from '../useBench';

/** How the grams of one line came about: what went in, where each figure is from, and the page of the method. */
const props = defineProps<{ bench: Bench; line: string }>();
const session = useSession();
const { data, isPending, error, refetch } = useQuery(
    computed(() =>
        workingQuery({
            formula: props.bench.formula.value,
            head_id: props.bench.headId.value,
            hair: props.bench.hair.value,
            line: props.line,
        }),
    ),
);
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the working" @again="refetch">
        <template v-if="data">
            <p>{{ data.words }}</p>
            <table class="mt-2 w-full">
                <caption class="sr-only">Inputs</caption>
                <tbody>
                    <tr v-for="input in data.inputs" :key="input.name" class="row-line align-top">
                        <th scope="row" class="quiet py-1 pr-2 text-left font-normal">{{ input.name }}</th>
                        <td class="py-1 text-right whitespace-nowrap">{{ num(input.value.best, 4) }} {{ input.unit }}</td>
                        <td class="quiet py-1 pl-2 text-[12px]">{{ session.source(input.source) }}</td>
                    </tr>
                </tbody>
            </table>
            <p class="mt-2 text-[13px]">
                <RouterLink :to="`/methods/${data.method}`">How it is worked out: {{ data.method.replaceAll('-', ' ') }}</RouterLink>
            </p>
        </template>
    </WaitOrProblem>
</template>
