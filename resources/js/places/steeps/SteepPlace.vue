<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import type { Schemas } from '../../api/client';
import { useAddPicture, useBringBackSteep, useGiveUp, usePutAwaySteep, useRemovePicture, useWithdraw } from '../../queries/steeps';
import FormProblem from '../../ui/FormProblem.vue';
import TouchedBy from '../../ui/TouchedBy.vue';
import TakeAlong from '../studio/TakeAlong.vue';
import { tell, tellProblem } from '../../ui/notice';
import KeptPictures from '../../ui/KeptPictures.vue';
import { chosenPicture } from '../../ui/picture';
import UiDialog from '../../ui/UiDialog.vue';
import { usePutAway } from '../../ui/usePutAway';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num, sayDate, shortDate, todayDate } from '../../ui/words';
import IngredientPick from '../formulas/IngredientPick.vue';
import { HEATED } from './ways';
import SteepFigures from './SteepFigures.vue';
import SteepJar from './SteepJar.vue';
import { useSteep } from './useSteep';

/** One jar from the first day to the last lot of it: what it needs, its journal, what was had of it. */

const props = defineProps<{ id: string }>();
const { data, isPending, error, refetch, errors, act, record, unrecord, shake } = useSteep(Number(props.id));
const givingUp = useGiveUp(Number(props.id));
const withdrawing = useWithdraw();
const addingPicture = useAddPicture(Number(props.id));
const removingPicture = useRemovePicture(Number(props.id));

const bringingBack = useBringBackSteep();
const putAway = usePutAway('/steeps', usePutAwaySteep().mutateAsync, bringingBack.mutateAsync);

const doing = ref<'' | 'note' | 'weighed' | 'drawn' | 'moved' | 'herb' | 'oil' | 'bowl' | 'spoil' | 'withdraw'>('');
type Draft = Required<Schemas['SteepEventDraft']>;
const form = reactive<{
    colour: string;
    smell: string;
    note: string;
    grams: string;
    before: string;
    after: string;
    method: Draft['method'];
    days: string;
    celsius: string;
    held: string;
    ingredient: string;
    name: string;
    form: string;
    forms: string[];
    preparation: Draft['preparation'];
    amount: string;
    reason: string;
}>({
    colour: '',
    smell: '',
    note: '',
    grams: '',
    before: '',
    after: '',
    method: 'sunny-sill',
    days: '',
    celsius: '',
    held: '',
    ingredient: '',
    name: '',
    form: 'dried',
    forms: ['dried'],
    preparation: 'none',
    amount: '',
    reason: '',
});
const ACTS = computed((): [typeof doing.value, string][] => {
    const s = data.value;
    if (!s || s.state === 'spoiled') return [];
    const always: [typeof doing.value, string][] = [['note', 'Colour and smell']];
    if (s.state !== 'running' && s.state !== 'due') return always;
    return [
        ...always,
        ['bowl', 'Weigh the bowl'],
        ['weighed', 'Weigh the jar'],
        ['drawn', 'Take some out'],
        ['moved', 'Move it'],
        ['herb', 'Add a herb'],
        ['oil', 'Top up'],
        ['spoil', 'It has spoiled'],
    ];
});
const today = todayDate();
const shaken = computed(() => data.value?.shakes.find((s) => s.date === today));
const PLACES: Record<string, string> = {
    'cold-dark': 'cold and dark',
    'sunny-sill': 'the sunny sill',
    'leave-in': 'cold and dark, the herb left in',
    'water-bath': 'a water bath, now',
    'hot-jar': 'a closed jar in hot water, now',
    'direct-heat': 'gentle direct heat, now',
};

