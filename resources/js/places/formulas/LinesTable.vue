<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Schemas } from '../../api/client';
import HowLink from '../../ui/HowLink.vue';
import { tell } from '../../ui/notice';
import { fixed } from '../../ui/words';
import LineRow from './bench/LineRow.vue';
import LineWorking from './bench/LineWorking.vue';
import { useLines } from './bench/useLines';
import SwapDialog from './SwapDialog.vue';
import type { Bench } from './useBench';

/** The lines of a formula, edited in place: name, amount, form, phase, order. */

const props = defineProps<{ bench: Bench; lit: string }>();
const emit = defineEmits<{ light: [id: string] }>();

const formula = computed(() => props.bench.formula.value);
const judged = computed(() => new Map(props.bench.assessment.value.lines.map((l) => [l.id, l])));
const worst = computed(() => {
    const marks = new Map<string, Schemas['Finding']['severity']>();
    for (const finding of props.bench.assessment.value.findings)
        for (const id of finding.lines) if (!marks.has(id)) marks.set(id, finding.severity);
    return marks;
});
const table = ref<HTMLElement | null>(null);
const swapping = ref('');

function take(swap: Schemas['SwapAnswer']['swaps'][number]): void {
    props.bench.replace(swap.formula, `swap ${swapping.value}`);
    swapping.value = '';
    tell(`${swap.name} is in its place.`, { undo: props.bench.undo });
}
const { set, settle, add, remove, move, turn, lock } = useLines(props.bench, () => table.value);
defineExpose({ add });
</script>

<template>
    <div ref="table">
        <!-- On a phone each line takes two rows; what is a table stays one for whoever has it read out. -->
        <table role="table" class="w-full border-collapse max-sm:block">
            <caption class="sr-only">Lines of this formula</caption>
            <thead role="rowgroup" class="max-sm:sr-only">
                <tr role="row" class="quiet border-rule border-b text-left text-[13px]">
                    <th role="columnheader" scope="col" class="py-1 font-normal">Ingredient</th>
                    <th role="columnheader" scope="col" class="font-normal">Amount</th>
                    <th role="columnheader" scope="col" class="font-normal">Goes in</th>
                    <th role="columnheader" scope="col" class="pr-1 text-right font-normal">Grams</th>
                    <th role="columnheader" scope="col" class="text-right font-normal">Share</th>
                    <th role="columnheader" scope="col"><span class="sr-only">More</span></th>
                </tr>
            </thead>
            <tbody role="rowgroup" class="max-sm:block">
                <LineRow
                    v-for="line in formula.lines"
                    :key="line.id"
                    :line="line"
                    :judged="judged.get(line.id)"
                    :at-most="bench.assessment.value.open"
                    :worst="worst.get(line.id)"
                    :lit="lit === line.id"
                    @light="emit('light', $event ? line.id : '')"
                    @set="(field, value) => set(line.id, field, value)"
                    @settle="settle(line.id, $event)"
                    @move="move(line.id, $event)"
                    @turn="turn(line.id, $event)"
                    @lock="lock(line.id)"
                    @swap="swapping = line.id"
                    @remove="remove(line.id)"
                    @add="add"
                >
                    <template #working><LineWorking :bench="bench" :line="line.id" /></template>
                </LineRow>
            </tbody>
            <tfoot role="rowgroup" class="max-sm:block">
                <tr role="row" class="max-sm:flex max-sm:items-baseline max-sm:gap-4">
                    <td role="cell" class="pt-2 max-sm:grow" colspan="3">
                        <button type="button" class="act-quiet -ml-2.5" @click="add">Add a line</button>
                    </td>
                    <td role="cell" class="pt-2 pr-1 text-right font-semibold whitespace-nowrap">
                        {{ fixed(bench.assessment.value.total_grams.best, 1) }}
                        <span class="unit">g</span>
                    </td>
                    <td role="cell" class="pt-2 text-right font-semibold whitespace-nowrap">
                        {{ bench.assessment.value.total_grams.best > 0 ? '100.0' : '0.0' }}
                        <span class="unit">%</span>
                    </td>
                    <td role="cell" />
                </tr>
                <tr role="row" class="no-print max-sm:block">
                    <td role="cell" colspan="6" class="quiet text-[13px] max-sm:block">
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
