<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { shortDate } from '../../../ui/words';

/** The days on which a jar was to be shaken, and what happened to it. */
defineProps<{ steep: Schemas['Steep'] }>();
const emit = defineEmits<{ shake: [date: string, done: boolean]; unrecord: [id: number] }>();
</script>

<template>
    <section v-if="steep.shakes.length > 0" class="mt-6">
        <h2>Shakes</h2>
        <ul class="mt-1 flex flex-wrap gap-1.5">
            <li v-for="s in steep.shakes" :key="s.date">
                <button
                    type="button"
                    class="border-rule min-h-10 min-w-14 rounded border px-2 text-[13px]"
                    :class="s.done ? 'bg-lead-wash font-semibold' : 'quiet'"
                    :aria-pressed="s.done"
                    :disabled="steep.state === 'strained' || steep.state === 'spoiled'"
                    @click="emit('shake', s.date, !s.done)"
                >
                    {{ shortDate(s.date) }}
                    <span class="block" aria-hidden="true">{{ s.done ? '✓' : '–' }}</span>
                </button>
            </li>
        </ul>
    </section>

    <section class="mt-6">
        <h2>What happened to it</h2>
        <ol v-if="steep.events.length > 0" class="mt-1">
            <li
                v-for="e in steep.events"
                :key="e.id"
                class="row-line grid grid-cols-[4.5rem_minmax(0,1fr)_auto] items-baseline gap-x-3 py-1.5"
            >
                <span class="quiet">{{ shortDate(e.on) }}</span>
                <span>
                    {{ e.words }}
                    <span v-if="e.note" class="quiet block text-[14px]">{{ e.note }}</span>
                </span>
                <button
                    type="button"
                    class="act-quiet !min-h-0 !py-0 text-[13px]"
                    :aria-label="`Take back: ${e.words}`"
                    @click="emit('unrecord', e.id)"
                >
                    take back
                </button>
            </li>
        </ol>
        <p v-else class="quiet mt-1">Nothing but standing. What you note, add, take out or move stands here, and the figures follow.</p>
    </section>
</template>
