<script setup lang="ts">
import type { Schemas } from '../../api/client';
import HonestFigure from '../../ui/HonestFigure.vue';
import { num, sayDate } from '../../ui/words';

/** What a steep comes to, each figure with its band, and what speaks against it. */
defineProps<{ plan: Schemas['SteepPlan']; usual?: Schemas['Band']; learned?: Schemas['Band'] | null }>();
</script>

<template>
    <div>
        <dl class="grid grid-cols-[8.5rem_1fr] gap-x-3 gap-y-1.5">
            <dt class="quiet">Plant to oil</dt>
            <dd>1 to {{ num(plan.ratio, 1) }}{{ usual ? `, usual ${num(usual.low, 1)} to ${num(usual.high, 1)}` : '' }}</dd>
            <dt class="quiet">Strain</dt>
            <dd>{{ sayDate(plan.dates.strain) }}</dd>
            <dt class="quiet">Ready</dt>
            <dd>{{ sayDate(plan.dates.ready) }}</dd>
            <dt class="quiet">You will get</dt>
            <dd>
                <HonestFigure :band="plan.yield_grams" unit="g" basis="estimated" show-band what="Yield" />
                <span v-if="learned" class="quiet block text-[13px]">as your own past steeps kept {{ num(learned.best) }} g a gram</span>
            </dd>
            <dt class="quiet">Given by then</dt>
            <dd><HonestFigure :band="plan.extraction_percent" unit="%" basis="estimated" show-band what="Extraction" /></dd>
            <dt class="quiet">Water brought in</dt>
            <dd>
                <HonestFigure
                    v-if="plan.water_in_grams.high > 0"
                    :band="plan.water_in_grams"
                    unit="g"
                    basis="estimated"
                    show-band
                    what="Water"
                />
                <template v-else>none, it is dry</template>
            </dd>
            <dt class="quiet">Shortens how long it keeps</dt>
            <dd><HonestFigure :band="plan.age_spent_days" unit="days" basis="estimated" show-band what="Age spent" /></dd>
        </dl>
        <ul class="mt-4 space-y-2">
            <li
                v-for="advice in plan.findings"
                :key="advice.code"
                class="border-l-4 pl-3"
                :style="{ borderColor: advice.severity === 'note' ? 'var(--rule)' : `var(--${advice.severity})` }"
            >
                {{ advice.message }}
            </li>
        </ul>
    </div>
</template>
