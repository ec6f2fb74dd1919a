<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { Schemas } from '../../api/client';
import { cure as cured, useBeginSteep, useMakeDose, useStartFormula } from '../../queries/formulas';
import { tell, tellProblem } from '../../ui/notice';
import { KINDS, num, sayMinutes } from '../../ui/words';
import FindingsList from './FindingsList.vue';
import HowLink from '../../ui/HowLink.vue';
import LitText from './LitText.vue';
import PastedLines from './PastedLines.vue';
import PastedWhole from './PastedWhole.vue';
import { rowAt, type Lit } from './litText';
import SettleCard from './SettleCard.vue';
import { placeOf, usePasted, type Asks, type Place, type ReadLine, type Said } from './usePasted';

/** A scribbled recipe is pasted and read where it stands; what is doubtful is settled, and it goes where it is wanted. */
const EXAMPLE = `Sunday scalp oil
1/2 cup jojoba oil
3 heaped tbsp castr oil
a few drops of rosemary essential oil
1 tsp vitamin e

Method
Stir together without heat. Pour into a dropper bottle.`;

const router = useRouter();
const pasted = usePasted();
const { text, settled, answer, problem, lines } = pasted;
const box = useTemplateRef<InstanceType<typeof LitText>>('box');
const starting = useStartFormula();
const steeping = useBeginSteep();
const dosing = useMakeDose();
const busy = computed(() => starting.isPending.value || steeping.isPending.value || dosing.isPending.value || curing.value);
const curing = ref(false);

const formula = computed(() => answer.value?.formula ?? null);
const judged = computed(() => answer.value?.assessment ?? null);
const unplaced = computed(() => pasted.shown.value.filter((l) => l.fate === 'unplaced'));
const steep = computed(() => answer.value?.reading.steep ?? null);
const order = computed(() => answer.value?.reading.order ?? null);

/** Why its mass cannot be told; while the ingredient is asked for, that comes first. */
const unweighed = (n: number): string => judged.value?.lines[n]?.problem ?? '';
function asks(n: number): Asks {
    if (lines.value[n]?.doubts.ingredient !== undefined) return 'ingredient';
    return unweighed(n) === '' ? '' : 'amount';
}
const toSettle = computed(() => lines.value.flatMap((_, n) => (asks(n) === '' ? [] : [n])));
const doubtful = computed(() => new Set(toSettle.value.map((n) => n + 1)));

// What is looked at: words that were pressed, else the next line to settle.
const pressed = shallowRef<Lit | null>(null);
const asked = ref(0);
watch(toSettle, (now) => {
    if (!now.includes(asked.value)) asked.value = now.find((n) => n > asked.value) ?? now[0] ?? 0;
});
watch(text, () => (pressed.value = null));
const lineOf = (lit: Lit): number | null =>
    lit.of !== null && ['amount', 'name', 'form', 'alternative'].includes(lit.fate) && lit.of <= lines.value.length ? lit.of - 1 : null;
const looking = computed(() => {
    const at = pressed.value;
    if (at) {
        const n = lineOf(at);
        const line = n === null ? null : (lines.value[n] ?? null);
        const place: Place = line ? placeOf(line) : pasted.placeAt(at);
        return { n, line, place, lit: at, words: text.value.slice(at.start, at.end) };
    }
    const line = toSettle.value.includes(asked.value) ? lines.value[asked.value] : undefined;
    return line ? { n: asked.value, line, place: placeOf(line), lit: null, words: line.text } : null;
});
function next(): void {
    pressed.value = null;
    asked.value = toSettle.value.find((n) => n > asked.value) ?? toSettle.value[0] ?? 0;
}
async function say(what: Said, remember: boolean): Promise<void> {
    const now = looking.value;
    if (!now) return;
    if (remember && now.line && what.ingredient) await pasted.remember(now.line, what.ingredient);
    pasted.say(now.place, what);
    pressed.value = null;
}
/** The words of a line, in the text and in the card. */
async function look(n: number): Promise<void> {
    const at = pasted.shown.value.find((l) => l.of === n + 1 && (l.fate === 'name' || l.fate === 'amount'));
    if (!at) return;
    box.value?.show(at.start, at.start);
    await nextTick();
    pressed.value = at;
}
function show(at: Lit): void {
    box.value?.show(at.start, at.end);
    pressed.value = at;
}
function amount(line: ReadLine, says: string): void {
    pasted.say(placeOf(line), { says });
}
function takeAllBack(): void {
    const before = settled.value;
    pasted.settle({ corrections: [], ounces: null, audience: null, times: null });
    tell('It is read again as it stands.', { undo: () => pasted.settle(before) });
}
function clear(): void {
    const before = { text: text.value, settled: settled.value };
    pasted.clear();
    tell('The text was taken away.', {
        undo: () => {
            text.value = before.text;
            settled.value = before.settled;
        },
    });
}
const changed = computed(
    () =>
        settled.value.corrections.length +
        [settled.value.ounces, settled.value.audience, settled.value.times].filter((v) => v !== null).length,
);

