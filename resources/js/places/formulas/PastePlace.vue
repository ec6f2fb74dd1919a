<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../api/client';
import { useLatest } from '../../api/latest';
import { cure as cured, evaluate, read, useStartFormula } from '../../queries/formulas';
import { findIngredients } from '../../queries/ingredients';
import { oneOf, valueIn } from '../../ui/events';
import { tellProblem } from '../../ui/notice';
import { AUDIENCES, fixed, KINDS, num } from '../../ui/words';
import FindingsList from './FindingsList.vue';
import IngredientPick from './IngredientPick.vue';
import HowLink from '../../ui/HowLink.vue';

/** A scribbled recipe is pasted, read line by line, put right and kept as a formula. */

const KEPT = 'pasted-recipe';
const EXAMPLE = `Sunday scalp oil
1/2 cup jojoba oil
3 heaped tbsp casto oil
a few drops of rosemary essential oil
1 tsp vitamin e

Method
Stir together without heat. Pour into a dropper bottle.`;

interface Settled {
    ingredient: string;
    name: string;
    form: string;
    phase: Schemas['FormulaLine']['phase'];
}

const router = useRouter();
const text = ref(sessionStorage.getItem(KEPT) ?? '');
const answer = shallowRef<Schemas['ReadAnswer'] | null>(null);
const judged = shallowRef<Schemas['Assessment'] | null>(null);
const problem = ref('');
// What the maker settled, by what the line says, so that it outlives further typing.
const settled = ref<Record<string, Settled>>({});
const amounts = ref<Record<string, string>>({});
const audience = ref<Schemas['Formula']['audience'] | ''>('');
const busy = ref(false);
const starting = useStartFormula();

const reading = useLatest(
    (signal) => read(text.value, signal),
    (got) => {
        answer.value = got;
        judged.value = got.assessment;
        problem.value = '';
        if (audience.value !== '' || Object.keys(settled.value).length + Object.keys(amounts.value).length > 0) judge();
    },
    (e) => (problem.value = e instanceof Problem ? e.message : 'This could not be read. Your text is kept.'),
);
const judging = useLatest(
    (signal) => (formula.value ? evaluate({ formula: formula.value, head_id: null }, signal) : Promise.resolve(null)),
    (got) => (judged.value = got?.assessment ?? null),
    // What was said last stays; the next change asks again.
    () => undefined,
);
watch(
    text,
    (now) => {
        sessionStorage.setItem(KEPT, now);
        judging.forget();
        if (now.trim() !== '') return reading.soon();
        reading.forget();
        answer.value = null;
        problem.value = '';
    },
    { immediate: true },
);

const lines = computed(() => answer.value?.reading.lines ?? []);
// Of the text that was read: while it is typed further, places in it are not what they were.
const unplaced = computed(() => answer.value?.reading.unplaced ?? []);
const box = useTemplateRef<HTMLTextAreaElement>('box');
const formula = computed<Schemas['Formula'] | null>(() => {
    const read = answer.value?.formula;
    if (!read) return null;
    return {
        ...read,
        audience: audience.value === '' ? read.audience : audience.value,
        lines: read.lines.map((line, i) => {
            const of = lines.value[i];
            if (!of) return line;
            return { ...line, ...(settled.value[keyOf(of)] ?? {}), amount: amounts.value[keyOf(of)] ?? line.amount };
        }),
    };
});
const doubtful = computed(() => lines.value.filter((l, i) => !sure(l, i)).length);

