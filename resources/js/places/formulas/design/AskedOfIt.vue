<script setup lang="ts">
import { ref } from 'vue';
import { num } from '../../../ui/words';
import { keyOf } from './asked';
import type { Design } from './useDesign';

/** The demands, each with what it is to be at least and at most, and what is said of them together. */
const props = defineProps<{ design: Design }>();
const { demands, answer, inParts } = props.design;
const list = ref<HTMLElement | null>(null);

/** The hand is led to the figure that was asked for last. */
function lead(): void {
    [...(list.value?.querySelectorAll<HTMLElement>('input[data-end=least]') ?? [])].at(-1)?.focus();
}
defineExpose({ lead });
</script>

<template>
    <form @submit.prevent="design.solve(true)">
        <h3 class="font-semibold">Asked of it</h3>
        <ul ref="list">
            <li
                v-for="(d, n) in demands"
                :key="keyOf(d)"
                class="row-line grid grid-cols-[minmax(0,1fr)_4.2rem_4.2rem_1.4rem] items-center gap-1.5 py-1.5"
            >
                <span class="text-[14px]">{{ d.words }}</span>
                <input
                    v-model="d.min"
                    class="field !px-1.5"
                    inputmode="decimal"
                    data-end="least"
                    :aria-label="`${d.words}: at least`"
                    placeholder="from"
                />
                <input v-model="d.max" class="field !px-1.5" inputmode="decimal" :aria-label="`${d.words}: at most`" placeholder="to" />
                <button type="button" class="act-quiet !px-1" :aria-label="`Drop: ${d.words}`" @click="design.drop(n)">×</button>
            </li>
        </ul>
        <button class="act-quiet mt-1 -ml-2.5">Work it out with these</button>
        <div v-if="answer?.answer.status === 'impossible'" class="bg-caution-wash mt-2 rounded p-3" role="alert">
            <p class="font-semibold">These cannot be met together: {{ answer.answer.conflict.join('; ') }}.</p>
            <p v-for="r in answer.answer.relax" :key="r.demand">It would be possible if "{{ r.demand }}" were {{ num(r.to) }}.</p>
        </div>
        <p v-else-if="answer" class="quiet mt-2 text-[13px]">
            {{ answer.answer.status === 'optimal' ? answer.none : 'A good answer; the search was cut short.' }}
            {{ answer.answer.binding.length > 0 ? `What binds: ${answer.answer.binding.join('; ')}.` : '' }}
        </p>
        <p v-if="answer?.simple" class="mt-2 text-[14px]">
            {{ inParts ? 'In parts:' : 'Nearly the same in parts:' }}
            <strong>{{ answer.simple.words }}.</strong>
            <button type="button" class="act-quiet -ml-1" @click="inParts = !inParts">
                {{ inParts ? 'Exactly instead' : 'In parts instead' }}
            </button>
        </p>
    </form>
</template>
