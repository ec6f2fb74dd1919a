<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../api/client';
import { ingredientQuery, useClearStock, useCorrectFigure, useDeleteOwn, useForgetFigure, useStock } from '../../queries/ingredients';
import { tickedIn } from '../../ui/events';
import EvidenceMark from '../../ui/EvidenceMark.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { tell, tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { ACTIONS, INGREDIENT_KINDS, KINDS, num, sayMonths } from '../../ui/words';
import AcidStrip from './AcidStrip.vue';
import MadeOf from './MadeOf.vue';
import FatCurves from '../../jar/FatCurves.vue';
import HowLink from '../../ui/HowLink.vue';
import KeptNumber from '../../ui/KeptNumber.vue';

/** One ingredient: its figures with their sources, its cautions, what stands of it and where it is used. */

const props = defineProps<{ id: string }>();
const router = useRouter();
const without = ref('');
const { data, isPending, error, refetch } = useQuery(computed(() => ingredientQuery(props.id, without.value)));
const correcting = useCorrectFigure();
const forgetting = useForgetFigure();
const stocking = useStock();
const clearing = useClearStock();
const deleting = useDeleteOwn();
const it = computed(() => data.value?.ingredient);
const byForm = computed(() => {
    const groups: Record<string, Schemas['KnownFigure'][]> = {};
    for (const f of it.value?.figures ?? []) (groups[f.form] ??= []).push(f);
    return groups;
});
const constituents = computed(() =>
    Object.fromEntries(Object.entries(it.value?.constituents ?? {}).map(([name, band]) => [name, band.best])),
);

const CORRECTABLE = [
    'density_20c',
    'density_60c',
    'bulk_density',
    'piece_grams',
    'drop_ml',
    'melting_c',
    'life_months',
    'opened_months',
    'moisture',
    'retention',
    'retention_pressed',
    'release',
    'reuse',
    'weight',
];
const editing = ref('');
const errors = ref<Record<string, string[]>>({});
const draft = reactive<Schemas['OwnFigureDraft']>({ form: '', property: '', low: 0, best: 0, high: 0, source: '' });

