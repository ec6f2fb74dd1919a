<script setup lang="ts">
import type { Schemas } from '../../api/client';
import { valueIn } from '../../ui/events';
import { fixed, num, withForm } from '../../ui/words';
import type { Asks, ReadLine } from './usePasted';

/** What goes in, line by line: its amount, its true share, and what is doubtful of it. */
const props = defineProps<{
    lines: ReadLine[];
    judged: Schemas['Assessment'] | null;
    order: Schemas['Reading']['order'];
    asks: (n: number) => Asks;
}>();
const emit = defineEmits<{ look: [n: number]; amount: [line: ReadLine, says: string] }>();
const unweighed = (n: number): string => props.judged?.lines[n]?.problem ?? '';
</script>

<template>
    <ol class="mt-3">
        <li
            v-for="(line, i) in lines"
            :key="`${i}-${line.text}`"
            class="row-line py-1.5"
            :class="asks(i) === '' ? '' : 'bg-caution-wash -mx-2 rounded px-2'"
        >
            <div class="grid grid-cols-[minmax(0,1fr)_auto_4.5rem] items-baseline gap-3">
                <button type="button" class="cursor-pointer text-left font-semibold break-words" @click="emit('look', i)">
                    {{ line.name }}
                    <span class="quiet font-normal">
                        {{ withForm(line.name, line.form).slice(line.name.length) }}{{ line.optional ? ' (may be left out)' : '' }}
                    </span>
                    <span v-for="choice in line.choices" :key="choice.id" class="quiet block text-[13px] font-normal">
                        or {{ choice.name }}{{ choice.amount ? `, ${choice.amount}` : '' }}
                    </span>
                </button>
                <input
                    class="bare !w-36 text-right max-sm:!w-24"
                    :value="line.amount ?? ''"
                    :aria-label="`Amount of ${line.name}`"
                    maxlength="120"
                    :placeholder="unweighed(i) ? 'how much' : ''"
                    @change="emit('amount', line, valueIn($event))"
                />
                <span v-if="order" class="quiet text-right text-[13px]">up to {{ num(order.most_percent[i] ?? 100) }} %</span>
                <span v-else-if="unweighed(i)" class="quiet text-right text-[13px]">cannot tell</span>
                <span v-else class="text-right whitespace-nowrap">
                    <span v-if="judged?.open" class="quiet block text-[12px] leading-none">at most</span>
                    {{ fixed(judged?.lines[i]?.shown_percent ?? 0, 1) }}
                    <span class="unit">%{{ asks(i) === 'ingredient' ? ' ?' : '' }}</span>
                </span>
            </div>
            <p v-if="asks(i) !== ''" class="said-caution text-[13px]">
                {{ asks(i) === 'ingredient' ? line.doubts.ingredient : unweighed(i) || line.doubts.amount }} You wrote "{{ line.text }}".
            </p>
        </li>
    </ol>
</template>
