<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ask } from '../../api/client';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num, sayDate } from '../../ui/words';
import SteepJar from './SteepJar.vue';

const { data, isPending, error, refetch } = useQuery({ queryKey: ['steeps'], queryFn: () => ask<'SteepList'>('GET', '/api/steeps') });
const STATES = { running: 'steeping', due: 'strain it now', strained: 'strained', spoiled: 'spoiled, do not use' };
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h1>Steeps</h1>
            <RouterLink to="/steeps/start" class="act">Start a steep</RouterLink>
        </div>
        <WaitOrProblem :pending="isPending" :error="error" what="your steeps" @again="refetch">
            <ul v-if="data && data.items.length > 0">
                <li v-for="steep in data.items" :key="steep.id" class="row-line">
                    <RouterLink
                        :to="`/steeps/${steep.id}`"
                        class="text-ink grid grid-cols-[46px_1fr] items-center gap-5 py-3 no-underline hover:bg-lead-wash sm:grid-cols-[46px_minmax(0,1fr)_14rem_11rem]"
                    >
                        <SteepJar small :plan="steep.plan" :jar-ml="steep.jar_ml" :diameter-cm="steep.diameter_cm" :name="steep.name" />
                        <span>
                            <span class="font-head text-[18px] leading-tight font-semibold">{{ steep.name }}</span>
                            <span class="quiet block text-[13px]">
                                {{ num(steep.plant_grams) }} g {{ steep.form }} in {{ num(steep.oil_grams) }} g,
                                {{ steep.method_label.toLowerCase() }}
                            </span>
                        </span>
                        <span class="hidden sm:block">
                            <template v-if="steep.state === 'running'">
                                day {{ steep.day }} of {{ steep.days }}, strain {{ sayDate(steep.plan.dates.strain) }}
                            </template>
                            <template v-else-if="steep.lot">{{ num(steep.lot.grams) }} g came out</template>
                            <template v-else>was due {{ sayDate(steep.plan.dates.strain) }}</template>
                        </span>
                        <span
                            class="hidden text-right font-semibold sm:block"
                            :class="steep.state === 'due' ? 'said-caution' : steep.lot && !steep.lot.dry ? 'said-caution' : 'quiet'"
                        >
                            {{ steep.lot && !steep.lot.dry ? 'holds traces of water' : STATES[steep.state] }}
                        </span>
                    </RouterLink>
                </li>
            </ul>
            <div v-else class="max-w-prose">
                <p>
                    A steep is a plant drawn into oil for weeks or an hour. It tells you when to shake, when to strain, how much comes out
                    and whether it holds water.
                </p>
                <p class="mt-2">For example: 40 g dried calendula in 400 g high-oleic sunflower oil, cold and dark, four weeks.</p>
            </div>
        </WaitOrProblem>
    </div>
</template>
