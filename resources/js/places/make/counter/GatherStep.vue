<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import type { Act } from '../../../queries/counter';
import { num } from '../../../ui/words';

/** Everything on the counter first, so that nothing is forgotten. */
const props = defineProps<{ batch: Schemas['Batch'] }>();
const emit = defineEmits<{ act: [act: Act] }>();
const gathered = computed(() => props.batch.weighings.filter((w) => w.gathered).length);
/** What is known of a line as it stands is sent again with whether it is gathered. */
function tick(w: Schemas['Weighing']): void {
    const standing = w.how ? { grams: w.actual_grams, how: w.how, drops: w.actual_drops } : { grams: null };
    emit('act', { kind: 'weigh', saw: w.actual_grams, body: { line: w.line, gathered: !w.gathered, ...standing } });
}
</script>

<template>
    <h2 class="counter-head">Put everything on the counter</h2>
    <p class="quiet">So that nothing is forgotten. {{ gathered }} of {{ batch.weighings.length }}.</p>
    <ul class="mt-2">
        <li v-for="w in batch.weighings" :key="w.line" class="row-line">
            <button type="button" class="flex min-h-14 w-full items-center gap-4 text-left" :aria-pressed="w.gathered" @click="tick(w)">
                <span
                    class="border-lead flex h-9 w-9 shrink-0 items-center justify-center rounded border-2 font-bold"
                    :class="w.gathered ? 'bg-lead text-on-lead' : ''"
                >
                    {{ w.gathered ? '✓' : '' }}
                </span>
                <span class="flex-1 text-[20px]">{{ w.name }}</span>
                <span class="text-[18px] whitespace-nowrap">
                    {{ w.target_drops ?? num(w.target_grams) }}
                    <span class="unit">{{ w.target_drops === null ? 'g' : w.target_drops === 1 ? 'drop' : 'drops' }}</span>
                </span>
            </button>
        </li>
    </ul>
</template>
