<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { bandsOf } from '../../../jar/bands';
import JarView from '../../../jar/JarView.vue';
import { num, sayMonths } from '../../../ui/words';
import type { Bench } from '../useBench';
import type { Design } from './useDesign';

/** The present jar beside the one that would be, and what changes. */
const props = defineProps<{ bench: Bench; design: Design }>();
const { assessment } = props.bench;
const { shown } = props.design;
/** Below this a share has not changed: points. */
const SEEN = 0.05;

const bands = (a: Schemas['Assessment']) => bandsOf(a).map((b) => ({ ...b, name: b.name.split(' ')[0] ?? '' }));
const changes = computed(() => {
    const after = shown.value?.assessment;
    if (!after) return [];
    const names = new Set([...assessment.value.lines, ...after.lines].map((l) => l.name));
    const share = (a: Schemas['Assessment'], name: string): number =>
        a.lines.filter((l) => l.name === name).reduce((sum, l) => sum + (l.share?.best ?? 0), 0);
    return [...names]
        .map((name) => ({ name, before: share(assessment.value, name), after: share(after, name) }))
        .filter((c) => Math.abs(c.after - c.before) >= SEEN)
        .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before));
});
const facts = computed(() => {
    const after = shown.value?.assessment;
    if (!after) return [];
    const stops = (a: Schemas['Assessment']): number => a.findings.filter((f) => f.severity === 'stop').length;
    const one = (words: string, of: (a: Schemas['Assessment']) => string): [string, string, string] => [
        words,
        of(assessment.value),
        of(after),
    ];
    return [
        one('Texture', (a) => a.texture_label),
        one('Solids at 25 °C', (a) => `${num(a.solids['25'])} %`),
        one('Weight', (a) => (a.weight_index === null ? 'cannot tell' : num(a.weight_index, 1))),
        one('Keeps', (a) => sayMonths(a.life_months?.best)),
        one('100 g cost', (a) => (!a.cost || a.cost.unpriced.length > 0 ? 'cannot tell' : num(a.cost.per_100g))),
        one('Stops', (a) => num(stops(a))),
    ];
});
</script>

<template>
    <div v-if="shown?.assessment" class="flex gap-5">
        <figure>
            <JarView :bands="bands(assessment)" :width="130" :height="250" label="The present jar" />
            <figcaption class="quiet text-center text-[13px]">now</figcaption>
        </figure>
        <figure>
            <JarView :bands="bands(shown.assessment)" :width="131" :height="250" label="The jar as it would be" />
            <figcaption class="text-center text-[13px] font-semibold">then</figcaption>
        </figure>
    </div>
    <div v-if="shown?.assessment">
        <table class="w-full">
            <caption class="sr-only">What changes</caption>
            <thead>
                <tr class="row-line quiet text-[13px]">
                    <td></td>
                    <th class="text-right font-normal">now</th>
                    <th class="text-right font-normal">then</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="c in changes" :key="c.name" class="row-line">
                    <th scope="row" class="py-1 text-left font-normal">{{ c.name }}</th>
                    <td class="quiet py-1 text-right">{{ num(c.before, 1) }} %</td>
                    <td class="py-1 text-right font-semibold">{{ num(c.after, 1) }} %</td>
                </tr>
                <tr v-for="[words, before, after] in facts" :key="words" class="row-line">
                    <th scope="row" class="quiet py-1 text-left font-normal">{{ words }}</th>
                    <td class="quiet py-1 text-right">{{ before }}</td>
                    <td class="py-1 text-right" :class="before === after ? 'quiet' : 'font-semibold'">{{ after }}</td>
                </tr>
            </tbody>
        </table>
        <p v-if="changes.length === 0" class="mt-3">The present formula meets this already: nothing changes.</p>
        <button v-else type="button" class="act mt-3" @click="design.apply">Open it as a new version</button>
    </div>
</template>
