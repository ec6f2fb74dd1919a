<script setup lang="ts">
import { computed, reactive, watch } from 'vue';
import type { Schemas } from '../../../api/client';
import { keysOf, written } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import { num } from '../../../ui/words';

/** What was taken out of a bottle, or found in it. */
const props = defineProps<{ lot: Schemas['LotPage']; errors: Record<string, string[]>; busy: boolean }>();
const emit = defineEmits<{ said: [movement: Schemas['MovementDraft']]; afresh: [] }>();
type Kind = Schemas['MovementDraft']['kind'];
const ACTS: Record<Kind, string> = {
    counted: 'Weighed',
    opened: 'Opened for use',
    given: 'Given away',
    sold: 'Sold',
    spoiled: 'Went bad',
    wasted: 'Spilt or left over',
};
const NOTHING = { grams: '', full: '', jars: '', to: '', price: '', note: '' };
const said = reactive<Record<keyof typeof NOTHING, string> & { kind: Kind }>({ kind: 'counted', ...NOTHING });
/** Only jars that were made here are opened one by one; of a bottle its day is said. */
const acts = computed(() => keysOf(ACTS).filter((kind) => kind !== 'opened' || props.lot.batch_id));
const leaves = computed(() => said.kind === 'given' || said.kind === 'sold');

watch(
    () => said.kind,
    () => emit('afresh'),
);
function say(): void {
    emit('said', {
        kind: said.kind,
        grams: written(said.grams),
        full_grams: written(said.full),
        jars: written(said.jars),
        to: said.to,
        price: written(said.price),
        note: said.note,
    });
}
defineExpose({ clear: () => Object.assign(said, NOTHING) });
</script>

<template>
    <form class="bg-raised border-rule space-y-2 rounded border p-4" @submit.prevent="say">
        <h2>Say what happened</h2>
        <select v-model="said.kind" class="field" aria-label="What happened">
            <option v-for="kind in acts" :key="kind" :value="kind">{{ ACTS[kind] }}</option>
        </select>
        <FormField
            v-slot="{ field }"
            :label="said.kind === 'counted' ? 'What is in it, grams' : 'How much, grams'"
            :problem="errors['grams']"
        >
            <input v-bind="field" v-model="said.grams" class="field" inputmode="decimal" maxlength="12" />
        </FormField>
        <FormField
            v-if="said.kind === 'counted' && lot.tare_grams !== null"
            v-slot="{ field }"
            :label="`Or the whole on the scale, grams (${num(lot.tare_grams)} g empty)`"
            :problem="errors['full_grams']"
        >
            <input v-bind="field" v-model="said.full" class="field" inputmode="decimal" maxlength="12" />
        </FormField>
        <FormField
            v-if="(leaves || said.kind === 'opened') && lot.batch_id !== null"
            v-slot="{ field }"
            label="Or how many jars"
            :problem="errors['jars']"
        >
            <input v-bind="field" v-model="said.jars" class="field" inputmode="numeric" maxlength="6" />
        </FormField>
        <FormField v-if="leaves" v-slot="{ field }" label="To whom" :problem="errors['to']">
            <input v-bind="field" v-model="said.to" class="field" maxlength="120" />
        </FormField>
        <FormField v-if="said.kind === 'sold'" v-slot="{ field }" label="For how much in all" :problem="errors['price']">
            <input v-bind="field" v-model="said.price" class="field" inputmode="decimal" maxlength="12" />
        </FormField>
        <FormField v-slot="{ field }" label="Note (optional)" :problem="errors['note']">
            <input v-bind="field" v-model="said.note" class="field" maxlength="300" />
        </FormField>
        <button class="act" :disabled="busy">Write it down</button>
    </form>
</template>