function open(what: typeof doing.value): void {
    Object.assign(form, {
        colour: '',
        smell: '',
        note: '',
        grams: '',
        before: '',
        after: '',
        amount: '',
        reason: '',
        days: '',
        celsius: '',
        held: '',
        ingredient: '',
        name: '',
    });
    errors.value = {};
    doing.value = what;
}
function pick(row: Schemas['IngredientRow']): void {
    Object.assign(form, {
        ingredient: row.id,
        name: row.name,
        forms: row.forms.length > 0 ? row.forms : [''],
        form: row.usual_form || row.forms[0] || '',
        preparation: row.usual_preparation,
    });
}
const heated = computed(() => HEATED.includes(form.method));
function moved(): Partial<Draft> {
    const celsius = form.celsius === '' ? null : Number(form.celsius);
    return heated.value
        ? { method: form.method, celsius, held_for: form.held }
        : { method: form.method, celsius, days: form.days === '' ? null : Number(form.days) };
}
const SAID: Record<string, string> = {
    note: 'Noted.',
    weighed: 'Weighed.',
    drawn: 'Taken out; it stands in the pantry.',
    moved: 'Moved.',
    herb: 'Added.',
    oil: 'Topped up.',
    bowl: 'The loss counts as water driven off.',
};
async function submit(): Promise<void> {
    const what = doing.value;
    if (what === '') return;
    if (what === 'spoil' || what === 'withdraw') {
        const done =
            what === 'spoil'
                ? await act(() => givingUp.mutateAsync({ revision: data.value?.revision ?? 0, reason: form.reason }))
                : await withdraw(form.reason);
        if (done) doing.value = '';
        return;
    }
    const fields = {
        note: { colour: form.colour, smell: form.smell },
        weighed: { grams: Number(form.grams) },
        drawn: { grams: Number(form.grams) },
        moved: moved(),
        herb: { ingredient: form.ingredient, form: form.form, preparation: form.preparation, amount: form.amount },
        oil: { ingredient: form.ingredient, amount: form.amount },
        bowl: { before: Number(form.before), after: Number(form.after) },
    }[what];
    if (await record({ kind: what, note: form.note, ...fields }, SAID[what] ?? 'Recorded.')) doing.value = '';
}
async function withdraw(reason: string): Promise<boolean> {
    const lot = data.value?.lots.at(-1);
    if (!lot) return false;
    try {
        const answer = await withdrawing.mutateAsync({ lot: lot.id, reason });
        tell(
            reason === ''
                ? 'It may be used again.'
                : answer.warned.length > 0
                  ? `Warned: ${answer.warned.map((w) => w.title).join(', ')}.`
                  : 'Nothing uses it.',
            reason === '' ? {} : { undo: () => void withdraw('') },
        );
        return true;
    } catch (e) {
        tellProblem(e);
        return false;
    }
}

