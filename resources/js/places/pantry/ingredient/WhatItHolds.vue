<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import FatCurves from '../../../jar/FatCurves.vue';
import HowLink from '../../../ui/HowLink.vue';
import { num } from '../../../ui/words';
import AcidStrip from '../AcidStrip.vue';

/** Its fatty acids, the constituents that have a limit, and how solid it is at which temperature. */
const props = defineProps<{ it: Schemas['Ingredient'] }>();
const constituents = computed(() => Object.fromEntries(Object.entries(props.it.constituents).map(([name, band]) => [name, band.best])));
</script>

<template>
    <section v-if="Object.keys(it.fatty_acids).length > 0">
        <h2>
            Fatty acids
            <HowLink of="fatty-acids" what="the iodine value" />
        </h2>
        <AcidStrip class="mt-2" :parts="it.fatty_acids" what="Fatty acids" />
        <p class="mt-1">
            Saturated {{ num(it.saturated ?? 0) }} %, mono {{ num(it.monounsaturated ?? 0) }} %, poly {{ num(it.polyunsaturated ?? 0) }} %.
            Iodine value
            <span class="fig fig-converted">{{ num(it.iodine_value?.best ?? 0, 0) }}</span>
            from them.
        </p>
    </section>
    <section v-if="Object.keys(constituents).length > 0">
        <h2>Constituents</h2>
        <AcidStrip class="mt-2" :parts="constituents" what="Constituents" />
    </section>
    <section v-if="it.solid_fat && Object.values(it.solid_fat).some((v) => v > 0)">
        <h2>Solid at which temperature</h2>
        <FatCurves class="mt-2" what="Solid fat" :series="[{ name: it.name, solids: it.solid_fat }]" />
    </section>
</template>
