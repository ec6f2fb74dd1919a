<script setup lang="ts">
import type { Schemas } from '../../api/client';
import { num } from '../../ui/words';

/** The label's words as they stand on paper: black on white, 90 by 60 mm. */
defineProps<{ label: Schemas['LabelWords'] }>();
</script>

<template>
    <article class="rounded border border-black bg-white p-3 text-[12px] leading-snug text-black" aria-label="Label preview">
        <h3 class="text-[19px] leading-none font-bold">{{ label.name }}</h3>
        <p class="mt-2 flex flex-wrap gap-x-4 border-y border-black py-1">
            <b>{{ label.net ?? `${num(label.net_grams)} g net` }}</b>
            <span>
                Lot
                <b>{{ label.lot }}</b>
            </span>
            <span>
                Best before
                <b>{{ label.best_before ?? 'not known' }}</b>
            </span>
            <span v-if="label.opened ?? label.opened_months">
                Once opened
                <b>{{ label.opened ?? `${label.opened_months} M` }}</b>
            </span>
        </p>
        <p v-if="label.store" class="mt-1 font-bold">{{ label.store }}</p>
        <p class="mt-1">{{ label.directions }}</p>
        <p class="mt-1">
            <b>Ingredients:</b>
            {{ label.ingredients }}.
        </p>
        <p v-if="label.contains.length > 0" class="mt-1 font-bold">Contains: {{ label.contains.join(', ') }}.</p>
        <p class="mt-1">{{ label.cautions.join(' ') }}</p>
        <p v-if="label.maker" class="mt-1">{{ label.maker }}</p>
    </article>
</template>
