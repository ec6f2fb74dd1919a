<script setup lang="ts">
import { computed, ref } from 'vue';
import { withoutScale } from '../../queries/formulas';
import { tell } from '../../ui/notice';
import { useSession } from '../../ui/session';
import { fixed, num } from '../../ui/words';
import AsideTitle from './AsideTitle.vue';
import { useAside } from './useAside';
import type { Bench } from './useBench';

/** The formula in spoons, cups and drops beside its grams, what that rounding does, and a strip of heights for a bottle. */
const props = defineProps<{ bench: Bench }>();
const bottle = ref<number | ''>('');
const { open, answer, problem } = useAside(
    props.bench,
    (draft) => withoutScale({ ...draft, bottle_mm: bottle.value === '' ? null : bottle.value }),
    [bottle],
);
// Whoever measures in spoons sees them from the start.
if (useSession().studio?.begins.spoons) open.value = true;

/** Whole millimetres up, so that the paper holds the last mark. */
const height = computed(() => Math.ceil((answer.value?.strip.at(-1)?.to_mm ?? 0) + 6));
const said = (mark: { name: string; to_mm: number; drops: boolean }): string =>
    mark.drops ? `${mark.name}: by drops` : `${mark.name}, ${mark.to_mm} mm`;
/** As wide as its longest name, at some 1.8 mm for a letter. */
const width = computed(() => 22 + Math.ceil(1.8 * Math.max(0, ...(answer.value?.strip ?? []).map((m) => said(m).length))));
const worse = computed(() => {
    const had = new Set(props.bench.assessment.value.findings.map((f) => f.code));
    return (answer.value?.assessment.findings ?? []).filter((f) => f.severity !== 'note' && !had.has(f.code));
});
function write(): void {
    if (!answer.value) return;
    props.bench.replace(answer.value.formula, 'kitchen measures');
    tell('Written in kitchen measures.', { undo: props.bench.undo });
}
</script>

<template>
    <section aria-label="Without a scale">
        <AsideTitle
            v-model:open="open"
            title="Without a scale"
            how="without-scale"
            hint="In spoons, cups and drops beside grams and ounces, or as marks on a bottle."
        />
        <p v-if="open && problem" role="alert" class="said-stop mt-2">{{ problem }}</p>
        <div v-if="open && answer" class="mt-2 grid gap-8 lg:grid-cols-[minmax(0,1fr)_18rem]">
            <div>
                <table class="w-full">
                    <caption class="sr-only">Each line in kitchen measures</caption>
                    <thead>
                        <tr class="quiet border-rule border-b text-left text-[13px]">
                            <th scope="col" class="py-1 font-normal">Ingredient</th>
                            <th scope="col" class="font-normal">Nearest measure</th>
                            <th scope="col" class="text-right font-normal">Grams</th>
                            <th scope="col" class="text-right font-normal">Ounces</th>
                            <th scope="col" class="text-right font-normal">Share now</th>
                            <th scope="col" class="text-right font-normal">Share then</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="row in answer.rows" :key="row.line" class="row-line">
                            <th scope="row" class="py-1 text-left font-normal">{{ row.name || 'a line without a name' }}</th>
                            <td :class="row.measure ? 'font-semibold' : 'quiet'">{{ row.measure || 'cannot tell: weigh it' }}</td>
                            <td class="text-right">{{ fixed(row.grams, 1) }}</td>
                            <td class="text-right">{{ fixed(row.ounces, 2) }}</td>
                            <td class="text-right">
                                {{ fixed(row.percent_now, 1) }}
                                <span class="unit">%</span>
                            </td>
                            <td class="text-right" :class="Math.abs(row.percent_now - row.percent_then) >= 1 ? 'font-semibold' : 'quiet'">
                                {{ fixed(row.percent_then, 1) }}
                                <span class="unit">%</span>
                            </td>
                        </tr>
                    </tbody>
                </table>
                <p class="mt-2">
                    By these measures it comes to
                    <span class="fig fig-converted">{{ num(answer.assessment.total_grams.best) }}</span>
                    <span class="unit">
                        g, {{ num(answer.assessment.total_grams.low) }} to {{ num(answer.assessment.total_grams.high) }},
                    </span>
                    {{ answer.assessment.texture_known ? `and stands as ${answer.assessment.texture_label}` : '' }} at 25 °C. Butters are
                    measured melted; a strong oil is rounded down.
                </p>
                <ul v-if="worse.length > 0" class="mt-1">
                    <li v-for="finding in worse" :key="finding.code" :class="`said-${finding.severity}`">{{ finding.message }}</li>
                </ul>
                <p v-else class="quiet mt-1">Nothing new speaks against it so.</p>
                <button type="button" class="act-quiet no-print -ml-2.5 mt-1" @click="write">Write the formula in these measures</button>
            </div>
            <div>
                <label class="no-print block">
                    <span class="label">Inner width of a straight bottle, mm</span>
                    <input v-model.lazy.number="bottle" class="field" type="number" min="10" max="300" step="any" placeholder="38" />
                </label>
                <p v-if="answer.strip_problem" role="alert" class="said-caution mt-2">{{ answer.strip_problem }}</p>
                <figure v-else-if="answer.strip.length > 0" class="mt-3">
                    <svg
                        :style="{ width: `${width}mm`, height: `${height}mm` }"
                        :viewBox="`0 0 ${width} ${height}`"
                        role="img"
                        :aria-label="`Fill strip. ${answer.strip.map((s) => `${s.name} to ${s.to_mm} mm`).join(', ')}.`"
                    >
                        <rect x=".2" y=".2" width="14" :height="height - 0.4" fill="none" stroke="var(--ink)" stroke-width=".2" />
                        <g v-for="mark in answer.strip" :key="mark.line">
                            <line
                                x1="0"
                                x2="18"
                                :y1="height - mark.to_mm"
                                :y2="height - mark.to_mm"
                                stroke="var(--ink)"
                                stroke-width=".35"
                            />
                            <text x="19" :y="height - mark.to_mm + 1.1" font-size="3.2" fill="var(--ink)">
                                {{ said(mark) }}
                            </text>
                        </g>
                    </svg>
                    <figcaption class="quiet text-[13px]">
                        Print at 100 %, cut out, tape its foot to the flat part of the bottle, and pour each in turn from below.
                    </figcaption>
                </figure>
                <p v-else class="quiet mt-2 text-[13px]">Give the width, and a strip of heights is drawn to scale.</p>
            </div>
        </div>
    </section>
</template>
