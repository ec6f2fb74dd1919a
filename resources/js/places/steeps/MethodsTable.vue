<script setup lang="ts">
import type { Schemas } from '../../api/client';
import HonestFigure from '../../ui/HonestFigure.vue';
import { counted, num, sayDate } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';

/** All the schools side by side for this charge, with what each costs. */
defineProps<{ table: Schemas['MethodTable']; chosen: string }>();
const emit = defineEmits<{ choose: [method: Schemas['MethodRow']['method']] }>();
</script>

<template>
    <section>
        <h2>
            Ways of drawing it, side by side
            <HowLink of="steeps" what="a steep" />
        </h2>
        <p class="mt-1">
            <strong>{{ table.rows.find((r) => r.method === table.recommended)?.label }}</strong>
            is what we would do. {{ table.why }}
        </p>
        <div class="mt-2 overflow-x-auto" tabindex="0" role="group" aria-label="Methods">
            <table class="w-full min-w-[46rem]">
                <thead>
                    <tr class="row-line quiet text-left text-[13px]">
                        <th class="py-1 font-normal">Way</th>
                        <th class="py-1 font-normal">Takes</th>
                        <th class="py-1 pr-4 text-right font-normal">Draws</th>
                        <th class="py-1 pr-4 text-right font-normal">Keeps shorter by</th>
                        <th class="py-1 pr-4 text-right font-normal">Keeps after</th>
                        <th class="py-1 font-normal">Risk</th>
                        <th class="py-1 font-normal">Asks for</th>
                        <th class="py-1 font-normal">Begun today, ready</th>
                    </tr>
                </thead>
                <tbody>
                    <tr
                        v-for="row in table.rows"
                        :key="row.method"
                        class="row-line align-baseline"
                        :class="row.method === chosen ? 'bg-lead-wash' : ''"
                    >
                        <td class="py-1.5 pr-2">
                            <button
                                type="button"
                                class="act-quiet !min-h-0 !px-0 !py-0 text-left"
                                :aria-pressed="row.method === chosen"
                                @click="emit('choose', row.method)"
                            >
                                {{ row.label }}
                            </button>
                            <span v-if="row.method === table.recommended" class="text-good block text-[12px] font-semibold">
                                recommended
                            </span>
                        </td>
                        <td class="py-1.5 pr-2 whitespace-nowrap">
                            {{ row.minutes > 0 ? `${num(row.minutes)} min at ${num(row.celsius)} °C` : counted(row.days, 'day') }}
                        </td>
                        <td class="py-1.5 pr-4 text-right whitespace-nowrap">
                            <HonestFigure
                                :band="row.extraction_percent"
                                :shown="num(row.extraction_percent.best, 0)"
                                unit="%"
                                basis="estimated"
                                what="Drawn"
                            />
                            <span class="quiet block text-[12px]">
                                {{ num(row.extraction_percent.low, 0) }} to {{ num(row.extraction_percent.high, 0) }}
                            </span>
                        </td>
                        <td class="py-1.5 pr-4 text-right whitespace-nowrap">
                            <HonestFigure :band="row.age_spent_days" unit="days" basis="estimated" what="Age" />
                        </td>
                        <td class="py-1.5 pr-4 text-right whitespace-nowrap">
                            <span v-if="row.life_left_months === null" class="quiet">not while water is in it</span>
                            <HonestFigure
                                v-else
                                :band="row.life_left_months"
                                :shown="num(row.life_left_months.best, 0)"
                                unit="months"
                                basis="estimated"
                                what="Life left"
                            />
                        </td>
                        <td class="py-1.5 pr-2" :aria-label="`risk ${row.risk} of 5`">
                            <svg width="44" height="12" viewBox="0 0 44 12" aria-hidden="true">
                                <rect
                                    v-for="n in 5"
                                    :key="n"
                                    :x="(n - 1) * 9"
                                    y="2"
                                    width="6"
                                    height="9"
                                    rx="1"
                                    :fill="n <= row.risk ? 'var(--ink)' : 'none'"
                                    stroke="var(--quiet)"
                                    stroke-width=".8"
                                />
                            </svg>
                            <span v-if="row.water_in_grams.best > 0" class="block text-[12px]">
                                {{ row.drives_water_off ? 'drives water off' : 'keeps the water in' }}
                            </span>
                        </td>
                        <td class="py-1.5 pr-2 text-[13px]">{{ row.watching }}</td>
                        <td class="py-1.5 text-[13px]" :class="row.in_time ? '' : 'said-caution font-semibold'">
                            {{ sayDate(row.ready) }}{{ row.in_time ? '' : ', too late' }}
                        </td>
                    </tr>
                </tbody>
            </table>
        </div>
    </section>
</template>
