<script setup lang="ts">
import type { Schemas } from '../api/client';
import { shortDate } from './words';

/** Pictures of a jar or a bottle, the eldest first. */
defineProps<{ pictures: Schemas['Picture'][]; of: string }>();
defineEmits<{ out: [id: number] }>();
</script>

<template>
    <section v-if="pictures.length > 0">
        <h2>Pictures</h2>
        <ul class="mt-2 flex flex-wrap gap-3">
            <li v-for="p in pictures" :key="p.id" class="text-[13px]">
                <a :href="`/photos/${p.id}`" target="_blank" class="block">
                    <img
                        :src="`/photos/${p.id}`"
                        :alt="`${of} on ${shortDate(p.on)}`"
                        class="h-32 rounded"
                        :width="(p.width / p.height) * 128"
                        height="128"
                    />
                </a>
                {{ shortDate(p.on) }}
                <button type="button" class="act-quiet !min-h-0 !py-0 text-[13px]" @click="$emit('out', p.id)">take out</button>
            </li>
        </ul>
    </section>
</template>
