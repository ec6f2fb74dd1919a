<script setup lang="ts">
import type { Schemas } from '../api/client';
import { sayDate } from './words';

/** Who touched a thing last, and when: "Noor, yesterday". */
defineProps<{ touched: Schemas['Touched'] }>();
</script>

<template>
    <span v-if="touched.by" class="quiet text-[13px]">{{ touched.by }}, {{ sayDate(touched.at) }}</span>
</template>
