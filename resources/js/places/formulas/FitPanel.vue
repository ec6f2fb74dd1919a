<script setup lang="ts">
import type { Schemas } from '../../api/client';
import EvidenceMark from '../../ui/EvidenceMark.vue';
import { num } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';

/** How the formula serves the head or hair it is for: its weight against the target, and which line earns what. */
defineProps<{ fit: Schemas['Fit'] }>();
const emit = defineEmits<{ light: [id: string] }>();
</script>

<template>
    <section>
        <h2>
            How it serves {{ fit.name }}
            <HowLink of="fit" what="the fit to a head" />
        </h2>
        <p class="mt-1">
            Weight
            <span class="fig fig-estimated">{{ fit.weight_index === null ? 'cannot tell' : num(fit.weight_index, 1) }}</span>
            <template v-if="fit.stays">
                <template v-if="fit.suits === null">; what suits is</template>
                <span v-else :class="fit.suits ? 'text-good font-semibold' : 'said-caution font-semibold'">
                    {{ fit.suits ? ' suits' : ' lies outside' }}
                </span>
                {{ num(fit.weight_target.low, 1) }} to {{ num(fit.weight_target.high, 1) }}.
            </template>
            <template v-else>does not count: it is rinsed out.</template>
        </p>
        <ul class="mt-2">
            <li v-for="s in fit.services" :key="s.need" class="row-line py-1.5">
                <span class="flex items-baseline justify-between gap-3">
                    <span :class="s.asked ? 'font-semibold' : ''">
                        {{ s.label }}
                        <span v-if="!s.asked" class="quiet text-[13px]">not asked for</span>
                    </span>
                    <span v-if="s.points > 0">
                        <span class="fig fig-estimated">{{ num(s.points) }}</span>
                        <span class="unit">points</span>
                    </span>
                    <span v-else class="said-caution">nothing here serves it</span>
                </span>
                <span
                    v-for="l in s.lines"
                    :key="l.line"
                    class="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 text-[13px]"
                    @mouseenter="emit('light', l.line)"
                    @mouseleave="emit('light', '')"
                >
                    <span class="quiet">
                        {{ l.name }}
                        <EvidenceMark :grade="l.grade" :route="l.route" />
                    </span>
                    <span class="quiet text-right">{{ num(l.points) }}</span>
                </span>
            </li>
        </ul>
        <p class="quiet mt-1 text-[13px]">
            Points: strength of what is known times the square root of the share, times 100. Twice as much does less than twice the good.
        </p>
    </section>
</template>
