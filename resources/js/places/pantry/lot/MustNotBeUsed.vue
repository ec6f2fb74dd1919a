<script setup lang="ts">
import { ref, watch } from 'vue';
import FormField from '../../../ui/FormField.vue';
import UiDialog from '../../../ui/UiDialog.vue';

/** Why a bottle must not be used any more: every formula and batch that has some of it then says so. */
const props = defineProps<{ open: boolean; name: string; errors: Record<string, string[]> }>();
const emit = defineEmits<{ close: []; withdraw: [why: string] }>();
const reason = ref('');
watch(
    () => props.open,
    () => (reason.value = ''),
);
</script>

<template>
    <UiDialog :open="open" :title="`${name} must not be used`" @close="emit('close')">
        <p>Whatever was made of it says so from then on, and its labels and passports too. Nothing is thrown away by it.</p>
        <form class="mt-3" @submit.prevent="emit('withdraw', reason)">
            <FormField v-slot="{ field }" label="Why: it went rancid, the maker called it back …" :problem="errors['reason']">
                <input v-bind="field" v-model="reason" class="field" maxlength="200" required />
            </FormField>
            <div class="mt-4 flex gap-3">
                <button class="act">Say so everywhere</button>
                <button type="button" class="act-quiet" @click="emit('close')">Leave it</button>
            </div>
        </form>
    </UiDialog>
</template>
