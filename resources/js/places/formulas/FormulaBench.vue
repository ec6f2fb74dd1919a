<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Schemas } from '../../api/client';
import { bandsOf, sayJar } from '../../jar/bands';
import JarView, { type JarBand } from '../../jar/JarView.vue';
import TextureRibbon from '../../jar/TextureRibbon.vue';
import type { Moved } from '../../jar/useEdge';
import { useActs } from '../../ui/acts';
import { valueIn } from '../../ui/events';
import BehaviourPanel from './BehaviourPanel.vue';
import BenchHead from './bench/BenchHead.vue';
import FindingsColumn from './bench/FindingsColumn.vue';
import KeptVersions from './bench/KeptVersions.vue';
import KeyFigures from './bench/KeyFigures.vue';
import StopsDialog from './bench/StopsDialog.vue';
import { useMaking } from './bench/useMaking';
import WhatItIs from './bench/WhatItIs.vue';
import CostPanel from './CostPanel.vue';
import DesignPanel from './DesignPanel.vue';
import FamilyPanel from './FamilyPanel.vue';
import FitPanel from './FitPanel.vue';
import LinesTable from './LinesTable.vue';
import LoadPanel from './LoadPanel.vue';
import MethodPanel from './MethodPanel.vue';
import StockPanel from './StockPanel.vue';
import { useBench } from './useBench';
import WaterPanel from './WaterPanel.vue';
import WithoutScale from './WithoutScale.vue';

/** One formula at the bench: its lines beside the jar, what is found of it, and the panels behind. */

const props = defineProps<{ page: Schemas['FormulaPage'] }>();
const emit = defineEmits<{ gone: [] }>();
const bench = useBench(props.page);
const { formula, assessment, theirs, refusal, fit, keeps } = bench;
const { stops, asking, making, rehearsing, make, rehearse, copy, putAway } = useMaking(props.page.id, bench, () => emit('gone'));
const lit = ref('');
const lines = ref<InstanceType<typeof LinesTable> | null>(null);

const bands = computed(() => bandsOf(assessment.value));
const then = shallowRef<JarBand[] | null>(null);
/** Which edges of the jar may be moved: those between lines whose share is known and not locked. */
const movable = computed(() => {
    const free = new Set(formula.value.lines.filter((l) => !l.locked).map((l) => l.id));
    return assessment.value.lines.filter((l) => l.problem === '' && free.has(l.id)).map((l) => l.id);
});
async function reshare(moved: Moved): Promise<void> {
    // Without an answer the jar goes back to what it was.
    if (!(await bench.reshare(moved.from, moved.to, moved.points))) assessment.value = { ...assessment.value };
}
useActs([
    { label: 'Make this formula', key: 'b', run: () => void make() },
    { label: 'Copy as plain text', run: () => void copy() },
    { label: 'Add a line', key: 'a', run: () => void lines.value?.add() },
    { label: 'Undo', key: 'u', run: bench.undo },
    { label: 'Redo', key: 'r', run: bench.redo },
]);
</script>

<template>
    <div>
        <BenchHead
            :page="page"
            :bench="bench"
            :making="making"
            :rehearsing="rehearsing"
            @copy="copy"
            @put-away="putAway"
            @rehearse="rehearse"
            @make="make()"
        />

        <div v-if="theirs" role="alert" class="bg-caution-wash mb-4 rounded p-3">
            <p class="font-semibold">Someone changed this formula since you opened it. Yours is kept on this screen.</p>
            <button type="button" class="act-quiet" @click="bench.takeTheirs">Take theirs (undo brings yours back)</button>
            <button type="button" class="act-quiet" @click="bench.keepMine">Keep mine over theirs</button>
        </div>
        <p v-if="refusal" role="alert" class="said-stop mb-3 font-semibold">{{ refusal }}</p>

        <div class="grid gap-x-6 gap-y-6 lg:grid-cols-[190px_minmax(0,1fr)] xl:grid-cols-[190px_minmax(0,1fr)_292px]">
            <div>
                <JarView
                    :bands="bands"
                    :then="then"
                    :movable="movable"
                    :label="sayJar(bands)"
                    :lit="lit"
                    @light="lit = $event"
                    @move="reshare"
                />
                <KeyFigures :assessment="assessment" />
            </div>
            <div class="min-w-0">
                <WhatItIs :bench="bench" :sizing="page.sizing" />
                <LinesTable ref="lines" :bench="bench" :lit="lit" @light="lit = $event" />
            </div>
            <FindingsColumn class="lg:col-span-2 xl:col-span-1" :bench="bench" @light="lit = $event" @then="then = $event" />
        </div>

        <div class="bg-ground border-rule mt-4 border-t pt-2 pb-1 xl:sticky xl:bottom-0 xl:z-10">
            <TextureRibbon :assessment="assessment" />
        </div>

        <BehaviourPanel class="mt-6" :assessment="assessment" :keeps="keeps" />

        <DesignPanel class="no-print mt-8" :bench="bench" />
        <LoadPanel class="mt-8" :bench="bench" />
        <WaterPanel class="mt-8" :bench="bench" />
        <CostPanel class="mt-8" :bench="bench" />
        <StockPanel class="mt-8" :bench="bench" />
        <WithoutScale class="mt-8" :bench="bench" />
        <FamilyPanel :id="page.id" class="mt-8" :bench="bench" />
        <KeptVersions :id="page.id" class="mt-8" :bench="bench" :now="bands" />

        <div class="mt-8 grid gap-8 md:grid-cols-2">
            <FitPanel v-if="fit" :fit="fit" @light="lit = $event" />
            <section>
                <MethodPanel :bench="bench" />
                <label class="mt-5 block">
                    <span class="mb-2 block font-head text-[17px] font-semibold">Notes</span>
                    <textarea
                        class="field"
                        rows="6"
                        maxlength="20000"
                        :value="formula.notes"
                        @input="bench.setText('notes', valueIn($event))"
                    ></textarea>
                </label>
            </section>
        </div>
        <StopsDialog :open="asking" :stops="stops" :busy="making" @close="asking = false" @make="make" />
    </div>
</template>
