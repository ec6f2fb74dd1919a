<script setup lang="ts">
import { ref } from 'vue';
import FormField from './FormField.vue';
import UiDialog from './UiDialog.vue';

/** Something is stopped at: it is left, or done all the same for a reason that stays. */
defineProps<{ open: boolean; title: string; stops: string[]; asks: string; does: string; back: string; busy: boolean }>();
const emit = defineEmits<{ close: []; go: [although: string] }>();
const although = ref('');
</script>

<template>
    <UiDialog :open="open" :title="title" @close="emit('close')">
        <ul class="space-y-1">
            <li v-for="stop in stops" :key="stop" class="said-stop">{{ stop }}</li>
        </ul>
        <FormField v-slot="{ field }" class="mt-3" :label="asks">
            <textarea v-bind="field" v-model="although" class="field" rows="2" maxlength="500" />
        </FormField>
        <div class="mt-3 flex flex-wrap gap-2">
            <button type="button" class="act" @click="emit('close')">{{ back }}</button>
            <button type="button" class="act-quiet" :disabled="although.trim() === '' || busy" @click="emit('go', although)">
                {{ does }}
            </button>
        </div>
    </UiDialog>
</template>
