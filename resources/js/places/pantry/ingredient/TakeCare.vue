<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import HowLink from '../../../ui/HowLink.vue';
import { num } from '../../../ui/words';

/** Whom it may harm, and how much of it is allowed. */
defineProps<{ it: Schemas['Ingredient'] }>();
const PREGNANCY: Record<Schemas['Ingredient']['pregnancy'], string> = {
    ok: 'Nothing is known against it in pregnancy and nursing.',
    caution: 'In pregnancy and nursing ask the clinician first.',
    avoid: 'Avoid in pregnancy and nursing.',
};
</script>

<template>
    <section>
        <h2>
            Who should take care
            <HowLink of="allergens" what="an allergen" />
        </h2>
        <ul class="mt-1 space-y-1.5">
            <li v-if="it.allergens.length > 0" class="said-caution font-semibold">Allergen: {{ it.allergens.join(', ') }}.</li>
            <li
                :class="
                    it.pregnancy === 'avoid' ? 'said-stop font-semibold' : it.pregnancy === 'caution' ? 'said-caution font-semibold' : ''
                "
            >
                {{ PREGNANCY[it.pregnancy] }} {{ it.pregnancy_reason }}
            </li>
            <li v-if="it.minimum_age_years" class="said-caution">Not under {{ num(it.minimum_age_years) }} years. {{ it.age_reason }}</li>
            <li v-if="it.ask_first.length > 0">With {{ it.ask_first.join(', ') }}: ask the clinician first.</li>
            <li v-if="it.dermal_max">
                At most {{ num(it.dermal_max) }} % on {{ it.phototoxic ? 'skin, and light on it burns above its limit.' : 'skin.' }}
                {{ it.dermal_max_reason }}.
            </li>
            <li v-if="it.preservation?.use">
                Use {{ num(it.preservation.use.low) }} to {{ num(it.preservation.use.high) }} % of the finished mass;
                {{ it.preservation.kind === 'antioxidant' ? 'an antioxidant, not a preservative' : `${it.preservation.kind} spectrum` }}.
                <template v-if="it.preservation.law">
                    Law: {{ num(it.preservation.law.maximum) }} % counted as {{ it.preservation.law.counted_as }}, which is
                    {{ num(it.preservation.law.weighed_maximum) }} % of what you weigh. {{ it.preservation.law.source }}
                </template>
            </li>
            <li v-for="caution in it.cautions" :key="caution">{{ caution }}</li>
        </ul>
    </section>
</template>
