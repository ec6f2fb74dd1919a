<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../api/client';
import { headQuery, isHead, useDeleteHead, useDescribeHead, useMarkHead, useSaveHead, useUnmarkHead } from '../../queries/heads';
import TouchedBy from '../../ui/TouchedBy.vue';
import TakeAlong from '../studio/TakeAlong.vue';
import { tell, tellProblem } from '../../ui/notice';
import UiDialog from '../../ui/UiDialog.vue';
import { AUDIENCES, fixed, SCALPS, todayDate } from '../../ui/words';
import CrownMap from './CrownMap.vue';
import HeadAdvice from './HeadAdvice.vue';
import HeadForm from './HeadForm.vue';

/** One head: who it is, what marks its crown bears, what suits it. */

const props = defineProps<{ id: string }>();
const router = useRouter();
const client = useQueryClient();
const kept = shallowRef<Schemas['Head'] | null>(null);
const errors = ref<Record<string, string[]>>({});
const asking = ref(false);
const describe = useDescribeHead();
const change = useSaveHead();
const marking = useMarkHead();
const unmarking = useUnmarkHead();
const removing = useDeleteHead();

onMounted(async () => {
    if (props.id === 'new') return;
    try {
        kept.value = await client.fetchQuery(headQuery(Number(props.id)));
    } catch (e) {
        tellProblem(e);
    }
});
async function save(draft: Schemas['HeadDraft']): Promise<void> {
    errors.value = {};
    try {
        if (kept.value) {
            kept.value = await change.mutateAsync({ id: kept.value.id, body: { ...draft, revision: kept.value.revision } });
            tell('Saved.');
        } else {
            const head = await describe.mutateAsync(draft);
            await router.replace(`/heads/${head.id}`);
            tell(`${head.name} is described.`);
        }
    } catch (e) {
        if (e instanceof Problem && e.status === 409) {
            // What was typed stays in the form; only the revision moves on.
            if (kept.value && isHead(e.current)) kept.value.revision = e.current.revision;
            tellProblem(
                new Error('Someone changed this head since you opened it. Yours is kept on this screen; save again to put it over theirs.'),
            );
        } else if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
async function mark(zone: Schemas['MarkDraft']['zone'], state: Schemas['MarkDraft']['state']): Promise<void> {
    if (!kept.value) return;
    try {
        const before = kept.value.marks.length;
        kept.value = await marking.mutateAsync({ id: kept.value.id, body: { zone, state, on: todayDate(), note: '' } });
        const made = kept.value.marks.length > before ? Math.max(...kept.value.marks.map((m) => m.id)) : 0;
        tell('Marked.', { undo: () => void unmark(made) });
    } catch (e) {
        tellProblem(e);
    }
}
async function unmark(id: number): Promise<void> {
    try {
        kept.value = await unmarking.mutateAsync(id);
    } catch (e) {
        tellProblem(e);
    }
}
async function remove(): Promise<void> {
    asking.value = false;
    if (!kept.value) return;
    try {
        await removing.mutateAsync(kept.value.id);
        await router.push('/heads');
        tell('The head and everything kept of it were deleted.');
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <div>
                <h1>{{ kept?.name || 'Add a person' }}</h1>
                <TouchedBy v-if="kept" :touched="kept.touched" />
                <TakeAlong v-if="kept" :what="{ kind: 'head', body: kept }" />
                <p v-if="kept" class="quiet mt-1">
                    {{ kept.strand === 'not-known' ? 'strands not yet known' : `${kept.strand} strands` }},
                    {{ kept.porosity === 'not-known' ? 'porosity not yet known' : `${kept.porosity} porosity` }}; scalp
                    {{ SCALPS[kept.scalp_now] }}; judged as "{{ AUDIENCES[kept.audience] }}"
                </p>
            </div>
            <div v-if="kept" class="flex">
                <a :href="`/api/heads/${kept.id}/export`" download class="act-quiet">Download the data</a>
                <button type="button" class="act-quiet act-stop" @click="asking = true">Delete</button>
            </div>
        </div>
        <div v-if="kept" class="mb-8 grid gap-x-10 gap-y-6 lg:grid-cols-[19rem_minmax(0,1fr)]">
            <div>
                <CrownMap :head="kept" :today="todayDate()" @mark="mark" @unmark="unmark" />
                <h2 class="mt-5">What suits {{ kept.name }}</h2>
                <svg
                    viewBox="0 0 420 120"
                    class="mt-2 w-full max-w-md"
                    role="img"
                    :aria-label="`Weights that suit: lengths ${fixed(kept.weight_lengths.low, 1)} to ${fixed(kept.weight_lengths.high, 1)}, scalp ${fixed(kept.weight_scalp.low, 1)} to ${fixed(kept.weight_scalp.high, 1)}, on a scale of 1 to 5.`"
                >
                    <g
                        v-for="(row, i) in [
                            ['lengths', kept.weight_lengths],
                            ['scalp', kept.weight_scalp],
                        ] as const"
                        :key="row[0]"
                        :transform="`translate(70 ${18 + i * 42})`"
                    >
                        <text x="-10" y="17" text-anchor="end" font-size="16" fill="var(--ink)">{{ row[0] }}</text>
                        <rect x="0" y="0" width="320" height="24" rx="4" fill="none" stroke="var(--glass)" stroke-width="1.5" />
                        <rect
                            :x="(Math.max(0.5, row[1].low) - 0.5) * 64"
                            y="1.5"
                            :width="(Math.min(5.5, row[1].high) - Math.max(0.5, row[1].low)) * 64"
                            height="21"
                            fill="url(#matter-liquid)"
                            stroke="var(--matter-line)"
                            stroke-width=".8"
                        />
                    </g>
                    <g v-for="n in 5" :key="n">
                        <text :x="70 + (n - 0.5) * 64" y="114" text-anchor="middle" font-size="14" fill="var(--quiet)">
                            {{ n === 1 ? '1 light' : n === 5 ? '5 rich' : n }}
                        </text>
                    </g>
                </svg>
            </div>
            <HeadAdvice :head="kept" />
        </div>
        <section>
            <h2 v-if="kept" class="mb-3">What is known of {{ kept.name }}</h2>
            <HeadForm :head="kept" :errors="errors" :busy="describe.isPending.value || change.isPending.value" @save="save" />
        </section>
        <UiDialog :open="asking" title="Delete this head?" @close="asking = false">
            <p>This deletes {{ kept?.name }}, its crown map, the routines and everything recorded of them. It cannot be undone.</p>
            <div class="mt-4 flex gap-3">
                <button type="button" class="act" @click="remove">Delete for good</button>
                <button type="button" class="act-quiet" @click="asking = false">Keep</button>
            </div>
        </UiDialog>
    </div>
</template>
