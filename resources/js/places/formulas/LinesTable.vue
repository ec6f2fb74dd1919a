<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import type { Schemas } from '../../api/client';
import { oneOf, valueIn } from '../../ui/events';
import { newKey } from '../../api/newKey';
import HonestFigure from '../../ui/HonestFigure.vue';
import HowLink from '../../ui/HowLink.vue';
import { tell } from '../../ui/notice';
import { fixed, num, PHASES } from '../../ui/words';
import IngredientPick from './IngredientPick.vue';
import LineMenu from './LineMenu.vue';
import SwapDialog from './SwapDialog.vue';
import type { Bench } from './useBench';

/** The lines of a formula, edited in place: name, amount, form, phase, order. */

const props = defineProps<{ bench: Bench; lit: string }>();
const emit = defineEmits<{ light: [id: string] }>();

const formula = computed(() => props.bench.formula.value);
const judged = computed(() => new Map(props.bench.assessment.value.lines.map((l) => [l.id, l])));
const worst = computed(() => {
    const marks = new Map<string, string>();
    for (const finding of props.bench.assessment.value.findings)
        for (const id of finding.lines) if (!marks.has(id)) marks.set(id, finding.severity);
    return marks;
});
const table = ref<HTMLElement | null>(null);
const swapping = ref('');

function set(id: string, field: 'amount' | 'form' | 'phase' | 'name', value: string): void {
    props.bench.edit(`${field} ${id}`, (draft) => {
        const line = draft.lines.find((l) => l.id === id);
        if (!line) return;
        if (field === 'phase') line.phase = oneOf(PHASES, value) ?? line.phase;
        else line[field] = value;
        // A name that is typed over is no longer the ingredient it was.
        if (field === 'name') line.ingredient = '';
    });
}
function settle(id: string, row: Schemas['IngredientRow']): void {
    props.bench.edit(`ingredient ${id}`, (draft) => {
        const line = draft.lines.find((l) => l.id === id);
        if (line) Object.assign(line, { ingredient: row.id, name: row.name, form: row.usual_form, phase: row.usual_phase });
    });
}
async function add(): Promise<void> {
    const id = newKey();
    props.bench.edit(`add ${id}`, (draft) =>
        draft.lines.push({ id, ingredient: '', name: '', amount: '', form: '', phase: 'warm', locked: false }),
    );
    await nextTick();
    table.value?.querySelector<HTMLElement>(`[data-line="${id}"] input`)?.focus();
}
function remove(id: string): void {
    props.bench.edit(`remove ${id}`, (draft) => (draft.lines = draft.lines.filter((l) => l.id !== id)));
}
async function move(event: KeyboardEvent, id: string, by: number): Promise<void> {
    if (!event.altKey) return;
    event.preventDefault();
    const from = formula.value.lines.findIndex((l) => l.id === id);
    const to = from + by;
    if (to < 0 || to >= formula.value.lines.length) return;
    const focused = document.activeElement?.getAttribute('data-field');
    props.bench.edit(`move ${id}`, (draft) => {
        const [line] = draft.lines.splice(from, 1);
        if (line) draft.lines.splice(to, 0, line);
    });
    await nextTick();
    table.value?.querySelector<HTMLElement>(`[data-line="${id}"] [data-field="${focused ?? 'amount'}"]`)?.focus();
}
/** Alt with left and right: the line goes in earlier or later. */
function turn(event: KeyboardEvent, id: string, by: number): void {
    if (!event.altKey) return;
    event.preventDefault();
    const order = Object.keys(PHASES);
    const line = formula.value.lines.find((l) => l.id === id);
    const phase = order[order.indexOf(line?.phase ?? 'warm') + by];
    if (phase) set(id, 'phase', phase);
}
function lock(id: string): void {
    props.bench.edit(`lock ${id}`, (draft) => {
        const line = draft.lines.find((l) => l.id === id);
        if (line) line.locked = !line.locked;
    });
}
function take(swap: Schemas['SwapAnswer']['swaps'][number]): void {
    props.bench.replace(swap.formula, `swap ${swapping.value}`);
    swapping.value = '';
    tell(`${swap.name} is in its place.`, { undo: props.bench.undo });
}
defineExpose({ add });
</script>

