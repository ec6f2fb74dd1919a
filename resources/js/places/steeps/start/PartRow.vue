<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { valueIn } from '../../../ui/events';
import FormProblem from '../../../ui/FormProblem.vue';
import { num } from '../../../ui/words';
import IngredientPick from '../../formulas/IngredientPick.vue';

/** A plant or an oil that goes into the jar: which, how much, and what it cost. */
const props = defineProps<{
    name: string;
    label: string;
    /** What its amount comes to, once that is known. */
    grams: number | undefined;
    /** Where it stands among what is sent, as problems name it: "herbs.0". */
    at: string;
    errors: Record<string, string[]>;
    only: boolean;
}>();
const amount = defineModel<string>('amount', { required: true });
const cost = defineModel<number | null | undefined>('cost', { required: true });
const emit = defineEmits<{ choose: [row: Schemas['IngredientRow']]; drop: [] }>();
const FIELDS = ['ingredient', 'amount', 'form', 'preparation'];

/** Where that says more than what was typed. */
const comesTo = computed(() => {
    const words = props.grams === undefined ? '' : `${num(props.grams)} g`;
    return words === amount.value.trim() ? '' : words;
});
/** Empty is not known, which is not nothing. */
function paid(event: Event): void {
    const text = valueIn(event);
    cost.value = text === '' || !(Number(text) >= 0) ? null : Number(text);
}
</script>

<template>
    <div class="row-line grid grid-cols-[minmax(0,1fr)_6.5rem_1.6rem] gap-x-2 gap-y-1 pb-2">
        <IngredientPick :name="name" :label="label" placed @choose="emit('choose', $event)" />
        <input
            v-model="amount"
            class="field"
            maxlength="120"
            :aria-label="`How much of ${name}`"
            :aria-invalid="!!errors[`${at}.amount`]"
        />
        <button v-if="!only" type="button" class="act-quiet !px-1" :aria-label="`Take out ${name}`" @click="emit('drop')">×</button>
        <span v-else></span>
        <span class="col-span-3 flex flex-wrap items-center gap-2 text-[13px]">
            <slot />
            <span v-if="comesTo" class="quiet">is {{ comesTo }}</span>
            <label class="ml-auto inline-flex items-center gap-1">
                <span class="quiet">cost</span>
                <input
                    class="field !min-h-7 !w-20 !py-0"
                    type="number"
                    min="0"
                    step="any"
                    :value="cost ?? ''"
                    :aria-label="`What the ${name} cost`"
                    @input="paid"
                />
            </label>
        </span>
        <FormProblem v-for="field in FIELDS" :key="field" class="col-span-3" :errors="errors" :field="`${at}.${field}`" />
    </div>
</template>
