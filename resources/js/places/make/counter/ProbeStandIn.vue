<script setup lang="ts">
import { onUnmounted, ref, shallowRef } from 'vue';
import { PLACES, StandInProbe, type ProbePlace } from '../../../devices/standInProbe';
import { keysOf } from '../../../ui/events';
import { num } from '../../../ui/words';

/** A stand-in for a probe in the bowl, for practice: it is heated and moved as a bowl is. */
const props = defineProps<{ step: number; speed: number }>();
const emit = defineEmits<{ take: [celsius: string] }>();
const HOT = 75;
const SETS = 30;
const WORDS: Record<ProbePlace, string> = {
    air: 'Into the room',
    'cold-water': 'Into cold water',
    fridge: 'Into the fridge',
    freezer: 'Into the freezer',
};
const probe = shallowRef<StandInProbe | null>(null);
const celsius = ref<number | null>(null);
function practise(): void {
    probe.value = new StandInProbe(HOT, SETS, props.step || 0.5, props.speed);
    probe.value.listen((now) => (celsius.value = now));
}
onUnmounted(() => void probe.value?.close());
</script>

<template>
    <section v-if="probe" class="bg-raised border-rule mt-3 rounded border p-3" aria-label="The stand-in probe" role="group">
        <p class="font-head text-[44px] leading-none font-bold">
            {{ num(celsius ?? 0, 1) }}
            <span class="unit text-[22px]">°C</span>
        </p>
        <div class="mt-2 flex flex-wrap gap-3">
            <button type="button" class="counter-act" :disabled="celsius === null" @click="emit('take', String(celsius))">Take this</button>
            <button v-for="place in keysOf(PLACES)" :key="place" type="button" class="counter-quiet" @click="probe.move(place)">
                {{ WORDS[place] }}
            </button>
            <button type="button" class="counter-quiet" @click="probe.heat(HOT)">Back over hot water</button>
        </div>
    </section>
    <button v-else type="button" class="act-quiet mt-2" @click="practise">Use the stand-in probe</button>
</template>
