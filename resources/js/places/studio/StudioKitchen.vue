<script setup lang="ts">
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { tell } from '../../ui/notice';
import CountryPick from './CountryPick.vue';
import CupPick from './CupPick.vue';
import { zoneHere } from './here';
import { useStudioDraft } from './useStudioDraft';
import ZonePick from './ZonePick.vue';

/** What the studio measures with, how it writes, where it lies, and whose name its papers bear. */
const { draft, errors, save, busy } = useStudioDraft();
const here = zoneHere();
async function keep(): Promise<void> {
    if (await save()) tell('Saved. Every figure is worked out with it from now on.');
}
</script>

<template>
    <form class="max-w-3xl space-y-3" novalidate @submit.prevent="keep">
        <FormField v-slot="{ field }" label="Name" :problem="errors['name']">
            <input v-bind="field" v-model="draft.name" class="field" maxlength="120" />
        </FormField>
        <label class="block">
            <span class="label">Maker's line on labels</span>
            <input v-model="draft.maker" class="field" maxlength="200" />
        </label>
        <CountryPick :model-value="draft" />
        <div class="grid gap-4 sm:grid-cols-2">
            <label>
                <span class="label">Cups in this kitchen</span>
                <CupPick v-model="draft.cup" />
            </label>
            <label>
                <span class="label">Figures are written</span>
                <select v-model="draft.decimal_comma" class="field">
                    <option :value="false">1.5 with a point</option>
                    <option :value="true">1,5 with a comma</option>
                </select>
            </label>
            <label>
                <span class="label">Dates are written</span>
                <select v-model="draft.date_style" class="field">
                    <option value="day-first">27 November 2026</option>
                    <option value="month-first">November 27, 2026</option>
                    <option value="numbers">2026-11-27</option>
                </select>
            </label>
            <FormField v-slot="{ field }" label="The scale shows steps of, grams" :problem="errors['scale_grams']">
                <input v-bind="field" v-model.number="draft.scale_grams" type="number" step="any" min="0" class="field" />
            </FormField>
            <FormField v-slot="{ field }" label="The largest bowl holds, ml (0 when you do not know)" :problem="errors['bowl_ml']">
                <input v-bind="field" v-model.number="draft.bowl_ml" type="number" step="any" min="0" class="field" />
            </FormField>
            <label>
                <span class="label">Time zone, in which your day begins</span>
                <ZonePick v-model="draft.time_zone" :invalid="!!errors['time_zone']" />
            </label>
            <FormField v-slot="{ field }" label="Money, as three letters" :problem="errors['currency']">
                <input v-bind="field" v-model="draft.currency" class="field" maxlength="3" placeholder="EUR" />
            </FormField>
        </div>
        <FormProblem :errors="errors" field="time_zone" />
        <button v-if="here !== draft.time_zone" type="button" class="act-quiet -ml-2.5" @click="draft.time_zone = here">
            Take this device's: {{ here.replaceAll('_', ' ') }}
        </button>
        <label class="flex items-center gap-2">
            <input v-model="draft.southern" type="checkbox" />
            South of the equator: the cold months are April to September
        </label>
        <button class="act" :disabled="busy">Save</button>
    </form>
</template>
