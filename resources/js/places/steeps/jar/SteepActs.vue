<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { actsOf, isUnderWay, TITLES, type Doing } from './recording';

/** What may be done to a jar, its photograph, and the signs that it is done. */
const props = defineProps<{ steep: Schemas['Steep'] }>();
const emit = defineEmits<{ open: [what: Doing]; photograph: [event: Event]; sign: [sign: string] }>();
const acts = computed(() => actsOf(props.steep));
</script>

<template>
    <div class="no-print mt-4 flex flex-wrap gap-2">
        <button
            v-for="what in acts"
            :key="what"
            type="button"
            class="border-rule min-h-14 rounded border px-3.5 font-semibold lg:min-h-9"
            :class="what === 'spoil' ? 'said-stop' : 'text-lead'"
            @click="emit('open', what)"
        >
            {{ TITLES[what] }}
        </button>
        <label
            v-if="acts.length > 0"
            class="border-rule text-lead flex min-h-14 cursor-pointer items-center rounded border px-3.5 font-semibold has-focus-visible:outline-2 lg:min-h-9"
        >
            Photograph it
            <input type="file" accept="image/*" capture="environment" class="sr-only" @change="emit('photograph', $event)" />
        </label>
    </div>
    <div v-if="steep.signs.length > 0 && isUnderWay(steep)" class="mt-4">
        <h2>Signs that it is done</h2>
        <p class="quiet text-[13px]">Tap what you see. They are signs, not promises.</p>
        <div class="mt-1 flex flex-wrap gap-2">
            <button
                v-for="sign in steep.signs"
                :key="sign"
                type="button"
                class="border-rule min-h-10 rounded border px-3 text-left"
                @click="emit('sign', sign)"
            >
                {{ sign }}
            </button>
        </div>
    </div>
</template>