async function photograph(event: Event): Promise<void> {
    const blob = await chosenPicture(event);
    if (!blob) return;
    const steep = await act(() => addingPicture.mutateAsync(blob));
    if (steep) tell('The picture is kept on this machine.');
    else if (errors.value['photo']) tell(errors.value['photo'][0] ?? '', { stop: true });
}
const unphoto = (id: number): Promise<unknown> => act(() => removingPicture.mutateAsync(id));
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the steep" @again="refetch">
        <div v-if="data">
            <div class="mb-4 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
                <div class="min-w-0">
                    <h1>{{ data.name }}</h1>
                    <p class="quiet mt-1">
                        {{ data.herbs.map((h) => `${num(h.grams)} g ${h.form} ${h.name.toLowerCase()}`).join(', ') }} in
                        {{ data.oils.map((o) => `${num(o.grams)} g ${o.name.toLowerCase()}`).join(', ') }};
                        {{ data.method_label.toLowerCase() }}
                    </p>
                    <TouchedBy :touched="data.touched" />
                </div>
                <div class="flex flex-wrap">
                    <RouterLink :to="`/steeps/start?again=${id}`" class="act-quiet">Do it again</RouterLink>
                    <TakeAlong :what="{ kind: 'steep', body: { ...data.draft, started_on: todayDate() } }" />
                    <RouterLink v-if="data.draw_again" :to="`/steeps/start?again=${id}&draw=next`" class="act-quiet">
                        Draw the herb once more
                    </RouterLink>
                    <button v-if="data.put_away" type="button" class="act-quiet" @click="act(() => bringingBack.mutateAsync(Number(id)))">
                        Bring it back
                    </button>
                    <button v-else type="button" class="act-quiet" @click="putAway(Number(id), data.name)">Put away</button>
                    <RouterLink v-if="data.state === 'running' || data.state === 'due'" :to="`/steeps/${id}/strain`" class="act">
                        Strain day
                    </RouterLink>
                </div>
            </div>
            <p v-if="data.state === 'spoiled'" class="bg-stop-wash said-stop mb-4 rounded p-3 font-semibold" role="alert">
                Given up: {{ data.reason }} Throw oil and herb away, and wash the jar hot.
            </p>
            <div
                v-for="lot in data.lots.filter((l) => l.withdrawn)"
                :key="lot.id"
                class="bg-stop-wash said-stop mb-4 rounded p-3"
                role="alert"
            >
                <p class="font-semibold">{{ lot.name }} must not be used: {{ lot.withdrawn }}</p>
                <p v-if="data.used_in.length > 0">
                    It is in
                    <template v-for="(u, n) in data.used_in" :key="u.kind + u.id">
                        <RouterLink :to="u.kind === 'formula' ? `/formulas/${u.id}` : `/make/${u.id}`">
                            {{ u.title + (n < data.used_in.length - 1 ? ',' : '.') }}
                        </RouterLink>
                        {{ ' ' }}
                    </template>
                </p>
                <button v-if="data.state !== 'spoiled'" type="button" class="act-quiet -ml-2.5" @click="withdraw('')">
                    That was a mistake
                </button>
            </div>

            <div class="grid gap-x-8 gap-y-6 lg:grid-cols-[170px_minmax(0,1fr)_minmax(0,22rem)]">
                <div class="flex flex-wrap items-start gap-4 lg:block">
                    <SteepJar :plan="data.plan" :jar-ml="data.jar_ml" :diameter-cm="data.diameter_cm" :name="data.name" />
                    <p class="mt-2">
                        <strong>day {{ data.day }} of {{ data.days }}</strong>
                        <br />
                        about
                        <span class="fig fig-estimated">{{ num(data.drawn_now_percent.best, 0) }}</span>
                        <span class="unit">
                            % drawn, {{ num(data.drawn_now_percent.low, 0) }} to {{ num(data.drawn_now_percent.high, 0) }}
                        </span>
                    </p>
                </div>
                <div class="order-first min-w-0 lg:order-none">
                    <section v-if="data.state === 'running' || data.state === 'due' || data.next.kind === 'ready'">
                        <p class="font-head text-[22px] leading-tight font-semibold" :class="data.next.overdue ? 'said-caution' : ''">
                            {{ data.next.words }}
                        </p>
                        <div class="mt-3 flex flex-wrap gap-3">
                            <button
                                v-if="shaken && data.next.kind !== 'stop-shaking'"
                                type="button"
                                class="counter-act grow sm:grow-0"
                                :aria-pressed="shaken.done"
                                @click="shake(today, !shaken.done)"
                            >
                                {{ shaken.done ? 'Shaken today ✓' : 'Shaken today' }}
                            </button>
                            <button
                                v-if="data.next.kind === 'stop-shaking'"
                                type="button"
                                class="counter-act grow sm:grow-0"
                                @click="record({ kind: 'settling' }, 'Left to settle.')"
                            >
                                Left to settle
                            </button>
                            <button
                                v-if="data.next.kind === 'ready'"
                                type="button"
                                class="counter-act grow sm:grow-0"
                                @click="record({ kind: 'ready' }, 'Put away.')"
                            >
                                Put away
                            </button>
                            <RouterLink
                                v-if="data.next.kind === 'strain'"
                                :to="`/steeps/${id}/strain`"
                                class="counter-act grow no-underline sm:grow-0"
                            >
                                Strain it
                            </RouterLink>
                        </div>
                    </section>
                    <section v-if="data.measured && data.lot" class="mb-5">
                        <h2>What came out</h2>
                        <dl class="mt-1 grid grid-cols-[9rem_1fr] gap-x-3 gap-y-1">
                            <dt class="quiet">Measured</dt>
                            <dd>
                                <span class="fig fig-measured">{{ num(data.measured.yield_grams) }}</span>
                                <span class="unit">g, {{ num(data.measured.recovered_percent, 0) }} % of the oil</span>
                            </dd>
                            <dt class="quiet">Foretold</dt>
                            <dd>
                                <span class="fig fig-estimated">{{ num(data.measured.foretold_grams.best) }}</span>
                                <span class="unit">
                                    g, {{ num(data.measured.foretold_grams.low) }} to {{ num(data.measured.foretold_grams.high) }}
                                </span>
                            </dd>
                            <dt class="quiet">The herb kept</dt>
                            <dd>
                                <span class="fig fig-measured">{{ num(data.measured.kept_per_gram) }}</span>
                                <span class="unit">g a gram</span>
                            </dd>
                            <dt class="quiet">Water</dt>
                            <dd :class="data.lot.dry ? 'text-good' : 'said-caution font-semibold'">
                                {{ data.lot.dry ? 'Counts as dry.' : `${num(data.lot.water_percent)} % counted: it bears water.` }}
                            </dd>
                            <dt class="quiet">Best before</dt>
                            <dd>
                                {{ sayDate(data.lot.best_before) }}
                                <span v-if="data.lot.store" class="said-caution block font-semibold">{{ data.lot.store }}</span>
                            </dd>
                            <template v-if="data.cost !== null">
                                <dt class="quiet">Cost what went in</dt>
                                <dd>
                                    <span class="fig fig-measured">{{ num(data.cost) }}</span>
                                    <span class="unit">in all, {{ num(data.cost_per_100g ?? 0) }} for 100 g</span>
                                </dd>
                            </template>
                        </dl>
                        <p class="mt-2 flex flex-wrap gap-x-2">
                            <a :href="`/papers/lots/${data.lot.id}/label.pdf`" target="_blank" class="act-quiet -ml-2.5">
                                Its label as PDF
                            </a>
                            <button v-if="!data.lot.withdrawn" type="button" class="act-quiet act-stop" @click="open('withdraw')">
                                It went bad, or was thrown away
                            </button>
                        </p>
                    </section>

                    <div class="no-print mt-4 flex flex-wrap gap-2">
                        <button
                            v-for="[what, words] in ACTS"
                            :key="what"
                            type="button"
                            class="border-rule min-h-14 rounded border px-3.5 font-semibold lg:min-h-9"
                            :class="what === 'spoil' ? 'said-stop' : 'text-lead'"
                            @click="open(what)"
                        >
                            {{ words }}
                        </button>
                        <label
                            v-if="ACTS.length > 0"
                            class="border-rule text-lead flex min-h-14 cursor-pointer items-center rounded border px-3.5 font-semibold has-focus-visible:outline-2 lg:min-h-9"
                        >
                            Photograph it
                            <input type="file" accept="image/*" capture="environment" class="sr-only" @change="photograph" />
                        </label>
                    </div>
                    <div v-if="data.signs.length > 0 && (data.state === 'running' || data.state === 'due')" class="mt-4">
                        <h2>Signs that it is done</h2>
                        <p class="quiet text-[13px]">Tap what you see. They are signs, not promises.</p>
                        <div class="mt-1 flex flex-wrap gap-2">
                            <button
                                v-for="sign in data.signs"
                                :key="sign"
                                type="button"
                                class="border-rule min-h-10 rounded border px-3 text-left"
                                @click="record({ kind: 'sign', sign }, 'Recorded.')"
                            >
                                {{ sign }}
                            </button>
                        </div>
                    </div>

                    <section v-if="data.shakes.length > 0" class="mt-6">
                        <h2>Shakes</h2>
                        <ul class="mt-1 flex flex-wrap gap-1.5">
                            <li v-for="s in data.shakes" :key="s.date">
                                <button
                                    type="button"
                                    class="border-rule min-h-10 min-w-14 rounded border px-2 text-[13px]"
                                    :class="s.done ? 'bg-lead-wash font-semibold' : 'quiet'"
                                    :aria-pressed="s.done"
                                    :disabled="data.state === 'strained' || data.state === 'spoiled'"
                                    @click="shake(s.date, !s.done)"
                                >
                                    {{ shortDate(s.date) }}
                                    <span class="block" aria-hidden="true">{{ s.done ? '✓' : '–' }}</span>
                                </button>
                            </li>
                        </ul>
                    </section>

                    <section class="mt-6">
                        <h2>What happened to it</h2>
                        <ol v-if="data.events.length > 0" class="mt-1">
                            <li
                                v-for="e in data.events"
                                :key="e.id"
                                class="row-line grid grid-cols-[4.5rem_minmax(0,1fr)_auto] items-baseline gap-x-3 py-1.5"
                            >
                                <span class="quiet">{{ shortDate(e.on) }}</span>
                                <span>
                                    {{ e.words }}
                                    <span v-if="e.note" class="quiet block text-[14px]">{{ e.note }}</span>
                                </span>
                                <button
                                    type="button"
                                    class="act-quiet !min-h-0 !py-0 text-[13px]"
                                    :aria-label="`Take back: ${e.words}`"
                                    @click="unrecord(e.id)"
                                >
                                    take back
                                </button>
                            </li>
                        </ol>
                        <p v-else class="quiet mt-1">
                            Nothing but standing. What you note, add, take out or move stands here, and the figures follow.
                        </p>
                    </section>
                    <KeptPictures class="mt-6" :pictures="data.photos" :of="data.name" @out="unphoto" />
                </div>
                <div>
                    <SteepFigures :plan="data.plan" :usual="data.usual_ratio" :learned="data.learned" />
                    <section v-if="data.lots.length > 0" class="mt-6">
                        <h2>Its oil in the pantry</h2>
                        <ul class="mt-1">
                            <li v-for="lot in data.lots" :key="lot.id" class="row-line py-1.5">
                                <RouterLink :to="`/pantry/${lot.ingredient}`" class="font-semibold">{{ lot.name }}</RouterLink>
                                <span class="quiet block text-[13px]">
                                    {{ lot.code }}, {{ num(lot.grams) }} g, best before {{ sayDate(lot.best_before) }}. {{ lot.store }}
                                </span>
                            </li>
                        </ul>
                    </section>
                    <section v-if="data.used_in.length > 0" class="mt-6">
                        <h2>Made from it</h2>
                        <ul class="mt-1">
                            <li v-for="u in data.used_in" :key="u.kind + u.id">
                                <RouterLink :to="u.kind === 'formula' ? `/formulas/${u.id}` : `/make/${u.id}`">{{ u.title }}</RouterLink>
                                <span class="quiet text-[13px]">{{ u.kind }}</span>
                            </li>
                        </ul>
                    </section>
                </div>
            </div>

            <UiDialog
                :open="doing !== ''"
                :title="doing === 'withdraw' ? 'Why must it not be used?' : (ACTS.find(([w]) => w === doing)?.[1] ?? '')"
                @close="doing = ''"
            >
                <form class="space-y-3" @submit.prevent="submit">
                    <template v-if="doing === 'note'">
                        <label class="block">
                            <span class="label">Colour</span>
                            <input v-model="form.colour" class="field min-h-12" maxlength="80" placeholder="green gold" />
                        </label>
                        <label class="block">
                            <span class="label">Smell</span>
                            <input v-model="form.smell" class="field min-h-12" maxlength="80" placeholder="of hay" />
                        </label>
                    </template>
                    <template v-if="doing === 'weighed' || doing === 'drawn'">
                        <label class="block">
                            <span class="label">{{ doing === 'drawn' ? 'Oil taken out, grams' : 'The jar weighs, grams' }}</span>
                            <input
                                v-model="form.grams"
                                type="number"
                                min="0"
                                step="any"
                                inputmode="decimal"
                                class="field min-h-12 text-xl"
                            />
                        </label>
                        <FormProblem :errors="errors" field="grams" />
                    </template>
                    <template v-if="doing === 'bowl'">
                        <p class="quiet">Oil does not evaporate at these temperatures: what the bowl loses is water driven off.</p>
                        <label class="block">
                            <span class="label">Before heating, grams</span>
                            <input
                                v-model="form.before"
                                type="number"
                                min="0"
                                step="any"
                                inputmode="decimal"
                                class="field min-h-12 text-xl"
                            />
                        </label>
                        <FormProblem :errors="errors" field="before" />
                        <label class="block">
                            <span class="label">After heating, grams</span>
                            <input
                                v-model="form.after"
                                type="number"
                                min="0"
                                step="any"
                                inputmode="decimal"
                                class="field min-h-12 text-xl"
                            />
                        </label>
                        <FormProblem :errors="errors" field="after" />
                    </template>
                    <template v-if="doing === 'moved'">
                        <label class="block">
                            <span class="label">It stands from today in</span>
                            <select v-model="form.method" class="field min-h-12">
                                <option v-for="(word, value) in PLACES" :key="value" :value="value">{{ word }}</option>
                            </select>
                        </label>
                        <div class="grid grid-cols-2 gap-3">
                            <label v-if="heated">
                                <span class="label">For how long (optional)</span>
                                <input v-model="form.held" class="field min-h-12" maxlength="60" placeholder="45 to 60 minutes" />
                            </label>
                            <label v-else>
                                <span class="label">For days (optional)</span>
                                <input
                                    v-model="form.days"
                                    type="number"
                                    min="1"
                                    max="400"
                                    class="field min-h-12"
                                    placeholder="as planned"
                                />
                            </label>
                            <label>
                                <span class="label">At °C (optional)</span>
                                <input v-model="form.celsius" type="number" step="any" class="field min-h-12" placeholder="as usual" />
                            </label>
                        </div>
                        <FormProblem :errors="errors" field="days" />
                        <FormProblem :errors="errors" field="held_for" />
                        <FormProblem :errors="errors" field="celsius" />
                    </template>
                    <template v-if="doing === 'herb' || doing === 'oil'">
                        <div>
                            <span class="label">{{ doing === 'herb' ? 'Plant' : 'Oil' }}</span>
                            <IngredientPick :name="form.name" :label="doing === 'herb' ? 'Plant' : 'Oil'" placed @choose="pick" />
                        </div>
                        <FormProblem :errors="errors" field="ingredient" />
                        <label class="block">
                            <span class="label">How much</span>
                            <input v-model="form.amount" class="field" maxlength="120" placeholder="10 g" />
                        </label>
                        <FormProblem :errors="errors" field="amount" />
                        <div v-if="doing === 'herb'" class="grid grid-cols-2 gap-3">
                            <label>
                                <span class="label">Form</span>
                                <select v-model="form.form" class="field">
                                    <option v-for="f in form.forms" :key="f" :value="f">{{ f }}</option>
                                </select>
                            </label>
                            <label>
                                <span class="label">Done to it</span>
                                <select v-model="form.preparation" class="field">
                                    <option value="none">as it is</option>
                                    <option value="chopped">chopped</option>
                                    <option value="crushed">crushed</option>
                                </select>
                            </label>
                        </div>
                        <FormProblem :errors="errors" field="form" />
                    </template>
                    <template v-if="doing === 'spoil' || doing === 'withdraw'">
                        <label class="block">
                            <span class="label">What was found (mould, a sour smell, fizzing, spilt)</span>
                            <input v-model="form.reason" class="field min-h-12" maxlength="200" />
                        </label>
                        <FormProblem :errors="errors" field="reason" />
                        <p v-if="doing === 'spoil'">The jar is closed for good, and every oil drawn from it is withdrawn.</p>
                        <p v-else>Every formula and batch that used it is warned. This can be taken back.</p>
                    </template>
                    <label v-if="!['spoil', 'withdraw'].includes(doing)" class="block">
                        <span class="label">Note (optional)</span>
                        <input v-model="form.note" class="field" maxlength="500" />
                    </label>
                    <FormProblem :errors="errors" field="on" />
                    <div class="flex gap-3">
                        <button class="counter-act">
                            {{ doing === 'spoil' ? 'Give the jar up' : doing === 'withdraw' ? 'Withdraw it' : 'Record it' }}
                        </button>
                        <button type="button" class="act-quiet" @click="doing = ''">Leave it</button>
                    </div>
                </form>
            </UiDialog>
        </div>
    </WaitOrProblem>
</template>
