<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { todayQuery, useTakeBackTick, useTick } from '../../queries/today';
import { tell, tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { daysFromToday, sayDate, sayDay, shortDate } from '../../ui/words';

const session = useSession();
const { data, isPending, error, refetch } = useQuery(todayQuery());

/** The shelf's stretch of time: from the oldest start to the latest end, today marked between. */
const span = computed(() => {
    const shelf = data.value?.shelf ?? [];
    const today = data.value?.date ?? '';
    const from = Math.min(-7, ...shelf.map((s) => Math.max(-45, daysFromToday(s.from, today))));
    const to = Math.max(14, ...shelf.map((s) => Math.min(75, daysFromToday(s.to, today))));
    return { from, to };
});
function left(date: string): number {
    const day = Math.max(span.value.from, Math.min(span.value.to, daysFromToday(date, data.value?.date)));
    return ((day - span.value.from) / (span.value.to - span.value.from)) * 100;
}
function full(thing: Schemas['ShelfItem']): { x: number; w: number } {
    const from = left(thing.from);
    const to = left(thing.to);
    const now = to > from ? Math.max(0, Math.min(100, ((left(data.value?.date ?? thing.from) - from) / (to - from)) * 100)) : 100;
    return thing.kind === 'steep' ? { x: 0, w: now } : { x: now, w: 100 - now };
}
const ticks = computed(() => {
    const marks: { at: number; words: string }[] = [];
    const today = data.value?.date ?? '';
    for (let day = Math.ceil(span.value.from / 14) * 14; day <= span.value.to; day += 14) {
        const date = new Date(`${today}T00:00:00Z`);
        date.setUTCDate(date.getUTCDate() + day);
        marks.push({
            at: ((day - span.value.from) / (span.value.to - span.value.from)) * 100,
            words: day === 0 ? 'today' : shortDate(date.toISOString()),
        });
    }
    return marks;
});

const ticking = useTick();
const takingBack = useTakeBackTick();
async function tick(item: Schemas['TodayItem']): Promise<void> {
    if (!item.tick) return;
    try {
        const back = await ticking.mutateAsync(item.tick);
        tell('Ticked.', { undo: () => void takingBack.mutateAsync(back).catch(tellProblem) });
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="today" @again="refetch">
        <div v-if="data">
            <h1>
                {{ sayDay(data.date) }}
            </h1>

            <section v-if="data.shelf.length > 0" class="mt-6 overflow-hidden pr-2" aria-label="The shelf">
                <div class="relative" :style="{ height: `${data.shelf.length * 44 + 34}px` }">
                    <div v-for="mark in ticks" :key="mark.words" class="absolute inset-y-0" :style="{ left: `${mark.at}%` }">
                        <div class="h-full w-px" :style="{ background: mark.words === 'today' ? 'var(--lead)' : 'var(--rule)' }" />
                        <span
                            class="absolute bottom-0 -translate-x-1/2 text-[12px] whitespace-nowrap"
                            :class="mark.words === 'today' ? 'text-lead bg-ground px-1 font-bold' : 'quiet'"
                        >
                            {{ mark.words }}
                        </span>
                    </div>
                    <RouterLink
                        v-for="(thing, i) in data.shelf"
                        :key="thing.place"
                        :to="thing.place"
                        class="text-ink @container absolute block h-9 no-underline"
                        :title="`${thing.name}, ${thing.words}`"
                        :style="{
                            top: `${i * 44}px`,
                            left: `${left(thing.from)}%`,
                            width: `${Math.max(3, left(thing.to) - left(thing.from))}%`,
                        }"
                    >
                        <!-- A jar laid on its side, its lid at the end: a steep fills up to today, a jar in use is full from today on. -->
                        <svg class="absolute inset-0 h-full w-full" preserveAspectRatio="none" viewBox="0 0 100 36" aria-hidden="true">
                            <rect x="0" y="1" width="100" height="34" fill="var(--raised)" />
                            <rect :x="full(thing).x" y="1" :width="full(thing).w" height="34" :fill="`url(#matter-${thing.matter})`" />
                            <rect
                                x="0"
                                y="1"
                                width="100"
                                height="34"
                                fill="none"
                                stroke="var(--glass)"
                                stroke-width="2"
                                vector-effect="non-scaling-stroke"
                            />
                        </svg>
                        <span class="bg-ink absolute inset-y-1 -right-2 w-2 rounded-r-sm" aria-hidden="true" />
                        <span class="absolute inset-y-0 left-2 flex items-center gap-2 font-semibold whitespace-nowrap">
                            <span class="bg-ground rounded px-1.5">{{ thing.name }}</span>
                            <!-- Where the jar is short, its end says it better than words over its lid. -->
                            <span class="bg-ground quiet hidden rounded px-1.5 text-[13px] font-normal @min-[24rem]:inline">
                                {{ thing.words }}
                            </span>
                        </span>
                    </RouterLink>
                </div>
            </section>

            <section class="mt-8 max-w-4xl">
                <h2>Needs hands now</h2>
                <ul class="mt-2">
                    <li v-for="item in data.items" :key="item.key" class="row-line flex min-h-14 items-center gap-4 py-2">
                        <button
                            v-if="item.tick"
                            type="button"
                            class="border-lead h-10 w-10 shrink-0 rounded border-2"
                            :aria-label="`Tick: ${item.words}`"
                            @click="tick(item)"
                        />
                        <span v-else class="w-10 shrink-0 text-center font-bold" aria-hidden="true">→</span>
                        <RouterLink :to="item.place" class="text-ink flex-1 no-underline">
                            <span class="text-[17px]">{{ item.words }}</span>
                            <span class="block text-[13px]" :class="item.overdue ? 'said-caution font-semibold' : 'quiet'">
                                {{ item.overdue ? `was due ${sayDate(item.date, data.date)}` : sayDate(item.date, data.date) }}
                            </span>
                        </RouterLink>
                    </li>
                </ul>
                <p v-if="data.items.length === 0" class="quiet mt-2">
                    Nothing needs you today. When a steep runs, a batch is open or a routine has its day, it stands here with one tick.
                </p>
                <div v-if="data.items.length === 0 && session.may('make')" class="mt-3 flex flex-wrap gap-x-3">
                    <RouterLink to="/formulas/paste" class="act no-underline">Paste a recipe</RouterLink>
                    <RouterLink to="/steeps/start" class="act-quiet">Start a steep</RouterLink>
                    <RouterLink to="/heads/new" class="act-quiet">Add a person</RouterLink>
                </div>
            </section>
        </div>
    </WaitOrProblem>
</template>
