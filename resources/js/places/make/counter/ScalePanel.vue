<script setup lang="ts">
import { ref, watch } from 'vue';
import { hasSerial } from '../../../devices/serialScale';
import { fixed } from '../../../ui/words';
import type { useScale } from './useScale';

/** The scale beside the field: what it shows goes in by one press; typing always works. */
const props = defineProps<{ at: ReturnType<typeof useScale>; target: number; line: string; practice: boolean }>();
const emit = defineEmits<{ take: [grams: string] }>();
const { scale, standIn, reading, practise, connect, leave } = props.at;
const pouring = ref(false);
const serial = hasSerial();
/** Each line begins at nothing. */
watch(
    () => props.line,
    () => scale.value?.tare(),
);
function pour(on: boolean): void {
    pouring.value = on;
    if (on) standIn.value?.pour();
    else standIn.value?.stop();
}
const spoons = (): number[] => {
    const big = props.target > 20 ? 5 : props.target > 2 ? 1 : 0.1;
    return [big, big / 10, -big];
};
</script>

<template>
    <section v-if="scale" class="bg-raised border-rule mt-3 rounded border p-3" aria-label="The scale" role="group">
        <p class="flex flex-wrap items-baseline gap-x-4">
            <span class="font-head text-[44px] leading-none font-bold" role="status" aria-live="off">
                {{ reading?.overload ? 'Too much on it' : fixed(reading?.grams ?? 0, Math.abs(target) < 10 ? 2 : 1) }}
                <span v-if="!reading?.overload" class="unit text-[22px]">g</span>
            </span>
            <span class="quiet">{{ scale.name }}, {{ reading?.stable ? 'at rest' : 'moving' }}</span>
        </p>
        <div class="mt-2 flex flex-wrap gap-3">
            <button
                type="button"
                class="counter-act"
                :disabled="!reading?.stable || reading.overload"
                @click="reading && emit('take', String(reading.grams))"
            >
                Take this
            </button>
            <button type="button" class="counter-quiet" @click="scale.tare()">Zero</button>
            <template v-if="standIn">
                <button type="button" class="counter-quiet" :aria-pressed="pouring" @click="pour(!pouring)">
                    {{ pouring ? 'Stop pouring' : 'Pour' }}
                </button>
                <button v-for="g in spoons()" :key="g" type="button" class="counter-quiet" @click="standIn.spoon(g)">
                    {{ g > 0 ? `Spoon ${g} g in` : `Take ${-g} g out` }}
                </button>
            </template>
            <button type="button" class="counter-quiet" @click="leave()">Without the scale</button>
        </div>
    </section>
    <div v-else-if="practice || serial" class="mt-2 flex flex-wrap gap-3">
        <button v-if="practice" type="button" class="act-quiet" @click="practise()">Use the stand-in scale</button>
        <button v-if="serial" type="button" class="act-quiet" @click="connect()">Connect a scale</button>
    </div>
</template>
