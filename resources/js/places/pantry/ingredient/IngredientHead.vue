<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { tickedIn } from '../../../ui/events';
import KeptNumber from '../../../ui/KeptNumber.vue';
import { INGREDIENT_KINDS } from '../../../ui/words';
import MadeOf from '../MadeOf.vue';

/** What it is called, what of it stands in the cupboard, and what may be done with one of one's own. */
defineProps<{ id: string; page: Schemas['IngredientPage'] }>();
const emit = defineEmits<{ stock: [now: boolean]; count: [text: string]; remove: [] }>();
</script>

<template>
    <div class="mb-5 flex flex-wrap items-end gap-x-6 gap-y-2">
        <div class="min-w-0 flex-1">
            <h1>{{ page.ingredient.name }}</h1>
            <p class="quiet mt-1">
                {{ page.ingredient.inci || 'no INCI name given' }} · {{ INGREDIENT_KINDS[page.ingredient.kind] }}
                <template v-if="page.ingredient.origin === 'own'">· written by you</template>
                <template v-if="page.ingredient.corrected.length > 0">· with your {{ page.ingredient.corrected.join(', ') }}</template>
            </p>
            <MadeOf class="mt-1" :blend="page.ingredient.blend" />
        </div>
        <div class="flex items-center">
            <label class="mr-3 inline-flex items-center gap-2">
                <input type="checkbox" :checked="page.in_cupboard" @change="emit('stock', tickedIn($event))" />
                In my cupboard
            </label>
            <label v-if="page.in_cupboard" class="mr-3 inline-flex items-center gap-1.5">
                <KeptNumber
                    class="!w-20"
                    :value="page.stock_grams"
                    aria-label="Grams there are"
                    placeholder="some"
                    @kept="emit('count', $event)"
                />
                <span class="unit">g</span>
            </label>
            <template v-if="page.own">
                <RouterLink :to="`/pantry/own/${id}`" class="act-quiet">Change it</RouterLink>
                <button type="button" class="act-quiet act-stop" @click="emit('remove')">Take it out</button>
            </template>
            <RouterLink v-else :to="`/pantry/own/new?like=${id}`" class="act-quiet">Copy this as my own</RouterLink>
        </div>
    </div>
</template>
