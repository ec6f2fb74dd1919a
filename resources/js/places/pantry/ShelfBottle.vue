<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { num, sayUntil } from '../../ui/words';
import BottleView from './BottleView.vue';

/** One bottle as it stands on its board: what it is, what is left, and until when. */
const props = defineProps<{ lot: Schemas['ShelfLot'] }>();
const until = computed(() => {
    const { days_left: days, use_by: day } = props.lot;
    if (day === null || days === null) return 'no date';
    return days < 0 ? `past ${sayUntil(day)}` : `by ${sayUntil(day)}`;
});
</script>

<template>
    <RouterLink :to="`/pantry/lots/${lot.id}`" class="text-ink flex w-32 flex-col no-underline hover:bg-lead-wash">
        <BottleView class="mx-auto" :fill="lot.fill" :matter="lot.matter" :source="lot.source" />
        <span class="board mt-0.5 pt-1 text-center">
            <span class="block leading-tight font-semibold">{{ lot.name }}</span>
            <span class="block text-[13px]">
                <template v-if="lot.left_grams !== null">{{ num(lot.left_grams) }} g</template>
                <template v-else>not counted</template>
            </span>
            <span v-if="lot.withdrawn" class="said-stop block text-[13px] font-semibold">must not be used</span>
            <span
                v-else
                class="block text-[13px]"
                :class="(lot.days_left ?? 0) < 0 ? 'said-stop font-semibold' : lot.soon ? 'said-caution font-semibold' : 'quiet'"
            >
                {{ until }}
            </span>
        </span>
    </RouterLink>
</template>

<style scoped>
.board {
    border-top: 3px solid var(--rule);
}
</style>
