<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { tickedIn } from '../../../ui/events';
import EvidenceMark from '../../../ui/EvidenceMark.vue';
import { ACTIONS, INGREDIENT_KINDS, num, sayMonths } from '../../../ui/words';

/** One ingredient that was found: what it is, how heavy, how long it keeps, and whether it stands here. */
defineProps<{
    row: Schemas['IngredientRow'];
    /** Whether it was looked for by what is advised against in pregnancy. */
    advice: boolean;
    /** Whether it is laid beside others. */
    beside: boolean;
}>();
const emit = defineEmits<{ stock: [now: boolean]; pick: [] }>();
</script>

<template>
    <li class="row-line grid items-center gap-x-4 gap-y-0.5 py-1.5 sm:grid-cols-[1rem_minmax(0,1fr)_7rem_8rem_8.5rem]">
        <svg width="12" height="26" aria-hidden="true" class="hidden shrink-0 sm:block">
            <rect width="12" height="26" rx="2" :fill="`url(#matter-${row.matter})`" stroke="var(--matter-line)" stroke-width=".5" />
        </svg>
        <span class="min-w-0">
            <RouterLink :to="`/pantry/${row.id}`" class="text-ink font-semibold no-underline hover:underline">
                {{ row.name }}
            </RouterLink>
            <span v-if="row.origin === 'own'" class="quiet ml-2 text-[13px]">yours</span>
            <span v-if="row.corrected" class="quiet ml-2 text-[13px]">with your figures</span>
            <span v-if="row.allergens.length > 0" class="said-caution ml-2 text-[13px]">
                {{ row.allergens.join(', ') }}
            </span>
            <span v-if="row.serves[0]" class="block text-[13px]">
                <EvidenceMark :grade="row.serves[0].grade" :route="row.serves[0].route" />
                <span class="quiet ml-2">
                    {{ row.serves[0].found }}
                    <template v-if="row.serves[0].on">Tried on: {{ row.serves[0].on }}.</template>
                </span>
            </span>
            <span v-else-if="advice" class="block text-[13px]">
                <strong :class="row.pregnancy === 'avoid' ? 'said-stop' : 'said-caution'">
                    {{ row.pregnancy === 'avoid' ? 'Avoid.' : 'Ask the clinician.' }}
                </strong>
                {{ row.pregnancy_reason }}
            </span>
            <span v-else class="quiet block truncate text-[13px]">
                {{ [INGREDIENT_KINDS[row.kind], ACTIONS[row.action], row.feel].filter(Boolean).join('; ') }}
            </span>
        </span>
        <span class="text-[13px]">
            <template v-if="row.weight">
                <!-- A plumb bob: the heavier, the lower it hangs. -->
                <svg
                    width="70"
                    height="15"
                    viewBox="0 0 70 15"
                    role="img"
                    :aria-label="`weight ${num(row.weight, 1)} of 5`"
                    class="mr-1.5 inline-block align-[-2px]"
                >
                    <line x1="5" x2="65" y1="13" y2="13" stroke="var(--quiet)" stroke-width="1" />
                    <line v-for="n in 5" :key="n" :x1="5 + (n - 1) * 15" :x2="5 + (n - 1) * 15" y1="10" y2="13" stroke="var(--quiet)" />
                    <circle :cx="5 + (row.weight - 1) * 15" cy="7" r="4.5" fill="var(--lead)" />
                </svg>
                <span class="fig fig-estimated">{{ num(row.weight, 1) }}</span>
            </template>
        </span>
        <span class="quiet text-[13px] whitespace-nowrap">
            {{ row.life_months ? `keeps ${sayMonths(row.life_months)}` : '' }}
        </span>
        <span class="flex flex-wrap gap-x-3 text-[13px]">
            <label class="inline-flex items-center gap-1.5">
                <input
                    type="checkbox"
                    :checked="row.at_hand"
                    :disabled="row.origin === 'steeped'"
                    :aria-label="`${row.name} stands in my cupboard`"
                    @change="emit('stock', tickedIn($event))"
                />
                have
            </label>
            <label class="inline-flex items-center gap-1.5">
                <input type="checkbox" :checked="beside" :aria-label="`Lay ${row.name} beside others`" @change="emit('pick')" />
                beside
            </label>
        </span>
    </li>
</template>
