<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { countriesQuery } from '../../queries/session';
import { valueIn } from '../../ui/events';

/** Where the kitchen stands: cups, decimals and money follow from it, and each can be changed. */
const draft = defineModel<Schemas['StudioDraft']>({ required: true });
const { data } = useQuery(countriesQuery());
const chosen = computed(() => data.value?.items.find((c) => c.country === draft.value.country));
const CUPS: Record<string, string> = { us: 'US cups, 236.6 ml', metric: 'Metric cups, 250 ml', imperial: 'Imperial cups, 284.1 ml' };
const DATES: Record<string, string> = { 'day-first': '27 November', 'month-first': 'November 27', numbers: '2026-11-27' };
const REGIONS: Record<string, string> = { eu: 'the EU', uk: 'the United Kingdom', us: 'the United States', other: 'its own authorities' };

function choose(event: Event): void {
    const country = data.value?.items.find((c) => c.country === valueIn(event));
    draft.value.country = country?.country ?? '';
    if (!country) return;
    draft.value.cup = country.cup;
    draft.value.currency = country.currency;
    draft.value.decimal_comma = country.decimal_comma;
    draft.value.date_style = country.date_style;
}
</script>

<template>
    <div>
        <label class="block">
            <span class="label">Country</span>
            <select class="field" :value="draft.country" @change="choose">
                <option value="">another, or not said</option>
                <option v-for="country in data?.items ?? []" :key="country.country" :value="country.country">{{ country.name }}</option>
            </select>
        </label>
        <p v-if="chosen" class="quiet mt-1 text-[13px]">
            {{ CUPS[chosen.cup] }}, {{ chosen.decimal_comma ? '1,5 g' : '1.5 g' }}, {{ chosen.currency }}, {{ DATES[chosen.date_style] }};
            labels by the rules of {{ REGIONS[chosen.region] }}. Each can be changed.
        </p>
    </div>
</template>
