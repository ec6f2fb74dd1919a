<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { num, sayMonths } from '../../../ui/words';

/** What is asked of every formula first: its water, how long it keeps, how heavy it is, how much scent is in it. */
defineProps<{ assessment: Schemas['Assessment'] }>();
</script>

<template>
    <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-[14px]">
        <dt class="quiet">Water</dt>
        <dd :class="assessment.water_class === 'D' ? 'said-stop font-semibold' : ''">
            {{ assessment.water_class === null ? assessment.water_label : `${assessment.water_label} (${assessment.water_class})` }}
        </dd>
        <dt class="quiet">Keeps</dt>
        <dd :title="assessment.life_reasons.join(' ')">
            <span class="fig fig-estimated">{{ sayMonths(assessment.life_months?.best) }}</span>
        </dd>
        <dt class="quiet">Weight</dt>
        <dd>
            <span v-if="assessment.weight_index === null" class="fig fig-estimated">cannot tell</span>
            <template v-else>
                <span class="fig fig-estimated">{{ num(assessment.weight_index, 1) }}</span>
                <span class="unit">of 5</span>
            </template>
        </dd>
        <dt class="quiet">Scent</dt>
        <dd>
            <template v-if="assessment.essential_oil_percent.high > 0">
                <span class="fig fig-estimated">{{ num(assessment.essential_oil_percent.best) }}</span>
                <span class="unit">
                    %, may be {{ num(assessment.essential_oil_percent.high) }} of {{ num(assessment.essential_oil_ceiling) }}
                </span>
            </template>
            <template v-else>none</template>
        </dd>
    </dl>
</template>
