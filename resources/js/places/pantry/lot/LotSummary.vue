<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import HowLink from '../../../ui/HowLink.vue';
import { useSession } from '../../../ui/session';
import { fixed, num, sayDate } from '../../../ui/words';

/** What is left of it, by when it is to be used and why, or that it must not be. */
const props = defineProps<{ lot: Schemas['LotPage'] }>();
const emit = defineEmits<{ mistaken: [] }>();
const money = computed(() => useSession().studio?.currency ?? '');
/** Who has something of it, however far down. */
const people = computed(() => props.lot.trace.nodes.filter((n) => n.kind === 'person').map((n) => n.title));
const overdue = computed(() => (props.lot.days_left ?? 0) < 0);
</script>

<template>
    <h1>{{ lot.name }}</h1>
    <p class="mt-1">
        <template v-if="lot.left_grams !== null">
            <span class="fig fig-measured">{{ num(lot.left_grams) }}</span>
            <span class="unit">{{ lot.grams ? `g left of ${num(lot.grams)}.` : 'g left.' }}</span>
        </template>
        <template v-else>Nobody has said how much there is.</template>
        <span v-if="lot.per_100g !== null" class="quiet ml-1.5">{{ fixed(lot.per_100g, 2) }} {{ money }} for 100 g as it came.</span>
    </p>
    <p v-if="lot.withdrawn" class="said-stop mt-2 font-semibold">
        Must not be used: {{ lot.withdrawn }}
        <button type="button" class="act-quiet" @click="emit('mistaken')">It may be used after all</button>
        <span v-if="people.length > 0" class="block">Tell whoever has some: {{ people.join(', ') }}.</span>
    </p>
    <p v-else class="mt-2 text-[18px]" :class="overdue ? 'said-stop' : ''">
        <template v-if="lot.life.use_by">
            {{ overdue ? 'It was to be used by' : 'Use it by' }}
            <strong>{{ sayDate(lot.life.use_by) }}</strong>
        </template>
        <template v-else>No day is known by which it is to be used.</template>
        <HowLink of="pantry" what="the life of a bottle" />
    </p>
    <ul class="quiet text-[14px]">
        <li v-for="why in lot.life.reasons" :key="why">{{ why }}</li>
    </ul>
    <p v-if="lot.planned" class="mt-2">{{ lot.planned }}</p>
</template>