/** Somewhere else with it: the text is done with when that is done. */
async function further(go: () => Promise<string>): Promise<void> {
    try {
        const to = await go();
        pasted.clear();
        await router.push(to);
    } catch (e) {
        tellProblem(e);
    }
}
const bench = async (from: Schemas['Formula']): Promise<string> =>
    `/formulas/${(await starting.mutateAsync({ formula: from, head_id: null })).id}`;
const toBench = (): Promise<void> =>
    further(() => (formula.value ? bench(formula.value) : Promise.reject(new Error('Nothing was read yet.'))));
const toSteep = (): Promise<void> =>
    further(async () => {
        const begun = await steeping.mutateAsync(pasted.asked.value);
        tell(`${begun.name} is begun. It stands under Steeps, and its oil in this formula.`);
        return `/formulas/${begun.formula_id}`;
    });
const toDose = (): Promise<void> => further(async () => `/make/${(await dosing.mutateAsync(pasted.asked.value)).id}`);
const cure = (_label: string, change: Schemas['Change']): Promise<void> =>
    further(async () => {
        if (!formula.value) throw new Error('Nothing was read yet.');
        curing.value = true;
        try {
            return await bench((await cured({ formula: formula.value, head_id: null, change })).formula);
        } finally {
            curing.value = false;
        }
    });
</script>

