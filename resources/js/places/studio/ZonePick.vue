<script setup lang="ts">
/** A time zone, by its name; one that this browser does not know stays to choose. */
defineProps<{ invalid?: boolean }>();
const zone = defineModel<string>({ required: true });
const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone').filter((z) => z !== 'UTC')];
</script>

<template>
    <select v-model="zone" class="field" :aria-invalid="invalid">
        <option v-if="!ZONES.includes(zone)" :value="zone">{{ zone }}</option>
        <option v-for="one in ZONES" :key="one" :value="one">{{ one.replaceAll('_', ' ') }}</option>
    </select>
</template>
