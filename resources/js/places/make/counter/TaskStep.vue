<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Schemas } from '../../../api/client';
import type { Act } from '../../../queries/counter';
import { written } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import { num, sayTime } from '../../../ui/words';
import { gateCelsius, gateMinutes } from './figures';
import ProbePanel from './ProbePanel.vue';
import { forgotten } from './stops';

/** One thing to do: what, how warm, how long, by which sign, why, and what can hurt. */
const props = defineProps<{ batch: Schemas['Batch']; task: Schemas['Task']; errors: Record<string, string[]> }>();
const emit = defineEmits<{ act: [act: Act, settles: boolean]; go: [key: string] }>();
const minutes = ref('');
const asks = ref(false);
const reason = ref('');
const missing = computed(() => forgotten(props.batch, props.task));
const named = computed(() => props.batch.weighings.filter((w) => props.task.lines.includes(w.line)));
const timed = computed(() => props.task.waits || props.task.gate.minutes !== null);
const cools = computed(() => ['cool', 'chill', 'set'].includes(props.task.kind));
watch(
    () => props.task.id,
    () => {
        const best = props.task.gate.minutes?.best;
        minutes.value = best === undefined ? '' : String(Math.max(1, Math.round(best)));
        asks.value = false;
        reason.value = '';
    },
    { immediate: true },
);
function start(of: number | null, label = ''): void {
    if (of === null || !Number.isFinite(of)) return;
    emit(
        'act',
        {
            kind: 'time',
            body: { task: props.task.id, minutes: of, label: label || props.task.act.slice(0, 60), at: new Date().toISOString() },
        },
        false,
    );
}
const tick = (done: boolean, skipped = ''): void =>
    emit('act', { kind: 'tick', body: { task: props.task.id, done, ...(skipped && { skipped }) } }, done);
</script>

<template>
    <h2 class="counter-head">{{ task.act }}</h2>
    <p v-if="named.length > 0" class="text-[18px]">
        {{ named.map((w) => w.name).join(', ') }}
    </p>
    <div v-if="task.gate.celsius || gateMinutes(task)" class="mt-2 flex flex-wrap items-baseline gap-x-8 leading-none">
        <span v-if="task.gate.celsius" class="whitespace-nowrap">
            <span class="counter-figure">{{ gateCelsius(task) }}</span>
            <span class="unit text-[28px]">°C</span>
        </span>
        <span v-if="gateMinutes(task)" class="whitespace-nowrap">
            <span class="counter-figure">{{ gateMinutes(task) }}</span>
            <span class="unit text-[28px]">min</span>
        </span>
    </div>
    <p v-if="task.gate.sign" class="mt-2 text-[20px]">{{ task.gate.sign }}</p>
    <p v-if="task.gate.reason" class="quiet">{{ task.gate.reason }}</p>
    <p v-if="task.caution" class="said-caution mt-1 font-semibold">{{ task.caution }}</p>
    <p v-if="task.volumes.length > 0" class="mt-1">
        In the bowl, estimated:
        <span v-for="v in task.volumes" :key="v.minutes" class="mr-3 whitespace-nowrap">
            {{ v.minutes === 0 ? 'before' : `${v.minutes} min` }} {{ num(v.millilitres.best, 0) }} ml
        </span>
    </p>
    <div v-if="task.doubt" class="bg-caution-wash mt-3 rounded p-3" role="note">
        <p class="font-semibold">{{ task.doubt }}</p>
        <p v-if="task.hers && task.hers !== task.act" class="quiet">You wrote: {{ task.hers }}</p>
    </div>
    <div v-if="missing.length > 0 && !task.done" class="bg-stop-wash mt-3 rounded p-3" role="alert">
        <p class="said-stop font-semibold">Not weighed yet: {{ missing.map((w) => w.name).join(', ') }}.</p>
        <button type="button" class="counter-quiet" @click="emit('go', `weigh ${missing[0]?.line}`)">Weigh it now</button>
    </div>
    <form v-if="timed && !task.done" class="mt-4 flex flex-wrap items-end gap-3" @submit.prevent="start(written(minutes))">
        <FormField v-slot="{ field }" label="Minutes" :problem="errors['minutes']">
            <input
                v-bind="field"
                v-model="minutes"
                inputmode="decimal"
                maxlength="6"
                class="field !min-h-14 !w-28 !text-[24px] font-bold"
            />
        </FormField>
        <button class="counter-quiet">Start the clock</button>
    </form>
    <p v-if="task.done" class="mt-3 font-semibold">
        {{ task.skipped ? `Passed over: ${task.skipped}` : 'Done' }}{{ task.at ? `, ${sayTime(task.at)}, ${task.by}` : '' }}
    </p>
    <div class="mt-5 flex flex-wrap gap-3">
        <button v-if="!task.done" type="button" class="counter-act" @click="tick(true)">Done</button>
        <button v-else type="button" class="counter-quiet" @click="tick(false)">It is not done after all</button>
        <button v-if="!task.done && !asks" type="button" class="counter-quiet" @click="asks = true">Skip this step</button>
    </div>
    <form v-if="asks && !task.done" class="mt-3 flex flex-wrap items-end gap-3" @submit.prevent="tick(true, reason)">
        <label class="min-w-64 flex-1">
            <span class="label">Why it is passed over</span>
            <input v-model="reason" class="field !min-h-14" maxlength="200" required />
        </label>
        <button class="counter-quiet">Skip this step</button>
    </form>
    <ProbePanel
        v-if="cools"
        class="mt-4"
        :task="task"
        :errors="errors"
        @act="emit('act', $event, false)"
        @time="(m, label) => start(m, label)"
    >
        <template #probe="slot"><slot name="probe" v-bind="slot" /></template>
    </ProbePanel>
    <p v-if="errors['task']" class="said-stop mt-2 font-semibold" role="alert">{{ errors['task'][0] }}</p>
    <p v-if="batch.factor > 1" class="quiet mt-3">All amounts are {{ num(batch.factor, 2) }} times what was planned.</p>
</template>
