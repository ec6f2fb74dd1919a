<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import HowLink from '../../../ui/HowLink.vue';
import { num } from '../../../ui/words';

/** What could stand in for it, and what would change. */
defineProps<{ id: string; standIns: Schemas['IngredientPage']['stand_ins'] }>();
const without = defineModel<string>('without', { required: true });
</script>

<template>
    <section>
        <div class="flex flex-wrap items-baseline justify-between gap-x-3">
            <h2>
                What could stand in for it
                <HowLink of="substitution" what="likeness" />
            </h2>
            <label class="inline-flex items-center gap-2 text-[13px]">
                without
                <select v-model="without" class="bare !w-auto" aria-label="A stand-in without">
                    <option value="">anything in mind</option>
                    <option>tree nut</option>
                    <option>sesame</option>
                    <option>soy</option>
                    <option>bee product</option>
                    <option>daisy family</option>
                </select>
            </label>
        </div>
        <ol class="mt-1">
            <li v-for="s in standIns" :key="s.id" class="row-line py-2">
                <span class="flex items-baseline justify-between gap-3">
                    <RouterLink :to="`/pantry/${s.id}`" class="font-semibold">{{ s.name }}</RouterLink>
                    <span class="quiet text-[13px] whitespace-nowrap">{{ num(s.nearness * 100, 0) }} % alike</span>
                </span>
                <span class="block text-[13px]">
                    {{ s.changes.map((c) => c.message).join(' ') || 'Nothing that is known would change.' }}
                </span>
            </li>
        </ol>
        <p v-if="standIns.length === 0" class="quiet mt-1">Nothing that is known does the same.</p>
        <RouterLink
            v-else
            class="act-quiet -ml-2.5"
            :to="`/pantry/compare?ids=${[id, ...standIns.slice(0, 3).map((s) => s.id)].join(',')}`"
        >
            Lay it beside the nearest
        </RouterLink>
    </section>
</template>
