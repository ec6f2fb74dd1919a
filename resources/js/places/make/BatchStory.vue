<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import HowLink from '../../ui/HowLink.vue';
import { fixed, num, sayDate, sayTime } from '../../ui/words';
import CoolingPicture from './counter/CoolingPicture.vue';
import { LOOKED } from './looked';

/** How it went: what was done and when, what went otherwise, how it cooled, when it is to be looked at. */
const props = defineProps<{ batch: Schemas['Batch'] }>();
const done = computed(() => props.batch.tasks.filter((t) => t.done));
const cooled = computed(() => props.batch.tasks.filter((t) => t.cooling && t.cooling.readings.length > 0));
const earlier = computed(() => props.batch.written_on !== null && props.batch.written_on > props.batch.made_on);
</script>

<template>
    <section aria-label="How it went">
        <h2>
            How it went
            <HowLink of="making" what="a batch" />
        </h2>
        <p v-if="earlier" class="quiet">It was made before it was written down, on {{ sayDate(batch.written_on ?? '') }}.</p>
        <p v-if="batch.factor > 1">
            Too much of one line went in: all was made {{ num(batch.factor, 2) }} times as large, so that the shares are as they were meant.
        </p>
        <ul v-if="batch.deviations.length > 0" class="mt-1 list-disc pl-5" aria-label="Otherwise than planned">
            <li v-for="what in batch.deviations" :key="what">{{ what }}</li>
        </ul>
        <p v-else class="mt-1">Nothing went otherwise than planned.</p>
        <p class="mt-2">
            <template v-if="batch.inspected.length > 0">
                Every jar looked at: {{ batch.inspected.map((w) => LOOKED[w]).join(', ') }}.
            </template>
            <template v-else>Nobody has said that the jars were looked at.</template>
            {{ batch.sample_kept ? 'One jar was kept back as the sample.' : '' }}
        </p>
        <figure v-for="task in cooled" :key="task.id" class="mt-3">
            <figcaption class="text-[14px]">{{ task.act }}</figcaption>
            <CoolingPicture v-if="task.cooling" :cooling="task.cooling" :gate="task.gate.celsius" />
        </figure>
        <details v-if="done.length > 0" class="mt-2">
            <summary class="cursor-pointer py-1 font-semibold">What was done, step by step</summary>
            <ol>
                <li v-for="task in done" :key="task.id" class="row-line py-1">
                    {{ task.act }}
                    <span class="quiet block text-[13px]">
                        {{ task.skipped ? `Passed over: ${task.skipped}.` : '' }} {{ task.at ? sayTime(task.at) : '' }}, {{ task.by }}
                    </span>
                </li>
            </ol>
        </details>
        <template v-if="batch.checks.length > 0">
            <h3 class="mt-4 font-semibold">To be looked at</h3>
            <ul class="flex flex-wrap gap-x-5 gap-y-1">
                <li v-for="check in batch.checks" :key="check.name" :class="check.done ? 'quiet' : ''">
                    {{ check.done ? '✓' : '' }} after {{ check.name }}, {{ sayDate(check.due_on) }}
                </li>
            </ul>
        </template>
        <template v-if="batch.beside.length > 0">
            <table class="mt-4 w-full text-[14px]">
                <caption class="mb-1 text-left font-semibold">Other batches of this formula</caption>
                <thead>
                    <tr class="quiet border-rule border-b text-[13px]">
                        <th scope="col" class="text-left font-normal">Made</th>
                        <th scope="col" class="pl-3 text-right font-normal">Weighed</th>
                        <th scope="col" class="pl-3 text-right font-normal">Jars</th>
                        <th scope="col" class="pl-3 text-right font-normal">Lost</th>
                        <th scope="col" class="pl-3 text-left font-normal">Texture found</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="other in batch.beside" :key="other.id" class="row-line">
                        <th scope="row" class="py-1 text-left font-normal">
                            <RouterLink :to="`/make/${other.id}`">{{ sayDate(other.made_on) }}</RouterLink>
                        </th>
                        <td class="pl-3 text-right">{{ num(other.yield.weighed_grams) }} g</td>
                        <td class="pl-3 text-right">{{ other.jars }} × {{ num(other.net_grams) }} g</td>
                        <td class="pl-3 text-right">
                            {{ other.yield.lost_percent === null ? '' : `${fixed(other.yield.lost_percent, 1)} %` }}
                        </td>
                        <td class="pl-3">{{ other.texture }}</td>
                    </tr>
                </tbody>
            </table>
        </template>
    </section>
</template>
