<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive } from 'vue';
import { batchCostQuery } from '../../queries/batches';
import { written } from '../../ui/events';
import HowLink from '../../ui/HowLink.vue';
import { useSession } from '../../ui/session';
import { fixed, num } from '../../ui/words';

/** What a finished batch and a jar of it cost, by the bottles that truly went in. */
const props = defineProps<{ batch: number }>();
const session = useSession();
const money = computed(() => session.studio?.currency ?? '');
const typed = reactive({ container: '', minutes: '', hourly: '', margin: '', rise: '10' });
/** What is no figure yet is none. */
const figure = (text: string, most = 10_000): string => {
    const value = written(text) ?? 0;
    return String(Number.isFinite(value) && value >= 0 ? Math.min(most, value) : 0);
};
const beside = computed(() => ({
    container: figure(typed.container),
    minutes: figure(typed.minutes),
    hourly: figure(typed.hourly),
    margin: figure(typed.margin, 95),
    rise: figure(typed.rise, 1000),
}));
const { data } = useQuery(computed(() => batchCostQuery(props.batch, beside.value)));
const FIELDS = [
    ['container', 'A jar, lid and label'],
    ['minutes', 'Minutes of work in all'],
    ['hourly', 'An hour of it'],
    ['margin', 'Margin, % of the price'],
    ['rise', 'If a price rises, %'],
] as const;
const FROM: Record<string, string> = { lots: 'the bottles that went in', prices: 'your price', '': 'no price' };
</script>

<template>
    <section v-if="data" aria-label="What it cost">
        <h2>
            What it cost
            <HowLink of="pantry" what="what a jar costs" />
        </h2>
        <p v-if="data.unknown.length === data.materials.length" class="quiet">Cannot tell: nothing in it has a price.</p>
        <template v-else>
            <p>
                <strong>{{ `${data.unknown.length > 0 ? 'At least ' : ''}${fixed(data.per_jar, 2)} ${money} a jar.` }}</strong>
                <span v-if="Number(beside.margin) > 0" class="ml-1.5">
                    With the margin, ask
                    <strong>{{ `${fixed(data.price, 2)} ${money}.` }}</strong>
                </span>
                <span v-if="data.unknown.length > 0" class="quiet block">{{ `Without a price: ${data.unknown.join(', ')}.` }}</span>
            </p>
            <table class="mt-2 w-full text-[14px]">
                <caption class="sr-only">What each thing in it cost</caption>
                <tbody>
                    <tr v-for="row in data.materials" :key="row.name" class="row-line">
                        <th scope="row" class="py-1 text-left font-normal">
                            {{ row.name }}
                            <span class="quiet text-[13px]">{{ num(row.grams) }} g, {{ FROM[row.from] }}</span>
                        </th>
                        <td class="text-right">{{ row.money === null ? '' : fixed(row.money, 2) }}</td>
                        <td class="quiet pl-3 text-right text-[13px]">
                            {{ row.money ? `+${num(data.rise)} %: ${fixed(row.more_a_jar, 2)} more a jar` : '' }}
                        </td>
                    </tr>
                </tbody>
            </table>
        </template>
        <div class="no-print mt-3 grid grid-cols-2 items-end gap-3 sm:grid-cols-5">
            <label v-for="[field, label] in FIELDS" :key="field">
                <span class="label">{{ label }}</span>
                <input v-model="typed[field]" class="field" inputmode="decimal" maxlength="10" />
            </label>
        </div>
    </section>
</template>
