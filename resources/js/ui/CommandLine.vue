<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { findIngredients } from '../queries/ingredients';
import { FORMULAS } from '../queries/lists';
import { acts } from './acts';
import UiDialog from './UiDialog.vue';
import { KINDS } from './words';

/** The line that finds anything and does anything, for the keyboard. */

interface Hit {
    key: string;
    label: string;
    what: string;
    run: () => void;
}

const open = defineModel<boolean>('open', { required: true });
const router = useRouter();
const text = ref('');
const found = ref<Hit[]>([]);
let turn = 0;
/** What is still asked of the letters that stand there now. */
let asking: Promise<void> | null = null;

const doable = computed<Hit[]>(() =>
    acts
        .filter((a) => a.label.toLowerCase().includes(text.value.trim().toLowerCase()))
        .map((a) => ({ key: `act-${a.label}`, label: a.label, what: a.key ? `key ${a.key}` : 'do', run: a.run })),
);
const hits = computed<Hit[]>(() => (text.value.trim() === '' ? doable.value : [...found.value, ...doable.value]).slice(0, 14));

watch(
    text,
    (wanted) => {
        const mine = look(wanted).finally(() => (asking = asking === mine ? null : asking));
        asking = mine;
    },
    { flush: 'sync' },
);
async function look(wanted: string): Promise<void> {
    const mine = ++turn;
    if (wanted.trim().length < 2) {
        found.value = [];
        return;
    }
    const q = wanted.trim();
    const [formulas, ingredients] = await Promise.all([
        FORMULAS.page({ q }).catch(() => ({ items: [], next: null })),
        findIngredients({ q }).catch(() => ({ items: [] })),
    ]);
    // An answer to earlier letters that comes late is not shown.
    if (mine !== turn) return;
    found.value = [
        ...formulas.items.slice(0, 6).map((f) => ({
            key: `f${f.id}`,
            label: f.title,
            what: KINDS[f.kind] ?? 'Formula',
            run: () => void router.push(`/formulas/${f.id}`),
        })),
        ...ingredients.items
            .slice(0, 6)
            .map((i) => ({ key: `i${i.id}`, label: i.name, what: 'Ingredient', run: () => void router.push(`/pantry/${i.id}`) })),
    ];
}
watch(open, (is) => {
    if (is) text.value = '';
});

/** Enter takes the best hit when none was moved to: of what is written now, not of fewer letters. */
async function first(event: KeyboardEvent): Promise<void> {
    const isMovedTo = event.target instanceof Element && event.target.getAttribute('aria-activedescendant');
    if (isMovedTo && !asking) return;
    event.preventDefault();
    event.stopPropagation();
    const mine = turn;
    await asking;
    if (mine === turn && open.value) choose(hits.value[0] ?? null);
}

function choose(hit: Hit | null): void {
    if (!hit) return;
    open.value = false;
    hit.run();
}
</script>

<template>
    <UiDialog :open="open" title="Find or do anything" @close="open = false">
        <Combobox as="div" :model-value="null" nullable @update:model-value="choose" @keydown.enter.capture="first">
            <ComboboxInput
                class="field text-lg"
                aria-label="Find or do anything"
                placeholder="A formula, an ingredient, an act"
                autocomplete="off"
                @change="text = $event.target.value"
            />
            <ComboboxOptions static class="mt-2 max-h-[50vh] overflow-y-auto">
                <ComboboxOption v-for="hit in hits" :key="hit.key" v-slot="{ active }" :value="hit" as="template">
                    <li class="row-line flex justify-between gap-4 px-2 py-2" :class="active ? 'bg-lead-wash' : ''">
                        <span>{{ hit.label }}</span>
                        <span class="quiet text-[13px]">{{ hit.what }}</span>
                    </li>
                </ComboboxOption>
            </ComboboxOptions>
        </Combobox>
        <p v-if="hits.length === 0" class="quiet px-2 py-3">
            Nothing by that name. Try a formula's title, an ingredient or an act such as "steep".
        </p>
    </UiDialog>
</template>
