<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { ingredientsQuery, useClearStock, useStock } from '../../queries/ingredients';
import { tell, tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import FoundRow from './look/FoundRow.vue';
import LookForm from './look/LookForm.vue';
import SteepedHere from './look/SteepedHere.vue';
import { NONE, useLook, type Asked } from './look/useLook';
import PantryHalves from './PantryHalves.vue';

/** All ingredients, looked through by what they must be. */
const stocking = useStock();
const clearing = useClearStock();
const { wanted, picked, filtered, search, look } = useLook();
const found = useQuery(computed(() => ingredientsQuery(search.value)));
/** A long list is shown a part at a time: it is looked through by asking, not by scrolling. */
const PART = 40;
const MOST_BESIDE = 4;
const parts = ref(1);
watch(search, () => (parts.value = 1));
const rows = computed(() => found.data.value?.items.slice(0, parts.value * PART) ?? []);
const hidden = computed(() => (found.data.value?.items.length ?? 0) - rows.value.length);
const QUESTIONS: [string, Partial<Asked>][] = [
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
    if (next.length > MOST_BESIDE) return tell('Up to four can stand side by side. Take one out first.');
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
            <LookForm :wanted="wanted" :filtered="filtered" @look="look" @clear="look({}, NONE)" />
            <div class="min-w-0">
                <template v-if="!filtered">
                    <ul class="mb-4 grid gap-x-6 md:grid-cols-2" aria-label="Questions">
                        <li v-for="[question, asks] in QUESTIONS" :key="question">
                            <button type="button" class="act-quiet -ml-2.5 text-left" @click="look(asks, NONE)">{{ question }}</button>
                        </li>
                    </ul>
                    <SteepedHere class="mb-6" />
                </template>
                <WaitOrProblem :pending="found.isPending.value" :error="found.error.value" what="the ingredients" @again="found.refetch">
                    <h2 class="mb-1" aria-live="polite">
                        {{ found.data.value?.items.length }}
                        {{ found.data.value?.items.length === 1 ? 'ingredient' : 'ingredients' }}
                        <span v-if="wanted.pregnancy === 'advised-against'" class="quiet text-[14px] font-normal">
                            to leave out in pregnancy and nursing, or to ask the clinician about
                        </span>
                    </h2>
                    <ul>
                        <FoundRow
                            v-for="row in rows"
                            :key="row.id"
                            :row="row"
                            :advice="wanted.pregnancy === 'advised-against'"
                            :beside="picked.includes(row.id)"
                            @stock="stock(row.id, $event, row.name)"
                            @pick="pick(row.id)"
                        />
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