<template>
    <div ref="table">
        <table class="w-full border-collapse">
            <caption class="sr-only">Lines of this formula</caption>
            <thead>
                <tr class="quiet border-rule border-b text-left text-[13px]">
                    <th scope="col" class="py-1 font-normal">Ingredient</th>
                    <th scope="col" class="font-normal">Amount</th>
                    <th scope="col" class="font-normal">Goes in</th>
                    <th scope="col" class="pr-1 text-right font-normal">Grams</th>
                    <th scope="col" class="text-right font-normal">Share</th>
                    <th scope="col"><span class="sr-only">More</span></th>
                </tr>
            </thead>
            <tbody>
                <tr
                    v-for="line in formula.lines"
                    :key="line.id"
                    :data-line="line.id"
                    class="row-line"
                    :class="lit === line.id ? 'bg-lead-wash' : ''"
                    @mouseenter="emit('light', line.id)"
                    @mouseleave="emit('light', '')"
                    @focusin="emit('light', line.id)"
                    @focusout="emit('light', '')"
                    @keydown.up="move($event, line.id, -1)"
                    @keydown.down="move($event, line.id, 1)"
                    @keydown.left="turn($event, line.id, -1)"
                    @keydown.right="turn($event, line.id, 1)"
                >
                    <td class="w-[40%] py-0.5">
                        <div class="flex items-center gap-1.5">
                            <svg width="12" height="22" aria-hidden="true" class="shrink-0">
                                <rect
                                    width="12"
                                    height="22"
                                    rx="2"
                                    :fill="`url(#matter-${judged.get(line.id)?.matter ?? 'unknown'})`"
                                    stroke="var(--matter-line)"
                                    stroke-width=".5"
                                />
                            </svg>
                            <div class="min-w-0 flex-1">
                                <IngredientPick
                                    :name="line.name"
                                    :label="`Ingredient of line ${line.name || 'without a name'}`"
                                    :placed="line.ingredient !== ''"
                                    bare
                                    @typed="set(line.id, 'name', $event)"
                                    @choose="settle(line.id, $event)"
                                />
                            </div>
                            <select
                                v-if="(judged.get(line.id)?.forms.length ?? 0) > 1"
                                class="bare !w-[5.2rem] shrink-0 !px-0 text-[13px]"
                                :value="line.form || judged.get(line.id)?.form"
                                :aria-label="`Form of ${line.name}`"
                                @change="set(line.id, 'form', valueIn($event))"
                            >
                                <option v-for="form in judged.get(line.id)?.forms ?? []" :key="form" :value="form">{{ form }}</option>
                            </select>
                        </div>
                    </td>
                    <td class="w-[19%]">
                        <input
                            class="bare"
                            :style="{ minWidth: `${Math.min(line.amount.length, 18) * 0.5 + 1.2}em` }"
                            data-field="amount"
                            :value="line.amount"
                            :aria-label="`Amount of ${line.name}`"
                            :aria-invalid="(judged.get(line.id)?.problem ?? '') !== ''"
                            :title="judged.get(line.id)?.problem"
                            maxlength="120"
                            autocomplete="off"
                            spellcheck="false"
                            @input="set(line.id, 'amount', valueIn($event))"
                            @keydown.enter.prevent="add"
                        />
                    </td>
                    <td class="w-[17%]">
                        <select
                            class="bare !px-0 text-[14px]"
                            data-field="phase"
                            :value="line.phase"
                            :aria-label="`When ${line.name} goes in`"
                            @change="set(line.id, 'phase', valueIn($event))"
                        >
                            <option v-for="(word, phase) in PHASES" :key="phase" :value="phase">{{ word }}</option>
                        </select>
                    </td>
                    <td class="pr-1 text-right whitespace-nowrap">
                        <HonestFigure
                            v-if="judged.get(line.id) && judged.get(line.id)?.problem === ''"
                            :band="judged.get(line.id)!.grams"
                            unit="g"
                            :basis="judged.get(line.id)!.basis"
                            :working="judged.get(line.id)!.working"
                            :shown="fixed(judged.get(line.id)!.grams.best, 1)"
                            :what="line.name"
                        />
                        <span v-else class="said-caution text-[13px]">cannot tell</span>
                    </td>
                    <td
                        class="text-right whitespace-nowrap"
                        :title="
                            judged.get(line.id)?.problem ||
                            `${num(judged.get(line.id)?.share.low ?? 0)} to ${num(judged.get(line.id)?.share.high ?? 0)} % at worst`
                        "
                    >
                        <span
                            v-if="line.locked"
                            class="quiet mr-1 text-[12px]"
                            title="Its share is locked: the solver and the jar's edges leave it"
                        >
                            locked
                        </span>
                        <template v-if="judged.get(line.id)?.problem === ''">
                            {{ fixed(judged.get(line.id)?.shown_percent ?? 0, 1) }}
                            <span class="unit">%</span>
                        </template>
                    </td>
                    <td class="text-right whitespace-nowrap">
                        <span
                            v-if="worst.get(line.id) && worst.get(line.id) !== 'note'"
                            class="ml-1.5 text-[13px] font-bold"
                            :class="`said-${worst.get(line.id)}`"
                            :title="worst.get(line.id)"
                        >
                            {{ worst.get(line.id) === 'stop' ? '■' : '▲' }}
                            <span class="sr-only">{{ worst.get(line.id) }}</span>
                        </span>
                        <LineMenu
                            class="no-print"
                            :name="line.name"
                            :locked="line.locked"
                            :placed="line.ingredient !== ''"
                            @lock="lock(line.id)"
                            @swap="swapping = line.id"
                            @remove="remove(line.id)"
                        />
                    </td>
                </tr>
            </tbody>
            <tfoot>
                <tr>
                    <td class="pt-2" colspan="3">
                        <button type="button" class="act-quiet -ml-2.5" @click="add">Add a line</button>
                    </td>
                    <td class="pt-2 pr-1 text-right font-semibold whitespace-nowrap">
                        {{ fixed(bench.assessment.value.total_grams.best, 1) }}
                        <span class="unit">g</span>
                    </td>
                    <td class="pt-2 text-right font-semibold whitespace-nowrap">
                        {{ bench.assessment.value.total_grams.best > 0 ? '100.0' : '0.0' }}
                        <span class="unit">%</span>
                    </td>
                    <td />
                </tr>
                <tr class="no-print">
                    <td colspan="6" class="quiet text-[13px]">
                        Amounts as you write them: 2 tbsp, 1/2 cup, 12 drops, 18 %, to fill. Alt with arrows moves a line up, down, earlier
                        or later.
                        <HowLink of="shares" what="a share" />
                    </td>
                </tr>
            </tfoot>
        </table>
        <SwapDialog v-if="swapping" :bench="bench" :line="swapping" @close="swapping = ''" @take="take" />
    </div>
</template>
