<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import { Problem, type Schemas } from '../../api/client';
import { design } from '../../queries/formulas';
import { oneOf, valueIn } from '../../ui/events';
import { bandsOf } from '../../jar/bands';
import JarView from '../../jar/JarView.vue';
import { tell } from '../../ui/notice';
import { AUDIENCES, NEEDS, num, sayMonths } from '../../ui/words';
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
type Goal = NonNullable<Schemas['DesignAsk']['goals']>[number];
const GOALS: Record<Goal, string> = {
    nearest: 'nearest to what it is now',
    cheapest: 'cheapest',
    service: 'serving the most',
    lasting: 'keeping longest',
    lightest: 'lightest on the hair',
};
type Asked = Pick<Schemas['ShownDemand'], 'kind' | 'of' | 'at'>;
const FIGURES: [Asked['kind'], number, string][] = [
    ['solids', 12, 'firmness in a cold room, % solid at 12 °C'],
    ['solids', 21, 'firmness in the room, % solid at 21 °C'],
    ['solids', 32, 'firmness on a hot day, % solid at 32 °C'],
    ['weight', 25, 'weight on the hair, 1 to 5'],
    ['life', 25, 'months that it keeps'],
    ['cost', 25, 'cost of 100 g'],
    ['load', 25, 'essential oils, %'],
    ['saturated', 25, 'saturated fat, %'],
    ['monounsaturated', 25, 'monounsaturated fat, %'],
    ['polyunsaturated', 25, 'polyunsaturated fat, %'],
];
const wishes = ref<(Wish & { name: string })[]>([]);
const best = ref<Goal>('nearest');
const next = ref<Goal | ''>('');
const most = ref('');
// What was asked for besides the wishes: it stays when a wish comes or goes.
const own = ref(new Set<string>());
const keyOf = (d: Asked): string => `${d.kind} ${d.of} ${d.at}`;
const list = ref<HTMLElement | null>(null);
const inParts = ref(false);
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
    const mine = demands.value.filter((d) => own.value.has(keyOf(d)));
    // One that has no figure yet asks for nothing; it waits for one.
    const waiting = demands.value.filter((d) => d.kind !== 'dermal' && number(d.min) === null && number(d.max) === null);
    try {
        const found = await design(
            {
                formula: formula.value,
                head_id: headId.value,
                hair: hair.value,
                wishes: wishes.value.map(({ kind, of }) => ({ kind, of })),
                demands: edited
                    ? demands.value
                          .filter((d) => !waiting.includes(d))
                          .map(({ kind, min, max, of, at }) => ({ kind, min: number(min), max: number(max), of, at }))
                    : null,
                most_ingredients: number(most.value),
                // A need that is asked for is meant also while it has no figure.
                serves: demands.value.filter((d) => d.kind === 'need').flatMap((d) => oneOf(NEEDS, d.of) ?? []),
                goals: next.value === '' || next.value === best.value ? [best.value] : [best.value, next.value],
            },
            abort.signal,
        );
        inParts.value = false;
        answer.value = found;
        demands.value = [...found.demands, ...(edited ? waiting : mine)];
        if (!edited && mine.length > 0) await solve(true);
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
    if (wishes.value.length > 0 || own.value.size > 0 || best.value !== 'nearest') void solve(false);
    else forget();
}
/** Whoever comes from a bottle that is to be used up asks for that. */
const route = useRoute();
const title = ref<HTMLElement | null>(null);
onMounted(() => {
    const { 'use-up': of, called } = route.query;
    if (typeof of !== 'string' || of === '') return;
    toggle('use-up', of, typeof called === 'string' ? called : of);
    void nextTick(() => title.value?.scrollIntoView({ block: 'start' }));
});
function forget(): void {
    answer.value = null;
    demands.value = [];
    own.value.clear();
}
/** Asks for one figure more; what it should be is written into its line. */
async function also(asked: Asked, words: string): Promise<void> {
    if (demands.value.some((d) => keyOf(d) === keyOf(asked))) return tell('That is asked of it already.');
    own.value.add(keyOf(asked));
    demands.value.push({ ...asked, min: null, max: null, words });
    await nextTick();
    [...(list.value?.querySelectorAll<HTMLElement>('input[data-end=least]') ?? [])].at(-1)?.focus();
}
function choose(event: Event): void {
    const field = event.target;
    const [kind = '', of = ''] = valueIn(event).split(' ');
    if (field instanceof HTMLSelectElement) field.value = '';
    const figure = FIGURES[Number(of)];
    const need = oneOf(NEEDS, of);
    if (kind === 'need' && need) void also({ kind: 'need', of: need, at: 25 }, `points for ${NEEDS[need]}`);
    else if (figure) void also({ kind: figure[0], of: '', at: figure[1] }, figure[2]);
}
function drop(n: number): void {
    for (const gone of demands.value.splice(n, 1)) own.value.delete(keyOf(gone));
    void solve(true);
}
const shown = computed(() => (inParts.value && answer.value?.simple ? answer.value.simple : answer.value));
function safeFor(event: Event): void {
    const whom = oneOf(AUDIENCES, valueIn(event));
    if (whom) toggle('safe-for', whom, `safe for ${AUDIENCES[whom]}`);
}
function shun(): void {
    const what = without.value.trim();
    without.value = '';
    if (what !== '') toggle('without', what, `without ${what}`);
}
const bands = (a: Schemas['Assessment']) => bandsOf(a).map((b) => ({ ...b, name: b.name.split(' ')[0] ?? '' }));
const changes = computed(() => {
    const after = shown.value?.assessment;
    if (!after) return [];
    const names = new Set([...assessment.value.lines, ...after.lines].map((l) => l.name));
    const share = (a: Schemas['Assessment'], name: string): number =>
        a.lines.filter((l) => l.name === name).reduce((sum, l) => sum + l.share.best, 0);
    return [...names]
        .map((name) => ({ name, before: share(assessment.value, name), after: share(after, name) }))
        .filter((c) => Math.abs(c.after - c.before) >= 0.05)
        .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before));
});
const facts = computed(() => {
    const after = shown.value?.assessment;
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
    const found = shown.value;
    if (!found?.formula) return;
    const asked = wishes.value.map((w) => w.name || SIMPLE.find(([k]) => k === w.kind)?.[1].toLowerCase() || w.kind);
    const words = [...asked, ...(best.value === 'nearest' ? [] : [GOALS[best.value]])].join(', ') || 'new demands';
    await props.bench.keep(`Before: ${words}`);
    props.bench.replace(found.formula, 'design');
    await props.bench.keep(words.slice(0, 300));
    wishes.value = [];
    best.value = 'nearest';
    next.value = '';
    most.value = '';
    forget();
    tell(`On the bench as a new version: ${words}.`, { undo: props.bench.undo });
}
</script>

<template>
    <section aria-label="Design">
        <h2 ref="title">
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
                    hint="use up …"
                    placed
                    @choose="toggle('use-up', $event.id, `use up: ${$event.name}`)"
                />
            </span>
            <select class="field !w-48" aria-label="Safe for" :value="''" @change="safeFor($event)">
                <option value="">safe for …</option>
                <option v-for="(word, audience) in AUDIENCES" :key="audience" :value="audience">{{ word }}</option>
            </select>
        </div>
        <div class="mt-3 flex flex-wrap items-center gap-x-2 gap-y-2 text-[14px]">
            <label class="flex items-center gap-2">
                <span class="quiet">Best is</span>
                <select v-model="best" class="field !w-auto" @change="solve(answer !== null)">
                    <option v-for="(words, goal) in GOALS" :key="goal" :value="goal">{{ words }}</option>
                </select>
            </label>
            <label class="flex items-center gap-2">
                <span class="quiet">then</span>
                <select v-model="next" class="field !w-auto" @change="solve(answer !== null)">
                    <option value="">what is nearest</option>
                    <option v-for="(words, goal) in GOALS" :key="goal" :value="goal" :disabled="goal === best">{{ words }}</option>
                </select>
            </label>
            <label class="flex items-center gap-2">
                <span class="quiet">of at most</span>
                <input
                    v-model="most"
                    class="field !w-16"
                    inputmode="numeric"
                    maxlength="2"
                    placeholder="any"
                    @change="solve(answer !== null)"
                />
                <span class="quiet">ingredients</span>
            </label>
            <select class="field !w-52" aria-label="Also ask for" :value="''" @change="choose">
                <option value="">also ask for …</option>
                <option v-for="([, , words], n) in FIGURES" :key="n" :value="`figure ${n}`">{{ words }}</option>
                <optgroup label="points for a need">
                    <option v-for="(words, need) in NEEDS" :key="need" :value="`need ${need}`">{{ words }}</option>
                </optgroup>
            </select>
            <span class="w-44">
                <IngredientPick
                    name=""
                    label="Share of an ingredient"
                    placed
                    hint="share of …"
                    @choose="also({ kind: 'share', of: $event.id, at: 25 }, `share, %: ${$event.name}`)"
                />
            </span>
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
        <div v-if="answer || demands.length > 0" class="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,20rem)_auto_minmax(0,1fr)]">
            <form @submit.prevent="solve(true)">
                <h3 class="font-semibold">Asked of it</h3>
                <ul ref="list">
                    <li
                        v-for="(d, n) in demands"
                        :key="keyOf(d)"
                        class="row-line grid grid-cols-[minmax(0,1fr)_4.2rem_4.2rem_1.4rem] items-center gap-1.5 py-1.5"
                    >
                        <span class="text-[14px]">{{ d.words }}</span>
                        <input
                            v-model="d.min"
                            class="field !px-1.5"
                            inputmode="decimal"
                            data-end="least"
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
                        <button type="button" class="act-quiet !px-1" :aria-label="`Drop: ${d.words}`" @click="drop(n)">×</button>
                    </li>
                </ul>
                <button class="act-quiet mt-1 -ml-2.5">Work it out with these</button>
                <div v-if="answer?.answer.status === 'impossible'" class="bg-caution-wash mt-2 rounded p-3" role="alert">
                    <p class="font-semibold">These cannot be met together: {{ answer.answer.conflict.join('; ') }}.</p>
                    <p v-for="r in answer.answer.relax" :key="r.demand">It would be possible if "{{ r.demand }}" were {{ num(r.to) }}.</p>
                </div>
                <p v-else-if="answer" class="quiet mt-2 text-[13px]">
                    {{ answer.answer.status === 'optimal' ? answer.none : 'A good answer; the search was cut short.' }}
                    {{ answer.answer.binding.length > 0 ? `What binds: ${answer.answer.binding.join('; ')}.` : '' }}
                </p>
                <p v-if="answer?.simple" class="mt-2 text-[14px]">
                    {{ inParts ? 'In parts:' : 'Nearly the same in parts:' }}
                    <strong>{{ answer.simple.words }}.</strong>
                    <button type="button" class="act-quiet -ml-1" @click="inParts = !inParts">
                        {{ inParts ? 'Exactly instead' : 'In parts instead' }}
                    </button>
                </p>
            </form>
            <div v-if="shown?.assessment" class="flex gap-5">
                <figure>
                    <JarView :bands="bands(assessment)" :width="130" :height="250" label="The present jar" />
                    <figcaption class="quiet text-center text-[13px]">now</figcaption>
                </figure>
                <figure>
                    <JarView :bands="bands(shown.assessment)" :width="131" :height="250" label="The jar as it would be" />
                    <figcaption class="text-center text-[13px] font-semibold">then</figcaption>
                </figure>
            </div>
            <div v-if="shown?.assessment">
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
                <p v-if="changes.length === 0" class="mt-3">The present formula meets this already: nothing changes.</p>
                <button v-else type="button" class="act mt-3" @click="apply">Put it on the bench as a new version</button>
            </div>
        </div>
    </section>
</template>
