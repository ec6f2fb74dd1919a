<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Schemas } from '../../../api/client';
import FormField from '../../../ui/FormField.vue';
import UiDialog from '../../../ui/UiDialog.vue';

/** What the bench stops at is asked about before it is made. */
const props = defineProps<{ open: boolean; stops: Schemas['Finding'][]; busy: boolean }>();
const emit = defineEmits<{ close: []; make: [although: string] }>();
const although = ref('');
const mayBeMade = computed(() => props.stops.every((s) => s.acceptable));
</script>

<template>
    <UiDialog :open="open" title="The bench stops at this" @close="emit('close')">
        <ul class="space-y-1">
            <li v-for="stop in stops" :key="stop.code + stop.message" class="said-stop">{{ stop.message }}</li>
        </ul>
        <template v-if="mayBeMade">
            <FormField v-slot="{ field }" class="mt-3" label="Why it is made all the same; this stands on the record">
                <textarea v-bind="field" v-model="although" class="field" rows="2" maxlength="500" />
            </FormField>
            <div class="mt-3 flex flex-wrap gap-2">
                <button type="button" class="act" @click="emit('close')">Back to the bench</button>
                <button type="button" class="act-quiet" :disabled="although.trim() === '' || busy" @click="emit('make', although)">
                    Make it all the same
                </button>
            </div>
        </template>
        <template v-else>
            <p class="mt-3">No reason outweighs this. Settle it on the bench first.</p>
            <button type="button" class="act mt-3" @click="emit('close')">Back to the bench</button>
        </template>
    </UiDialog>
</template>
