<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { valueIn } from '../../../ui/events';
import HonestFigure from '../../../ui/HonestFigure.vue';
import { fixed, num, PHASES } from '../../../ui/words';
import IngredientPick from '../IngredientPick.vue';
import LineMenu from '../LineMenu.vue';
import type { LineField } from './useLines';

/** One line as it is typed, beside what it was judged to be. */
defineProps<{
    line: Schemas['Formula']['lines'][number];
    judged: Schemas['Assessment']['lines'][number] | undefined;
    /** Whether there is a line of which nobody knows how much there is: no share is more than at most. */
    atMost: boolean;
    /** How grave the worst is that is found of it. */
    worst: Schemas['Finding']['severity'] | undefined;
    lit: boolean;
}>();
const emit = defineEmits<{
    light: [on: boolean];
    set: [field: LineField, value: string];
    settle: [row: Schemas['IngredientRow']];
    move: [by: number];
    turn: [by: number];
    lock: [];
    swap: [];
    remove: [];
    add: [];
}>();
</script>

<template>
    <tr
        role="row"
        :data-line="line.id"
        class="row-line max-sm:grid max-sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_4.5rem_2.5rem] max-sm:items-center max-sm:py-1"
        :class="lit ? 'bg-lead-wash' : ''"
        @mouseenter="emit('light', true)"
        @mouseleave="emit('light', false)"
        @focusin="emit('light', true)"
        @focusout="emit('light', false)"
        @keydown.up.alt.prevent="emit('move', -1)"
        @keydown.down.alt.prevent="emit('move', 1)"
        @keydown.left.alt.prevent="emit('turn', -1)"
        @keydown.right.alt.prevent="emit('turn', 1)"
    >
        <td role="cell" class="py-0.5 max-sm:col-span-2 max-sm:row-start-1 sm:w-[40%]">
            <div class="flex items-center gap-1.5">
                <svg width="12" height="22" aria-hidden="true" class="shrink-0">
                    <rect
                        width="12"
                        height="22"
                        rx="2"
                        :fill="`url(#matter-${judged?.matter ?? 'unknown'})`"
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
                        @typed="emit('set', 'name', $event)"
                        @choose="emit('settle', $event)"
                    />
                </div>
                <select
                    v-if="(judged?.forms.length ?? 0) > 1"
                    class="bare !w-[5.2rem] shrink-0 !px-0 text-[13px]"
                    :value="line.form || judged?.form"
                    :aria-label="`Form of ${line.name}`"
                    @change="emit('set', 'form', valueIn($event))"
                >
                    <option v-for="form in judged?.forms ?? []" :key="form" :value="form">{{ form }}</option>
                </select>
            </div>
        </td>
        <td role="cell" class="max-sm:row-start-2 sm:w-[19%]">
            <input
                class="bare"
                :style="{ minWidth: `${Math.min(line.amount.length, 18) * 0.5 + 1.2}em` }"
                data-field="amount"
                :value="line.amount"
                :aria-label="`Amount of ${line.name}`"
                :aria-invalid="(judged?.problem ?? '') !== ''"
                :title="judged?.problem"
                maxlength="120"
                autocomplete="off"
                spellcheck="false"
                @input="emit('set', 'amount', valueIn($event))"
                @keydown.enter.prevent="emit('add')"
            />
        </td>
        <td role="cell" class="max-sm:row-start-2 sm:w-[17%]">
            <select
                class="bare !px-0 text-[14px]"
                data-field="phase"
                :value="line.phase"
                :aria-label="`When ${line.name} goes in`"
                @change="emit('set', 'phase', valueIn($event))"
            >
                <option v-for="(word, phase) in PHASES" :key="phase" :value="phase">{{ word }}</option>
            </select>
        </td>
        <td role="cell" class="pr-1 text-right whitespace-nowrap max-sm:col-start-3 max-sm:row-start-2">
            <HonestFigure
                v-if="judged?.grams"
                :band="judged.grams"
                unit="g"
                :basis="judged.basis"
                :shown="fixed(judged.grams.best, 1)"
                :what="line.name"
            >
                <template #working><slot name="working" /></template>
            </HonestFigure>
            <span v-else class="said-caution text-[13px]">cannot tell</span>
        </td>
        <td
            role="cell"
            class="text-right whitespace-nowrap max-sm:col-start-3 max-sm:row-start-1"
            :title="judged?.problem || (judged?.share ? `${num(judged.share.low)} to ${num(judged.share.high)} % at worst` : '')"
        >
            <span v-if="line.locked" class="quiet mr-1 text-[12px]" title="Its share is locked: the solver and the jar's edges leave it">
                locked
            </span>
            <template v-if="judged?.share">
                <span v-if="atMost" class="quiet text-[12px]">at most</span>
                {{ fixed(judged.shown_percent, 1) }}
                <span class="unit">%</span>
            </template>
        </td>
        <td role="cell" class="text-right whitespace-nowrap max-sm:col-start-4 max-sm:row-start-1">
            <span v-if="worst && worst !== 'note'" class="ml-1.5 text-[13px] font-bold" :class="`said-${worst}`" :title="worst">
                {{ worst === 'stop' ? '■' : '▲' }}
                <span class="sr-only">{{ worst }}</span>
            </span>
            <LineMenu
                class="no-print"
                :name="line.name"
                :locked="line.locked"
                :placed="line.ingredient !== ''"
                @lock="emit('lock')"
                @swap="emit('swap')"
                @remove="emit('remove')"
            />
        </td>
    </tr>
</template>
