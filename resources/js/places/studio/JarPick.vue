<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { kitQuery } from '../../queries/kit';
import { valueIn } from '../../ui/events';

/** A jar or bottle of the kit: what is written down of it is filled in. */
defineProps<{ label: string }>();
const emit = defineEmits<{
    choose: [jar: { id: number; tareGrams: number; name: string; fillMl: number; brimMl: number; innerCm: number; mouthCm: number }];
}>();
const { data } = useQuery(kitQuery());
const jars = computed(() => (data.value?.items ?? []).filter((item) => item.kind === 'jar'));
const figure = (item: Schemas['KitItem'], field: string): number => (typeof item[field] === 'number' ? item[field] : 0);

function choose(event: Event): void {
    const jar = jars.value.find((item) => String(item.id) === valueIn(event));
    if (!jar) return;
    const brimMl = figure(jar, 'brim_ml');
    emit('choose', {
        id: jar.id,
        name: jar.name,
        tareGrams: figure(jar, 'tare_grams'),
        // It is filled to the shoulder, where that is known.
        fillMl: figure(jar, 'shoulder_ml') || brimMl,
        brimMl,
        innerCm: figure(jar, 'inner_cm'),
        mouthCm: figure(jar, 'mouth_cm'),
    });
}
</script>

<template>
    <label v-if="jars.length > 0" class="block">
        <span class="label">{{ label }}</span>
        <select class="field" @change="choose">
            <option value="">not one of the kit</option>
            <option v-for="jar in jars" :key="jar.id" :value="jar.id">{{ jar.name }}</option>
        </select>
    </label>
</template>
