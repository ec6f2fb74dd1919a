<script setup lang="ts">
import type { Schemas } from '../../api/client';
import { loadPlan } from '../../queries/formulas';
import { tell } from '../../ui/notice';
import { num } from '../../ui/words';
import AsideTitle from './AsideTitle.vue';
import { useAside } from './useAside';
import type { Bench } from './useBench';

/** How near the essential oils are to what may be borne, also while nothing is over, and how many drops there is room for. */
const props = defineProps<{ bench: Bench }>();
const { open, answer, problem } = useAside(props.bench, loadPlan);

type Oil = Schemas['LoadPlan']['oils'][number];
const drops = (n: number): string => `${n} ${n === 1 ? 'drop' : 'drops'}`;

function most(oil: Oil): string {
    if (oil.most_drops === null) return oil.held_by || 'more than anybody counts';
    return oil.most_drops === 0 ? `none: ${oil.held_by}` : `${drops(oil.most_drops)}, then ${oil.held_by}`;
}
/** Fewer drops than stand there may be put in with one press; more is for the maker to want. */
function over(oil: Oil): boolean {
    return oil.most_drops !== null && oil.most_drops > 0 && oil.drops !== null && oil.drops > oil.most_drops;
}
function put(oil: Oil): void {
    const count = oil.most_drops ?? 0;
    props.bench.edit(`amount ${oil.line}`, (draft) => {
        const line = draft.lines.find((l) => l.id === oil.line);
        if (line) line.amount = drops(count);
    });
    tell(`${oil.name}: ${drops(count)}.`, { undo: props.bench.undo });
}
</script>

<template>
    <section aria-label="Room for strong oils">
        <AsideTitle
            v-model:open="open"
            title="Room for strong oils"
            how="load"
            hint="How near the essential oils are to what may be borne, and how many drops there is room for."
        />
        <p v-if="open && problem" role="alert" class="said-stop mt-2">{{ problem }}</p>
        <div v-if="open && answer" class="mt-2 max-w-4xl">
            <p v-if="answer.oils.length === 0 && answer.constituents.length === 0" class="quiet">No essential oil is in it.</p>
            <template v-else>
                <p class="mb-2">
                    For "{{ answer.audience }}": together
                    <span class="fig fig-estimated">{{ num(answer.percent.best) }}</span>
                    <span class="unit">%, at worst {{ num(answer.percent.high) }}, of at most {{ num(answer.ceiling) }}.</span>
                </p>
                <table v-if="answer.oils.length > 0" class="w-full">
                    <caption class="sr-only">Each essential oil, its own maximum and the most drops of it</caption>
                    <thead>
                        <tr class="quiet border-rule border-b text-left text-[13px]">
                            <th scope="col" class="py-1 font-normal">Oil</th>
                            <th scope="col" class="text-right font-normal">At worst, %</th>
                            <th scope="col" class="text-right font-normal">Its own maximum, %</th>
                            <th scope="col" class="pl-6 font-normal">The others as they are, at most</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="oil in answer.oils" :key="oil.line" class="row-line">
                            <th scope="row" class="py-1.5 text-left font-normal">{{ oil.name }}</th>
                            <td class="text-right">
                                <span class="fig fig-estimated">{{ num(oil.percent.high) }}</span>
                            </td>
                            <td class="text-right" :title="oil.limit_reason">
                                {{ oil.limit_percent === null ? 'none given' : num(oil.limit_percent) }}
                            </td>
                            <td class="pl-6" :class="oil.most_drops === 0 ? 'said-stop font-semibold' : ''">
                                {{ most(oil) }}
                                <button v-if="over(oil)" type="button" class="act-quiet no-print" @click="put(oil)">
                                    Put in {{ drops(oil.most_drops ?? 0) }}
                                </button>
                            </td>
                        </tr>
                    </tbody>
                </table>
                <table v-if="answer.constituents.length > 0" class="mt-5 w-full">
                    <caption class="quiet pb-1 text-left text-[13px]">
                        What is restricted by law or safety in them, summed over every oil and steep that bears it
                    </caption>
                    <thead>
                        <tr class="quiet border-rule border-b text-left text-[13px]">
                            <th scope="col" class="py-1 font-normal">Constituent</th>
                            <th scope="col" class="text-right font-normal">At worst, %</th>
                            <th scope="col" class="text-right font-normal">Limit, %</th>
                            <th scope="col" class="text-right font-normal">Of the limit</th>
                            <th scope="col" class="pl-6 font-normal">From</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="c in answer.constituents" :key="c.name" class="row-line">
                            <th scope="row" class="py-1.5 text-left font-normal">{{ c.name }}</th>
                            <td class="text-right">
                                <span class="fig fig-estimated">{{ num(c.percent, c.percent < 0.1 ? 4 : undefined) }}</span>
                            </td>
                            <td class="text-right">{{ num(c.limit_percent) }}</td>
                            <td class="text-right whitespace-nowrap" :class="c.of_limit > 100 ? 'said-stop font-semibold' : ''">
                                {{ c.of_limit < 1 ? 'under 1' : num(c.of_limit, 0) }}
                                <span class="unit">%</span>
                            </td>
                            <td class="pl-6">{{ c.bearers.join(', ') }}</td>
                        </tr>
                    </tbody>
                </table>
            </template>
        </div>
    </section>
</template>
