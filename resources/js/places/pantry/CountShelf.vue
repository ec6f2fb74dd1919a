<script setup lang="ts">
import { reactive, ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { useMoveLot } from '../../queries/shelf';
import { tellProblem } from '../../ui/notice';
import { num } from '../../ui/words';

/** Bottle after bottle is weighed: what is in it, or the whole on the scale where its glass is known; Enter goes on. */
const props = defineProps<{ lots: Schemas['ShelfLot'][] }>();
const moving = useMoveLot();
const typed = reactive<Record<number, string>>({});
const said = reactive<Record<number, string>>({});
const fields = ref<HTMLInputElement[]>([]);

/** Going on to the next writes this one down. */
function on(n: number): void {
    const next = fields.value[n + 1];
    if (next) next.focus();
    else fields.value[n]?.blur();
}
async function weigh(lot: Schemas['ShelfLot']): Promise<void> {
    const written = (typed[lot.id] ?? '').trim().replace(',', '.');
    if (written === '') return;
    const grams = Number(written);
    try {
        const weighed = lot.tare_grams === null ? { grams } : { full_grams: grams };
        const page = await moving.mutateAsync({ lot: lot.id, body: { kind: 'counted', ...weighed } });
        said[lot.id] = `${num(page.left_grams ?? 0)} g`;
        typed[lot.id] = '';
    } catch (e) {
        if (e instanceof Problem && e.hasFields) said[lot.id] = Object.values(e.errors).flat()[0] ?? e.message;
        else tellProblem(e);
    }
}
</script>

<template>
    <ul class="max-w-3xl" aria-label="Weigh the shelf">
        <li v-for="(lot, n) in props.lots" :key="lot.id" class="row-line flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
            <span class="min-w-48 flex-1">
                <strong>{{ lot.name }}</strong>
                <span class="quiet ml-2 text-[13px]">{{ [lot.place, lot.supplier].filter(Boolean).join(', ') }}</span>
            </span>
            <span class="quiet w-24 text-right">{{ lot.left_grams === null ? 'not counted' : `${num(lot.left_grams)} g` }}</span>
            <label class="flex items-center gap-1.5">
                <span class="quiet text-[13px]">{{ lot.tare_grams === null ? 'in it' : 'with its glass' }}</span>
                <input
                    ref="fields"
                    v-model="typed[lot.id]"
                    class="field !w-28"
                    inputmode="decimal"
                    maxlength="12"
                    :aria-label="`${lot.name} on the scale, grams`"
                    @keydown.enter.prevent="on(n)"
                    @change="weigh(lot)"
                />
                <span class="unit">g</span>
            </label>
            <span class="w-40 text-[13px]" role="status">{{ said[lot.id] ?? '' }}</span>
        </li>
    </ul>
</template>
