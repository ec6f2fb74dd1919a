<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { useWakeLock } from '@vueuse/core';
import { computed, onMounted, ref, toRef } from 'vue';
import type { Schemas } from '../../api/client';
import { batchQuery, useBringBackBatch, usePutAwayBatch } from '../../queries/batches';
import { keepShell } from '../../api/keepShell';
import type { Act } from '../../queries/counter';
import UiDialog from '../../ui/UiDialog.vue';
import { useSession } from '../../ui/session';
import { usePutAway } from '../../ui/usePutAway';
import BatchStops from './BatchStops.vue';
import CloseStep from './counter/CloseStep.vue';
import GatherStep from './counter/GatherStep.vue';
import { stopsOf } from './counter/stops';
import TaskStep from './counter/TaskStep.vue';
import TimerStrip from './counter/TimerStrip.vue';
import ProbeStandIn from './counter/ProbeStandIn.vue';
import RehearsalEnd from './counter/RehearsalEnd.vue';
import ScalePanel from './counter/ScalePanel.vue';
import { useActs } from './counter/useActs';
import { useScale } from './counter/useScale';
import WeighStep from './counter/WeighStep.vue';

/** A batch being made, one step at a time, to be read from a metre away. */
const props = defineProps<{ batch: Schemas['Batch'] }>();
/** Two may work at one counter: what the other did is seen within two seconds. */
useQuery({ ...batchQuery(props.batch.id), refetchInterval: 2000, staleTime: 0 });
const { act, shown, away, errors, waiting } = useActs(toRef(props, 'batch'));
const stops = computed(() => stopsOf(shown.value));
const first = (): string => stops.value.find((s) => !s.done)?.key ?? 'close';
const here = ref(first());
const at = computed(() =>
    Math.max(
        0,
        stops.value.findIndex((s) => s.key === here.value),
    ),
);
const stop = computed(() => stops.value[at.value]);
const next = computed(() => stops.value[at.value + 1]);
const line = computed(() => shown.value.weighings.find((w) => stop.value?.kind === 'weigh' && w.line === stop.value.line));
const task = computed(() => shown.value.tasks.find((t) => stop.value?.kind === 'task' && t.id === stop.value.task));
const list = ref(false);
const session = useSession();
/** A rehearsal and its stand-ins run so many times as fast. */
const FAST = 20;
const speed = props.batch.rehearsal ? FAST : 1;
/** With real jars there are no stand-ins, but in the studio that shows how it all works. */
const practice = props.batch.rehearsal || (session.studio?.demo ?? false);
const scale = useScale(session.studio?.scale_grams || 1, speed);
const putAway = usePutAway('/make', usePutAwayBatch().mutateAsync, useBringBackBatch().mutateAsync);

function show(key: string | undefined): void {
    if (key) here.value = key;
    errors.value = {};
}
function go(key: string | undefined): void {
    show(key);
    list.value = false;
}
/** Where it is settled, the next that is open is shown. */
async function done(what: Act, settles: boolean): Promise<void> {
    const from = here.value;
    const well = await act(
        what.kind === 'time' ? { ...what, body: { ...what.body, minutes: Math.max(0.1, what.body.minutes / speed) } } : what,
    );
    if (!well || !settles || here.value !== from) return;
    const after = stops.value.slice(at.value + 1).find((s) => !s.done) ?? stops.value.find((s) => !s.done);
    // The list of all steps stays open where it was opened meanwhile.
    show(after?.key ?? 'close');
}

// The screen stays awake while something is being made, where the browser allows it.
const wake = useWakeLock();
onMounted(() => void wake.request('screen').catch(() => undefined));
onMounted(() => void keepShell());
</script>

