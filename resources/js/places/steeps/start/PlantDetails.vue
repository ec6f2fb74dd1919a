<script setup lang="ts">
import type { Herb } from './useStart';

/** How a plant goes into the jar: its form, what was done to it, and whether it was drawn before. */
defineProps<{ name: string; forms: string[] }>();
const herb = defineModel<Herb>({ required: true });
const PREPARATIONS: [Herb['preparation'], string][] = [
    ['none', 'as it is'],
    ['chopped', 'chopped'],
    ['crushed', 'crushed'],
    ['blended', 'blended with the oil'],
    ['toasted', 'toasted'],
    ['toasted-crushed', 'toasted and crushed'],
    ['wilted', 'wilted, and weighed so'],
    ['bagged', 'in a closed bag'],
];
/** A bag is for powder, and only what is fresh wilts. */
function fits(preparation: Herb['preparation']): boolean {
    if (preparation === 'bagged') return herb.value.form === 'powder';
    return preparation !== 'wilted' || herb.value.form === 'fresh';
}
</script>

<template>
    <select v-model="herb.form" class="bare !w-auto" :aria-label="`Form of ${name}`">
        <option v-for="form in forms" :key="form" :value="form">{{ form }}</option>
    </select>
    <select v-model="herb.preparation" class="bare !w-auto" :aria-label="`What was done to ${name}`">
        <option v-for="[value, words] in PREPARATIONS.filter(([p]) => fits(p))" :key="value" :value="value">{{ words }}</option>
    </select>
    <select v-model.number="herb.draw" class="bare !w-auto" :aria-label="`Which draw of ${name}`">
        <option :value="1">first draw</option>
        <option :value="2">second draw</option>
        <option :value="3">third draw</option>
    </select>
</template>
