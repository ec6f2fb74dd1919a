<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { num, sayDate } from '../../../ui/words';

/** The oil that was strained: measured beside foretold, its water, how long it keeps, what it cost. */
defineProps<{ steep: Schemas['Steep'] }>();
const emit = defineEmits<{ bad: [] }>();
</script>

<template>
    <section v-if="steep.measured && steep.lot" class="mb-5">
        <h2>What came out</h2>
        <dl class="mt-1 grid grid-cols-[9rem_1fr] gap-x-3 gap-y-1">
            <dt class="quiet">Measured</dt>
            <dd>
                <span class="fig fig-measured">{{ num(steep.measured.yield_grams) }}</span>
                <span class="unit">g, {{ num(steep.measured.recovered_percent, 0) }} % of the oil</span>
            </dd>
            <dt class="quiet">Expected</dt>
            <dd>
                <span class="fig fig-estimated">{{ num(steep.measured.foretold_grams.best) }}</span>
                <span class="unit">g, {{ num(steep.measured.foretold_grams.low) }} to {{ num(steep.measured.foretold_grams.high) }}</span>
            </dd>
            <dt class="quiet">The herb kept</dt>
            <dd>
                <span class="fig fig-measured">{{ num(steep.measured.kept_per_gram) }}</span>
                <span class="unit">g a gram</span>
            </dd>
            <dt class="quiet">Water</dt>
            <dd :class="steep.lot.dry ? 'text-good' : 'said-caution font-semibold'">
                {{ steep.lot.dry ? 'Counts as dry.' : `${num(steep.lot.water_percent)} % counted: it bears water.` }}
            </dd>
            <dt class="quiet">Best before</dt>
            <dd>
                {{ sayDate(steep.lot.best_before) }}
                <span v-if="steep.lot.store" class="said-caution block font-semibold">{{ steep.lot.store }}</span>
            </dd>
            <template v-if="steep.cost !== null">
                <dt class="quiet">Cost what went in</dt>
                <dd>
                    <span class="fig fig-measured">{{ num(steep.cost) }}</span>
                    <span class="unit">in all, {{ num(steep.cost_per_100g ?? 0) }} for 100 g</span>
                </dd>
            </template>
        </dl>
        <p class="mt-2 flex flex-wrap gap-x-2">
            <a :href="`/papers/lots/${steep.lot.id}/label.pdf`" target="_blank" class="act-quiet -ml-2.5">Its label as PDF</a>
            <button v-if="!steep.lot.withdrawn" type="button" class="act-quiet act-stop" @click="emit('bad')">
                It went bad, or was thrown away
            </button>
        </p>
    </section>
</template>
