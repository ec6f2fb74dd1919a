<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { kitQuery } from '../../queries/kit';
import { valueIn } from '../../ui/events';
import { num } from '../../ui/words';

/** Where something is kept: a place of the kit, or what stands in most homes. Dates go by its warmest months. */
const props = defineProps<{ label: string; celsius: number; wet?: boolean }>();
const emit = defineEmits<{ choose: [place: Schemas['Place']] }>();
const { data } = useQuery(kitQuery());
const places = computed(() => data.value?.places ?? []);
const here = computed(() => {
    const same = places.value.filter((place) => place.celsius === props.celsius);
    return (same.find((place) => place.wet === (props.wet ?? false)) ?? same[0])?.name ?? '';
});

function choose(event: Event): void {
    const place = places.value.find((one) => one.name === valueIn(event));
    if (place) emit('choose', place);
}
</script>

<template>
    <label class="inline-flex items-center gap-2">
        {{ label }}
        <select class="field !w-auto !py-0.5" :value="here" @change="choose">
            <option v-if="here === ''" value="">at {{ num(celsius) }} °C</option>
            <option v-for="place in places" :key="place.name" :value="place.name">
                {{ place.name }}, {{ num(place.celsius) }} °C{{ place.wet ? ', wet' : '' }}
            </option>
        </select>
    </label>
</template>
