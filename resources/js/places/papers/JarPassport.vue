<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { jarQuery } from '../../queries/links';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { longDate, num } from '../../ui/words';

/** What whoever holds a jar sees by the link on it: what it is, how to keep and use it, what others asked. */
const props = defineProps<{ token: string }>();
const { data, isPending, error, refetch } = useQuery(jarQuery(props.token));
</script>

<template>
    <main class="mx-auto max-w-xl px-4 py-6">
        <WaitOrProblem :pending="isPending" :error="error" what="the jar" @again="refetch">
            <article v-if="data">
                <p class="quiet text-[13px]">{{ data.label.maker || data.studio }}</p>
                <h1>{{ data.label.name }}</h1>
                <p class="quiet mt-1">Lot {{ data.label.lot }}, {{ data.label.net ?? `${num(data.label.net_grams)} g net` }}</p>
                <div v-if="data.must_not_be_used.length > 0" class="said-stop mt-3 font-semibold" role="alert">
                    <p>Do not use it.</p>
                    <p v-for="why in data.must_not_be_used" :key="why">{{ why }}</p>
                </div>
                <template v-else>
                    <p class="mt-3 text-[18px]">
                        <strong v-if="data.label.best_before">Best before {{ longDate(data.label.best_before) }}.</strong>
                        <strong v-else>Best before: not known.</strong>
                        {{ data.label.store }}
                    </p>
                    <h2 class="mt-5">How to use it</h2>
                    <p class="mt-1">{{ data.label.directions }}</p>
                </template>
                <ul class="said-caution mt-3 space-y-1 text-[14px]">
                    <li v-for="caution in data.label.cautions" :key="caution">{{ caution }}</li>
                </ul>
                <h2 class="mt-5">What is in it</h2>
                <p class="mt-1">{{ data.label.ingredients }}.</p>
                <p v-if="data.label.contains.length > 0" class="mt-1 font-bold">Contains: {{ data.label.contains.join(', ') }}.</p>
                <template v-if="data.must_not_be_used.length === 0">
                    <h2 class="mt-5">What others ask</h2>
                    <dl class="mt-1">
                        <div v-for="one in data.questions" :key="one.question" class="row-line py-2">
                            <dt class="font-semibold">{{ one.question }}</dt>
                            <dd>{{ one.answer }}</dd>
                        </div>
                    </dl>
                </template>
            </article>
        </WaitOrProblem>
    </main>
</template>
