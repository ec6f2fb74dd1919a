<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { num, sayDate } from '../../../ui/words';

/** Everything that went in and out, the latest first. */
defineProps<{ lot: Schemas['LotPage'] }>();

/** " to Ms Ode, 2 jars: for her sister" */
function beside(m: Schemas['LotPage']['movements'][number]): string {
    const jars = m.jars ? `, ${m.jars} ${m.jars === 1 ? 'jar' : 'jars'}` : '';
    return `${m.to ? ` to ${m.to}` : ''}${jars}${m.note ? `: ${m.note}` : ''}`;
}
</script>

<template>
    <section class="mt-6">
        <h2>What moved</h2>
        <ul>
            <li v-for="m in lot.movements" :key="m.id" class="row-line flex flex-wrap items-baseline gap-x-3 py-1">
                <span class="w-20 text-right font-semibold whitespace-nowrap">{{ m.grams > 0 ? '+' : '' }}{{ num(m.grams) }} g</span>
                <span class="min-w-32 flex-1">
                    <RouterLink v-if="m.batch_id" :to="`/make/${m.batch_id}`">{{ m.words }}</RouterLink>
                    <RouterLink v-else-if="m.steep_id" :to="`/steeps/${m.steep_id}`">{{ m.words }}</RouterLink>
                    <template v-else>{{ m.words }}</template>
                    <span>{{ beside(m) }}</span>
                    <span class="quiet block text-[13px]">{{ sayDate(m.on) }}{{ m.by ? `, ${m.by}` : '' }}</span>
                </span>
            </li>
        </ul>
        <p v-if="lot.movements.length === 0" class="quiet">Nothing yet.</p>
    </section>
</template>
