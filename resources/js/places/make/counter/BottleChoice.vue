<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Schemas } from '../../../api/client';
import { num, sayDate } from '../../../ui/words';

/** From which bottle it is taken: the one to be used first, unless she takes another. */
const props = defineProps<{ line: Schemas['Weighing']; problem: string[] | undefined }>();
const chosen = defineModel<number | null>({ required: true });
const choosing = ref(false);
watch(
    () => props.line.line,
    () => (choosing.value = false),
);
const all = computed(() => [...props.line.bottles, ...props.line.other_bottles]);
/** The first of hers, then what comes after it; the rest may be taken from as well. */
const bottles = computed(() => {
    const mine = all.value.find((b) => b.lot === chosen.value);
    return mine ? [mine] : props.line.bottles;
});
const others = computed(() => all.value.filter((b) => !bottles.value.some((t) => t.lot === b.lot)));
function choose(lot: number): void {
    chosen.value = lot;
    choosing.value = false;
}
/** "from the mill, in the Fridge, to be used by 3 March; 180 g in it" */
function sayBottle(b: Schemas['NextBottle']): string {
    const where = [
        b.supplier ? `from ${b.supplier}` : '',
        b.batch_number ? `number ${b.batch_number}` : '',
        b.place ? `in ${b.place}` : '',
        b.use_by ? (b.past ? `past its day since ${sayDate(b.use_by)}` : `to be used by ${sayDate(b.use_by)}`) : '',
    ];
    return `${where.filter(Boolean).join(', ')}${b.left_grams === null ? '' : `; ${num(b.left_grams)} g in it`}`;
}
</script>

<template>
    <div>
        <ul v-if="bottles.length > 0" class="text-[15px]" aria-label="From which bottle">
            <li v-for="(bottle, n) in bottles" :key="bottle.lot" :class="bottle.past ? 'said-stop font-semibold' : ''">
                {{ n === 0 ? 'From the bottle' : `then ${num(bottle.grams)} g from the one` }}
                {{ sayBottle(bottle) }}
            </li>
        </ul>
        <div v-if="others.length > 0" class="mt-3">
            <button type="button" class="counter-quiet" :aria-expanded="choosing" @click="choosing = !choosing">From another bottle</button>
            <ul v-if="choosing" class="mt-3 grid gap-3" aria-label="Other bottles">
                <li v-for="bottle in others" :key="bottle.lot">
                    <button type="button" class="counter-quiet text-left" @click="choose(bottle.lot)">
                        <span class="inline-block first-letter:uppercase">{{ sayBottle(bottle) }}</span>
                    </button>
                </li>
            </ul>
        </div>
        <p v-if="problem" class="said-stop mt-1 text-[13px] font-semibold" role="alert">{{ problem[0] }}</p>
    </div>
</template>
