<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import { ACTIONS, num, sayMonths } from '../../../ui/words';

/** How heavy it lies on the hair, what it does there, and how long it keeps. */
defineProps<{ it: Schemas['Ingredient'] }>();
</script>

<template>
    <section v-if="it.weight || it.life_months || it.action !== 'none'">
        <dl class="grid gap-x-8 gap-y-3 sm:grid-cols-3">
            <div v-if="it.weight">
                <dt class="label">Weight on the hair</dt>
                <dd>
                    <svg viewBox="0 0 170 34" class="w-full max-w-44" role="img" :aria-label="`${num(it.weight, 1)} of 5`">
                        <line x1="6" x2="164" y1="16" y2="16" stroke="var(--quiet)" />
                        <g v-for="n in 5" :key="n">
                            <line :x1="6 + (n - 1) * 39.5" :x2="6 + (n - 1) * 39.5" y1="12" y2="16" stroke="var(--quiet)" />
                            <text
                                :x="6 + (n - 1) * 39.5"
                                y="30"
                                :text-anchor="n === 1 ? 'start' : n === 5 ? 'end' : 'middle'"
                                font-size="11"
                                fill="var(--quiet)"
                            >
                                {{ n === 1 ? 'light' : n === 5 ? 'rich' : n }}
                            </text>
                        </g>
                        <circle :cx="6 + (it.weight - 1) * 39.5" cy="9" r="6" fill="var(--lead)" />
                    </svg>
                    <span class="fig fig-estimated">{{ num(it.weight, 1) }}</span>
                    <span class="unit">of 5</span>
                </dd>
            </div>
            <div v-if="it.action !== 'none' || it.feel">
                <dt class="label">On the fibre, and after</dt>
                <dd>
                    {{ [ACTIONS[it.action], it.feel].filter(Boolean).join('; ') }}
                </dd>
            </div>
            <div v-if="it.life_months">
                <dt class="label">Keeps unopened</dt>
                <dd>
                    <span class="fig fig-estimated">{{ sayMonths(it.life_months.best) }}</span>
                    <span class="unit">, {{ num(it.life_months.low) }} to {{ num(it.life_months.high) }} months.</span>
                    {{ it.storage }}
                    <strong v-if="it.drying" class="said-caution block">
                        Dries in air: cloths soaked with it can heat themselves. Wash them at once.
                    </strong>
                </dd>
            </div>
        </dl>
    </section>
</template>