<template>
    <div class="max-w-4xl">
        <p class="quiet flex flex-wrap items-center gap-x-3">
            <span>{{ batch.rehearsal ? batch.title : `${batch.title}, lot ${batch.lot_code}` }}</span>
            <span v-if="away" class="said-caution font-semibold" role="status">
                No network. {{ waiting.length }} {{ waiting.length === 1 ? 'entry is' : 'entries are' }} kept here and sent when it is back.
            </span>
            <strong v-if="batch.rehearsal" class="said-caution">
                A rehearsal: nothing of it is kept. Clocks and stand-ins run {{ FAST }} times as fast.
            </strong>
            <a v-if="!batch.rehearsal" :href="`/papers/batches/${batch.id}/make.pdf`" target="_blank" class="act-quiet">
                Print the make sheet
            </a>
            <button v-if="!batch.rehearsal && session.may('make')" type="button" class="act-quiet" @click="putAway(batch.id, batch.title)">
                Put away
            </button>
        </p>
        <h1 class="sr-only">{{ batch.title }}</h1>
        <BatchStops :batch="batch" />
        <div v-if="shown.stops_now.length > 0" class="bg-stop-wash mt-3 rounded p-3" role="alert" aria-label="By what was weighed">
            <p v-for="why in shown.stops_now" :key="why" class="said-stop font-semibold">By what was weighed: {{ why }}</p>
        </div>
        <TimerStrip :timers="shown.timers" :now="batch.now" @stop="(timer) => act({ kind: 'stop', timer })" />
        <div class="mt-3 flex items-center gap-3">
            <button type="button" class="counter-quiet" @click="list = true">Step {{ at + 1 }} of {{ stops.length }}</button>
            <div class="bg-rule h-2 flex-1 overflow-hidden rounded" aria-hidden="true">
                <div class="bg-lead h-full" :style="{ width: `${(100 * stops.filter((s) => s.done).length) / stops.length}%` }" />
            </div>
        </div>
        <section class="mt-3" aria-live="polite" aria-label="This step">
            <GatherStep v-if="stop?.kind === 'gather'" :batch="shown" @act="(a) => done(a, false)" />
            <WeighStep v-else-if="line" :batch="shown" :line="line" :errors="errors" :away="away" @act="done">
                <template #scale="{ take, counts }">
                    <ScalePanel
                        v-if="!counts"
                        :at="scale"
                        :target="line.target_grams"
                        :line="line.line"
                        :practice="practice"
                        @take="take"
                    />
                </template>
            </WeighStep>
            <TaskStep v-else-if="task" :batch="shown" :task="task" :errors="errors" @act="done" @go="go">
                <template #probe="{ take }">
                    <ProbeStandIn v-if="practice" :step="0.5" :speed="speed" @take="take" />
                </template>
            </TaskStep>
            <RehearsalEnd v-else-if="batch.rehearsal" :batch="shown" />
            <CloseStep v-else :batch="shown" :waiting="waiting.length" @go="go" />
        </section>
        <nav class="border-rule mt-6 flex flex-wrap items-center gap-3 border-t pt-3" aria-label="Steps">
            <button type="button" class="counter-quiet" :disabled="at === 0" @click="go(stops[at - 1]?.key)">Back</button>
            <button v-if="next" type="button" class="counter-quiet min-w-0 flex-1 text-left" @click="go(next.key)">
                <span class="quiet mr-2">Next</span>
                {{ next.title }}
            </button>
        </nav>
        <UiDialog :open="list" title="All steps" wide @close="list = false">
            <ol>
                <li v-for="(s, n) in stops" :key="s.key" class="row-line">
                    <button
                        type="button"
                        class="flex min-h-14 w-full items-center gap-3 text-left"
                        :aria-current="s.key === here ? 'step' : undefined"
                        @click="go(s.key)"
                    >
                        <span
                            class="border-lead flex h-8 w-8 shrink-0 items-center justify-center rounded border-2 font-bold"
                            :class="s.done ? 'bg-lead text-on-lead' : ''"
                        >
                            {{ s.done ? '✓' : n + 1 }}
                        </span>
                        <span :class="s.key === here ? 'font-bold' : ''">{{ s.title }}</span>
                    </button>
                </li>
            </ol>
        </UiDialog>
    </div>
</template>
