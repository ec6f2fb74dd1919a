<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import type { Schemas } from '../../api/client';
import { useLatest } from '../../api/latest';
import { FORMULAS } from '../../queries/lists';
import { shopping } from '../../queries/shelf';
import { written } from '../../ui/events';
import { tell, tellProblem } from '../../ui/notice';
import PickOne from '../../ui/PickOne.vue';
import { useSession } from '../../ui/session';
import { fixed, num } from '../../ui/words';
import PantryHalves from './PantryHalves.vue';

/** What has to be bought for what is to be made: several formulas together, less what stands there. */
const wanted = ref<{ id: number; name: string; grams: string }[]>([]);
const picked = ref<{ token: string; name: string } | null>(null);
/** With what is being made and what was ordered. */
const open = ref(true);
const list = shallowRef<Schemas['ShoppingList'] | null>(null);
const money = computed(() => useSession().studio?.currency ?? '');
const total = computed(() => (list.value?.rows ?? []).reduce((sum, row) => sum + (row.money ?? 0), 0));
const short = computed(() => (list.value?.rows ?? []).filter((row) => (row.short ?? 0) > 0));

watch(picked, (one) => {
    if (!one) return;
    if (!wanted.value.some((w) => String(w.id) === one.token)) wanted.value.push({ id: Number(one.token), name: one.name, grams: '' });
    picked.value = null;
});
const figure = (text: string): number | null => {
    const value = written(text);
    return value !== null && value > 0 ? value : null;
};
const ask = useLatest(
    () => shopping({ wanted: wanted.value.map((w) => ({ formula_id: w.id, grams: figure(w.grams) })), open: open.value }),
    (answer) => (list.value = answer),
    tellProblem,
);
watch([wanted, open], ask.soon, { deep: true, immediate: true });

async function copy(): Promise<void> {
    try {
        await navigator.clipboard.writeText(list.value?.text ?? '');
        tell('The list is copied.');
    } catch {
        tell('It could not be copied here. Print it, or take the table.', { stop: true });
    }
}
function save(): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([list.value?.csv ?? ''], { type: 'text/csv' }));
    link.download = 'shopping-list.csv';
    link.click();
    URL.revokeObjectURL(link.href);
}
const print = (): void => window.print();
const packs = (row: Schemas['ShoppingList']['rows'][number]): string => row.buy.map((b) => `${b.count} × ${num(b.grams)} g`).join(' and ');
</script>

<template>
    <div class="max-w-4xl">
        <h1 class="mb-3">Pantry</h1>
        <PantryHalves class="no-print" here="shopping" />
        <div class="no-print">
            <PickOne
                v-model="picked"
                :list="FORMULAS"
                label="What is to be made"
                labelled
                placeholder="a formula …"
                :say="(row) => row.title"
            />
            <label class="mt-2 flex items-center gap-2">
                <input v-model="open" type="checkbox" />
                With what is being made now, and what was ordered and does not stand there
            </label>
            <ul class="mt-2">
                <li v-for="(one, n) in wanted" :key="one.id" class="row-line flex flex-wrap items-center gap-x-3 py-1.5">
                    <strong class="min-w-40 flex-1">{{ one.name }}</strong>
                    <label class="flex items-center gap-1.5">
                        <input
                            v-model="one.grams"
                            class="field !w-28 !py-0.5"
                            inputmode="decimal"
                            maxlength="10"
                            placeholder="its size"
                            :aria-label="`Grams of ${one.name}`"
                        />
                        <span class="unit">g</span>
                    </label>
                    <button type="button" class="act-quiet" :aria-label="`Leave ${one.name} out`" @click="wanted.splice(n, 1)">×</button>
                </li>
            </ul>
        </div>
        <p v-if="list && list.rows.length === 0" class="quiet mt-4 max-w-prose">
            Choose what you mean to make, one formula or several. What they need together is held against the shelf, and what is short is
            listed in the packs in which you bought it before.
        </p>
        <section v-if="list && list.rows.length > 0" class="mt-6" aria-label="What is short">
            <h2>{{ short.length === 0 ? 'All of it is there' : 'To be bought' }}</h2>
            <table class="mt-2 w-full">
                <thead>
                    <tr class="quiet border-rule border-b text-left text-[13px]">
                        <th scope="col" class="py-1 font-normal">Ingredient</th>
                        <th scope="col" class="pl-3 text-right font-normal">Needed</th>
                        <th scope="col" class="pl-3 text-right font-normal">There</th>
                        <th scope="col" class="pl-3 text-right font-normal">Short</th>
                        <th scope="col" class="pl-3 font-normal">Packs</th>
                        <th scope="col" class="pl-3 text-right font-normal">{{ money || 'Money' }}</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="row in list.rows" :key="row.ingredient" class="row-line" :class="(row.short ?? 0) > 0 ? '' : 'quiet'">
                        <th scope="row" class="py-1 text-left font-normal">{{ row.name }}</th>
                        <td class="pl-3 text-right whitespace-nowrap">{{ num(row.needed) }} g</td>
                        <td class="pl-3 text-right whitespace-nowrap">{{ row.at_hand === null ? 'some' : `${num(row.at_hand)} g` }}</td>
                        <td class="pl-3 text-right font-semibold whitespace-nowrap">
                            {{ row.short === null ? 'cannot tell' : row.short > 0 ? `${num(row.short)} g` : '' }}
                        </td>
                        <td class="pl-3">{{ packs(row) }}</td>
                        <td class="pl-3 text-right">{{ row.money === null ? '' : fixed(row.money, 2) }}</td>
                    </tr>
                </tbody>
            </table>
            <p v-if="total > 0" class="mt-2 text-right">
                Together
                <strong>{{ `${fixed(total, 2)} ${money}` }}</strong>
                {{ ', as it was last paid.' }}
            </p>
            <div class="no-print mt-3 flex gap-x-3">
                <button type="button" class="act" @click="print">Print it</button>
                <button type="button" class="act-quiet" :disabled="!list.text" @click="copy">Copy as text</button>
                <button type="button" class="act-quiet" @click="save">As a table (CSV)</button>
            </div>
        </section>
    </div>
</template>
