<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { ask, Problem, type Schemas } from '../../api/client';
import { bandsOf } from '../../jar/bands';
import JarView from '../../jar/JarView.vue';
import { tell } from '../../ui/notice';
import { AUDIENCES, num, sayMonths } from '../../ui/words';
import IngredientPick from './IngredientPick.vue';
import type { Bench } from './useBench';
import HowLink from '../../ui/HowLink.vue';

/** Asked in the maker's words, shown as demands that can be changed, answered beside the present jar. */
const props = defineProps<{ bench: Bench }>();
const { formula, headId, hair, assessment } = props.bench;

type Wish = Schemas['DesignAsk']['wishes'][number];
const SIMPLE: [Wish['kind'], string][] = [
    ['softer', 'Softer'],
    ['firmer', 'Firmer'],
    ['lighter', 'Lighter on the hair'],
    ['richer', 'Richer'],
    ['keeps-longer', 'Keeps longer'],
    ['cheaper', 'Cheaper'],
    ['fewer', 'One ingredient fewer'],
    ['at-hand', 'Only from my cupboard'],
];
const wishes = ref<(Wish & { name: string })[]>([]);
const without = ref('');
const answer = shallowRef<Schemas['DesignAnswer'] | null>(null);
const demands = ref<Schemas['ShownDemand'][]>([]);
const problem = ref('');
const busy = ref(false);
let abort: AbortController | null = null;

async function solve(edited: boolean): Promise<void> {
    abort?.abort();
    abort = new AbortController();
    busy.value = true;
    problem.value = '';
    try {
        const found = await ask<'DesignAnswer'>(
            'POST',
            '/api/design',
            {
                formula: formula.value,
                head_id: headId.value,
                hair: hair.value,
                wishes: wishes.value.map(({ kind, of }) => ({ kind, of })),
                demands: edited
                    ? demands.value.map(({ kind, min, max, of, at }) => ({ kind, min: number(min), max: number(max), of, at }))
                    : null,
            },
            { signal: abort.signal },
        );
        answer.value = found;
        demands.value = found.demands;
    } catch (e) {
        if (e instanceof Problem) problem.value = e.message;
    } finally {
        busy.value = false;
    }
}
function number(value: unknown): number | null {
    return value === null || value === '' || !Number.isFinite(Number(value)) ? null : Number(value);
}
function toggle(kind: Wish['kind'], of = '', name = ''): void {
    const at = wishes.value.findIndex((w) => w.kind === kind && w.of === of);
    if (at >= 0) wishes.value.splice(at, 1);
    else wishes.value.push({ kind, of, name });
    if (wishes.value.length > 0) void solve(false);
    else answer.value = null;
}
function shun(): void {
    const what = without.value.trim();
    without.value = '';
    if (what !== '') toggle('without', what, `without ${what}`);
}
const bands = (a: Schemas['Assessment']) => bandsOf(a).map((b) => ({ ...b, name: b.name.split(' ')[0] ?? '' }));
const changes = computed(() => {
    const after = answer.value?.assessment;
    if (!after) return [];
    const names = new Set([...assessment.value.lines, ...after.lines].map((l) => l.name));
    const share = (a: Schemas['Assessment'], name: string): number =>
        a.lines.filter((l) => l.name === name).reduce((sum, l) => sum + l.shown_percent, 0);
    return [...names]
        .map((name) => ({ name, before: share(assessment.value, name), after: share(after, name) }))
        .filter((c) => Math.abs(c.after - c.before) >= 0.05)
        .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before));
});
const facts = computed(() => {
    const after = answer.value?.assessment;
    if (!after) return [];
    const stops = (a: Schemas['Assessment']): number => a.findings.filter((f) => f.severity === 'stop').length;
    const one = (words: string, of: (a: Schemas['Assessment']) => string): [string, string, string] => [
        words,
        of(assessment.value),
        of(after),
    ];
    return [
        one('Texture', (a) => a.texture_label),
        one('Solids at 25 °C', (a) => `${num(a.solids['25'])} %`),
        one('Weight', (a) => num(a.weight_index, 1)),
        one('Keeps', (a) => sayMonths(a.life_months.best)),
        one('100 g cost', (a) => (a.cost.unpriced.length > 0 ? 'cannot tell' : num(a.cost.per_100g))),
        one('Stops', (a) => num(stops(a))),
    ];
});
async function apply(): Promise<void> {
    const found = answer.value;
    if (!found?.formula) return;
    const words =
        wishes.value.map((w) => w.name || SIMPLE.find(([k]) => k === w.kind)?.[1].toLowerCase() || w.kind).join(', ') || 'new demands';
    await props.bench.keep(`Before: ${words}`);
    props.bench.replace(found.formula, 'design');
    await props.bench.keep(words.slice(0, 300));
    answer.value = null;
    wishes.value = [];
    tell(`On the bench as a new version: ${words}.`, { undo: props.bench.undo });
}
</script>

