<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { computed, onMounted, reactive, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../api/client';
import { useLatest } from '../../api/latest';
import { ingredient } from '../../queries/ingredients';
import { planSteep, steepQuery, useStartSteep } from '../../queries/steeps';
import { useSession } from '../../ui/session';
import FormProblem from '../../ui/FormProblem.vue';
import { tellProblem } from '../../ui/notice';
import { valueIn } from '../../ui/events';
import { num, todayDate } from '../../ui/words';
import IngredientPick from '../formulas/IngredientPick.vue';
import JarPick from '../studio/JarPick.vue';
import PlacePick from '../studio/PlacePick.vue';
import DateStrip from './DateStrip.vue';
import MethodsTable from './MethodsTable.vue';
import SteepFigures from './SteepFigures.vue';
import SteepJar from './SteepJar.vue';
import { HEATED } from './ways';
import HowLink from '../../ui/HowLink.vue';

type Draft = Schemas['SteepDraft'];
const router = useRouter();
const route = useRoute();
const client = useQueryClient();
/** Names and forms beside the draft, which holds only what is sent. */
const herbs = ref([{ name: 'Calendula flower', forms: ['dried', 'fresh', 'powder'] }]);
const oils = ref([{ name: 'High-oleic sunflower oil' }]);
const wanted = ref('');
/** What the studio's own ways begin with. */
const begins = useSession().studio?.begins;
const plantForm = begins?.form ?? 'dried';
const draft = reactive<Draft>({
    name: '',
    herbs: [{ ingredient: 'calendula', form: plantForm, preparation: 'none', amount: '40 g', draw: 1, cost: null }],
    oils: [{ ingredient: 'sunflower-oil-high-oleic', amount: 'to cover', cost: null }],
    water_grams: 0,
    method: begins?.method ?? 'cold-dark',
    celsius: 0,
    minutes: 0,
    held_for: '',
    days: 0,
    jar_ml: 750,
    diameter_cm: 9,
    mouth_cm: 7,
    shaken_daily: true,
    pressed: begins?.pressed ?? false,
    started_on: todayDate(),
});
const PREPARATIONS: Record<string, string> = {
    none: 'as it is',
    chopped: 'chopped',
    crushed: 'crushed',
    blended: 'blended with the oil',
    toasted: 'toasted',
    bagged: 'in a closed bag',
};
const planned = shallowRef<Schemas['SteepPlanned'] | null>(null);
const errors = ref<Record<string, string[]>>({});
const starting = useStartSteep();
const busy = starting.isPending;

function take(problem: Problem): void {
    errors.value = problem.hasFields ? problem.errors : { form: [problem.message] };
}
const plan = useLatest(
    (signal) => planSteep({ ...draft, wanted: wanted.value || null }, signal),
    (answer) => {
        planned.value = answer;
        errors.value = {};
    },
    (e) => {
        if (e instanceof Problem) take(e);
    },
);
watch([draft, wanted], plan.soon, { immediate: true });
/** What is left in some bottles, to be used up together: "olive-oil:120,jojoba-oil:40". */
async function pourLeftOvers(): Promise<void> {
    const asked = String(route.query['oils'] ?? '')
        .split(',')
        .map((one) => one.split(':'))
        .slice(0, 12);
    const found = await Promise.all(asked.filter(([id]) => id).map(([id = '']) => ingredient(id).catch(() => null)));
    const poured = found.flatMap((of, n) => {
        const grams = Math.floor(Number(asked[n]?.[1] ?? 0));
        return of ? [{ id: of.ingredient.id, name: of.ingredient.name, amount: grams > 0 ? `${grams} g` : 'to cover' }] : [];
    });
    if (poured.length === 0) return;
    oils.value = poured.map((of) => ({ name: of.name }));
    draft.oils = poured.map((of) => ({ ingredient: of.id, amount: of.amount, cost: null }));
}
onMounted(async () => {
    await pourLeftOvers();
    const again = String(route.query['again'] ?? '');
    if (!/^\d+$/.test(again)) return;
    try {
        const past = await client.fetchQuery(steepQuery(Number(again)));
        const second = route.query['draw'] === 'next';
        herbs.value = past.draft.herbs.map((h) => ({
            name: past.herbs.find((x) => x.ingredient === h.ingredient)?.name ?? h.ingredient,
            forms: [h.form],
        }));
        oils.value = past.draft.oils.map((o) => ({ name: past.oils.find((x) => x.ingredient === o.ingredient)?.name ?? o.ingredient }));
        Object.assign(draft, {
            ...structuredClone(past.draft),
            name: '',
            started_on: todayDate(),
            herbs: past.draft.herbs.map((h) => ({
                ingredient: h.ingredient,
                form: h.form,
                preparation: h.preparation,
                amount: h.amount,
                cost: h.cost,
                draw: second ? Math.min(3, h.draw + 1) : h.draw,
            })),
            oils: past.draft.oils.map((o) => ({ ingredient: o.ingredient, amount: o.amount, cost: o.cost })),
        });
    } catch (e) {
        tellProblem(e);
    }
});
function plant(n: number, row: Schemas['IngredientRow']): void {
    herbs.value[n] = { name: row.name, forms: row.forms.length > 0 ? row.forms : [''] };
    const herb = draft.herbs[n];
    if (!herb) return;
    const form = plantForm === 'fresh' && row.forms.includes('fresh') ? 'fresh' : row.usual_form || row.forms[0] || '';
    Object.assign(herb, { ingredient: row.id, form, preparation: row.usual_preparation });
}
function oil(n: number, row: Schemas['IngredientRow']): void {
    oils.value[n] = { name: row.name };
    const pour = draft.oils[n];
    if (pour) pour.ingredient = row.id;
}
function addHerb(): void {
    herbs.value.push({ name: 'Rosemary leaf', forms: ['dried', 'fresh', 'powder', 'cut'] });
    draft.herbs.push({ ingredient: 'rosemary', form: plantForm, preparation: 'none', amount: '10 g', draw: 1, cost: null });
}
function addOil(): void {
    oils.value.push({ name: 'Jojoba oil' });
    draft.oils.push({ ingredient: 'jojoba-oil', amount: draft.diameter_cm > 0 ? 'to cover' : '100 g', cost: null });
}
function drop(list: 'herbs' | 'oils', n: number): void {
    draft[list].splice(n, 1);
    (list === 'herbs' ? herbs.value : oils.value).splice(n, 1);
}
/** What the amount comes to, where that says more than what was typed. */
function converted(grams: number | undefined, typed: string): string {
    const comesTo = grams === undefined ? '' : `${num(grams)} g`;
    return comesTo === typed.trim() ? '' : comesTo;
}
/** Empty is not known, which is not nothing. */
function price(event: Event): number | null {
    const text = valueIn(event);
    return text === '' || !(Number(text) >= 0) ? null : Number(text);
}
const heated = computed(() => HEATED.includes(draft.method));
/** What the chosen way is held at when nothing is written. */
const usual = computed(() => planned.value?.usual_way);
const jarName = computed(() => herbs.value.map((h) => h.name).join(' and '));
async function start(): Promise<void> {
    try {
        const steep = await starting.mutateAsync({ ...draft });
        await router.push(`/steeps/${steep.id}`);
    } catch (e) {
        if (e instanceof Problem) take(e);
    }
}
</script>

<template>
    <div>
        <h1 class="mb-4">Start a steep</h1>
        <form @submit.prevent="start">
            <div class="grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,25rem)_170px_minmax(0,1fr)]">
                <div class="space-y-3">
                    <fieldset>
                        <legend class="label">Plants</legend>
                        <div
                            v-for="(herb, n) in draft.herbs"
                            :key="n"
                            class="row-line grid grid-cols-[minmax(0,1fr)_6.5rem_1.6rem] gap-x-2 gap-y-1 pb-2"
                        >
                            <IngredientPick
                                :name="herbs[n]?.name ?? ''"
                                :label="n === 0 ? 'Plant' : `Plant ${n + 1}`"
                                placed
                                @choose="plant(n, $event)"
                            />
                            <input
                                v-model="herb.amount"
                                class="field"
                                maxlength="120"
                                :aria-label="`How much of ${herbs[n]?.name}`"
                                :aria-invalid="!!errors[`herbs.${n}.amount`]"
                            />
                            <button
                                v-if="draft.herbs.length > 1"
                                type="button"
                                class="act-quiet !px-1"
                                :aria-label="`Take out ${herbs[n]?.name}`"
                                @click="drop('herbs', n)"
                            >
                                ×
                            </button>
                            <span v-else></span>
                            <span class="col-span-3 flex flex-wrap items-center gap-2 text-[13px]">
                                <select v-model="herb.form" class="bare !w-auto" :aria-label="`Form of ${herbs[n]?.name}`">
                                    <option v-for="form in herbs[n]?.forms ?? []" :key="form" :value="form">{{ form }}</option>
                                </select>
                                <select v-model="herb.preparation" class="bare !w-auto" :aria-label="`What was done to ${herbs[n]?.name}`">
                                    <option v-for="(word, value) in PREPARATIONS" :key="value" :value="value">{{ word }}</option>
                                </select>
                                <select v-model.number="herb.draw" class="bare !w-auto" :aria-label="`Which draw of ${herbs[n]?.name}`">
                                    <option :value="1">first draw</option>
                                    <option :value="2">second draw</option>
                                    <option :value="3">third draw</option>
                                </select>
                                <span v-if="converted(planned?.herb_grams[n], herb.amount)" class="quiet">
                                    is {{ converted(planned?.herb_grams[n], herb.amount) }}
                                </span>
                                <label class="ml-auto inline-flex items-center gap-1">
                                    <span class="quiet">cost</span>
                                    <input
                                        class="field !min-h-7 !w-20 !py-0"
                                        type="number"
                                        min="0"
                                        step="any"
                                        :value="herb.cost ?? ''"
                                        :aria-label="`What the ${herbs[n]?.name} cost`"
                                        @input="herb.cost = price($event)"
                                    />
                                </label>
                            </span>
                            <FormProblem class="col-span-3" :errors="errors" :field="`herbs.${n}.ingredient`" />
                            <FormProblem class="col-span-3" :errors="errors" :field="`herbs.${n}.amount`" />
                            <FormProblem class="col-span-3" :errors="errors" :field="`herbs.${n}.form`" />
                            <FormProblem class="col-span-3" :errors="errors" :field="`herbs.${n}.preparation`" />
                        </div>
                        <button type="button" class="act-quiet -ml-2.5" @click="addHerb">Another plant in the jar</button>
                        <p v-if="begins?.one_herb && draft.herbs.length > 1" class="quiet text-[13px]">
                            You keep to one herb at a time: with {{ draft.herbs.length }} in one jar nobody can tell which of them did it.
                        </p>
                    </fieldset>
                    <fieldset>
                        <legend class="label">Oils</legend>
                        <div
                            v-for="(pour, n) in draft.oils"
                            :key="n"
                            class="row-line grid grid-cols-[minmax(0,1fr)_6.5rem_1.6rem] gap-x-2 gap-y-1 pb-2"
                        >
                            <IngredientPick
                                :name="oils[n]?.name ?? ''"
                                :label="n === 0 ? 'Oil' : `Oil ${n + 1}`"
                                placed
                                @choose="oil(n, $event)"
                            />
                            <input
                                v-model="pour.amount"
                                class="field"
                                maxlength="120"
                                :aria-label="`How much ${oils[n]?.name}`"
                                :aria-invalid="!!errors[`oils.${n}.amount`]"
                            />
                            <button
                                v-if="draft.oils.length > 1"
                                type="button"
                                class="act-quiet !px-1"
                                :aria-label="`Take out ${oils[n]?.name}`"
                                @click="drop('oils', n)"
                            >
                                ×
                            </button>
                            <span v-else></span>
                            <span class="col-span-3 flex items-center gap-2 text-[13px]">
                                <span v-if="converted(planned?.oil_grams[n], pour.amount)" class="quiet">
                                    is {{ converted(planned?.oil_grams[n], pour.amount) }}
                                </span>
                                <label class="ml-auto inline-flex items-center gap-1">
                                    <span class="quiet">cost</span>
                                    <input
                                        class="field !min-h-7 !w-20 !py-0"
                                        type="number"
                                        min="0"
                                        step="any"
                                        :value="pour.cost ?? ''"
                                        :aria-label="`What the ${oils[n]?.name} cost`"
                                        @input="pour.cost = price($event)"
                                    />
                                </label>
                            </span>
                            <FormProblem class="col-span-3" :errors="errors" :field="`oils.${n}.ingredient`" />
                            <FormProblem class="col-span-3" :errors="errors" :field="`oils.${n}.amount`" />
                        </div>
                        <button type="button" class="act-quiet -ml-2.5" @click="addOil">Another oil</button>
                        <p class="quiet text-[13px]">
                            "to cover" works out what covers the herb; "412 - 180 g" is a bottle weighed full and empty; "24 capsules of 400
                            mg" counts powder.
                        </p>
                    </fieldset>
                    <FormProblem :errors="errors" field="herbs" />
                    <FormProblem :errors="errors" field="oils" />
                    <JarPick
                        label="Jar of the kit"
                        @choose="Object.assign(draft, { jar_ml: $event.brimMl, diameter_cm: $event.innerCm, mouth_cm: $event.mouthCm })"
                    />
                    <div class="grid grid-cols-3 gap-3">
                        <label>
                            <span class="label">Jar, ml</span>
                            <input v-model.number="draft.jar_ml" type="number" min="0" step="any" class="field" />
                        </label>
                        <label>
                            <span class="label">Inner width, cm</span>
                            <input v-model.number="draft.diameter_cm" type="number" min="0" step="any" class="field" />
                        </label>
                        <label>
                            <span class="label">Mouth, cm</span>
                            <input v-model.number="draft.mouth_cm" type="number" min="0" step="any" class="field" />
                        </label>
                    </div>
                    <FormProblem :errors="errors" field="jar_ml" />
                    <div class="flex flex-wrap gap-x-5 gap-y-1">
                        <label class="flex min-h-8 items-center gap-2">
                            <input v-model="draft.shaken_daily" type="checkbox" />
                            Shaken daily
                        </label>
                        <label class="flex min-h-8 items-center gap-2">
                            <input v-model="draft.pressed" type="checkbox" />
                            Pressed when strained
                        </label>
                    </div>
                    <div class="grid grid-cols-2 gap-3">
                        <label>
                            <span class="label">Water or gel added, g</span>
                            <input v-model.number="draft.water_grams" type="number" min="0" step="any" class="field" />
                        </label>
                        <label>
                            <span class="label">Wanted by (optional)</span>
                            <input v-model="wanted" type="date" class="field" />
                        </label>
                    </div>
                    <PlacePick
                        v-if="!heated"
                        label="Stands in"
                        :celsius="draft.celsius || (usual?.celsius ?? 20)"
                        @choose="draft.celsius = $event.celsius"
                    />
                    <div class="grid grid-cols-2 gap-3">
                        <label>
                            <span class="label">Held at °C</span>
                            <input
                                :value="draft.celsius || ''"
                                type="number"
                                min="0"
                                max="150"
                                step="any"
                                class="field"
                                :placeholder="usual ? `usually ${num(usual.celsius)}` : ''"
                                @input="draft.celsius = Number(valueIn($event))"
                            />
                        </label>
                        <label v-if="heated">
                            <span class="label">For how long</span>
                            <input
                                v-model="draft.held_for"
                                class="field"
                                maxlength="60"
                                :placeholder="usual ? `usually ${num(usual.minutes)} minutes` : ''"
                            />
                        </label>
                        <label v-else>
                            <span class="label">For days</span>
                            <input
                                :value="draft.days || ''"
                                type="number"
                                min="1"
                                max="400"
                                class="field"
                                :placeholder="usual ? `usually ${usual.days}` : ''"
                                @input="draft.days = Math.round(Number(valueIn($event)))"
                            />
                        </label>
                    </div>
                    <FormProblem :errors="errors" field="celsius" />
                    <FormProblem :errors="errors" field="held_for" />
                    <FormProblem :errors="errors" field="days" />
                    <p
                        v-if="planned && planned.timing.message"
                        :class="planned.timing.fits ? 'text-good' : 'said-caution font-semibold'"
                        role="status"
                    >
                        {{ planned.timing.message }}
                        <button
                            v-if="planned.timing.fits && wanted"
                            type="button"
                            class="act-quiet"
                            @click="draft.started_on = planned.timing.latest_start"
                        >
                            Begin then
                        </button>
                    </p>
                    <label class="block">
                        <span class="label">Its name (optional)</span>
                        <input v-model="draft.name" class="field" maxlength="200" :placeholder="planned?.name ?? ''" />
                    </label>
                    <FormProblem :errors="errors" field="form" />
                    <FormProblem :errors="errors" field="started_on" />
                    <button class="act" :disabled="busy">Start it</button>
                </div>
                <SteepJar v-if="planned" :plan="planned.plan" :jar-ml="draft.jar_ml" :diameter-cm="draft.diameter_cm" :name="jarName" />
                <div v-if="planned" aria-live="polite">
                    <SteepFigures :plan="planned.plan" :usual="planned.usual_ratio" :learned="planned.learned" />
                    <p class="mt-4">{{ planned.plan.straining }}</p>
                </div>
            </div>
            <div v-if="planned" class="mt-6 space-y-6">
                <section>
                    <h2 class="mb-1">
                        Its days
                        <HowLink of="steeps" what="a steep" />
                    </h2>
                    <DateStrip
                        :start="planned.plan.dates.start"
                        :stop-shaking="planned.plan.dates.stop_shaking"
                        :strain="planned.plan.dates.strain"
                        :ready="planned.plan.dates.ready"
                        :best-before="planned.plan.dates.best_before ?? ''"
                        :range="planned.days_range"
                        :wanted="wanted"
                        @start="draft.started_on = $event"
                        @days="draft.days = $event"
                    />
                </section>
                <MethodsTable
                    :table="planned.methods"
                    :chosen="draft.method"
                    @choose="Object.assign(draft, { method: $event, days: 0, celsius: 0, minutes: 0, held_for: '' })"
                />
            </div>
        </form>
    </div>
</template>
