<script setup lang="ts">
import { ref } from 'vue';

/** A password, hidden until whoever types it wants to see it. */
defineProps<{ label: string; autocomplete: string; invalid?: boolean; describedBy?: string }>();
const password = defineModel<string>({ required: true });
const seen = ref(false);
</script>

<template>
    <div>
        <label class="block">
            <span class="label">{{ label }}</span>
            <input
                v-model="password"
                :type="seen ? 'text' : 'password'"
                :autocomplete="autocomplete"
                required
                maxlength="200"
                class="field"
                spellcheck="false"
                autocapitalize="off"
                :aria-invalid="invalid ?? false"
                :aria-describedby="describedBy"
            />
        </label>
        <button type="button" class="act-quiet -ml-2.5 !min-h-8 text-[13px]" :aria-pressed="seen" @click="seen = !seen">
            {{ seen ? 'Hide it' : 'Show it' }}
        </button>
    </div>
</template>
