<script setup lang="ts" generic="Row extends { id: number }">
import { Combobox, ComboboxButton, ComboboxInput, ComboboxLabel, ComboboxOption, ComboboxOptions } from '@headlessui/vue';
import { computed, ref, watch } from 'vue';
import type { Asked, List, Page } from '../queries/lists';
import { tellProblem } from './notice';

/** One of many: the latest are offered, and typing looks among all of them. */
const props = defineProps<{
    list: List<Row>;
    label: string;
    /** Whether the label is seen too; it is heard in any case. */
    labelled?: boolean;
    placeholder: string;
    asked?: Asked;
    say: (row: Row) => string;
    /** Offered before what the list brings: those that belong to what is looked at. */
    before?: { token: string; name: string }[];
    without?: string[];
    /** Which of them may be chosen; all where it is not said. */
    may?: (row: Row) => boolean;
}>();
const chosen = defineModel<{ token: string; name: string } | null>({ required: true });

/** What was chosen, whole. */
const emit = defineEmits<{ taken: [row: Row] }>();
const rows = new Map<string, Row>();
watch(chosen, (one) => {
    const row = one && rows.get(one.token);
    if (row) emit('taken', row);
});

const found = ref<{ token: string; name: string }[]>([]);
const typed = ref('');
const asking = ref(false);
const opener = ref<{ el: HTMLElement | null } | null>(null);
let turn = 0;
/** Of what is chosen; the box hands it over without its type. */
const nameOf = (one: unknown): string => (typeof one === 'object' && one && 'name' in one ? String(one.name) : '');
const offered = computed(() => {
    const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean);
    const near = (props.before ?? []).filter((o) => words.every((w) => o.name.toLowerCase().includes(w)));
    return [...near, ...found.value].filter((o) => !(props.without ?? []).includes(o.token));
});

async function look(text: string): Promise<void> {
    typed.value = text;
    const mine = ++turn;
    asking.value = true;
    try {
        let page: Page<Row>;
        let cursor: string | null = '';
        do {
            page = await props.list.page({ ...props.asked, q: text.trim().slice(0, 80), cursor });
            cursor = page.next;
            // One answer looks through so many rows and no more.
        } while (page.items.length === 0 && cursor && mine === turn);
        for (const row of page.items) rows.set(String(row.id), row);
        if (mine === turn)
            found.value = page.items
                .filter((row) => props.may?.(row) ?? true)
                .map((row) => ({ token: String(row.id), name: props.say(row) }));
    } catch (e) {
        tellProblem(e);
    } finally {
        if (mine === turn) asking.value = false;
    }
}
</script>

<template>
    <Combobox v-slot="{ open }" v-model="chosen" nullable by="token" as="div" class="relative min-w-0 flex-1">
        <ComboboxLabel :class="labelled ? 'label' : 'sr-only'">{{ label }}</ComboboxLabel>
        <div class="relative">
            <ComboboxInput
                class="field pr-9"
                :aria-label="label"
                :display-value="nameOf"
                :placeholder="placeholder"
                autocomplete="off"
                spellcheck="false"
                maxlength="80"
                @focus="look('')"
                @click="open || opener?.el?.click()"
                @change="look($event.target.value)"
            />
            <ComboboxButton ref="opener" class="text-quiet absolute inset-y-0 right-0 w-9" aria-label="show what there is">
                <svg viewBox="0 0 12 8" width="12" height="8" class="mx-auto" aria-hidden="true">
                    <path d="M1 1.5 6 6.5 11 1.5" fill="none" stroke="currentColor" stroke-width="1.6" />
                </svg>
            </ComboboxButton>
        </div>
        <ComboboxOptions class="bg-raised border-rule absolute z-20 mt-1 max-h-72 w-full overflow-y-auto rounded border shadow-xl">
            <ComboboxOption v-for="one in offered" :key="one.token" v-slot="{ active }" :value="one" as="template">
                <li class="row-line px-3 py-1.5" :class="active ? 'bg-lead-wash' : ''">{{ one.name }}</li>
            </ComboboxOption>
            <li v-if="offered.length === 0" class="quiet px-3 py-1.5">{{ asking ? 'Looking…' : 'Nothing is found by that.' }}</li>
        </ComboboxOptions>
    </Combobox>
</template>
