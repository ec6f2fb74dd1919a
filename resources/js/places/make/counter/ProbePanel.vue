<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Schemas } from '../../../api/client';
import type { Act } from '../../../queries/counter';
import { written } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import HowLink from '../../../ui/HowLink.vue';
import { num } from '../../../ui/words';
import CoolingPicture from './CoolingPicture.vue';
import { aboutMinutes } from './figures';

/** What the probe shows while something cools, and when it will be where it is wanted. */
const props = defineProps<{ task: Schemas['Task']; errors: Record<string, string[]> }>();
const emit = defineEmits<{ act: [act: Act]; time: [minutes: number, label: string] }>();
type Where = Schemas['ReadingAsk']['where'];
const WHERE: Record<Where, string> = {
    air: 'in the room',
    'cold-water': 'in cold water',
    fridge: 'in the fridge',
    freezer: 'in the freezer',
};
const shown = ref('');
const where = ref<Where>(props.task.where);
const room = ref('');
const missing = ref('');
const cooling = computed(() => props.task.cooling);
watch(
    () => props.task.id,
    () => (where.value = props.task.cooling?.where ?? props.task.where),
    { immediate: true },
);
function read(text = shown.value): void {
    const celsius = written(text);
    missing.value = celsius === null || !Number.isFinite(celsius) ? 'Enter what the probe shows, in °C.' : '';
    if (missing.value || celsius === null) return;
    emit('act', {
        kind: 'read',
        body: {
            task: props.task.id,
            celsius,
            where: where.value,
            around: where.value === 'air' ? written(room.value) : null,
            at: new Date().toISOString(),
        },
    });
    shown.value = '';
}
</script>

<template>
    <section aria-label="The probe">
        <form class="flex flex-wrap items-end gap-3" @submit.prevent="read()">
            <FormField v-slot="{ field }" label="The probe shows, °C" :problem="missing ? [missing] : errors['celsius']">
                <input
                    v-bind="field"
                    v-model="shown"
                    inputmode="decimal"
                    autocomplete="off"
                    maxlength="6"
                    class="field !min-h-14 !w-32 !text-[24px] font-bold"
                />
            </FormField>
            <label>
                <span class="label">It stands</span>
                <select v-model="where" class="field !min-h-14">
                    <option v-for="(word, value) in WHERE" :key="value" :value="value">{{ word }}</option>
                </select>
            </label>
            <FormField v-if="where === 'air'" v-slot="{ field }" label="Room, °C" :problem="errors['around']">
                <input
                    v-bind="field"
                    v-model="room"
                    inputmode="decimal"
                    maxlength="5"
                    placeholder="21"
                    class="field !min-h-14 !w-20 !text-[20px]"
                />
            </FormField>
            <button class="counter-quiet">Write it down</button>
            <button
                v-if="task.reading_id"
                type="button"
                class="counter-quiet"
                @click="emit('act', { kind: 'unread', reading: task.reading_id })"
            >
                Take the last one back
            </button>
        </form>
        <slot name="probe" :take="read" />
        <template v-if="cooling">
            <p v-if="cooling.problem" class="said-caution mt-2">{{ cooling.problem }}</p>
            <p v-else-if="cooling.to_gate_minutes" class="mt-2 text-[20px]">
                <template v-if="cooling.to_gate_minutes.high <= 0">It is there.</template>
                <template v-else>
                    It is there in
                    <strong>{{ aboutMinutes(cooling.to_gate_minutes) }}</strong>
                    <button
                        type="button"
                        class="counter-quiet ml-3"
                        @click="emit('time', Math.max(0.1, Math.round(cooling.to_gate_minutes.best * 10) / 10), 'Look at the probe')"
                    >
                        Start that clock
                    </button>
                </template>
            </p>
            <p v-if="task.kind === 'cool' && cooling.to_set_minutes" class="quiet">
                Pour it before {{ aboutMinutes(cooling.to_set_minutes) }}: from then on it sets.
            </p>
            <p class="quiet text-[14px]">
                {{ cooling.fitted ? 'Worked out from your readings' : 'Estimated until there are two readings' }},
                {{ WHERE[cooling.where] }} at {{ num(cooling.surroundings_c, 0) }} °C.
                <HowLink of="cooling" what="cooling" />
            </p>
            <CoolingPicture class="mt-2" :cooling="cooling" :gate="task.gate.celsius" />
        </template>
    </section>
</template>
