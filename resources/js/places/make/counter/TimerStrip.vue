<script setup lang="ts">
import { useNow, useTitle } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import type { Schemas } from '../../../api/client';
import { clock } from './figures';
import { useBell } from './useBell';

/** The clocks that run, wherever the hand is; one that has run out rings until it was heard. */
const props = defineProps<{ timers: Schemas['BatchTimer'][]; now: string }>();
const emit = defineEmits<{ stop: [timer: number] }>();
const here = useNow({ interval: 250 });
/** The server's clock is the one that counts: this device's may be wrong. */
const off = ref(0);
watch(
    () => props.now,
    (now) => (off.value = Date.parse(now) - Date.now()),
    { immediate: true },
);
const clocks = computed(() =>
    props.timers.map((t) => ({ ...t, left: Date.parse(t.ends_at) - (here.value.getTime() + off.value) })).sort((a, b) => a.left - b.left),
);
const due = computed(() => clocks.value.filter((t) => t.left <= 0));
const running = computed(() => clocks.value.filter((t) => t.left > 0));
useBell(computed(() => due.value.length > 0));
/** In the row of tabs it is read too. */
const before = document.title;
useTitle(
    computed(() => {
        const [rings, runs] = [due.value[0], running.value[0]];
        return rings ? `Time: ${rings.label}` : runs ? `${clock(runs.left)} ${runs.label}` : before;
    }),
    { restoreOnUnmount: () => before },
);
</script>

<template>
    <div v-if="clocks.length > 0" class="my-3 space-y-2" aria-label="Clocks" role="group">
        <div
            v-for="t in due"
            :key="t.id"
            role="alert"
            class="bg-stop text-ground flex flex-wrap items-center justify-between gap-3 rounded p-3 text-[20px] font-bold"
        >
            <span>Time: {{ t.label }}</span>
            <button type="button" class="bg-ground text-ink min-h-14 rounded px-6" @click="emit('stop', t.id)">Heard</button>
        </div>
        <ul v-if="running.length > 0" class="flex flex-wrap gap-2">
            <li v-for="t in running" :key="t.id" class="bg-raised border-rule flex items-center gap-3 rounded border py-1 pr-1 pl-3">
                <span class="font-head text-[28px] leading-none font-bold" role="timer">{{ clock(t.left) }}</span>
                <span class="max-w-44 truncate text-[14px]">{{ t.label }}</span>
                <button
                    type="button"
                    class="counter-quiet"
                    :disabled="t.id < 0"
                    :aria-label="`Stop: ${t.label}`"
                    @click="emit('stop', t.id)"
                >
                    Stop
                </button>
            </li>
        </ul>
    </div>
</template>
