<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { Problem } from '../../api/client';
import { BATCHES, HEADS, ROUTINES } from '../../queries/lists';
import { usePlanRoutine } from '../../queries/routines';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import MoreRows from '../../ui/MoreRows.vue';
import { tellProblem } from '../../ui/notice';
import PickOne from '../../ui/PickOne.vue';
import { useSession } from '../../ui/session';
import { useEvery, useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { BAD, longDate, todayDate } from '../../ui/words';

/** All routines of the studio, and the start of a new one. */

const router = useRouter();
const { query, rows } = useList(ROUTINES);
const heads = useEvery(HEADS);
const batch = ref<{ token: string; name: string } | null>(null);
const errors = ref<Record<string, string[]>>({});
/** What the studio's own ways begin with. */
const begins = useSession().studio?.begins;
const draft = reactive({
    head_id: 0,
    per_week: begins?.per_week ?? 2,
    grams_per_use: begins?.grams_per_use ?? 3,
    starts_on: todayDate(),
    way: '',
    although: '',
});
/** What speaks against it on that head, until there is a reason. */
const speaksAgainst = computed(() => errors.value['although'] ?? []);
/** Filled in by what is used, as long as nobody has written another. */
let offered = '';
function used(kind: string): void {
    if (draft.way !== offered) return;
    offered = begins?.ways[kind] ?? '';
    draft.way = offered;
}
const STATES = { patch: 'waits for its patch test', running: 'running', stopped: 'stopped: the patch test reacted' };

// A reason is one for this, on this head.
watch([() => draft.head_id, batch], () => {
    draft.although = '';
    errors.value = {};
});

const planning = usePlanRoutine();
async function plan(): Promise<void> {
    errors.value = {};
    if (draft.head_id === 0) errors.value['head_id'] = ['Choose whose head it is for.'];
    if (!batch.value) errors.value['batch_id'] = ['Choose what is used.'];
    if (Object.keys(errors.value).length > 0) return;
    try {
        const routine = await planning.mutateAsync({ ...draft, batch_id: Number(batch.value?.token) });
        await router.push(`/rhythm/${routine.id}`);
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
</script>

<template>
    <div>
        <h1 class="mb-4">Rhythm</h1>
        <div class="grid gap-10 lg:grid-cols-[minmax(0,1fr)_minmax(0,22rem)]">
            <WaitOrProblem :pending="query.isPending.value" :error="query.error.value" what="the routines" @again="query.refetch">
                <ul v-if="rows.length > 0">
                    <li v-for="routine in rows" :key="routine.id" class="row-line">
                        <RouterLink
                            :to="`/rhythm/${routine.id}`"
                            class="text-ink grid gap-x-4 py-3 no-underline hover:bg-lead-wash sm:grid-cols-[minmax(0,1fr)_16rem]"
                        >
                            <span>
                                <span class="font-head text-[18px] font-semibold">{{ routine.head }}: {{ routine.product }}</span>
                                <span class="quiet block text-[13px]">
                                    {{ routine.per_week === 1 ? 'once' : `${routine.per_week} times` }} a week{{
                                        routine.way ? `, ${routine.way}` : ''
                                    }}
                                </span>
                                <span
                                    class="mt-1.5 flex gap-1"
                                    :aria-label="`${routine.days.filter((d) => d.state === 'done').length} of ${routine.days.length} days done`"
                                    role="img"
                                >
                                    <span
                                        v-for="day in routine.days"
                                        :key="day.id"
                                        class="h-3 w-3 rounded-full border"
                                        :style="{
                                            borderColor: 'var(--lead)',
                                            background:
                                                day.state === 'done'
                                                    ? 'var(--lead)'
                                                    : day.state === 'reacted'
                                                      ? 'var(--stop)'
                                                      : 'transparent',
                                            opacity: day.state === 'skipped' ? 0.35 : 1,
                                        }"
                                    />
                                </span>
                            </span>
                            <span class="sm:text-right">
                                <span v-if="routine.withdrawn.length > 0" class="said-stop font-semibold">{{ BAD }}</span>
                                <span
                                    v-else
                                    :class="
                                        routine.state === 'stopped'
                                            ? 'said-stop font-semibold'
                                            : routine.state === 'patch'
                                              ? 'said-caution font-semibold'
                                              : ''
                                    "
                                >
                                    {{ STATES[routine.state] }}
                                </span>
                                <span class="quiet block text-[13px]">
                                    {{ routine.ends_on ? `to ${longDate(routine.ends_on)}` : 'made fresh each time' }}
                                </span>
                            </span>
                        </RouterLink>
                    </li>
                </ul>
                <p v-else class="max-w-prose">
                    A routine is one finished batch on one head. It begins with a patch test; nothing is applied before that is read. For
                    example: Imani, the cloud butter, twice a week.
                </p>
                <MoreRows :query="query" />
            </WaitOrProblem>
            <form class="space-y-3" @submit.prevent="plan">
                <h2>Plan a routine</h2>
                <FormField v-slot="{ field }" label="Whose head" :problem="errors['head_id']">
                    <select v-bind="field" v-model.number="draft.head_id" class="field">
                        <option :value="0">choose</option>
                        <option v-for="head in heads" :key="head.id" :value="head.id">{{ head.name }}</option>
                    </select>
                </FormField>
                <PickOne
                    v-model="batch"
                    :list="BATCHES"
                    :asked="{ state: 'done' }"
                    label="What is used"
                    labelled
                    placeholder="a finished batch"
                    :say="(row) => `${row.title}, lot ${row.lot_code}`"
                    :may="(row) => !row.bad"
                    @taken="used($event.kind)"
                />
                <FormProblem :errors="errors" field="batch_id" />
                <div class="grid grid-cols-2 gap-3">
                    <FormField v-slot="{ field }" label="Times a week" :problem="errors['per_week']">
                        <input v-bind="field" v-model.number="draft.per_week" type="number" min="1" max="7" class="field" />
                    </FormField>
                    <FormField v-slot="{ field }" label="Grams each time" :problem="errors['grams_per_use']">
                        <input v-bind="field" v-model.number="draft.grams_per_use" type="number" min="0" step="any" class="field" />
                    </FormField>
                </div>
                <FormField v-slot="{ field }" label="Patch test on" :problem="errors['starts_on']">
                    <input v-bind="field" v-model="draft.starts_on" type="date" class="field" />
                </FormField>
                <FormField v-slot="{ field }" label="Way of using it (optional)" :problem="errors['way']">
                    <input v-bind="field" v-model="draft.way" class="field" maxlength="200" />
                </FormField>
                <FormField
                    v-if="speaksAgainst.length > 0 || draft.although"
                    v-slot="{ field }"
                    label="Why it is used all the same; this stays with the routine"
                    :problem="speaksAgainst"
                >
                    <textarea v-bind="field" v-model="draft.although" class="field" rows="2" maxlength="500" />
                </FormField>
                <button class="act" :disabled="planning.isPending.value">Plan it, patch test first</button>
            </form>
        </div>
    </div>
</template>