function edit(f: Schemas['KnownFigure']): void {
    editing.value = `${f.form} ${f.property}`;
    errors.value = {};
    Object.assign(draft, { form: f.form, property: f.property, ...f.value, source: '' });
}
async function act(work: () => Promise<unknown>, said: string): Promise<void> {
    try {
        await work();
        tell(said);
    } catch (e) {
        tellProblem(e);
    }
}
async function correct(): Promise<void> {
    errors.value = {};
    try {
        await correcting.mutateAsync({ id: props.id, body: { ...draft } });
        editing.value = '';
        tell("Your figure stands over the catalogue's. Every formula counts with it from now on.");
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
const ownFigure = (f: Schemas['KnownFigure']): Schemas['OwnFigure'] | undefined =>
    data.value?.own_figures.find((o) => o.form === f.form && o.property === f.property);
// No price ships with the catalogue, so there is none to go back to.
const back = (id: number, property: string): Promise<void> =>
    act(() => forgetting.mutateAsync(id), property === 'price_per_kg' ? 'The price is forgotten.' : "The catalogue's figure is back.");
const stock = (now: boolean): Promise<void> =>
    act(
        () => (now ? stocking.mutateAsync({ id: props.id }) : clearing.mutateAsync(props.id)),
        now ? 'It stands in the cupboard.' : 'It was taken out of the cupboard.',
    );
const count = (text: string): Promise<void> =>
    act(
        () => stocking.mutateAsync({ id: props.id, grams: text === '' ? null : Number(text) }),
        text === '' ? 'How much there is is not known any more.' : `${text} g are there.`,
    );
async function remove(): Promise<void> {
    const own = data.value?.own?.id;
    if (own === undefined) return;
    await act(async () => {
        await deleting.mutateAsync(own);
        await router.push('/pantry');
    }, 'Your ingredient was taken out.');
}
const PREGNANCY = {
    ok: 'Nothing is known against it in pregnancy and nursing.',
    caution: 'In pregnancy and nursing ask the clinician first.',
    avoid: 'Avoid in pregnancy and nursing.',
};
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the ingredient" @again="refetch">
        <div v-if="it && data">
            <div class="mb-5 flex flex-wrap items-end gap-x-6 gap-y-2">
                <div class="min-w-0 flex-1">
                    <h1>{{ it.name }}</h1>
                    <p class="quiet mt-1">
                        {{ it.inci || 'no INCI name given' }} · {{ INGREDIENT_KINDS[it.kind] }}
                        <template v-if="it.origin === 'own'">· written by you</template>
                        <template v-if="it.corrected.length > 0">· with your {{ it.corrected.join(', ') }}</template>
                    </p>
                    <MadeOf class="mt-1" :blend="it.blend" />
                </div>
                <div class="flex items-center">
                    <label class="mr-3 inline-flex items-center gap-2">
                        <input type="checkbox" :checked="data.in_cupboard" @change="stock(tickedIn($event))" />
                        In my cupboard
                    </label>
                    <label v-if="data.in_cupboard" class="mr-3 inline-flex items-center gap-1.5">
                        <KeptNumber class="!w-20" :value="data.stock_grams" aria-label="Grams there are" placeholder="some" @kept="count" />
                        <span class="unit">g</span>
                    </label>
                    <template v-if="data.own">
                        <RouterLink :to="`/pantry/own/${id}`" class="act-quiet">Change it</RouterLink>
                        <button type="button" class="act-quiet act-stop" @click="remove">Take it out</button>
                    </template>
                    <RouterLink v-else :to="`/pantry/own/new?like=${id}`" class="act-quiet">Mine is like this, but …</RouterLink>
                </div>
            </div>

            <div class="grid gap-x-10 gap-y-7 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
                <div class="min-w-0 space-y-7">
                    <section v-if="it.weight || it.life_months || it.action !== 'none'">
                        <dl class="grid gap-x-8 gap-y-3 sm:grid-cols-3">
                            <div v-if="it.weight">
                                <dt class="label">Weight on the hair</dt>
                                <dd>
                                    <svg viewBox="0 0 170 34" class="w-full max-w-44" role="img" :aria-label="`${num(it.weight, 1)} of 5`">
                                        <line x1="6" x2="164" y1="16" y2="16" stroke="var(--quiet)" />
                                        <g v-for="n in 5" :key="n">
                                            <line :x1="6 + (n - 1) * 39.5" :x2="6 + (n - 1) * 39.5" y1="12" y2="16" stroke="var(--quiet)" />
                                            <text
                                                :x="6 + (n - 1) * 39.5"
                                                y="30"
                                                :text-anchor="n === 1 ? 'start' : n === 5 ? 'end' : 'middle'"
                                                font-size="11"
                                                fill="var(--quiet)"
                                            >
                                                {{ n === 1 ? 'light' : n === 5 ? 'rich' : n }}
                                            </text>
                                        </g>
                                        <circle :cx="6 + (it.weight - 1) * 39.5" cy="9" r="6" fill="var(--lead)" />
                                    </svg>
                                    <span class="fig fig-estimated">{{ num(it.weight, 1) }}</span>
                                    <span class="unit">of 5</span>
                                </dd>
                            </div>
                            <div v-if="it.action !== 'none' || it.feel">
                                <dt class="label">On the fibre, and after</dt>
                                <dd>
                                    {{ [ACTIONS[it.action], it.feel].filter(Boolean).join('; ') }}
                                </dd>
                            </div>
                            <div v-if="it.life_months">
                                <dt class="label">Keeps unopened</dt>
                                <dd>
                                    <span class="fig fig-estimated">{{ sayMonths(it.life_months.best) }}</span>
                                    <span class="unit">{{ num(it.life_months.low) }} to {{ num(it.life_months.high) }} months.</span>
                                    {{ it.storage }}
                                    <strong v-if="it.drying" class="said-caution block">
                                        Dries in air: cloths soaked with it can heat themselves. Wash them at once.
                                    </strong>
                                </dd>
                            </div>
                        </dl>
                    </section>
                    <section v-if="it.needs.length > 0">
                        <h2>
                            What it is used for, and how well that is known
                            <HowLink of="evidence" what="evidence" />
                        </h2>
                        <ul class="mt-1">
                            <li
                                v-for="need in it.needs"
                                :key="need.need"
                                class="row-line grid gap-x-4 py-2 sm:grid-cols-[10rem_minmax(0,1fr)]"
                            >
                                <span>
                                    <strong>{{ need.label }}</strong>
                                    <span class="block"><EvidenceMark :grade="need.grade" :route="need.route" /></span>
                                </span>
                                <span>
                                    {{ need.found }}
                                    <span v-if="need.on" class="block text-[13px]">Tried on: {{ need.on }}.</span>
                                    <span v-if="need.grade > 1" class="quiet block text-[13px]">
                                        {{ need.source === 'estimate' ? 'our reading; no single source' : need.source }}
                                    </span>
                                </span>
                            </li>
                        </ul>
                    </section>
                    <section v-if="Object.keys(it.fatty_acids).length > 0">
                        <h2>
                            Fatty acids
                            <HowLink of="fatty-acids" what="the iodine value" />
                        </h2>
                        <AcidStrip class="mt-2" :parts="it.fatty_acids" what="Fatty acids" />
                        <p class="mt-1">
                            Saturated {{ num(it.saturated ?? 0) }} %, mono {{ num(it.monounsaturated ?? 0) }} %, poly
                            {{ num(it.polyunsaturated ?? 0) }} %. Iodine value
                            <span class="fig fig-converted">{{ num(it.iodine_value?.best ?? 0, 0) }}</span>
                            from them.
                        </p>
                    </section>
                    <section v-if="Object.keys(constituents).length > 0">
                        <h2>Constituents</h2>
                        <AcidStrip class="mt-2" :parts="constituents" what="Constituents" />
                    </section>
                    <section v-if="it.solid_fat && Object.values(it.solid_fat).some((v) => v > 0)">
                        <h2>Solid at which temperature</h2>
                        <FatCurves class="mt-2" what="Solid fat" :series="[{ name: it.name, solids: it.solid_fat }]" />
                    </section>
                    <section>
                        <h2>Every figure, and where it comes from</h2>
                        <table v-for="(figures, form) in byForm" :key="form" class="mt-2 w-full">
                            <caption class="pb-1 text-left font-semibold">{{ form === '' ? 'As it comes' : form }}</caption>
                            <tbody>
                                <tr v-for="f in figures" :key="f.property" class="row-line align-baseline">
                                    <th scope="row" class="py-1 pr-3 text-left font-normal">{{ f.label }}</th>
                                    <td class="py-1 text-right whitespace-nowrap">
                                        <span
                                            class="fig"
                                            :class="
                                                f.source.startsWith('studio: ')
                                                    ? 'fig-measured'
                                                    : f.estimate
                                                      ? 'fig-estimated'
                                                      : 'fig-converted'
                                            "
                                        >
                                            {{ num(f.value.best, 3) }}
                                        </span>
                                        <span class="unit">{{ f.unit }}</span>
                                    </td>
                                    <td class="quiet py-1 pl-3 whitespace-nowrap">
                                        {{ f.value.low === f.value.high ? '' : `${num(f.value.low, 3)} to ${num(f.value.high, 3)}` }}
                                    </td>
                                    <td class="quiet py-1 pl-3 text-[13px]">
                                        {{ f.estimate ? 'estimate' : f.source.replace(/^studio: /, 'yours: ') }}
                                    </td>
                                    <td class="no-print text-right">
                                        <button
                                            v-if="ownFigure(f)"
                                            type="button"
                                            class="act-quiet !min-h-0 !py-0 text-[13px]"
                                            @click="back(ownFigure(f)?.id ?? 0, f.property)"
                                        >
                                            {{ f.property === 'price_per_kg' ? 'forget it' : "the catalogue's" }}
                                        </button>
                                        <button
                                            v-else-if="CORRECTABLE.includes(f.property) && it.origin === 'reference'"
                                            type="button"
                                            class="act-quiet !min-h-0 !py-0 text-[13px]"
                                            :aria-label="`Put your own figure for ${f.form} ${f.label}`"
                                            @click="edit(f)"
                                        >
                                            mine
                                        </button>
                                    </td>
                                </tr>
                            </tbody>
                        </table>
                        <form v-if="editing" class="bg-raised border-rule mt-3 rounded border p-3" @submit.prevent="correct">
                            <p class="font-semibold">
                                Your {{ draft.form }} {{ it.figures.find((f) => f.property === draft.property)?.label }}
                            </p>
                            <div class="mt-2 grid grid-cols-3 gap-3">
                                <label v-for="end in ['low', 'best', 'high'] as const" :key="end" class="block">
                                    <span class="label">{{ { low: 'at least', best: 'best', high: 'at most' }[end] }}</span>
                                    <input
                                        v-model.number="draft[end]"
                                        type="number"
                                        step="any"
                                        class="field"
                                        :aria-invalid="!!errors[end]"
                                    />
                                </label>
                            </div>
                            <FormProblem :errors="errors" field="low" />
                            <FormProblem :errors="errors" field="high" />
                            <FormProblem :errors="errors" field="ingredient" />
                            <label class="mt-2 block">
                                <span class="label">Where it comes from</span>
                                <input v-model="draft.source" class="field" maxlength="200" placeholder="our scale, three bottles" />
                            </label>
                            <FormProblem :errors="errors" field="source" />
                            <div class="mt-3 flex gap-2">
                                <button class="act">Put it over the catalogue's</button>
                                <button type="button" class="act-quiet" @click="editing = ''">Leave it</button>
                            </div>
                        </form>
                    </section>
                </div>

                <div class="space-y-7">
                    <section>
                        <h2>
                            Who should take care
                            <HowLink of="allergens" what="an allergen" />
                        </h2>
                        <ul class="mt-1 space-y-1.5">
                            <li v-if="it.allergens.length > 0" class="said-caution font-semibold">
                                Allergen: {{ it.allergens.join(', ') }}.
                            </li>
                            <li
                                :class="
                                    it.pregnancy === 'avoid'
                                        ? 'said-stop font-semibold'
                                        : it.pregnancy === 'caution'
                                          ? 'said-caution font-semibold'
                                          : ''
                                "
                            >
                                {{ PREGNANCY[it.pregnancy] }} {{ it.pregnancy_reason }}
                            </li>
                            <li v-if="it.minimum_age_years" class="said-caution">
                                Not under {{ num(it.minimum_age_years) }} years. {{ it.age_reason }}
                            </li>
                            <li v-if="it.ask_first.length > 0">With {{ it.ask_first.join(', ') }}: ask the clinician first.</li>
                            <li v-if="it.dermal_max">
                                At most {{ num(it.dermal_max) }} % on
                                {{ it.phototoxic ? 'skin, and light on it burns above its limit.' : 'skin.' }} {{ it.dermal_max_reason }}.
                            </li>
                            <li v-if="it.preservation?.use">
                                Use {{ num(it.preservation.use.low) }} to {{ num(it.preservation.use.high) }} % of the finished mass;
                                {{
                                    it.preservation.kind === 'antioxidant'
                                        ? 'an antioxidant, not a preservative'
                                        : `${it.preservation.kind} spectrum`
                                }}.
                                <template v-if="it.preservation.law">
                                    Law: {{ num(it.preservation.law.maximum) }} % counted as {{ it.preservation.law.counted_as }}, which is
                                    {{ num(it.preservation.law.weighed_maximum) }} % of what you weigh. {{ it.preservation.law.source }}
                                </template>
                            </li>
                            <li v-for="caution in it.cautions" :key="caution">{{ caution }}</li>
                        </ul>
                    </section>
                    <section>
                        <div class="flex flex-wrap items-baseline justify-between gap-x-3">
                            <h2>
                                What could stand in for it
                                <HowLink of="substitution" what="likeness" />
                            </h2>
                            <label class="inline-flex items-center gap-2 text-[13px]">
                                without
                                <select v-model="without" class="bare !w-auto" aria-label="A stand-in without">
                                    <option value="">anything in mind</option>
                                    <option>tree nut</option>
                                    <option>sesame</option>
                                    <option>soy</option>
                                    <option>bee product</option>
                                    <option>daisy family</option>
                                </select>
                            </label>
                        </div>
                        <ol class="mt-1">
                            <li v-for="s in data.stand_ins" :key="s.id" class="row-line py-2">
                                <span class="flex items-baseline justify-between gap-3">
                                    <RouterLink :to="`/pantry/${s.id}`" class="font-semibold">{{ s.name }}</RouterLink>
                                    <span class="quiet text-[13px] whitespace-nowrap">{{ num(s.nearness * 100, 0) }} % alike</span>
                                </span>
                                <span class="block text-[13px]">
                                    {{ s.changes.map((c) => c.message).join(' ') || 'Nothing that is known would change.' }}
                                </span>
                            </li>
                        </ol>
                        <p v-if="data.stand_ins.length === 0" class="quiet mt-1">Nothing in the catalogue is near enough.</p>
                        <RouterLink
                            v-else
                            class="act-quiet -ml-2.5"
                            :to="`/pantry/compare?ids=${[id, ...data.stand_ins.slice(0, 3).map((s) => s.id)].join(',')}`"
                        >
                            Lay it beside the nearest
                        </RouterLink>
                    </section>
                    <section>
                        <h2>Used in my formulas</h2>
                        <ul v-if="data.used_in.length > 0" class="mt-1">
                            <li v-for="f in data.used_in" :key="f.id" class="py-0.5">
                                <RouterLink :to="`/formulas/${f.id}`">{{ f.title }}</RouterLink>
                                <span class="quiet text-[13px]">{{ KINDS[f.kind] }}</span>
                            </li>
                        </ul>
                        <p v-else class="quiet mt-1">In none yet.</p>
                    </section>
                    <section v-if="it.synonyms.length > 0">
                        <h2>Also called</h2>
                        <p class="mt-1">{{ it.synonyms.join(', ') }}</p>
                    </section>
                </div>
            </div>
        </div>
    </WaitOrProblem>
</template>
