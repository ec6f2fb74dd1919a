<script setup lang="ts">
import { reactive, watch } from 'vue';
import FormField from '../../../ui/FormField.vue';
import FormProblem from '../../../ui/FormProblem.vue';
import NumberField from '../../../ui/NumberField.vue';
import UiDialog from '../../../ui/UiDialog.vue';
import AddFields from './AddFields.vue';
import MoveFields from './MoveFields.vue';
import { blank, TITLES, type Doing, type RecordForm } from './recording';

/** The one form for what is written into the journal of a jar: what it asks depends on what is done. */
const props = defineProps<{ doing: Doing | null; errors: Record<string, string[]> }>();
const emit = defineEmits<{ close: []; submit: [what: Doing, form: RecordForm] }>();
const form = reactive(blank());
const ACTS: Partial<Record<Doing, string>> = { spoil: 'Give the jar up', withdraw: 'Withdraw it' };

watch(
    () => props.doing,
    (doing) => {
        // What was typed goes; where a jar was last moved to, and how a herb was prepared, stays as an offer.
        const { method, form: asForm, forms, preparation } = form;
        if (doing !== null) Object.assign(form, blank(), { method, form: asForm, forms, preparation });
    },
);
</script>

<template>
    <UiDialog :open="doing !== null" :title="doing === null ? '' : TITLES[doing]" @close="emit('close')">
        <form v-if="doing !== null" class="space-y-3" @submit.prevent="emit('submit', doing, form)">
            <template v-if="doing === 'note'">
                <FormField v-slot="{ field }" label="Colour">
                    <input v-bind="field" v-model="form.colour" class="field min-h-12" maxlength="80" placeholder="green gold" />
                </FormField>
                <FormField v-slot="{ field }" label="Smell">
                    <input v-bind="field" v-model="form.smell" class="field min-h-12" maxlength="80" placeholder="of hay" />
                </FormField>
            </template>
            <NumberField
                v-if="doing === 'weighed' || doing === 'drawn'"
                v-model="form.grams"
                :label="doing === 'drawn' ? 'Oil taken out, grams' : 'The jar weighs, grams'"
                :problem="errors['grams']"
                min="0"
                large
            />
            <template v-if="doing === 'bowl'">
                <p class="quiet">Oil does not evaporate at these temperatures: what the bowl loses is water driven off.</p>
                <NumberField v-model="form.before" label="Before heating, grams" :problem="errors['before']" min="0" large />
                <NumberField v-model="form.after" label="After heating, grams" :problem="errors['after']" min="0" large />
            </template>
            <MoveFields v-if="doing === 'moved'" v-model="form" :errors="errors" />
            <AddFields v-if="doing === 'herb' || doing === 'oil'" v-model="form" :plant="doing === 'herb'" :errors="errors" />
            <template v-if="doing === 'spoil' || doing === 'withdraw'">
                <FormField v-slot="{ field }" label="What was found (mould, a sour smell, fizzing, spilt)" :problem="errors['reason']">
                    <input v-bind="field" v-model="form.reason" class="field min-h-12" maxlength="200" />
                </FormField>
                <p v-if="doing === 'spoil'">The jar is closed for good, and every oil drawn from it is withdrawn.</p>
                <p v-else>Every formula and batch that used it is warned. This can be taken back.</p>
            </template>
            <FormField v-else v-slot="{ field }" label="Note (optional)">
                <input v-bind="field" v-model="form.note" class="field" maxlength="500" />
            </FormField>
            <FormProblem :errors="errors" field="on" />
            <div class="flex gap-3">
                <button class="counter-act">{{ ACTS[doing] ?? 'Record it' }}</button>
                <button type="button" class="act-quiet" @click="emit('close')">Leave it</button>
            </div>
        </form>
    </UiDialog>
</template>