/** One row may name several: its text alone would not tell them apart. */
function keyOf(line: Schemas['ReadLine']): string {
    return `${line.text}\n${line.written_name}`;
}
function isAsked(line: Schemas['ReadLine']): boolean {
    return line.doubts.ingredient !== undefined && settled.value[keyOf(line)] === undefined;
}
/** Why its mass cannot be told; while the ingredient is asked for, that comes first. */
function unweighed(line: Schemas['ReadLine'], i: number): string {
    return isAsked(line) ? '' : (judged.value?.lines[i]?.problem ?? '');
}
function sure(line: Schemas['ReadLine'], i: number): boolean {
    return !isAsked(line) && unweighed(line, i) === '';
}
/** Places are counted in whole characters, the box counts a picture sign as two. */
function show(start: number, end: number): void {
    const units = (upTo: number): number => [...text.value].slice(0, upTo).join('').length;
    box.value?.focus();
    box.value?.setSelectionRange(units(start), units(end));
}
function judge(): void {
    if (formula.value) judging.soon();
}
async function settle(line: Schemas['ReadLine'], id: string): Promise<void> {
    const found = await findIngredients({ q: id }).catch(() => ({ items: [] }));
    const row = found.items.find((i) => i.id === id);
    if (row) settleOn(line, row);
}
function settleOn(line: Schemas['ReadLine'], row: Schemas['IngredientRow']): void {
    settled.value = {
        ...settled.value,
        [keyOf(line)]: { ingredient: row.id, name: row.name, form: line.form ?? row.usual_form, phase: row.usual_phase },
    };
    judge();
}
function amount(line: Schemas['ReadLine'], event: Event): void {
    amounts.value = { ...amounts.value, [keyOf(line)]: valueIn(event) };
    judge();
}
function forWhom(event: Event): void {
    audience.value = oneOf(AUDIENCES, valueIn(event)) ?? audience.value;
    judge();
}
function clear(): void {
    text.value = '';
    audience.value = '';
    settled.value = {};
    amounts.value = {};
}
async function become(): Promise<void> {
    if (!formula.value) return;
    busy.value = true;
    try {
        const page = await starting.mutateAsync({ formula: formula.value, head_id: null });
        sessionStorage.removeItem(KEPT);
        await router.push(`/formulas/${page.id}`);
    } catch (e) {
        tellProblem(e);
    } finally {
        busy.value = false;
    }
}
async function cure(_label: string, change: Schemas['Change']): Promise<void> {
    if (!formula.value) return;
    busy.value = true;
    try {
        const answer = await cured({ formula: formula.value, head_id: null, change });
        const page = await starting.mutateAsync({ formula: answer.formula, head_id: null });
        sessionStorage.removeItem(KEPT);
        await router.push(`/formulas/${page.id}`);
    } catch (e) {
        tellProblem(e);
    } finally {
        busy.value = false;
    }
}
</script>

