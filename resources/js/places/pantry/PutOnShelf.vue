<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { useLatest } from '../../api/latest';
import { readLots, usePutOnShelf } from '../../queries/shelf';
import { valueIn, written } from '../../ui/events';
import FormField from '../../ui/FormField.vue';
import { tell, tellProblem } from '../../ui/notice';
import { num, sayDate } from '../../ui/words';
import IngredientPick from '../formulas/IngredientPick.vue';

/** One line for each thing that was bought, or a whole bill: read as it is typed, and settled where it is in doubt. */
type Read = Schemas['LotRead'];
const text = ref('');
const rows = shallowRef<Read[]>([]);
/** What was settled by hand, by the line it was said of. */
const settled = ref<Record<string, Partial<Pick<Read, 'ingredient' | 'name' | 'grams' | 'cost'>>>>({});
const errors = ref<Record<string, string[]>>({});
const putting = usePutOnShelf();

const read = useLatest(
    () => readLots(text.value),
    (answer) => {
        rows.value = answer.items;
        errors.value = {};
    },
    (e) => {
        if (e instanceof Problem) errors.value = e.hasFields ? e.errors : { text: [e.message] };
    },
);
watch(text, (now) => (now.trim() === '' ? ((rows.value = []), read.forget()) : read.soon()));
const shown = computed(() => rows.value.map((row) => ({ ...row, ...settled.value[row.text] })));
const open = computed(() => shown.value.filter((row) => row.ingredient === '').length);
function settle(row: Read, what: Partial<Read>): void {
    settled.value = { ...settled.value, [row.text]: { ...settled.value[row.text], ...what } };
}
function figure(event: Event): number | null {
    const value = written(valueIn(event));
    return value !== null && Number.isFinite(value) ? value : null;
}
async function put(): Promise<void> {
    if (shown.value.length === 0) return;
    if (open.value > 0) {
        errors.value = { text: ['Say which ingredient each line is, or take the line out.'] };
        return;
    }
    try {
        const lots = shown.value.map(
            ({ ingredient, grams, count, cost, currency, printed_on, opened_on, bought_on, supplier, ...more }) => ({
                ingredient,
                grams,
                count,
                cost,
                ...(currency && { currency }),
                printed_on,
                opened_on,
                bought_on,
                supplier,
                batch_number: more.batch_number,
                place: more.place,
                tare_grams: more.tare_grams,
                note: more.note,
            }),
        );
        const there = await putting.mutateAsync({ lots });
        tell(`${there.items.length} ${there.items.length === 1 ? 'bottle stands' : 'bottles stand'} on the shelf.`);
        text.value = '';
        settled.value = {};
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = { text: Object.values(e.errors).flat() };
        else tellProblem(e);
    }
}
</script>

<template>
    <form class="max-w-4xl" @submit.prevent="put">
        <FormField v-slot="{ field }" label="What you bought: one line each, or the whole bill" :problem="errors['text']">
            <textarea
                v-bind="field"
                v-model="text"
                class="field"
                :rows="Math.min(12, Math.max(1, text.split('\n').length))"
                maxlength="20000"
                placeholder="250 ml castor, 6.90, best before 3/28, opened today"
                spellcheck="false"
                @keydown.ctrl.enter.prevent="put"
            />
        </FormField>
        <template v-if="shown.length > 0">
            <ul class="mt-2" aria-label="As it was read">
                <li
                    v-for="row in shown"
                    :key="row.text"
                    class="row-line grid items-center gap-x-3 gap-y-1 py-1.5 sm:grid-cols-[minmax(0,1fr)_7rem_7rem]"
                >
                    <span class="min-w-0">
                        <IngredientPick
                            v-if="row.ingredient === ''"
                            :name="row.name"
                            :label="`Which ingredient is ${row.name}`"
                            :placed="false"
                            @choose="settle(row, { ingredient: $event.id, name: $event.name })"
                        />
                        <strong v-else>{{ row.count > 1 ? `${row.count} × ` : '' }}{{ row.name }}</strong>
                        <span class="quiet block text-[13px]">
                            {{
                                [
                                    row.amount,
                                    row.printed_on ? `best before ${sayDate(row.printed_on)}` : '',
                                    row.opened_on ? `opened ${sayDate(row.opened_on)}` : '',
                                    row.place,
                                    row.supplier ? `from ${row.supplier}` : '',
                                    row.batch_number ? `batch ${row.batch_number}` : '',
                                    row.tare_grams === null ? '' : `empty ${num(row.tare_grams)} g`,
                                    row.note,
                                ]
                                    .filter(Boolean)
                                    .join('; ')
                            }}
                        </span>
                        <span v-for="(why, field) in row.doubts" :key="field" class="said-caution block text-[13px]">
                            {{ (field === 'ingredient' && row.ingredient) || (field === 'grams' && row.grams !== null) ? '' : why }}
                        </span>
                    </span>
                    <label class="flex items-center gap-1.5">
                        <input
                            class="field !py-0.5"
                            inputmode="decimal"
                            maxlength="12"
                            :value="row.grams ?? ''"
                            :aria-label="`Grams of ${row.name} in one`"
                            @change="settle(row, { grams: figure($event) })"
                        />
                        <span class="unit">g</span>
                    </label>
                    <label class="flex items-center gap-1.5">
                        <input
                            class="field !py-0.5"
                            inputmode="decimal"
                            maxlength="12"
                            :value="row.cost ?? ''"
                            :aria-label="`What one ${row.name} cost`"
                            @change="settle(row, { cost: figure($event) })"
                        />
                        <span class="unit">{{ row.currency }}</span>
                    </label>
                </li>
            </ul>
            <button class="act mt-3" :disabled="putting.isPending.value">Put {{ shown.length === 1 ? 'it' : 'them' }} on the shelf</button>
        </template>
    </form>
</template>
