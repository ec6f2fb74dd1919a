<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import FormField from '../../../ui/FormField.vue';
import FormProblem from '../../../ui/FormProblem.vue';
import { valueIn } from '../../../ui/events';
import IngredientPick from '../../formulas/IngredientPick.vue';
import type { KitDraft } from './useKit';

/** One thing of the kitchen as it is written down: its name, its figures, and what it was weighed with. */
defineProps<{ kind: Schemas['Kit']['kinds'][number]; says: string | undefined; errors: Record<string, string[]>; busy: boolean }>();
const draft = defineModel<KitDraft>({ required: true });
const emit = defineEmits<{ keep: []; leave: [] }>();
const labelled = (one: Schemas['Kit']['kinds'][number]['figures'][number]): string =>
    `${one.label}${one.unit ? `, ${one.unit}` : ''}${one.needed ? '' : ' (if known)'}`;
</script>

<template>
    <form class="bg-raised border-rule space-y-3 rounded border p-4" novalidate @submit.prevent="emit('keep')">
        <h2>{{ kind.label }}</h2>
        <p v-if="says" class="quiet text-[13px]">{{ says }}</p>
        <FormField v-slot="{ field }" label="What I call it" :problem="errors['name']">
            <input v-bind="field" v-model="draft.name" class="field" maxlength="80" />
        </FormField>
        <FormField
            v-for="choice in kind.choices"
            :key="choice.field"
            v-slot="{ field }"
            :label="choice.label"
            :problem="errors[choice.field]"
        >
            <select v-bind="field" class="field" :value="draft.fields[choice.field]" @change="draft.fields[choice.field] = valueIn($event)">
                <option v-for="one in choice.allowed" :key="one" :value="one">{{ one }}</option>
            </select>
        </FormField>
        <div v-if="kind.weighed_with">
            <span class="label">Weighed with</span>
            <IngredientPick
                :name="draft.substance"
                label="Weighed with"
                placed
                @choose="Object.assign(draft, { ingredient: $event.id, substance: $event.name })"
            />
            <FormProblem :errors="errors" field="ingredient" />
        </div>
        <div class="grid grid-cols-2 items-end gap-3">
            <FormField v-for="one in kind.figures" :key="one.field" v-slot="{ field }" :label="labelled(one)" :problem="errors[one.field]">
                <input
                    v-bind="field"
                    class="field"
                    inputmode="decimal"
                    maxlength="12"
                    :value="draft.fields[one.field]"
                    @input="draft.fields[one.field] = valueIn($event)"
                />
            </FormField>
        </div>
        <div class="flex gap-x-3">
            <button class="act" :disabled="busy">Keep it</button>
            <button type="button" class="act-quiet" @click="emit('leave')">Leave it</button>
        </div>
    </form>
</template>
