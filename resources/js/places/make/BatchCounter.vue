<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { useWakeLock } from '@vueuse/core';
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { computed, nextTick, onMounted, ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { batchQuery, isBatch, useBringBackBatch, useFinishBatch, usePutAwayBatch, useTickTask, useWeigh } from '../../queries/batches';
import JarPick from '../studio/JarPick.vue';
import BatchStops from './BatchStops.vue';
import { written } from '../../ui/events';
import FormProblem from '../../ui/FormProblem.vue';
import { tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';
import { usePutAway } from '../../ui/usePutAway';
import { fixed, num, sayTime } from '../../ui/words';

/** A batch being made, stage by stage, to be read from a metre away. */

const props = defineProps<{ batch: Schemas['Batch'] }>();
const client = useQueryClient();
const stages = ['Gather', 'Weigh', 'Make', 'Fill'] as const;
const stage = ref(props.batch.weighings.every((w) => w.actual_grams !== null) ? 2 : props.batch.weighings.every((w) => w.gathered) ? 1 : 0);
const at = ref(
    Math.max(
        0,
        props.batch.weighings.findIndex((w) => w.actual_grams === null),
    ),
);
const shown = ref('');
const errors = ref<Record<string, string[]>>({});
const jars = ref(props.batch.formula.size.jars ?? 1);
const jarMl = ref(props.batch.formula.size.millilitres ?? 100);
const session = useSession();
const net = ref('');
/** A jar of the kit whose empty weight is known can be weighed full. */
const full = ref('');
const jarOfKit = ref<{ id: number; name: string; tareGrams: number } | null>(null);
const note = ref('');
const although = ref('');
const weighing = useWeigh();
const ticking = useTickTask();
const finishing = useFinishBatch();
const putAway = usePutAway('/make', usePutAwayBatch().mutateAsync, useBringBackBatch().mutateAsync);
const busy = computed(() => weighing.isPending.value || ticking.isPending.value || finishing.isPending.value);
const input = ref<HTMLInputElement | null>(null);
const byScale = ref(false);

const current = computed(() => props.batch.weighings[at.value]);
const gathered = computed(() => props.batch.weighings.filter((w) => w.gathered).length);
const weighed = computed(() => props.batch.weighings.filter((w) => w.actual_grams !== null).length);
const missing = computed(() => props.batch.weighings.length - weighed.value);
const total = computed(() => props.batch.weighings.reduce((sum, w) => sum + (w.actual_grams ?? 0), 0));

const key = batchQuery(props.batch.id).queryKey;
/** Based on what the write before this one brought, which the screen may not show yet. */
const revision = (): number => client.getQueryData(key)?.revision ?? props.batch.revision;

/** What was refused is said; what someone else did meanwhile is shown. */
async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    try {
        await work();
        errors.value = {};
        return true;
    } catch (e) {
        if (e instanceof Problem && e.status === 409 && isBatch(e.current)) {
            client.setQueryData(key, e.current);
            tellProblem(new Error('Someone weighed at the same time. Their entries are shown now; enter yours again.'));
        } else if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
        return false;
    }
}
type Put = Pick<Schemas['WeighAsk'], 'grams' | 'how' | 'drops'>;
const put = (w: Schemas['Weighing'], gathered: boolean, what: Put): Promise<boolean> =>
    attempt(() => weighing.mutateAsync({ id: props.batch.id, body: () => ({ revision: revision(), line: w.line, gathered, ...what }) }));
/** What is known of a line as it stands, to be sent again with whether it is gathered. */
const standing = (w: Schemas['Weighing']): Put => (w.how ? { grams: w.actual_grams, how: w.how, drops: w.actual_drops } : { grams: null });
const tick = (task: Schemas['Task']): Promise<boolean> =>
    attempt(() => ticking.mutateAsync({ id: props.batch.id, body: () => ({ revision: revision(), task: task.kind, done: !task.done }) }));
/** A line written in drops is counted, unless the maker would rather weigh it. */
const counts = computed(() => !!current.value && current.value.target_drops !== null && !byScale.value);
async function enter(): Promise<void> {
    const figure = written(String(shown.value));
    if (figure === null || !Number.isFinite(figure)) {
        errors.value = { grams: [counts.value ? 'Enter how many drops fell.' : 'Enter what the scale shows, in grams.'] };
        return;
    }
    await settle(counts.value ? { grams: null, how: 'counted', drops: figure } : { grams: figure, how: 'weighed' });
}
/** Says of the line on show what went in of it, and goes on to the next. */
async function settle(what: Put): Promise<void> {
    const w = current.value;
    if (!w || !(await put(w, true, what))) return;
    shown.value = '';
    const next = props.batch.weighings.findIndex((x, i) => x.actual_grams === null && i !== at.value);
    if (next >= 0) go(next);
    else stage.value = 2;
}
function go(to: number): void {
    at.value = Math.max(0, Math.min(props.batch.weighings.length - 1, to));
    const line = props.batch.weighings[at.value];
    byScale.value = line?.how === 'weighed';
    shown.value = String((line?.how === 'counted' ? line.actual_drops : line?.how === 'weighed' ? line.actual_grams : null) ?? '');
    errors.value = {};
    void nextTick(() => input.value?.focus());
}
function taken(jar: { id: number; name: string; tareGrams: number; fillMl: number }): void {
    jarMl.value = jar.fillMl;
    jarOfKit.value = jar.tareGrams > 0 ? jar : null;
}
async function finish(): Promise<void> {
    errors.value = {};
    await attempt(() =>
        finishing.mutateAsync({
            id: props.batch.id,
            body: {
                revision: props.batch.revision,
                jars: Number(jars.value),
                jar_ml: Number(jarMl.value),
                net_grams: written(String(net.value)),
                ...(jarOfKit.value && { full_grams: written(String(full.value)), jar: jarOfKit.value.id }),
                note: note.value,
                although: although.value,
            },
        }),
    );
}

// The screen stays awake while something is being made, where the browser allows it.
const wake = useWakeLock();
onMounted(() => void wake.request('screen').catch(() => undefined));
</script>

<template>
    <div class="max-w-3xl">
        <p class="quiet">
            Lot {{ batch.lot_code }}
            <button type="button" class="act-quiet" @click="putAway(batch.id, batch.title)">Put away</button>
        </p>
        <h1>{{ batch.title }}</h1>
        <BatchStops :batch="batch" />
        <TabGroup :selected-index="stage" @change="(to) => (stage = to)">
            <TabList class="border-rule mt-4 flex border-b" aria-label="Stages">
                <Tab v-for="word in stages" :key="word" v-slot="{ selected }" as="template">
                    <button class="min-h-14 flex-1 font-head text-[17px]" :class="selected ? 'text-lead stage-here font-bold' : 'text-ink'">
                        {{ word }}
                    </button>
                </Tab>
            </TabList>
            <TabPanels>
                <TabPanel class="mt-4">
                    <p>
                        Put everything on the counter first, so that nothing is forgotten. {{ gathered }} of {{ batch.weighings.length }}.
                    </p>
                    <ul class="mt-2">
                        <li v-for="w in batch.weighings" :key="w.line" class="row-line">
                            <button
                                type="button"
                                class="flex min-h-14 w-full items-center gap-4 text-left"
                                :aria-pressed="w.gathered"
                                :disabled="busy"
                                @click="put(w, !w.gathered, standing(w))"
                            >
                                <span
                                    class="border-lead flex h-8 w-8 shrink-0 items-center justify-center rounded border-2 font-bold"
                                    :class="w.gathered ? 'bg-lead text-on-lead' : ''"
                                >
                                    {{ w.gathered ? '✓' : '' }}
                                </span>
                                <span class="flex-1 text-[19px]">{{ w.name }}</span>
                                <span class="text-[17px]">
                                    {{ w.target_drops ?? num(w.target_grams) }}
                                    <span class="unit">{{ w.target_drops === null ? 'g' : w.target_drops === 1 ? 'drop' : 'drops' }}</span>
                                </span>
                            </button>
                        </li>
                    </ul>
                    <button type="button" class="counter-act mt-4" @click="stage = 1">Weigh</button>
                </TabPanel>

                <TabPanel class="mt-4">
                    <template v-if="current">
                        <p class="quiet">
                            {{ current.phase_label }}, line {{ at + 1 }} of {{ batch.weighings.length }}, {{ weighed }} weighed
                        </p>
                        <p class="mt-1 font-head text-[30px] leading-tight font-bold">{{ current.name }}</p>
                        <template v-if="counts">
                            <p class="mt-2 leading-none">
                                <span class="text-[76px] font-bold">{{ current.target_drops }}</span>
                                <span class="unit text-[32px]">{{ current.target_drops === 1 ? ' drop' : ' drops' }}</span>
                            </p>
                            <p class="quiet">about {{ num(current.target_grams) }} g, {{ num(current.drop_grams ?? 0) }} g a drop</p>
                        </template>
                        <template v-else>
                            <p class="mt-2 leading-none">
                                <span class="text-[76px] font-bold">
                                    {{ fixed(current.target_grams, current.target_grams < 10 ? 2 : 1) }}
                                </span>
                                <span class="unit text-[32px]">g</span>
                            </p>
                            <p class="quiet">within {{ num(current.tolerance_grams) }} g</p>
                        </template>
                        <form class="mt-4" @submit.prevent="enter">
                            <label>
                                <span class="label">{{ counts ? 'Drops that fell' : 'The scale shows, grams' }}</span>
                                <input
                                    ref="input"
                                    v-model="shown"
                                    inputmode="decimal"
                                    autocomplete="off"
                                    class="field !min-h-20 !w-64 !text-[44px] font-bold"
                                    :aria-invalid="!!errors['grams']"
                                />
                            </label>
                            <FormProblem v-for="field in ['grams', 'drops', 'how']" :key="field" :errors="errors" :field="field" />
                            <p v-if="current.how === 'left-out'" class="said-caution mt-2 font-semibold">Left out.</p>
                            <p v-else-if="current.how === 'too-little'" class="mt-2">
                                In it, too little for the scale: {{ num(current.target_grams) }} g counts, as uncertain as the scale is.
                            </p>
                            <p v-else-if="current.within === false && current.how === 'counted'" class="said-caution mt-2 font-semibold">
                                {{ current.actual_drops }} drops instead of {{ current.target_drops }}. The record keeps what went in.
                            </p>
                            <p v-else-if="current.within === false" class="said-caution mt-2 font-semibold">
                                {{ num(Math.abs((current.actual_grams ?? 0) - current.target_grams)) }} g
                                {{ (current.actual_grams ?? 0) > current.target_grams ? 'over' : 'under' }}. The record keeps what was truly
                                weighed and works the shares out anew.
                            </p>
                            <div class="mt-4 flex flex-wrap gap-3">
                                <button class="counter-act" :disabled="busy">{{ counts ? 'Counted' : 'Weighed' }}</button>
                                <button
                                    v-if="current.too_little && !counts"
                                    type="button"
                                    class="act-quiet !min-h-14"
                                    :disabled="busy"
                                    @click="settle({ grams: null, how: 'too-little' })"
                                >
                                    In it, too little to show
                                </button>
                                <button
                                    v-if="current.target_drops !== null"
                                    type="button"
                                    class="act-quiet !min-h-14"
                                    @click="byScale = !byScale"
                                >
                                    {{ byScale ? 'Count drops' : 'Weigh it instead' }}
                                </button>
                                <button
                                    type="button"
                                    class="act-quiet !min-h-14"
                                    :disabled="busy"
                                    @click="settle({ grams: null, how: 'left-out' })"
                                >
                                    Left it out
                                </button>
                                <button type="button" class="act-quiet !min-h-14" :disabled="at === 0" @click="go(at - 1)">Back</button>
                                <button
                                    type="button"
                                    class="act-quiet !min-h-14"
                                    :disabled="at >= batch.weighings.length - 1"
                                    @click="go(at + 1)"
                                >
                                    Skip for now
                                </button>
                            </div>
                        </form>
                    </template>
                </TabPanel>

                <TabPanel class="mt-4">
                    <ol class="space-y-4">
                        <li v-for="(task, i) in batch.tasks" :key="task.kind" class="row-line pb-3">
                            <button
                                type="button"
                                class="grid min-h-14 w-full grid-cols-[3rem_1fr] items-start gap-x-2 text-left"
                                :aria-pressed="task.done"
                                :disabled="busy"
                                @click="tick(task)"
                            >
                                <span
                                    class="border-lead flex h-9 w-9 items-center justify-center rounded border-2 font-head text-[20px] font-bold"
                                    :class="task.done ? 'bg-lead text-on-lead' : ''"
                                >
                                    {{ task.done ? '✓' : i + 1 }}
                                </span>
                                <span>
                                    <span class="text-[19px]">{{ task.act }}</span>
                                    <span class="quiet block">{{ task.gate }}</span>
                                    <span v-if="task.at" class="quiet block">Done {{ sayTime(task.at) }}, {{ task.by }}</span>
                                </span>
                            </button>
                        </li>
                    </ol>
                    <button type="button" class="counter-act mt-4" @click="stage = 3">Fill the jars</button>
                </TabPanel>

                <TabPanel class="mt-4">
                    <p>
                        {{ num(total) }} g were weighed.
                        {{ missing > 0 ? `${missing} ${missing === 1 ? 'line is' : 'lines are'} still to weigh.` : '' }}
                    </p>
                    <form class="mt-3 grid max-w-xl grid-cols-3 gap-4" @submit.prevent="finish">
                        <JarPick v-if="session.may('make')" class="col-span-3" label="Jar of the kit" @choose="taken" />
                        <label>
                            <span class="label">Jars filled</span>
                            <input v-model="jars" type="number" min="1" class="field !min-h-14 !text-xl" />
                        </label>
                        <label>
                            <span class="label">Jar, ml</span>
                            <input v-model="jarMl" type="number" min="1" step="any" class="field !min-h-14 !text-xl" />
                        </label>
                        <label>
                            <span class="label">Net in one, grams</span>
                            <input
                                v-model="net"
                                inputmode="decimal"
                                class="field !min-h-14 !text-xl"
                                :aria-invalid="!!errors['net_grams']"
                            />
                        </label>
                        <label v-if="jarOfKit" class="col-span-3">
                            <span class="label">Or one weighed full with its lid, grams ({{ num(jarOfKit.tareGrams, 1) }} g empty)</span>
                            <input
                                v-model="full"
                                inputmode="decimal"
                                class="field !min-h-14 !w-48 !text-xl"
                                :aria-invalid="!!errors['full_grams']"
                            />
                        </label>
                        <label class="col-span-3">
                            <span class="label">Note: what went otherwise than planned</span>
                            <textarea v-model="note" class="field" rows="2" maxlength="2000" />
                        </label>
                        <label v-if="errors['although'] || although" class="col-span-3">
                            <span class="label">Why it is kept all the same; this stands on the record</span>
                            <textarea v-model="although" class="field" rows="2" maxlength="500" />
                        </label>
                        <div class="col-span-3">
                            <FormProblem
                                v-for="field in ['jars', 'jar_ml', 'net_grams', 'full_grams', 'weighings', 'state', 'although']"
                                :key="field"
                                :errors="errors"
                                :field="field"
                            />
                            <button class="counter-act mt-2" :disabled="busy">Done: keep the record</button>
                        </div>
                    </form>
                </TabPanel>
            </TabPanels>
        </TabGroup>
    </div>
</template>

<style scoped>
.stage-here {
    box-shadow: inset 0 -3px 0 var(--lead);
}
</style>
