<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { pourQuery } from '../../../queries/counter';
import { fixed, num } from '../../../ui/words';

/** More or less than was asked for: what it does at once, and the ways out. */
const props = defineProps<{ batch: number; line: Schemas['Weighing']; grams: number }>();
const emit = defineEmits<{ accept: []; follow: []; again: [] }>();
const { data, error } = useQuery(computed(() => pourQuery(props.batch, props.line.line, props.grams)));
const over = computed(() => props.grams - props.line.target_grams);
const more = computed(() => data.value?.rebalanced.targets.filter((t) => t.more_grams) ?? []);
/** A gram more of twenty is no other batch; so much that it is one is begun anew. */
const canFollow = computed(() => over.value > 0 && props.grams <= props.line.most_grams);
</script>

<template>
    <section class="bg-caution-wash mt-3 rounded p-4" aria-label="It is not what was asked for" role="group">
        <p class="text-[22px] font-bold">{{ num(Math.abs(over)) }} g {{ over > 0 ? 'too much' : 'too little' }}</p>
        <p v-if="error">What it does cannot be told just now.</p>
        <template v-if="data">
            <p class="mt-1">
                Kept so, {{ line.name }} is
                <strong>{{ fixed(data.accepted.share_percent, 1) }} %</strong>
                and not {{ fixed(data.planned.share_percent, 1) }} %.
                <template v-if="data.accepted.texture !== data.planned.texture">
                    It becomes
                    <strong>{{ data.accepted.texture }}</strong>
                    and not {{ data.planned.texture }}.
                </template>
                <template v-else>It stays {{ data.accepted.texture }}.</template>
                <template v-if="data.planned.load_percent > 0">
                    Essential oils come to {{ fixed(data.accepted.load_percent, 2) }} % and not {{ fixed(data.planned.load_percent, 2) }} %.
                </template>
            </p>
            <p v-for="stop in data.accepted.stops" :key="stop" class="said-stop mt-1 font-semibold">{{ stop }}</p>
        </template>
        <div class="mt-3 grid gap-3">
            <button type="button" class="counter-act justify-self-start" @click="emit('again')">
                {{ over > 0 ? `Take ${num(over)} g out, and weigh again` : `Add ${num(-over)} g, and weigh again` }}
            </button>
            <div v-if="canFollow && data">
                <button type="button" class="counter-quiet" @click="emit('follow')">
                    Make all the rest larger: {{ num(data.rebalanced.total_grams + more.reduce((s, t) => s + (t.more_grams ?? 0), 0)) }} g
                    in all
                </button>
                <p class="text-[14px]">
                    <template v-if="more.length > 0">
                        Then add {{ more.map((t) => `${num(t.more_grams ?? 0)} g ${t.name}`).join(', ') }} to what is in.
                    </template>
                    <template v-else>What is still to come is asked for in larger amounts.</template>
                    <strong v-if="data.rebalanced.fits_bowl === false" class="said-caution">Your largest bowl is too small for it.</strong>
                </p>
            </div>
            <button type="button" class="counter-quiet justify-self-start" @click="emit('accept')">Keep it as it is</button>
        </div>
    </section>
</template>
