<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import FormField from '../../../ui/FormField.vue';
import { num } from '../../../ui/words';

/** What came out, beside what was foretold. */
const props = defineProps<{ steep: Schemas['Steep']; problem: string[] | undefined }>();
const typed = defineModel<string | number>({ required: true });
const grams = computed(() => Number(typed.value));
const beside = computed(() => {
    const foretold = props.steep.plan.yield_grams;
    if (grams.value < foretold.low) return 'Less than expected: the herb kept more, or some is still in it.';
    return grams.value > foretold.high ? 'More than expected: look for water.' : 'As expected.';
});
</script>

<template>
    <div>
        <FormField v-slot="{ field }" label="Oil that came out, grams" :problem="problem">
            <input
                v-bind="field"
                v-model="typed"
                type="number"
                min="0"
                step="any"
                inputmode="decimal"
                class="field !h-24 text-center font-head !text-[72px] leading-none font-bold"
            />
        </FormField>
        <p v-if="grams > 0" class="mt-2 text-[18px]">
            {{ num((grams / Math.max(1, steep.oil_left_grams)) * 100, 0) }} % of the oil. {{ beside }}
        </p>
    </div>
</template>
