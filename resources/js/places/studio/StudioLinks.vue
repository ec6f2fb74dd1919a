<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { linksQuery, useEndLink } from '../../queries/links';
import { tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { sayDate } from '../../ui/words';

/** Everything that somebody without an account can see, and when she last did. */
const { data, isPending, error, refetch } = useQuery(linksQuery());
const ending = useEndLink();
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the links" @again="refetch">
        <div v-if="data" class="max-w-3xl">
            <p class="quiet max-w-prose">
                A private link shows one thing to whoever has it, without an account, and nothing else of this studio. A routine gets one on
                its own page, a finished batch for its jars on its record.
            </p>
            <ul class="mt-3">
                <li v-for="link in data.items" :key="link.id" class="row-line flex flex-wrap items-baseline gap-x-4 py-1.5">
                    <span class="min-w-48 flex-1">
                        <strong class="mr-2">{{ link.title }}</strong>
                        <span class="quiet text-[13px]">
                            made by {{ link.by }} {{ sayDate(link.made_at) }},
                            {{ link.used_at ? `last seen ${sayDate(link.used_at)}` : 'never seen yet' }}
                        </span>
                    </span>
                    <button type="button" class="act-quiet" @click="ending.mutateAsync(link.id).catch(tellProblem)">End it</button>
                </li>
            </ul>
            <p v-if="data.items.length === 0" class="mt-3">There is none.</p>
        </div>
    </WaitOrProblem>
</template>
