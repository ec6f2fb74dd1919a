<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { todayDate } from '../../../ui/words';
import { isUnderWay } from './recording';

/** What a jar needs next, and the one press that says it is done. */
const props = defineProps<{ steep: Schemas['Steep'] }>();
const emit = defineEmits<{ shake: [date: string, done: boolean]; record: [kind: 'settling' | 'ready', said: string] }>();
const today = todayDate();
const shaken = computed(() => props.steep.shakes.find((s) => s.date === today));
const shown = computed(() => isUnderWay(props.steep) || props.steep.next.kind === 'ready');
</script>

<template>
    <section v-if="shown">
        <p class="font-head text-[22px] leading-tight font-semibold" :class="steep.next.overdue ? 'said-caution' : ''">
            {{ steep.next.words }}
        </p>
        <div class="mt-3 flex flex-wrap gap-3">
            <button
                v-if="shaken && steep.next.kind !== 'stop-shaking'"
                type="button"
                class="counter-act grow sm:grow-0"
                :aria-pressed="shaken.done"
                @click="emit('shake', today, !shaken.done)"
            >
                {{ shaken.done ? 'Shaken today ✓' : 'Shaken today' }}
            </button>
            <button
                v-if="steep.next.kind === 'stop-shaking'"
                type="button"
                class="counter-act grow sm:grow-0"
                @click="emit('record', 'settling', 'Left to settle.')"
            >
                Left to settle
            </button>
            <button
                v-if="steep.next.kind === 'ready'"
                type="button"
                class="counter-act grow sm:grow-0"
                @click="emit('record', 'ready', 'Put away.')"
            >
                Put away
            </button>
            <RouterLink
                v-if="steep.next.kind === 'strain'"
                :to="`/steeps/${steep.id}/strain`"
                class="counter-act grow no-underline sm:grow-0"
            >
                Strain it
            </RouterLink>
        </div>
    </section>
</template>