<template>
    <div>
        <h1 class="mb-1">Paste a recipe</h1>
        <p class="quiet mb-4 max-w-prose">
            As you have it: spoons, drops, "a handful of this", the method too. Nothing is dropped; what is not sure is asked.
            <HowLink of="reading" what="reading" />
        </p>
        <div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] lg:grid-rows-[auto_1fr] lg:gap-x-8">
            <div class="min-w-0">
                <div class="flex items-baseline justify-between">
                    <label class="label" for="recipe">The recipe's text</label>
                    <button v-if="text === ''" type="button" class="act-quiet !min-h-0" @click="text = EXAMPLE">Try the example</button>
                    <button v-else type="button" class="act-quiet !min-h-0" @click="clear">Clear</button>
                </div>
                <LitText
                    ref="box"
                    v-model="text"
                    :lit="pasted.shown.value"
                    :chosen="pressed"
                    :doubtful="doubtful"
                    :placeholder="EXAMPLE"
                    @press="pressed = $event"
                />
                <p v-if="answer" class="quiet mt-1 text-[13px]">Press a word to see what it became, and to say otherwise.</p>
                <p v-if="problem" class="said-stop mt-2 font-semibold" role="alert">{{ problem }}</p>
            </div>
            <div class="min-w-0 lg:row-span-2">
                <template v-if="answer && formula">
                    <SettleCard
                        v-if="looking"
                        :class="looking.lit ? 'max-lg:fixed max-lg:inset-x-3 max-lg:bottom-3 max-lg:z-30 max-lg:shadow-2xl' : ''"
                        class="mb-4 lg:sticky lg:top-2 lg:z-10"
                        :line="looking.line"
                        :lit="looking.lit"
                        :pressed="looking.words"
                        :unweighed="looking.n === null ? '' : unweighed(looking.n)"
                        :asks="looking.n === null ? '' : asks(looking.n)"
                        :left="toSettle.length"
                        :at="toSettle.indexOf(asked) + 1"
                        :said="pasted.saidOf(looking.place) !== undefined"
                        @say="say"
                        @unsay="pasted.unsay(looking.place)"
                        @forget="looking.line && pasted.forget(looking.line)"
                        @next="next"
                        @close="pressed = null"
                    />
                    <section v-if="unplaced.length > 0" class="border-stop bg-stop-wash mb-4 rounded border p-3" aria-labelledby="unplaced">
                        <h2 id="unplaced" class="said-stop !text-[15px]">
                            {{ unplaced.length === 1 ? 'One figure stands' : `${unplaced.length} figures stand` }} in no line and no step
                        </h2>
                        <div class="-ml-2.5 flex flex-wrap">
                            <button
                                v-for="one in unplaced"
                                :key="one.start"
                                type="button"
                                class="act-quiet"
                                :aria-label="`Show ${text.slice(one.start, one.end)} in the text`"
                                @click="show(one)"
                            >
                                {{ text.slice(one.start, one.end) }}
                                <span class="quiet max-w-60 truncate font-normal">{{ rowAt(text, one.start).trim() }}</span>
                            </button>
                        </div>
                    </section>
                    <div class="flex flex-wrap items-baseline justify-between gap-3">
                        <div class="min-w-0">
                            <h2 class="!text-[22px] break-words">{{ formula.title }}</h2>
                            <p class="quiet text-[13px]">
                                {{ KINDS[formula.kind] }}, {{ num(judged?.total_grams.best ?? 0) }} g.
                                {{
                                    toSettle.length === 0
                                        ? 'Every line was understood.'
                                        : `${toSettle.length} of ${lines.length} lines to settle.`
                                }}
                                <button v-if="changed > 0" type="button" class="act-quiet !min-h-0 !py-0" @click="takeAllBack">
                                    Take back what I said
                                </button>
                            </p>
                        </div>
                    </div>
                    <div class="mt-2 flex flex-wrap items-center gap-x-2 gap-y-1">
                        <button type="button" class="act" :disabled="busy || lines.length === 0" @click="toBench">
                            Put it on the bench
                        </button>
                        <button v-if="steep" type="button" class="act" :disabled="busy" @click="toSteep">Begin its steep</button>
                        <button type="button" class="act-quiet" :disabled="busy || lines.length === 0" @click="toDose">
                            Make one fresh dose, {{ num(answer.dose_grams) }} g
                        </button>
                    </div>
                    <p v-if="steep" class="quiet mt-1 text-[13px]">
                        {{ steep.herbs.map((n) => lines[n - 1]?.name).join(' and ') }} in
                        {{ steep.oils.map((n) => lines[n - 1]?.name).join(' and ') }} is a steep of its own:
                        {{ steep.minutes ? sayMinutes(steep.minutes) : `${steep.days} days`
                        }}{{ steep.celsius ? ` at ${num(steep.celsius)} °C` : '' }}. Its oil then stands in the formula, and per cents are
                        of what was strained.
                    </p>
                    <PastedWhole :answer="answer" :settled="settled" @settle="pasted.settle" />
                    <PastedLines :lines="lines" :judged="judged" :order="order" :asks="asks" @look="look" @amount="amount" />
                    <section v-if="answer.reading.steps.length > 0" class="mt-5">
                        <h2>Steps</h2>
                        <ol class="mt-1 list-decimal pl-5">
                            <li v-for="(step, i) in answer.reading.steps" :key="i">
                                {{ step.text }}
                                <span class="quiet text-[13px]">
                                    {{ step.act }}{{ step.minutes ? `, ${sayMinutes(step.minutes)}` : ''
                                    }}{{ step.celsius !== null ? `, ${num(step.celsius)} °C` : '' }}
                                </span>
                            </li>
                        </ol>
                    </section>
                    <p v-if="answer.reading.notes.length > 0" class="quiet mt-4 text-[13px]">
                        Kept as notes: {{ answer.reading.notes.join(' / ') }}
                    </p>
                </template>
                <div v-else-if="!problem" class="max-w-prose">
                    <h2>What was understood</h2>
                    <p class="mt-2">
                        Each line will stand here with its ingredient, its amount and its true share, and beneath them what is wrong with
                        the whole and how to cure it.
                    </p>
                </div>
            </div>
            <section v-if="judged" class="min-w-0">
                <h2 class="mb-2">What it truly is</h2>
                <FindingsList :findings="judged.findings" :doubtful="answer?.doubtful ?? []" @cure="cure" />
            </section>
        </div>
    </div>
</template>