<template>
    <div>
        <h1 class="mb-1">Paste a recipe</h1>
        <p class="quiet mb-4 max-w-prose">
            As you have it: spoons, drops, "a handful of this", the method too. Nothing is dropped; what is not sure is asked.
        </p>
        <div class="grid gap-8 lg:grid-cols-[minmax(0,6fr)_minmax(0,7fr)]">
            <div>
                <label class="label" for="recipe">The recipe's text</label>
                <textarea
                    id="recipe"
                    ref="box"
                    v-model="text"
                    class="field min-h-48 font-text leading-relaxed"
                    :class="answer ? 'h-[34vh]' : 'h-[58vh]'"
                    spellcheck="false"
                    :placeholder="EXAMPLE"
                />
                <div class="mt-1 flex justify-between">
                    <button v-if="text === ''" type="button" class="act-quiet -ml-2.5" @click="text = EXAMPLE">Try the example</button>
                    <button v-else type="button" class="act-quiet -ml-2.5" @click="clear">Clear</button>
                </div>
                <p v-if="problem" class="said-stop mt-2 font-semibold" role="alert">{{ problem }}</p>
                <section v-if="answer && judged" class="mt-3" aria-live="polite">
                    <h2 class="mb-2">What it truly is</h2>
                    <FindingsList :findings="judged.findings" @cure="cure" />
                </section>
            </div>
            <div aria-live="polite">
                <template v-if="answer && formula">
                    <div class="flex flex-wrap items-baseline justify-between gap-3">
                        <div>
                            <h2 class="!text-[22px]">{{ formula.title }}</h2>
                            <p class="quiet text-[13px]">
                                {{ KINDS[formula.kind] }}, {{ num(judged?.total_grams.best ?? 0) }} g.
                                {{ doubtful === 0 ? 'Every line was understood.' : `${doubtful} of ${lines.length} lines to settle.` }}
                            </p>
                        </div>
                        <button type="button" class="act" :disabled="busy || lines.length === 0" @click="become">
                            Put it on the bench
                        </button>
                    </div>
                    <div class="mt-2 flex flex-wrap items-baseline gap-x-3 gap-y-1">
                        <label class="flex items-baseline gap-2">
                            <span class="quiet text-[13px]">For</span>
                            <select class="field !w-auto !py-0.5" :value="formula.audience" @change="forWhom">
                                <option v-for="(word, value) in AUDIENCES" :key="value" :value="value">{{ word }}</option>
                            </select>
                        </label>
                        <p v-if="answer.reading.for" class="text-[13px]" :class="audience === '' ? 'said-caution' : 'quiet'">
                            It says "{{ answer.reading.for.words }}".
                        </p>
                    </div>
                    <p v-for="said in answer.disagreements" :key="said" class="said-caution mt-2 text-[13px]">{{ said }}</p>
                    <ol class="mt-3">
                        <li
                            v-for="(line, i) in lines"
                            :key="`${i}-${line.text}`"
                            class="row-line py-1.5"
                            :class="sure(line, i) ? '' : 'bg-caution-wash -mx-2 rounded px-2'"
                        >
                            <div class="grid grid-cols-[minmax(0,1fr)_auto_4.5rem] items-baseline gap-3">
                                <span class="font-semibold">
                                    {{ settled[keyOf(line)]?.name ?? line.name }}
                                    <span v-if="line.form" class="quiet font-normal">{{ line.form }}</span>
                                </span>
                                <input
                                    class="bare !w-36 text-right"
                                    :value="amounts[keyOf(line)] ?? line.amount ?? ''"
                                    :aria-label="`Amount of ${line.name}`"
                                    maxlength="120"
                                    :placeholder="unweighed(line, i) ? 'how much' : ''"
                                    @input="amount(line, $event)"
                                />
                                <span v-if="judged?.lines[i]?.problem" class="quiet text-right text-[13px]">cannot tell</span>
                                <span v-else class="text-right">
                                    {{ fixed(judged?.lines[i]?.shown_percent ?? 0, 1) }}
                                    <span class="unit">%</span>
                                </span>
                            </div>
                            <p v-if="unweighed(line, i)" class="said-caution text-[13px]">
                                {{ unweighed(line, i) }} You wrote "{{ line.text }}".
                            </p>
                            <template v-if="isAsked(line)">
                                <p class="said-caution text-[13px]">{{ line.doubts.ingredient }} You wrote "{{ line.text }}".</p>
                                <div class="-ml-2.5 flex flex-wrap items-center gap-x-1">
                                    <button v-if="line.ingredient" type="button" class="act-quiet" @click="settle(line, line.ingredient)">
                                        Yes, {{ line.name }}
                                    </button>
                                    <button
                                        v-for="other in line.alternatives.slice(0, 3)"
                                        :key="other.id"
                                        type="button"
                                        class="act-quiet"
                                        @click="settle(line, other.id)"
                                    >
                                        {{ other.name }}
                                    </button>
                                    <div class="ml-2.5 w-56">
                                        <IngredientPick
                                            name=""
                                            :label="`Another ingredient for ${line.text}`"
                                            placed
                                            @choose="settleOn(line, $event)"
                                        />
                                    </div>
                                </div>
                            </template>
                        </li>
                    </ol>
                    <section v-if="answer.reading.steps.length > 0" class="mt-5">
                        <h2>Steps</h2>
                        <ol class="mt-1 list-decimal pl-5">
                            <li v-for="(step, i) in answer.reading.steps" :key="i">
                                {{ step.text }}
                                <span class="quiet text-[13px]">
                                    {{ step.act }}{{ step.minutes ? `, ${num(step.minutes)} min` : ''
                                    }}{{ step.celsius !== null ? `, ${num(step.celsius)} °C` : '' }}
                                </span>
                            </li>
                        </ol>
                    </section>
                    <section v-if="unplaced.length > 0" class="mt-4" aria-labelledby="unplaced">
                        <h2 id="unplaced">Figures in no line and no step</h2>
                        <p class="quiet text-[13px]">Press one to see it in the text. If it is an amount, give it a row of its own.</p>
                        <div class="-ml-2.5 flex flex-wrap">
                            <button
                                v-for="one in unplaced"
                                :key="one.start"
                                type="button"
                                class="act-quiet"
                                :aria-label="`Show ${one.text} in the text`"
                                @click="show(one.start, one.end)"
                            >
                                {{ one.text }}
                            </button>
                        </div>
                    </section>
                    <p v-if="answer.reading.notes.length > 0" class="quiet mt-4 text-[13px]">
                        Kept as notes: {{ answer.reading.notes.join(' / ') }}
                    </p>
                </template>
                <div v-else-if="!problem" class="max-w-prose">
                    <h2>
                        What was understood
                        <HowLink of="reading" what="reading" />
                    </h2>
                    <p class="mt-2">
                        Each line will stand here with its ingredient, its amount and its true share, and beneath them what is wrong with
                        the whole and how to cure it.
                    </p>
                </div>
            </div>
        </div>
    </div>
</template>
