<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue';
import { ref } from 'vue';
import type { Schemas } from '../../api/client';
import { findIngredients } from '../../queries/ingredients';

/** A name that is typed and settles on an ingredient of the catalogue. */
defineProps<{ name: string; label: string; placed: boolean; bare?: boolean; hint?: string }>();
const emit = defineEmits<{ choose: [row: Schemas['IngredientRow']]; typed: [text: string] }>();

const items = ref<Schemas['IngredientRow'][]>([]);
let turn = 0;

async function search(text: string): Promise<void> {
    emit('typed', text);
    const mine = ++turn;
    if (text.trim().length < 2) {
        items.value = [];
        return;
    }
    const answer = await findIngredients({ q: text.trim().slice(0, 80) }).catch(() => ({ items: [] }));
    if (mine === turn) items.value = answer.items;
}

/** Enter takes the best match when none was moved to. */
function first(event: KeyboardEvent): void {
    const best = items.value[0];
    if (!best || (event.target instanceof Element && event.target.getAttribute('aria-activedescendant'))) return;
    event.preventDefault();
    event.stopPropagation();
    choose(best);
}

function choose(row: Schemas['IngredientRow'] | null): void {
    if (!row) return;
    items.value = [];
    emit('choose', row);
}
</script>

<template>
    <Combobox :model-value="null" nullable as="div" class="relative" @update:model-value="choose" @keydown.enter.capture="first">
        <ComboboxInput
            :class="[bare ? 'bare' : 'field', placed ? '' : 'text-caution font-semibold']"
            :display-value="() => name"
            :aria-label="label"
            :placeholder="bare ? '' : (hint ?? 'Name an ingredient')"
            autocomplete="off"
            spellcheck="false"
            maxlength="200"
            @change="search($event.target.value)"
        />
        <ComboboxOptions v-if="items.length > 0" class="bg-raised border-rule absolute z-20 mt-1 w-72 rounded border shadow-xl">
            <ComboboxOption v-for="row in items" :key="row.id" v-slot="{ active }" :value="row" as="template">
                <li class="row-line px-3 py-1.5" :class="active ? 'bg-lead-wash' : ''">
                    {{ row.name }}
                    <span class="quiet block text-[12px]">{{ row.inci || 'made here' }}</span>
                </li>
            </ComboboxOption>
        </ComboboxOptions>
    </Combobox>
</template>
