<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { swapQuery } from '../../queries/formulas';
import { bandsOf, sayJar } from '../../jar/bands';
import JarView from '../../jar/JarView.vue';
import UiDialog from '../../ui/UiDialog.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num } from '../../ui/words';
import type { Bench } from './useBench';
import HowLink from '../../ui/HowLink.vue';

/** What could take one line's place: the jar as it would be, and what changes, for each. */
const props = defineProps<{ bench: Bench; line: string }>();
const emit = defineEmits<{ close: []; take: [swap: Schemas['SwapAnswer']['swaps'][number]] }>();

const name = computed(() => props.bench.formula.value.lines.find((l) => l.id === props.line)?.name ?? '');
const { data, isPending, error, refetch } = useQuery(
    computed(() =>
        swapQuery({
            formula: props.bench.formula.value,
            head_id: props.bench.headId.value,
            hair: props.bench.hair.value,
            line: props.line,
        }),
    ),
);
</script>

<template>
    <UiDialog open wide :title="`In the place of ${name}`" @close="emit('close')">
        <WaitOrProblem :pending="isPending" :error="error" what="what could take its place" @again="refetch">
            <p class="quiet mb-3">
                The other shares move as little as keeps its texture and its weight on the hair. What you have first, then the nearest.
                <HowLink of="substitution" what="likeness" />
            </p>
            <ul class="max-h-[60vh] overflow-y-auto" tabindex="0" aria-label="What could take its place">
                <li
                    v-for="swap in data?.swaps ?? []"
                    :key="swap.id"
                    class="row-line grid grid-cols-[44px_1fr_auto] items-start gap-x-4 py-2.5"
                >
                    <JarView small :width="34" :height="56" :bands="bandsOf(swap.assessment)" :label="sayJar(bandsOf(swap.assessment))" />
                    <div>
                        <p class="font-head text-[17px] font-semibold">
                            {{ swap.name }}
                            <span class="quiet text-[13px] font-normal">
                                {{ num(swap.nearness * 100, 0) }} % alike{{ swap.rebalanced ? ', the others moved' : '' }}
                            </span>
                        </p>
                        <p class="text-[14px]">{{ swap.words.join(' ') }}</p>
                    </div>
                    <button type="button" class="act" :aria-label="`Take ${swap.name}`" @click="emit('take', swap)">Take it</button>
                </li>
            </ul>
            <p v-if="data && data.swaps.length === 0">Nothing that is known does the same as it.</p>
        </WaitOrProblem>
        <button type="button" class="act-quiet mt-3 -ml-2.5" @click="emit('close')">Close</button>
    </UiDialog>
</template>
