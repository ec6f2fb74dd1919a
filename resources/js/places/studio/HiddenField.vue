<script setup lang="ts">
import { ref } from 'vue';
import FormField from '../../ui/FormField.vue';

/** A password, hidden until whoever types it wants to see it. */
defineProps<{ label: string; autocomplete: string; problem: string[] | undefined; hint?: string }>();
const password = defineModel<string>({ required: true });
const seen = ref(false);
</script>

<template>
    <div>
        <FormField v-slot="{ field }" :label="label" :problem="problem" :hint="hint">
            <input
                v-bind="field"
                v-model="password"
                :type="seen ? 'text' : 'password'"
                :autocomplete="autocomplete"
                required
                maxlength="200"
                class="field"
                spellcheck="false"
                autocapitalize="off"
            />
        </FormField>
        <button type="button" class="act-quiet -ml-2.5 !min-h-8 text-[13px]" :aria-pressed="seen" @click="seen = !seen">
            {{ seen ? 'Hide it' : 'Show it' }}
        </button>
    </div>
</template>
