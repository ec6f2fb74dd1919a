<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import MoreRows from '../../ui/MoreRows.vue';
import { STEEPS } from '../../queries/lists';
import { useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { daysFromToday, num, sayDate, shortDate, todayDate } from '../../ui/words';
import SteepJar from './SteepJar.vue';

const shelf = useList(STEEPS, () => ({ state: 'running' }));
const past = useList(STEEPS, () => ({ state: 'strained,spoiled' }));
const { query } = shelf;
const today = todayDate();
const running = computed(() => [...shelf.rows.value].sort((a, b) => a.plan.dates.strain.localeCompare(b.plan.dates.strain)));
/** One scale for the whole shelf, so that jars can be told apart by where they stand in time. */
const span = computed(() => {
    const days = running.value.flatMap((s) => [daysFromToday(s.plan.dates.start), daysFromToday(s.plan.dates.ready)]);
    return { from: Math.min(-7, ...days), to: Math.max(14, ...days) + 2 };
});
const at = (date: string): number => ((daysFromToday(date, today) - span.value.from) / (span.value.to - span.value.from)) * 100;
function tone(s: Schemas['SteepRow']): string {
    return s.next.overdue
        ? 'said-caution font-semibold'
        : ['shake', 'stop-shaking', 'strain', 'ready'].includes(s.next.kind)
          ? 'text-lead font-semibold'
          : 'quiet';
}
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h1>Steeps</h1>
            <RouterLink to="/steeps/start" class="act">Start a steep</RouterLink>
        </div>
        <WaitOrProblem :pending="query.isPending.value" :error="query.error.value" what="your steeps" @again="query.refetch">
            <section v-if="running.length > 0" aria-label="The shelf">
                <ul>
                    <li v-for="s in running" :key="s.id" class="row-line">
                        <RouterLink
                            :to="s.next.kind === 'strain' ? `/steeps/${s.id}/strain` : `/steeps/${s.id}`"
                            class="text-ink grid min-h-14 grid-cols-[46px_minmax(0,1fr)] items-center gap-x-4 gap-y-1 py-2 no-underline hover:bg-lead-wash lg:grid-cols-[46px_minmax(0,17rem)_minmax(0,1fr)_13rem]"
                        >
                            <SteepJar small :plan="s.plan" :jar-ml="s.jar_ml" :diameter-cm="s.diameter_cm" :name="s.name" />
                            <span>
                                <span class="font-head text-[17px] leading-tight font-semibold">{{ s.name }}</span>
                                <span class="quiet block text-[13px]">
                                    day {{ s.day }} of {{ s.days }}, {{ s.method_label.toLowerCase() }}; about
                                    {{ num(s.drawn_now_percent.best, 0) }} % drawn
                                </span>
                            </span>
                            <svg
                                viewBox="0 0 100 12"
                                preserveAspectRatio="none"
                                class="col-span-2 hidden h-7 w-full lg:col-span-1 lg:block"
                                aria-hidden="true"
                            >
                                <line x1="0" x2="100" y1="6" y2="6" stroke="var(--rule)" stroke-width=".5" />
                                <rect
                                    :x="at(s.plan.dates.start)"
                                    :width="at(s.plan.dates.strain) - at(s.plan.dates.start)"
                                    y="3"
                                    height="6"
                                    fill="none"
                                    stroke="var(--glass)"
                                    stroke-width=".4"
                                    vector-effect="non-scaling-stroke"
                                />
                                <rect
                                    :x="at(s.plan.dates.start)"
                                    :width="Math.max(0, at(today) - at(s.plan.dates.start))"
                                    y="3"
                                    height="6"
                                    fill="var(--matter-plant)"
                                />
                                <line
                                    :x1="at(today)"
                                    :x2="at(today)"
                                    y1="0"
                                    y2="12"
                                    stroke="var(--ink)"
                                    stroke-width="1.5"
                                    vector-effect="non-scaling-stroke"
                                />
                                <line
                                    :x1="at(s.plan.dates.ready)"
                                    :x2="at(s.plan.dates.ready)"
                                    y1="2"
                                    y2="10"
                                    stroke="var(--lead)"
                                    stroke-width="2"
                                    vector-effect="non-scaling-stroke"
                                />
                            </svg>
                            <span class="col-span-2 lg:col-span-1 lg:text-right" :class="tone(s)">{{ s.next.words }}</span>
                        </RouterLink>
                    </li>
                </ul>
                <MoreRows :query="query" />
                <p class="quiet mt-1 hidden text-[13px] lg:block">
                    The dark line is today, {{ shortDate(today) }}; the blue one is the day it is ready.
                </p>
            </section>
            <section v-if="past.rows.value.length > 0" class="mt-8">
                <h2>Strained, or given up</h2>
                <ul>
                    <li v-for="s in past.rows.value" :key="s.id" class="row-line">
                        <RouterLink
                            :to="`/steeps/${s.id}`"
                            class="text-ink grid gap-x-4 py-2 no-underline hover:bg-lead-wash sm:grid-cols-[minmax(0,1fr)_10rem_14rem]"
                        >
                            <span>
                                <span class="font-semibold">{{ s.name }}</span>
                                <span class="quiet block text-[13px]">{{ s.method_label.toLowerCase() }}</span>
                            </span>
                            <span>
                                <template v-if="s.lot">
                                    <span class="fig fig-measured">{{ num(s.lot.grams) }}</span>
                                    <span class="unit">g</span>
                                </template>
                            </span>
                            <span
                                class="sm:text-right"
                                :class="
                                    s.state === 'spoiled' || s.lot?.withdrawn
                                        ? 'said-stop font-semibold'
                                        : s.lot && !s.lot.dry
                                          ? 'said-caution font-semibold'
                                          : 'quiet'
                                "
                            >
                                <template v-if="s.state === 'spoiled'">{{ s.reason }}</template>
                                <template v-else-if="s.lot?.withdrawn">must not be used: {{ s.lot.withdrawn }}</template>
                                <template v-else-if="s.next.kind === 'ready'">{{ s.next.words }}</template>
                                <template v-else-if="s.lot">
                                    {{ s.lot.dry ? '' : `may hold ${num(s.lot.water_percent)} % of water; ` }}best before
                                    {{ sayDate(s.lot.best_before) }}. {{ s.lot.store }}
                                </template>
                            </span>
                        </RouterLink>
                    </li>
                </ul>
                <MoreRows :query="past.query" />
            </section>
            <div v-if="shelf.none.value && past.none.value" class="max-w-prose">
                <p>
                    A steep is a plant drawn into oil for weeks or an hour. It tells you when to shake, when to strain, how much comes out
                    and whether it holds water.
                </p>
                <p class="mt-2">For example: 40 g dried calendula in 400 g high-oleic sunflower oil, cold and dark, four weeks.</p>
            </div>
        </WaitOrProblem>
    </div>
</template>
