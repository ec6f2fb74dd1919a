<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Schemas } from '../../api/client';
import { useLinkJar } from '../../queries/links';
import JarView from '../../jar/JarView.vue';
import LinkShown from '../../ui/LinkShown.vue';
import { tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';
import { KINDS, counted, fixed, num, sayDate } from '../../ui/words';
import LabelPreview from '../papers/LabelPreview.vue';
import BatchStops from './BatchStops.vue';
import BatchStory from './BatchStory.vue';
import BatchCosts from './BatchCosts.vue';
import BatchFindings from './BatchFindings.vue';
import HowLink from '../../ui/HowLink.vue';

/** A finished batch: what was planned beside what went in. */

const props = defineProps<{ batch: Schemas['Batch'] }>();
const actual = computed(() => new Map((props.batch.actual?.lines ?? []).map((l) => [l.id, l])));
const planned = computed(() => new Map(props.batch.planned.lines.map((l) => [l.id, l])));
const bands = computed(() =>
    (props.batch.actual?.lines ?? []).map((l) => ({ id: l.id, name: l.name, percent: l.shown_percent, matter: l.matter })),
);
const total = computed(() => props.batch.actual?.total_grams.best ?? 0);
const session = useSession();
const linking = useLinkJar();
const link = ref('');
async function share(): Promise<void> {
    try {
        link.value = (await linking.mutateAsync(props.batch.id)).link;
    } catch (e) {
        tellProblem(e);
    }
}
function printIt(): void {
    window.print();
}
</script>

<template>
    <div>
        <div class="flex flex-wrap items-end justify-between gap-3">
            <div>
                <p class="quiet">
                    Lot {{ batch.lot_code }}, {{ KINDS[batch.kind]?.toLowerCase() }}, made {{ sayDate(batch.made_on) }} by {{ batch.by }}
                </p>
                <h1>{{ batch.title }}</h1>
            </div>
            <div class="no-print">
                <RouterLink v-if="batch.formula_id" :to="`/formulas/${batch.formula_id}`" class="act-quiet">Its formula</RouterLink>
                <button v-if="session.may('make')" type="button" class="act-quiet" @click="share">A link for its jars</button>
                <button type="button" class="act-quiet" @click="printIt">Print the record</button>
                <a v-if="batch.withdrawn.length === 0" :href="`/papers/batches/${batch.id}/label.pdf`" target="_blank" class="act">
                    Label as PDF
                </a>
            </div>
        </div>
        <LinkShown v-if="link" class="no-print mt-4" :link="link" says="For whoever has a jar: what it is, how to keep and use it." />
        <BatchStops :batch="batch" />
        <div class="mt-6 grid gap-8 lg:grid-cols-[190px_minmax(0,1fr)_minmax(0,21rem)]">
            <JarView :bands="bands" :label="`What was truly weighed for ${batch.title}`" />
            <div>
                <table class="w-full">
                    <caption class="mb-2 text-left font-head text-[17px] font-semibold">What was truly weighed</caption>
                    <thead>
                        <tr class="quiet border-rule border-b text-[13px]">
                            <th scope="col" class="text-left font-normal">Ingredient</th>
                            <th scope="col" class="pl-3 text-right font-normal">Target</th>
                            <th scope="col" class="pl-3 text-right font-normal">Weighed</th>
                            <th scope="col" class="pl-3 text-right font-normal">Planned</th>
                            <th scope="col" class="pl-3 text-right font-normal">Share</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="w in batch.weighings" :key="w.line" class="row-line">
                            <th scope="row" class="py-1.5 text-left font-normal">{{ w.name }}</th>
                            <td class="quiet pl-3 text-right">{{ fixed(w.target_grams, 2) }}</td>
                            <td class="pl-3 text-right whitespace-nowrap">
                                <span v-if="w.how === 'left-out'" class="said-caution">left out</span>
                                <template v-else>
                                    <span
                                        class="fig"
                                        :class="[
                                            w.how === 'weighed' ? 'fig-measured' : 'fig-estimated',
                                            w.within === false ? 'said-caution' : '',
                                        ]"
                                    >
                                        {{ fixed(w.actual_grams ?? 0, 2) }}
                                    </span>
                                    <span class="unit">g</span>
                                    <span v-if="w.how === 'counted'" class="quiet block text-[13px]">
                                        {{ w.actual_drops }} {{ w.actual_drops === 1 ? 'drop' : 'drops' }}
                                    </span>
                                    <span v-if="w.how === 'too-little'" class="quiet block text-[13px]">too little to show</span>
                                </template>
                            </td>
                            <td class="quiet pl-3 text-right">{{ fixed(planned.get(w.line)?.shown_percent ?? 0, 1) }}</td>
                            <td class="pl-3 text-right whitespace-nowrap">
                                {{ fixed(actual.get(w.line)?.shown_percent ?? 0, 1) }}
                                <span class="unit">%</span>
                            </td>
                        </tr>
                    </tbody>
                    <tfoot>
                        <tr class="font-semibold">
                            <th scope="row" class="py-1.5 text-left">In all</th>
                            <td />
                            <td class="pl-3 text-right whitespace-nowrap">
                                {{ fixed(total, 2) }}
                                <span class="unit">g</span>
                            </td>
                            <td />
                            <td class="pl-3 text-right whitespace-nowrap">
                                100.0
                                <span class="unit">%</span>
                            </td>
                        </tr>
                    </tfoot>
                </table>
                <p class="mt-4">
                    {{ counted(batch.jars, 'jar') }} of {{ num(batch.jar_ml) }} ml with
                    <span class="fig fig-measured">{{ num(batch.net_grams) }}</span>
                    <span class="unit">g</span>
                    each.
                    <template v-if="batch.yield">
                        {{ batch.yield.remainder_grams > 0 ? `${num(batch.yield.remainder_grams)} g were left over; ` : '' }}
                        {{ num(Math.max(0, batch.yield.lost_grams)) }} g ({{ fixed(Math.max(0, batch.yield.lost_percent ?? 0), 1) }} %)
                        stayed in bowl and spout.
                    </template>
                    <RouterLink v-if="batch.shelf_lot && session.may('make')" :to="`/pantry/lots/${batch.shelf_lot}`">
                        Who has a jar
                    </RouterLink>
                </p>
                <p v-if="batch.note" class="mt-3">
                    <span class="quiet">Note.</span>
                    {{ batch.note }}
                </p>
                <BatchStory class="mt-8" :batch="batch" />
                <BatchCosts v-if="session.may('make')" class="mt-8" :batch="batch.id" />
                <BatchFindings class="mt-8" :batch="batch" />
            </div>
            <div>
                <h2 class="mb-2">
                    Label of one jar
                    <HowLink of="label" what="a label" />
                </h2>
                <LabelPreview v-if="batch.label" :label="batch.label" />
                <p v-if="batch.label?.kept_by" class="quiet mt-2 text-[13px]">
                    Its day is that of the {{ batch.label.kept_by }} in it: nothing keeps longer in a jar than it did in its bottle.
                </p>
            </div>
        </div>
    </div>
</template>
