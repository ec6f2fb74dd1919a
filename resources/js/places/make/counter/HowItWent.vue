<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { counted, num } from '../../../ui/words';

/** What stands in the record of a line that went in otherwise than was asked. */
defineProps<{ line: Schemas['Weighing'] }>();
</script>

<template>
    <p v-if="line.how === 'left-out'" class="said-caution mt-2 font-semibold">Left out.</p>
    <p v-else-if="line.how === 'too-little'" class="mt-2">
        In it, too little for the scale: {{ num(line.target_grams) }} g counts, as uncertain as the scale is.
    </p>
    <p v-else-if="line.within === false && line.how === 'counted'" class="said-caution mt-2 font-semibold">
        {{ counted(line.actual_drops ?? 0, 'drop') }} instead of {{ line.target_drops }}. The record keeps what went in.
    </p>
    <p v-else-if="line.within === false && !line.more_grams" class="said-caution mt-2 font-semibold">
        {{ num(Math.abs((line.actual_grams ?? 0) - line.target_grams)) }} g
        {{ (line.actual_grams ?? 0) > line.target_grams ? 'over' : 'under' }}. The record keeps what was truly weighed and works the shares
        out anew.
    </p>
</template>
