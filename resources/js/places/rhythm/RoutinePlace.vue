<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import type { Schemas } from '../../api/client';
import { routineQuery, useBringBackRoutine, usePutAwayRoutine, useTickDay } from '../../queries/routines';
import { useLinkRoutine } from '../../queries/links';
import JarView from '../../jar/JarView.vue';
import { tell, tellProblem } from '../../ui/notice';
import LinkShown from '../../ui/LinkShown.vue';
import { useSession } from '../../ui/session';
import { usePutAway } from '../../ui/usePutAway';
import TouchedBy from '../../ui/TouchedBy.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { daysFromToday, longDate, num, sayDate } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';

/** One routine: its patch test, its days, and what was done. */

const props = defineProps<{ id: string }>();
const { data, isPending, error, refetch } = useQuery(routineQuery(Number(props.id)));
const ticking = useTickDay(Number(props.id));
const putAway = usePutAway('/rhythm', usePutAwayRoutine().mutateAsync, useBringBackRoutine().mutateAsync);
const used = computed(
    () => (data.value?.days ?? []).filter((d) => d.act === 'application' && d.state === 'done').length * (data.value?.grams_per_use ?? 0),
);
/** What there was to use up for this head alone; null where each is made fresh or the jars are shared. */
const whole = computed(() => (data.value && data.value.shared_by === 1 ? data.value.grams_in_jar : null));
const left = computed(() => (whole.value ? Math.max(0, 1 - used.value / whole.value) : 1));

const session = useSession();
const linking = useLinkRoutine();
const link = ref('');
async function share(): Promise<void> {
    try {
        link.value = (await linking.mutateAsync(Number(props.id))).link;
    } catch (e) {
        tellProblem(e);
    }
}

