<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { valueIn } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import NumberField from '../../../ui/NumberField.vue';
import { num } from '../../../ui/words';
import JarPick from '../../studio/JarPick.vue';
import PlacePick from '../../studio/PlacePick.vue';

/** The jar, how it is treated, and where or how warm it is held. */
defineProps<{
    heated: boolean;
    /** What the chosen way is held at when nothing is written. */
    usual: Schemas['SteepPlanned']['usual_way'] | undefined;
    errors: Record<string, string[]>;
}>();
const draft = defineModel<Schemas['SteepDraft']>({ required: true });
const wanted = defineModel<string>('wanted', { required: true });
const shaken = computed({
    get: () => (draft.value.shaken_daily ? 'daily' : draft.value.shaken_sometimes ? 'sometimes' : 'never'),
    set: (how) => Object.assign(draft.value, { shaken_daily: how === 'daily', shaken_sometimes: how === 'sometimes' }),
});
</script>

<template>
    <JarPick
        label="Jar of the kit"
        @choose="Object.assign(draft, { jar_ml: $event.brimMl, diameter_cm: $event.innerCm, mouth_cm: $event.mouthCm })"
    />
    <div class="grid grid-cols-3 gap-3">
        <NumberField v-model.number="draft.jar_ml" label="Jar, ml" :problem="errors['jar_ml']" min="0" />
        <NumberField v-model.number="draft.diameter_cm" label="Inner width, cm" :problem="errors['diameter_cm']" min="0" />
        <NumberField v-model.number="draft.mouth_cm" label="Mouth, cm" :problem="errors['mouth_cm']" min="0" />
    </div>
    <div class="flex flex-wrap gap-x-5 gap-y-1">
        <label class="flex min-h-8 items-center gap-2">
            Shaken
            <select v-model="shaken" class="bare !w-auto">
                <option value="daily">daily</option>
                <option value="sometimes">now and then</option>
                <option value="never">never</option>
            </select>
        </label>
        <label class="flex min-h-8 items-center gap-2">
            <input v-model="draft.pressed" type="checkbox" />
            Pressed when strained
        </label>
    </div>
    <div class="grid grid-cols-2 gap-3">
        <NumberField v-model.number="draft.water_grams" label="Water or gel added, g" :problem="errors['water_grams']" min="0" />
        <FormField v-slot="{ field }" label="Wanted by (optional)" :problem="errors['wanted']">
            <input v-bind="field" v-model="wanted" type="date" class="field" />
        </FormField>
    </div>
    <PlacePick
        v-if="!heated"
        label="Stands in"
        :celsius="draft.celsius || (usual?.celsius ?? 20)"
        @choose="draft.celsius = $event.celsius"
    />
    <div class="grid grid-cols-2 gap-3">
        <FormField v-slot="{ field }" label="Held at °C" :problem="errors['celsius']">
            <input
                v-bind="field"
                :value="draft.celsius || ''"
                type="number"
                min="0"
                max="150"
                step="any"
                class="field"
                :placeholder="usual ? `usually ${num(usual.celsius)}` : ''"
                @input="draft.celsius = Number(valueIn($event))"
            />
        </FormField>
        <FormField v-if="heated" v-slot="{ field }" label="For how long" :problem="errors['held_for']">
            <input
                v-bind="field"
                v-model="draft.held_for"
                class="field"
                maxlength="60"
                :placeholder="usual ? `usually ${num(usual.minutes)} minutes` : ''"
            />
        </FormField>
        <FormField v-else v-slot="{ field }" label="For days" :problem="errors['days']">
            <input
                v-bind="field"
                :value="draft.days || ''"
                type="number"
                min="1"
                max="400"
                class="field"
                :placeholder="usual ? `usually ${usual.days}` : ''"
                @input="draft.days = Math.round(Number(valueIn($event)))"
            />
        </FormField>
    </div>
</template>
