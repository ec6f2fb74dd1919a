<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Schemas } from '../../api/client';
import { FORMULAS } from '../../queries/lists';
import { sidesQuery, type Side } from '../../queries/formulas';
import FatCurves from '../../jar/FatCurves.vue';
import JarView from '../../jar/JarView.vue';
import PickOne from '../../ui/PickOne.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { AUDIENCES, fixed, KINDS, num, sayMonths, shortDate } from '../../ui/words';

/** Two to four formulas, or versions of one, side by side. In the address: of=12,12.3,15, a version after the dot. */
const MOST = 4;
const route = useRoute();
const router = useRouter();
const tokens = computed(() =>
    [...new Set(String(route.query['of'] ?? '').split(','))].filter((t) => /^\d+(\.\d+)?$/.test(t)).slice(0, MOST),
);

const query = useQuery(computed(() => sidesQuery(tokens.value)));
const versions = computed(() =>
    (query.data.value?.pages ?? []).flatMap((p) =>
        p.versions.map((v) => ({
            token: `${p.id}.${v.number}`,
            name: `${p.formula.title}, version ${v.number} of ${shortDate(v.kept_at)}`,
        })),
    ),
);
const added = ref<{ token: string; name: string } | null>(null);
watch(added, (one) => {
    if (one) show([...tokens.value, one.token]);
    added.value = null;
});
function show(next: string[]): void {
    void router.replace({ query: { of: next.join(',') } });
}

const sides = computed(() => query.data.value?.sides ?? []);
const bandsOf = (side: Side) => side.assessment.lines.map((l) => ({ id: l.id, name: l.name, percent: l.shown_percent, matter: l.matter }));
/** Every ingredient of any of them, the one with most of it first. */
const ingredients = computed(() => {
    const most = new Map<string, number>();
    for (const side of sides.value)
        for (const line of side.assessment.lines) most.set(line.name, Math.max(most.get(line.name) ?? 0, line.shown_percent));
    return [...most].sort((a, b) => b[1] - a[1]).map(([name]) => name);
});
function shareOf(side: Side, name: string): string {
    const of = side.assessment.lines.filter((l) => l.name === name);
    if (of.length === 0) return '–';
    return of.every((l) => l.problem === '') ? `${of.map((l) => fixed(l.shown_percent, 1)).join(' + ')} %` : 'cannot tell';
}
const open = (side: Side, severity: string): Schemas['Finding'][] =>
    side.assessment.findings.filter((f) => f.severity === severity && f.accepted === '');
