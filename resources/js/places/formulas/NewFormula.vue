<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Schemas } from '../../api/client';
import { formulaQuery, useStartFormula, useStartSkeleton } from '../../queries/formulas';
import { FORMULAS, HEADS, LOTS } from '../../queries/lists';
import { tell, tellProblem } from '../../ui/notice';
import PickOne from '../../ui/PickOne.vue';
import { useSession } from '../../ui/session';
import { useEvery } from '../../ui/useList';
import { HAIR_TYPES, KINDS } from '../../ui/words';

/** Where a formula can begin. Each way ends on the bench. */
const router = useRouter();
const route = useRoute();
const client = useQueryClient();
/** What the studio's own ways begin with. */
const begins = useSession().studio?.begins;
const kind = ref<Schemas['SkeletonAsk']['kind']>(begins?.kind ?? 'whipped-butter');
const hair = ref<Schemas['Hair']>({ strand: 'medium', porosity: 'normal' });
const steep = ref(typeof route.query['steep'] === 'string' ? route.query['steep'] : '');
/** Something on the shelf that is to be used up. */
const around = typeof route.query['with'] === 'string' ? route.query['with'] : '';
const called = typeof route.query['called'] === 'string' ? route.query['called'] : around;
const other = ref<{ token: string; name: string } | null>(null);
const busy = ref(false);
const heads = useEvery(HEADS);
const lots = useEvery(LOTS);
const usable = computed(() => lots.value.filter((l) => l.withdrawn === ''));

const EMPTY: Schemas['Formula'] = {
    format: 'honest-crown/formula',
    title: 'New formula',
    kind: 'hair-oil',
    audience: 'adult-leave-on',
    wet_use: false,
    for_sale: false,
    storage_c: begins?.storage_c ?? 20,
    size: { mode: 'as-written' },
    lines: [{ id: 'l1', ingredient: '', name: '', amount: '', form: '', phase: 'warm', locked: false }],
    steps: [],
    notes: '',
};

async function begin(work: () => Promise<Schemas['FormulaPage']>, query: Record<string, string> = {}): Promise<void> {
    if (busy.value) return;
    busy.value = true;
    try {
        const page = await work();
        await router.push({ path: `/formulas/${page.id}`, query });
    } catch (e) {
        tellProblem(e);
    } finally {
        busy.value = false;
    }
}
const starting = useStartFormula();
const startingSkeleton = useStartSkeleton();
const put = (formula: Schemas['Formula'], head: number | null, type: Schemas['Hair'] | null): Promise<Schemas['FormulaPage']> =>
    starting.mutateAsync({ formula, head_id: head, hair: type });
const skeleton = (ingredients: string[]): Promise<void> =>
    begin(
        () => startingSkeleton.mutateAsync({ kind: kind.value, hair: hair.value, ingredients }),
        // What is to be used up is asked of the design as well.
        around && ingredients.includes(around) ? { 'use-up': around, called } : {},
    );
async function copy(): Promise<void> {
    const from = other.value;
    if (!from) return tell('Choose which formula to copy.');
    await begin(async () => {
        const page = await client.fetchQuery(formulaQuery(Number(from.token)));
        return put({ ...page.formula, title: `${page.formula.title}, another`.slice(0, 200) }, page.head_id, page.hair);
    });
}
</script>

<template>
    <div class="max-w-5xl">
        <h1>Begin a formula</h1>
        <p class="quiet mt-1 mb-6">Six ways in. Each ends on the bench, where everything can still be changed.</p>
        <div class="grid gap-x-12 gap-y-9 md:grid-cols-2">
            <section aria-labelledby="from-kind">
                <h2 id="from-kind">From what it should be</h2>
                <p class="quiet mt-1">
                    A skeleton of that kind for a type of hair, with the reason for each line in its notes{{
                        around ? ', built around what is to be used up' : ''
                    }}.
                </p>
                <form class="mt-3 grid grid-cols-2 gap-3" @submit.prevent="skeleton(around ? [around] : [])">
                    <label>
                        <span class="label">Product</span>
                        <select v-model="kind" class="field">
                            <option v-for="(word, value) in KINDS" :key="value" :value="value">{{ word }}</option>
                        </select>
                    </label>
                    <label>
                        <span class="label">Hair</span>
                        <select v-model="hair" class="field">
                            <option v-for="type in HAIR_TYPES" :key="type.key" :value="type.hair">{{ type.words }}</option>
                        </select>
                    </label>
                    <div class="col-span-2"><button class="act" :disabled="busy">Start from this basic recipe</button></div>
                </form>
            </section>
            <section aria-labelledby="from-text">
                <h2 id="from-text">From a recipe you have</h2>
                <p class="quiet mt-1">Spoons, drops, cups and all: it is read line by line, and what is doubtful is asked.</p>
                <RouterLink to="/formulas/paste" class="act mt-3">Paste a recipe</RouterLink>
            </section>
            <section aria-labelledby="from-head">
                <h2 id="from-head">From a head</h2>
                <p class="quiet mt-1">What serves its needs is ranked there, and a first version is built from your shortlist.</p>
                <ul v-if="heads.length > 0" class="mt-3 flex max-h-40 flex-wrap gap-x-4 gap-y-1 overflow-y-auto">
                    <li v-for="head in heads" :key="head.id">
                        <RouterLink :to="`/heads/${head.id}`">{{ head.name }}</RouterLink>
                    </li>
                </ul>
                <RouterLink v-else to="/heads/new" class="act-quiet mt-2 -ml-2.5">Add a person first</RouterLink>
            </section>
            <section aria-labelledby="from-steep">
                <h2 id="from-steep">From a ready steep</h2>
                <p class="quiet mt-1">
                    The oil that was drawn is the base; the rest is built around it, for the product and hair chosen in the first way.
                </p>
                <form v-if="usable.length > 0" class="mt-3 flex gap-2" @submit.prevent="skeleton([steep])">
                    <select v-model="steep" class="field" aria-label="Steeped oil" required>
                        <option value="" disabled>which oil …</option>
                        <option v-for="lot in usable" :key="lot.id" :value="lot.ingredient">
                            {{ lot.name }}, {{ Math.round(lot.grams) }} g
                        </option>
                    </select>
                    <button class="act shrink-0" :disabled="busy">Build around it</button>
                </form>
                <RouterLink v-else to="/steeps/start" class="act-quiet mt-2 -ml-2.5">Start a steep first</RouterLink>
            </section>
            <section aria-labelledby="from-other">
                <h2 id="from-other">From another formula</h2>
                <p class="quiet mt-1">A copy that goes its own way. For one that follows its base, make a variant on the base's bench.</p>
                <form class="mt-3 flex gap-2" @submit.prevent="copy">
                    <PickOne
                        v-model="other"
                        :list="FORMULAS"
                        label="Formula to copy"
                        placeholder="which formula …"
                        :say="(row) => row.title"
                    />
                    <button class="act shrink-0" :disabled="busy">Copy it</button>
                </form>
            </section>
            <section aria-labelledby="from-nothing">
                <h2 id="from-nothing">From nothing</h2>
                <p class="quiet mt-1">One empty line. Write amounts as you measure them.</p>
                <button type="button" class="act mt-3" :disabled="busy" @click="begin(() => put(EMPTY, null, null))">An empty bench</button>
            </section>
        </div>
    </div>
</template>
