<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ingredientsQuery, useClearStock, useStock, type Wanted } from '../../queries/ingredients';
import { LOTS } from '../../queries/lists';
import { tickedIn, valueIn } from '../../ui/events';
import EvidenceMark from '../../ui/EvidenceMark.vue';
import MoreRows from '../../ui/MoreRows.vue';
import { tell, tellProblem } from '../../ui/notice';
import PantryHalves from './PantryHalves.vue';
import { useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { ACTIONS, daysFromToday, INGREDIENT_KINDS, NEEDS, num, sayDate, sayMonths } from '../../ui/words';

const route = useRoute();
const router = useRouter();
const stocking = useStock();
const clearing = useClearStock();

/** What is looked for lives in the address, so that a look can be sent and gone back to. */
const FIELDS = [
    'q',
    'kind',
    'need',
    'evidence',
    'strand',
    'porosity',
    'heaviest',
    'action',
    'without',
    'vegan',
    'at_hand',
    'pregnancy',
    'by',
] as const;
type Field = (typeof FIELDS)[number];
const NONE: Record<Field, string> = {
    q: '',
    kind: '',
    need: '',
    evidence: '',
    strand: '',
    porosity: '',
    heaviest: '',
    action: '',
    without: '',
    vegan: '',
    at_hand: '',
    pregnancy: '',
    by: '',
};
const wanted = computed(() => {
    const asked = { ...NONE };
    for (const field of FIELDS) asked[field] = String(route.query[field] ?? '');
    return asked;
});
const picked = computed(() =>
    String(route.query['side'] ?? '')
        .split(',')
        .filter(Boolean),
);
const filtered = computed(() => FIELDS.some((f) => wanted.value[f] !== ''));

function look(change: Partial<Record<Field | 'side', string>>, from: Record<string, string> = wanted.value): void {
    const query: Record<string, string> = {};
    for (const [key, value] of Object.entries({ ...from, side: picked.value.join(','), ...change })) if (value !== '') query[key] = value;
    void router.replace({ query });
}
const search = computed(() => {
    const asked: Wanted = {};
    for (const f of FIELDS) if (wanted.value[f] !== '') asked[f] = wanted.value[f];
    return asked;
});

const { query: lotPages, rows: lots } = useList(LOTS);
const found = useQuery(computed(() => ingredientsQuery(search.value)));
/** A long list is shown a part at a time: it is looked through by asking, not by scrolling. */
const PART = 40;
const parts = ref(1);
watch(search, () => (parts.value = 1));
const rows = computed(() => found.data.value?.items.slice(0, parts.value * PART) ?? []);
const hidden = computed(() => (found.data.value?.items.length ?? 0) - rows.value.length);
const QUESTIONS: [string, Partial<Record<Field, string>>][] = [
    [
        'What seals, and is light enough for fine hair of low porosity?',
        { strand: 'fine', porosity: 'low', action: 'sealing', by: 'weight' },
    ],
    ['What helps an itchy scalp, and how well is that known?', { need: 'itch', by: 'evidence' }],
    ['What in my cupboard should someone pregnant avoid?', { at_hand: '1', pregnancy: 'advised-against' }],
    ['Which oils are free of tree nuts and keep longest?', { kind: 'carrier-oil,liquid-wax-ester', without: 'tree nut', by: 'life' }],
];

async function stock(id: string, now: boolean, name: string): Promise<void> {
    try {
        await (now ? stocking.mutateAsync({ id }) : clearing.mutateAsync(id));
        tell(now ? `${name} stands in the cupboard.` : `${name} was taken out of the cupboard.`, {
            undo: () => void stock(id, !now, name),
        });
    } catch (e) {
        tellProblem(e);
    }
}
function pick(id: string): void {
    const next = picked.value.includes(id) ? picked.value.filter((p) => p !== id) : [...picked.value, id];
    if (next.length > 4) return tell('Up to four can stand side by side. Take one out first.');
    look({ side: next.join(',') });
}
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h1>Pantry</h1>
            <div class="flex items-center gap-2">
                <RouterLink v-if="picked.length > 1" :to="`/pantry/compare?ids=${picked.join(',')}`" class="act">
                    Lay {{ picked.length }} side by side
                </RouterLink>
                <RouterLink to="/pantry/own/new" class="act-quiet">Write an ingredient of your own</RouterLink>
            </div>
        </div>
        <PantryHalves here="ingredients" />
        <div class="grid gap-x-8 gap-y-5 lg:grid-cols-[13.5rem_minmax(0,1fr)]">
            <form class="space-y-3" aria-label="What it must be" @submit.prevent>
                <label class="block">
                    <span class="label">Name, INCI or synonym</span>
                    <input type="search" class="field" maxlength="80" :value="wanted.q" @input="look({ q: valueIn($event) })" />
                </label>
                <label class="block">
                    <span class="label">Kind</span>
                    <select class="field" :value="wanted.kind" @change="look({ kind: valueIn($event) })">
                        <option value="">any kind</option>
                        <option value="carrier-oil,liquid-wax-ester">oils and liquid esters</option>
                        <option value="fresh-plant,dried-herb,powder">plants in any form</option>
                        <option v-for="(word, kind) in INGREDIENT_KINDS" :key="kind" :value="kind">{{ word }}</option>
                    </select>
                </label>
                <label class="block">
                    <span class="label">Serves</span>
                    <select
                        class="field"
                        :value="wanted.need"
                        @change="
                            look({
                                need: valueIn($event),
                                by: valueIn($event) === '' ? '' : 'evidence',
                            })
                        "
                    >
                        <option value="">any need</option>
                        <option v-for="(word, need) in NEEDS" :key="need" :value="need">{{ word }}</option>
                    </select>
                </label>
                <label v-if="wanted.need" class="block">
                    <span class="label">Known at least by</span>
                    <select class="field" :value="wanted.evidence" @change="look({ evidence: valueIn($event) })">
                        <option value="">tradition</option>
                        <option value="2">laboratory or animals</option>
                        <option value="3">trials on people</option>
                        <option value="4">well established</option>
                    </select>
                </label>
                <div class="grid grid-cols-2 gap-2">
                    <label class="block">
                        <span class="label">Suits strands</span>
                        <select class="field" :value="wanted.strand" @change="look({ strand: valueIn($event) })">
                            <option value="">any</option>
                            <option>fine</option>
                            <option>medium</option>
                            <option>coarse</option>
                        </select>
                    </label>
                    <label class="block">
                        <span class="label">of porosity</span>
                        <select class="field" :value="wanted.porosity" @change="look({ porosity: valueIn($event) })">
                            <option value="">any</option>
                            <option>low</option>
                            <option>normal</option>
                            <option>high</option>
                        </select>
                    </label>
                </div>
                <label class="block">
                    <span class="label">No heavier than</span>
                    <select class="field" :value="wanted.heaviest" @change="look({ heaviest: valueIn($event) })">
                        <option value="">any weight</option>
                        <option value="1.5">1.5, hardly felt</option>
                        <option value="2.5">2.5, light</option>
                        <option value="3.5">3.5, medium</option>
                    </select>
                </label>
                <label class="block">
                    <span class="label">On the hair it</span>
                    <select class="field" :value="wanted.action" @change="look({ action: valueIn($event) })">
                        <option value="">does anything</option>
                        <option value="penetrating,partly-penetrating">goes into the fibre</option>
                        <option value="sealing">seals the surface</option>
                        <option value="conditioning">settles and eases combing</option>
                    </select>
                </label>
                <label class="block">
                    <span class="label">Without (tree nut, sesame, soy …)</span>
                    <input class="field" maxlength="200" :value="wanted.without" @change="look({ without: valueIn($event) })" />
                </label>
                <label class="block">
                    <span class="label">In pregnancy and nursing</span>
                    <select class="field" :value="wanted.pregnancy" @change="look({ pregnancy: valueIn($event) })">
                        <option value="">any</option>
                        <option value="ok">nothing known against it</option>
                        <option value="advised-against">calls for advice, or to be avoided</option>
                    </select>
                </label>
                <label class="flex items-center gap-2">
                    <input type="checkbox" :checked="wanted.at_hand === '1'" @change="look({ at_hand: tickedIn($event) ? '1' : '' })" />
                    In my cupboard
                </label>
                <label class="flex items-center gap-2">
                    <input type="checkbox" :checked="wanted.vegan === '1'" @change="look({ vegan: tickedIn($event) ? '1' : '' })" />
                    Vegan
                </label>
                <label class="block">
                    <span class="label">In the order of</span>
                    <select class="field" :value="wanted.by" @change="look({ by: valueIn($event) })">
                        <option value="">name</option>
                        <option value="evidence">how well it is known</option>
                        <option value="weight">weight, lightest first</option>
                        <option value="life">life, longest first</option>
                    </select>
                </label>
                <button v-if="filtered" type="button" class="act-quiet -ml-2.5" @click="look({}, NONE)">Ask for nothing</button>
            </form>

            <div class="min-w-0">
                <ul v-if="!filtered" class="mb-4 grid gap-x-6 md:grid-cols-2" aria-label="Questions">
                    <li v-for="[question, ask_] in QUESTIONS" :key="question">
                        <button type="button" class="act-quiet -ml-2.5 text-left" @click="look(ask_, NONE)">{{ question }}</button>
                    </li>
                </ul>
                <section v-if="!filtered && lots.length > 0" class="mb-6">
                    <h2>Oils steeped here</h2>
                    <ul>
                        <li
                            v-for="lot in lots"
                            :key="lot.id"
                            class="row-line grid gap-x-4 py-1.5 sm:grid-cols-[minmax(0,1fr)_6rem_15rem_7rem]"
                        >
                            <RouterLink :to="`/steeps/${lot.steep_id}`" class="font-semibold">{{ lot.name }}</RouterLink>
                            <span class="sm:text-right">
                                <span class="fig fig-measured">{{ num(lot.grams) }}</span>
                                <span class="unit">g</span>
                            </span>
                            <span v-if="lot.withdrawn" class="said-stop font-semibold sm:col-span-2">
                                must not be used: {{ lot.withdrawn }}
                            </span>
                            <template v-else>
                                <span v-if="daysFromToday(lot.best_before) < 0" class="said-stop font-semibold">
                                    past its day since {{ sayDate(lot.best_before) }}
                                </span>
                                <span v-else class="quiet">best before {{ sayDate(lot.best_before) }}</span>
                                <span :class="lot.dry ? 'text-good' : 'said-caution font-semibold'">
                                    {{ lot.dry ? 'dry' : `water ${num(lot.water_percent)} %` }}
                                </span>
                                <span v-if="lot.store" class="said-caution col-span-full font-semibold">{{ lot.store }}</span>
                            </template>
                        </li>
                    </ul>
                    <MoreRows :query="lotPages" />
                </section>
                <WaitOrProblem :pending="found.isPending.value" :error="found.error.value" what="the ingredients" @again="found.refetch">
                    <h2 class="mb-1" aria-live="polite">
                        {{ found.data.value?.items.length }}
                        {{ found.data.value?.items.length === 1 ? 'ingredient' : 'ingredients' }}
                        <span v-if="wanted.pregnancy === 'advised-against'" class="quiet text-[14px] font-normal">
                            to leave out in pregnancy and nursing, or to ask the clinician about
                        </span>
                    </h2>
                    <ul>
                        <li
                            v-for="row in rows"
                            :key="row.id"
                            class="row-line grid items-center gap-x-4 gap-y-0.5 py-1.5 sm:grid-cols-[1rem_minmax(0,1fr)_7rem_8rem_8.5rem]"
                        >
                            <svg width="12" height="26" aria-hidden="true" class="hidden shrink-0 sm:block">
                                <rect
                                    width="12"
                                    height="26"
                                    rx="2"
                                    :fill="`url(#matter-${row.matter})`"
                                    stroke="var(--matter-line)"
                                    stroke-width=".5"
                                />
                            </svg>
                            <span class="min-w-0">
                                <RouterLink :to="`/pantry/${row.id}`" class="text-ink font-semibold no-underline hover:underline">
                                    {{ row.name }}
                                </RouterLink>
                                <span v-if="row.origin === 'own'" class="quiet ml-2 text-[13px]">yours</span>
                                <span v-if="row.corrected" class="quiet ml-2 text-[13px]">with your figures</span>
                                <span v-if="row.allergens.length > 0" class="said-caution ml-2 text-[13px]">
                                    {{ row.allergens.join(', ') }}
                                </span>
                                <span v-if="row.serves[0]" class="block text-[13px]">
                                    <EvidenceMark :grade="row.serves[0].grade" :route="row.serves[0].route" />
                                    <span class="quiet ml-2">
                                        {{ row.serves[0].found }}
                                        <template v-if="row.serves[0].on">Tried on: {{ row.serves[0].on }}.</template>
                                    </span>
                                </span>
                                <span v-else-if="wanted.pregnancy === 'advised-against'" class="block text-[13px]">
                                    <strong :class="row.pregnancy === 'avoid' ? 'said-stop' : 'said-caution'">
                                        {{ row.pregnancy === 'avoid' ? 'Avoid.' : 'Ask the clinician.' }}
                                    </strong>
                                    {{ row.pregnancy_reason }}
                                </span>
                                <span v-else class="quiet block truncate text-[13px]">
                                    {{ [INGREDIENT_KINDS[row.kind], ACTIONS[row.action], row.feel].filter(Boolean).join('; ') }}
                                </span>
                            </span>
                            <span class="text-[13px]">
                                <template v-if="row.weight">
                                    <!-- A plumb bob: the heavier, the lower it hangs. -->
                                    <svg
                                        width="70"
                                        height="15"
                                        viewBox="0 0 70 15"
                                        role="img"
                                        :aria-label="`weight ${num(row.weight, 1)} of 5`"
                                        class="mr-1.5 inline-block align-[-2px]"
                                    >
                                        <line x1="5" x2="65" y1="13" y2="13" stroke="var(--quiet)" stroke-width="1" />
                                        <line
                                            v-for="n in 5"
                                            :key="n"
                                            :x1="5 + (n - 1) * 15"
                                            :x2="5 + (n - 1) * 15"
                                            y1="10"
                                            y2="13"
                                            stroke="var(--quiet)"
                                        />
                                        <circle :cx="5 + (row.weight - 1) * 15" cy="7" r="4.5" fill="var(--lead)" />
                                    </svg>
                                    <span class="fig fig-estimated">{{ num(row.weight, 1) }}</span>
                                </template>
                            </span>
                            <span class="quiet text-[13px] whitespace-nowrap">
                                {{ row.life_months ? `keeps ${sayMonths(row.life_months)}` : '' }}
                            </span>
                            <span class="flex flex-wrap gap-x-3 text-[13px]">
                                <label class="inline-flex items-center gap-1.5">
                                    <input
                                        type="checkbox"
                                        :checked="row.at_hand"
                                        :disabled="row.origin === 'steeped'"
                                        :aria-label="`${row.name} stands in my cupboard`"
                                        @change="stock(row.id, tickedIn($event), row.name)"
                                    />
                                    have
                                </label>
                                <label class="inline-flex items-center gap-1.5">
                                    <input
                                        type="checkbox"
                                        :checked="picked.includes(row.id)"
                                        :aria-label="`Lay ${row.name} beside others`"
                                        @change="pick(row.id)"
                                    />
                                    beside
                                </label>
                            </span>
                        </li>
                    </ul>
                    <button v-if="hidden > 0" type="button" class="act-quiet mt-2 -ml-2.5" @click="parts++">
                        Show more ({{ hidden }} are below)
                    </button>
                    <p v-if="found.data.value?.items.length === 0" class="mt-2">
                        Nothing is all of that.
                        <button type="button" class="act-quiet" @click="look({}, NONE)">Ask for nothing</button>
                    </p>
                </WaitOrProblem>
            </div>
        </div>
    </div>
</template>