const ROWS: [string, (s: Side) => string][] = [
    ['Product', (s) => KINDS[s.formula.kind] ?? s.formula.kind],
    ['For', (s) => AUDIENCES[s.formula.audience] ?? s.formula.audience],
    ['Whole batch', (s) => `${num(s.assessment.total_grams.best)} g`],
    [
        'At 25 °C',
        (s) => (s.assessment.texture_known ? `${s.assessment.texture_label}, ${num(s.assessment.solids['25'], 0)} % solid` : 'cannot tell'),
    ],
    ['On a hot day', (s) => (s.assessment.texture_known ? (s.assessment.moments[2]?.label ?? '') : 'cannot tell')],
    ['Keeps', (s) => sayMonths(s.assessment.life_months?.best)],
    ['Water', (s) => (s.assessment.water_class === null ? 'cannot tell' : `${s.assessment.water_label} (${s.assessment.water_class})`)],
    ['Scent, at worst', (s) => `${num(s.assessment.essential_oil_percent.high)} of ${num(s.assessment.essential_oil_ceiling)} %`],
    [
        '100 g cost',
        (s) => (!s.assessment.cost || s.assessment.cost.unpriced.length > 0 ? 'cannot tell' : fixed(s.assessment.cost.per_100g, 2)),
    ],
    ['Weight on the hair', (s) => (s.assessment.weight_index === null ? 'cannot tell' : `${num(s.assessment.weight_index, 1)} of 5`)],
];
/** What is not as in the first of them stands out. */
const differs = (of: (s: Side) => string, side: Side): boolean => {
    const first = sides.value[0];
    return first !== undefined && side !== first && of(side) !== of(first);
};
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h1>Formulas side by side</h1>
            <div v-if="tokens.length < MOST" class="no-print w-80">
                <PickOne
                    v-model="added"
                    :list="FORMULAS"
                    label="Put beside them"
                    labelled
                    placeholder="a formula or a version"
                    :say="(row) => row.title"
                    :before="versions"
                    :without="tokens"
                />
            </div>
        </div>
        <p v-if="tokens.length === 0">Choose two to four formulas, or versions of one, and what differs from the first stands out.</p>
        <WaitOrProblem v-else :pending="query.isPending.value" :error="query.error.value" what="the formulas" @again="query.refetch">
            <p v-if="sides.length < tokens.length" class="said-caution mb-2">One of them is not here any more.</p>
            <div class="overflow-x-auto" tabindex="0" role="group" aria-label="Comparison">
                <table class="w-full min-w-[40rem] table-fixed">
                    <thead>
                        <tr class="row-line align-top">
                            <td class="w-44"></td>
                            <th v-for="side in sides" :key="side.token" scope="col" class="py-2 pr-4 text-left">
                                <JarView small :width="58" :height="84" :bands="bandsOf(side)" :label="`Jar of ${side.name}`" />
                                <RouterLink :to="side.to" class="font-head mt-1 block text-[17px]">{{ side.name }}</RouterLink>
                                <button
                                    v-if="sides.length > 1"
                                    type="button"
                                    class="act-quiet no-print -ml-2.5 text-[13px]"
                                    :aria-label="`Take ${side.name} away`"
                                    @click="show(tokens.filter((t) => t !== side.token))"
                                >
                                    Take away
                                </button>
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="[name, say] in ROWS" :key="name" class="row-line align-baseline">
                            <th scope="row" class="quiet py-1 pr-3 text-left font-normal">{{ name }}</th>
                            <td v-for="s in sides" :key="s.token" class="py-1 pr-4" :class="differs(say, s) ? 'font-semibold' : ''">
                                {{ say(s) }}
                            </td>
                        </tr>
                        <tr class="row-line align-top">
                            <th scope="row" class="quiet py-1 pr-3 text-left font-normal">Speaks against it</th>
                            <td v-for="s in sides" :key="s.token" class="py-1 pr-4">
                                <p v-for="f in open(s, 'stop')" :key="f.message" class="said-stop text-[14px]">{{ f.message }}</p>
                                <p v-for="f in open(s, 'caution')" :key="f.message" class="said-caution text-[14px]">{{ f.message }}</p>
                                <p v-if="open(s, 'stop').length + open(s, 'caution').length === 0" class="text-good font-semibold">
                                    nothing
                                </p>
                            </td>
                        </tr>
                        <tr v-for="name in ingredients" :key="name" class="row-line">
                            <th scope="row" class="py-1 pr-3 text-left font-normal">{{ name }}</th>
                            <td
                                v-for="s in sides"
                                :key="s.token"
                                class="py-1 pr-4"
                                :class="differs((o) => shareOf(o, name), s) ? 'font-semibold' : ''"
                            >
                                {{ shareOf(s, name) }}
                            </td>
                        </tr>
                    </tbody>
                </table>
            </div>
            <h2 class="mt-6 mb-2">Effective solids from 10 to 40 °C</h2>
            <FatCurves
                what="Effective solids"
                :series="sides.map((s) => ({ name: s.name, solids: s.assessment.texture_known ? s.assessment.solids : null }))"
            />
            <p v-if="sides.every((s) => s.assessment.solids['10'] === 0)" class="quiet">All of them are liquid even in the cold.</p>
        </WaitOrProblem>
    </div>
</template>