<template>
    <section aria-label="Design">
        <h2>
            What should it be instead?
            <HowLink of="solver" what="a design" />
        </h2>
        <div class="mt-2 flex flex-wrap items-center gap-2">
            <button
                v-for="[kind, words] in SIMPLE"
                :key="kind"
                type="button"
                class="border-rule min-h-9 rounded border px-3"
                :class="wishes.some((w) => w.kind === kind) ? 'bg-lead text-on-lead' : ''"
                :aria-pressed="wishes.some((w) => w.kind === kind)"
                @click="toggle(kind)"
            >
                {{ words }}
            </button>
            <form class="inline-flex" @submit.prevent="shun">
                <input v-model="without" class="field !w-40" maxlength="80" aria-label="Without" placeholder="without … (tree nut)" />
            </form>
            <span class="w-44">
                <IngredientPick
                    name=""
                    label="Use up an ingredient"
                    placed
                    @choose="toggle('use-up', $event.id, `use up the ${$event.name.toLowerCase()}`)"
                />
            </span>
            <select
                class="field !w-48"
                aria-label="Safe for"
                :value="''"
                @change="
                    toggle(
                        'safe-for',
                        ($event.target as HTMLSelectElement).value,
                        `safe for ${AUDIENCES[($event.target as HTMLSelectElement).value]}`,
                    )
                "
            >
                <option value="">safe for …</option>
                <option v-for="(word, audience) in AUDIENCES" :key="audience" :value="audience">{{ word }}</option>
            </select>
        </div>
        <p v-if="wishes.some((w) => w.name)" class="mt-2 flex flex-wrap gap-2">
            <button
                v-for="w in wishes.filter((x) => x.name)"
                :key="w.kind + w.of"
                type="button"
                class="bg-lead text-on-lead rounded px-3 py-1"
                :aria-label="`Take back: ${w.name}`"
                @click="toggle(w.kind, w.of ?? '')"
            >
                {{ w.name }} ×
            </button>
        </p>
        <p v-if="problem" class="said-stop mt-2 font-semibold" role="alert">{{ problem }}</p>
        <p v-if="busy" class="quiet mt-2" role="status">
            Working it out…
            <button type="button" class="act-quiet" @click="abort?.abort()">Stop</button>
        </p>
        <div v-if="answer" class="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,20rem)_auto_minmax(0,1fr)]">
            <form @submit.prevent="solve(true)">
                <h3 class="font-semibold">Asked of it</h3>
                <ul>
                    <li
                        v-for="(d, n) in demands"
                        :key="n"
                        class="row-line grid grid-cols-[minmax(0,1fr)_4.2rem_4.2rem_1.4rem] items-center gap-1.5 py-1.5"
                    >
                        <span class="text-[14px]">{{ d.words }}</span>
                        <input
                            v-model="d.min"
                            class="field !px-1.5"
                            inputmode="decimal"
                            :aria-label="`${d.words}: at least`"
                            placeholder="from"
                        />
                        <input
                            v-model="d.max"
                            class="field !px-1.5"
                            inputmode="decimal"
                            :aria-label="`${d.words}: at most`"
                            placeholder="to"
                        />
                        <button
                            type="button"
                            class="act-quiet !px-1"
                            :aria-label="`Drop: ${d.words}`"
                            @click="(demands.splice(n, 1), solve(true))"
                        >
                            ×
                        </button>
                    </li>
                </ul>
                <button class="act-quiet mt-1 -ml-2.5">Work it out with these</button>
                <div v-if="answer.answer.status === 'impossible'" class="bg-caution-wash mt-2 rounded p-3" role="alert">
                    <p class="font-semibold">These cannot be met together: {{ answer.answer.conflict.join('; ') }}.</p>
                    <p v-for="r in answer.answer.relax" :key="r.demand">It would be possible if "{{ r.demand }}" were {{ num(r.to) }}.</p>
                </div>
                <p v-else class="quiet mt-2 text-[13px]">
                    {{
                        answer.answer.status === 'optimal'
                            ? 'Nothing nearer to the present formula meets them.'
                            : 'A good answer; the search was cut short.'
                    }}
                    {{ answer.answer.binding.length > 0 ? `What binds: ${answer.answer.binding.join('; ')}.` : '' }}
                </p>
            </form>
            <div v-if="answer.assessment" class="flex gap-5">
                <figure>
                    <JarView :bands="bands(assessment)" :width="130" :height="250" label="The present jar" />
                    <figcaption class="quiet text-center text-[13px]">now</figcaption>
                </figure>
                <figure>
                    <JarView :bands="bands(answer.assessment)" :width="131" :height="250" label="The jar as it would be" />
                    <figcaption class="text-center text-[13px] font-semibold">then</figcaption>
                </figure>
            </div>
            <div v-if="answer.assessment">
                <table class="w-full">
                    <caption class="sr-only">What changes</caption>
                    <thead>
                        <tr class="row-line quiet text-[13px]">
                            <td></td>
                            <th class="text-right font-normal">now</th>
                            <th class="text-right font-normal">then</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="c in changes" :key="c.name" class="row-line">
                            <th scope="row" class="py-1 text-left font-normal">{{ c.name }}</th>
                            <td class="quiet py-1 text-right">{{ num(c.before, 1) }} %</td>
                            <td class="py-1 text-right font-semibold">{{ num(c.after, 1) }} %</td>
                        </tr>
                        <tr v-for="[words, before, after] in facts" :key="words" class="row-line">
                            <th scope="row" class="quiet py-1 text-left font-normal">{{ words }}</th>
                            <td class="quiet py-1 text-right">{{ before }}</td>
                            <td class="py-1 text-right" :class="before === after ? 'quiet' : 'font-semibold'">{{ after }}</td>
                        </tr>
                    </tbody>
                </table>
                <button type="button" class="act mt-3" @click="apply">Put it on the bench as a new version</button>
            </div>
        </div>
    </section>
</template>