async function tick(day: Schemas['RoutineDay'], state: Schemas['RoutineTick']['state']): Promise<void> {
    const before = day.state;
    try {
        await ticking.mutateAsync({ day: day.id, state });
        if (before !== state) tell('Noted.', { undo: () => void tick({ ...day, state }, before) });
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the routine" @again="refetch">
        <div v-if="data" class="grid gap-8 lg:grid-cols-[150px_minmax(0,1fr)_minmax(0,20rem)]">
            <div>
                <JarView
                    :width="150"
                    :height="260"
                    :bands="[{ id: 'rest', name: '', percent: 100, matter: 'liquid' }]"
                    :fill="left"
                    :label="whole ? `About ${num(left * 100, 0)} % of it is left` : data.product"
                />
                <p v-if="whole" class="mt-2 text-[14px]">
                    about
                    <span class="fig fig-estimated">{{ num(Math.max(0, whole - used), 0) }}</span>
                    <span class="unit">g of {{ num(whole) }} left{{ data.jars > 1 ? ` in ${data.jars} jars` : '' }}</span>
                </p>
                <p v-else-if="data.grams_in_jar === null" class="mt-2 text-[14px]">
                    Made fresh each time; what is left over is thrown away.
                </p>
                <p v-else class="mt-2 text-[14px]">
                    {{ num(data.grams_in_jar) }} g{{ data.jars > 1 ? ` in ${data.jars} jars` : '' }}, shared by
                    {{ data.shared_by }} routines
                </p>
            </div>
            <div>
                <h1>
                    {{ data.head }}: {{ data.product }}
                    <HowLink of="rhythm" what="a rhythm" />
                </h1>
                <TouchedBy :touched="data.touched" />
                <p class="quiet mt-1">
                    {{ data.per_week === 1 ? 'Once' : `${data.per_week} times` }} a week, {{ num(data.grams_per_use) }} g each time{{
                        data.strokes ? ` (${data.strokes})` : ''
                    }}{{ data.way ? `. ${data.way}` : '' }}
                    <button type="button" class="act-quiet" @click="putAway(Number(id), `${data.head}: ${data.product}`)">Put away</button>
                    <button v-if="session.may('make')" type="button" class="act-quiet" @click="share">Give {{ data.head }} a link</button>
                </p>
                <LinkShown v-if="link" class="mt-3" :link="link" :says="`${data.head} sees this routine by it, and nothing else.`" />
                <div v-if="data.withdrawn.length > 0" class="bg-stop-wash said-stop mt-3 rounded p-3 font-semibold">
                    It must not be used any more. {{ data.withdrawn.join(' ') }}
                </div>
                <p v-if="data.although" class="mt-2">
                    <strong>Used all the same:</strong>
                    {{ data.although }}
                </p>
                <p v-if="data.state === 'stopped'" class="bg-stop-wash said-stop mt-3 rounded p-3 font-semibold">
                    Stopped: the patch test showed a reaction. Wash it off; if it does not calm down, see a clinician.
                </p>
                <ol class="mt-5">
                    <li
                        v-for="day in data.days"
                        :key="day.id"
                        class="row-line flex flex-wrap items-center gap-x-4 gap-y-1 py-2"
                        :class="day.state === 'skipped' ? 'quiet' : ''"
                    >
                        <span class="w-48 shrink-0">{{ sayDate(day.date) }}</span>
                        <span class="min-w-44 flex-1">{{ day.words }}</span>
                        <span
                            v-if="day.state !== 'planned'"
                            class="font-semibold"
                            :class="day.state === 'reacted' ? 'said-stop' : day.state === 'done' ? 'text-good' : 'quiet'"
                        >
                            {{ day.act === 'patch-reading' && day.state === 'done' ? 'calm' : day.state }}
                            <button
                                type="button"
                                class="act-quiet"
                                :aria-label="`Take back ${day.state}, ${sayDate(day.date)}`"
                                @click="tick(day, 'planned')"
                            >
                                Take back
                            </button>
                        </span>
                        <span v-else-if="daysFromToday(day.date) <= 0">
                            <template v-if="day.act === 'patch-reading'">
                                <button type="button" class="act-quiet" @click="tick(day, 'done')">Skin is calm</button>
                                <button type="button" class="act-quiet act-stop" @click="tick(day, 'reacted')">It reacted</button>
                            </template>
                            <template v-else>
                                <button type="button" class="act-quiet" @click="tick(day, 'done')">Done</button>
                                <button v-if="day.act === 'application'" type="button" class="act-quiet" @click="tick(day, 'skipped')">
                                    Skipped
                                </button>
                            </template>
                        </span>
                    </li>
                </ol>
                <p v-if="data.ends_words && data.withdrawn.length === 0" class="mt-3 font-semibold">{{ data.ends_words }}</p>
            </div>
            <div>
                <dl class="grid grid-cols-[8rem_1fr] gap-x-3 gap-y-1.5">
                    <template v-if="data.ends_on">
                        <dt class="quiet">Last use</dt>
                        <dd>{{ longDate(data.ends_on) }}</dd>
                    </template>
                    <dt v-if="data.grams_in_jar !== null" class="quiet">Best before</dt>
                    <dd v-if="data.grams_in_jar !== null">
                        {{ data.best_before ? longDate(data.best_before) : 'cannot tell' }}
                        <span v-if="data.store" class="said-caution block font-semibold">{{ data.store }}</span>
                    </dd>
                    <dt class="quiet">Worth making</dt>
                    <dd>
                        <template v-if="data.worth_making_grams !== null">
                            <span class="fig fig-estimated">{{ num(data.worth_making_grams, data.worth_making_grams < 100 ? 1 : 0) }}</span>
                            <span class="unit">{{ data.grams_in_jar === null ? 'g, for one use' : 'g at this rhythm' }}</span>
                        </template>
                        <template v-else>cannot tell</template>
                    </dd>
                </dl>
                <ul class="mt-5 space-y-2">
                    <li
                        v-for="finding in data.fit"
                        :key="finding.code + finding.lines.join()"
                        class="border-l-4 pl-3"
                        :style="{ borderColor: `var(--${finding.severity})` }"
                    >
                        {{ finding.message }}
                    </li>
                </ul>
                <ul class="quiet mt-5 space-y-1.5 text-[14px]">
                    <li v-for="caution in data.cautions" :key="caution">{{ caution }}</li>
                </ul>
            </div>
        </div>
    </WaitOrProblem>
</template>
