<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { lookQuery } from '../../queries/links';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { longDate, num, sayDate } from '../../ui/words';

/** A routine as the one it is for sees it, by a private link: what to do when, and what to watch for. */
const props = defineProps<{ token: string }>();
const { data, isPending, error, refetch } = useQuery(lookQuery(props.token));
const STATES: Record<string, string> = { done: 'done', skipped: 'left out', reacted: 'it reacted' };
</script>

<template>
    <main class="mx-auto max-w-xl px-4 py-6">
        <WaitOrProblem :pending="isPending" :error="error" what="the routine" @again="refetch">
            <div v-if="data">
                <p class="quiet text-[13px]">{{ data.studio }}</p>
                <h1>{{ data.product }}</h1>
                <p class="mt-1">
                    For {{ data.head }}. {{ data.per_week === 1 ? 'Once' : `${data.per_week} times` }} a week,
                    {{ num(data.grams_per_use) }} g each time{{ data.strokes ? `, ${data.strokes}` : ''
                    }}{{ data.way ? `. ${data.way}` : '' }}.
                </p>
                <p v-if="data.withdrawn.length > 0" class="said-stop mt-2 font-semibold">
                    Do not use it any more. {{ data.withdrawn.join(' ') }}
                </p>
                <p v-if="data.state === 'stopped'" class="said-stop mt-2 font-semibold">This routine was stopped. Do not use it on.</p>
                <p v-if="data.best_before" class="quiet mt-1">
                    Best before {{ longDate(data.best_before) }}{{ data.store ? `, ${data.store}` : '' }}.
                </p>
                <ul class="said-caution mt-3 text-[14px] space-y-1">
                    <li v-for="caution in data.cautions" :key="caution">{{ caution }}</li>
                </ul>
                <ol class="mt-4">
                    <li v-for="(day, i) in data.days" :key="i" class="row-line flex flex-wrap items-baseline gap-x-4 py-2">
                        <span class="w-32 font-semibold">{{ sayDate(day.date) }}</span>
                        <span class="min-w-40 flex-1">{{ day.words }}</span>
                        <span class="quiet">{{ STATES[day.state] ?? '' }}</span>
                    </li>
                </ol>
                <p v-if="data.ends_words && data.withdrawn.length === 0" class="mt-3 font-semibold">{{ data.ends_words }}</p>
            </div>
        </WaitOrProblem>
    </main>
</template>
