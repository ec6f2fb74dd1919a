<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive, ref, watch } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { lotQuery, useAddLotPicture, useChangeLot, useEndJar, useMoveLot, useRemoveLotPicture, useWithdrawLot } from '../../queries/shelf';
import { keysOf, written } from '../../ui/events';
import FormProblem from '../../ui/FormProblem.vue';
import HowLink from '../../ui/HowLink.vue';
import KeptPictures from '../../ui/KeptPictures.vue';
import { tell, tellProblem } from '../../ui/notice';
import { chosenPicture } from '../../ui/picture';
import { useSession } from '../../ui/session';
import UiDialog from '../../ui/UiDialog.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { fixed, num, sayDate, todayDate } from '../../ui/words';
import BottleView from './BottleView.vue';
import LotFields from './LotFields.vue';
import MadeOf from './MadeOf.vue';
import UseItUp from './UseItUp.vue';
import TracePicture from './TracePicture.vue';

/** One bottle or jar: what is left, until when, what it cost, what moved, and what came of it. */
const props = defineProps<{ id: string }>();
const { data, isPending, error, refetch } = useQuery(lotQuery(Number(props.id)));
const moving = useMoveLot();
const changing = useChangeLot();
const withdrawing = useWithdrawLot();
const ending = useEndJar();
const picturing = useAddLotPicture(Number(props.id));
const unpicturing = useRemoveLotPicture();
const money = computed(() => useSession().studio?.currency ?? '');
/** Only jars that were made here are opened one by one; of a bottle its day is said. */
const acts = computed(() => keysOf(ACTS).filter((kind) => kind !== 'opened' || data.value?.batch_id));
/** Jars in use, which are not empty yet. */
const inUse = computed(() => (data.value?.movements ?? []).filter((m) => m.kind === 'opened' && m.ended_on === null));
const errors = ref<Record<string, string[]>>({});
type Kind = Schemas['MovementDraft']['kind'];
const ACTS: Record<Kind, string> = {
    counted: 'Weighed',
    opened: 'Opened for use',
    given: 'Given away',
    sold: 'Sold',
    spoiled: 'Went bad',
    wasted: 'Spilt or left over',
};
const said = reactive<Record<'grams' | 'full' | 'jars' | 'to' | 'price' | 'note', string> & { kind: Kind }>({
    kind: 'counted',
    grams: '',
    full: '',
    jars: '',
    to: '',
    price: '',
    note: '',
});
const reason = ref<string | null>(null);
/** Who has something of it, however far down. */
const people = computed(() => (data.value?.trace.nodes ?? []).filter((n) => n.kind === 'person').map((n) => n.title));

watch(
    () => said.kind,
    () => (errors.value = {}),
);
async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    errors.value = {};
    try {
        await work();
        return true;
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
        return false;
    }
}
async function move(): Promise<void> {
    const before = data.value?.left_grams ?? null;
    const body: Schemas['MovementDraft'] = {
        kind: said.kind,
        grams: written(said.grams),
        full_grams: written(said.full),
        jars: written(said.jars),
        to: said.to,
        price: written(said.price),
        note: said.note,
    };
    let page: Schemas['LotPage'] | null = null;
    if (!(await attempt(async () => (page = await moving.mutateAsync({ lot: Number(props.id), body }))))) return;
    Object.assign(said, { grams: '', full: '', jars: '', to: '', price: '', note: '' });
    tell('Written down.', {
        ...(before !== null && { undo: () => void takeBack(before, page) }),
    });
}
/** What was said is put right by saying how much there was; a jar that was not opened after all is in use no more. */
async function takeBack(before: number, page: Schemas['LotPage'] | null): Promise<void> {
    const body: Schemas['MovementDraft'] = { kind: 'counted', grams: before, note: 'taken back' };
    const said = page?.movements[0];
    await attempt(async () => {
        await moving.mutateAsync({ lot: Number(props.id), body });
        if (said?.kind === 'opened') await ending.mutateAsync({ lot: Number(props.id), movement: said.id, on: todayDate() });
    });
}
async function change(body: Schemas['LotChange']): Promise<void> {
    if (await attempt(() => changing.mutateAsync({ lot: Number(props.id), body }))) tell('Kept.');
}
/** " to Ms Ode, 2 jars: for her sister" */
function beside(m: Schemas['LotPage']['movements'][number]): string {
    const jars = m.jars ? `, ${m.jars} ${m.jars === 1 ? 'jar' : 'jars'}` : '';
    return `${m.to ? ` to ${m.to}` : ''}${jars}${m.note ? `: ${m.note}` : ''}`;
}
async function empty(movement: number, on: string | null): Promise<void> {
    if (await attempt(() => ending.mutateAsync({ lot: Number(props.id), movement, on }))) {
        tell(on === null ? 'It is in use again.' : 'It is empty.', on === null ? {} : { undo: () => void empty(movement, null) });
    }
}
const unphoto = (id: number): Promise<unknown> => attempt(() => unpicturing.mutateAsync(id));
async function photograph(event: Event): Promise<void> {
    const blob = await chosenPicture(event);
    if (!blob) return;
    if (await attempt(() => picturing.mutateAsync(blob))) tell('The picture is kept on this machine.');
    else if (errors.value['photo']) tell(errors.value['photo'][0] ?? '', { stop: true });
}
async function withdraw(why: string): Promise<void> {
    if (await attempt(() => withdrawing.mutateAsync({ lot: Number(props.id), reason: why }))) reason.value = null;
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="this bottle" @again="refetch">
        <div v-if="data">
            <p class="quiet"><RouterLink to="/pantry/shelf">On the shelf</RouterLink></p>
            <div class="grid gap-x-10 gap-y-8 lg:grid-cols-[7rem_minmax(0,1fr)_minmax(0,22rem)]">
                <BottleView :fill="data.fill" :matter="data.matter" :source="data.source" :height="180" />
                <div class="min-w-0">
                    <h1>{{ data.name }}</h1>
                    <p class="mt-1">
                        <template v-if="data.left_grams !== null">
                            <span class="fig fig-measured">{{ num(data.left_grams) }}</span>
                            <span class="unit">{{ data.grams ? `g left of ${num(data.grams)}.` : 'g left.' }}</span>
                        </template>
                        <template v-else>Nobody has said how much there is.</template>
                        <span v-if="data.per_100g !== null" class="quiet ml-1.5">
                            {{ fixed(data.per_100g, 2) }} {{ money }} for 100 g as it came.
                        </span>
                    </p>
                    <p v-if="data.withdrawn" class="said-stop mt-2 font-semibold">
                        Must not be used: {{ data.withdrawn }}
                        <button type="button" class="act-quiet" @click="withdraw('')">It may be used after all</button>
                        <span v-if="people.length > 0" class="block">Tell whoever has some: {{ people.join(', ') }}.</span>
                    </p>
                    <p v-else class="mt-2 text-[18px]" :class="(data.days_left ?? 99) < 0 ? 'said-stop' : ''">
                        <template v-if="data.life.use_by">
                            {{ (data.days_left ?? 0) < 0 ? 'It was to be used by' : 'Use it by' }}
                            <strong>{{ sayDate(data.life.use_by) }}</strong>
                        </template>
                        <template v-else>No day is known by which it is to be used.</template>
                        <HowLink of="pantry" what="the life of a bottle" />
                    </p>
                    <ul class="quiet text-[14px]">
                        <li v-for="why in data.life.reasons" :key="why">{{ why }}</li>
                    </ul>
                    <p v-if="data.planned" class="mt-2">{{ data.planned }}</p>
                    <MadeOf class="mt-3" :blend="data.blend" />
                    <LotFields class="mt-6" :lot="data" :errors="errors" @change="change" />
                    <KeptPictures class="mt-6" :pictures="data.pictures" :of="data.name" @out="unphoto" />
                    <label class="act-quiet mt-3 -ml-2.5 cursor-pointer">
                        Photograph it
                        <input type="file" accept="image/*" capture="environment" class="sr-only" @change="photograph" />
                    </label>
                    <UseItUp class="mt-8" :lot="data" />
                    <section class="mt-8">
                        <h2>What came of it</h2>
                        <TracePicture class="mt-2" :trace="data.trace" />
                    </section>
                </div>
                <div>
                    <form class="bg-raised border-rule space-y-2 rounded border p-4" @submit.prevent="move">
                        <h2>Say what happened</h2>
                        <select v-model="said.kind" class="field" aria-label="What happened">
                            <option v-for="kind in acts" :key="kind" :value="kind">{{ ACTS[kind] }}</option>
                        </select>
                        <label class="block">
                            <span class="label">{{ said.kind === 'counted' ? 'What is in it, grams' : 'How much, grams' }}</span>
                            <input
                                v-model="said.grams"
                                class="field"
                                inputmode="decimal"
                                maxlength="12"
                                :aria-invalid="!!errors['grams']"
                            />
                        </label>
                        <FormProblem :errors="errors" field="grams" />
                        <label v-if="said.kind === 'counted' && data.tare_grams !== null" class="block">
                            <span class="label">Or the whole on the scale, grams ({{ num(data.tare_grams) }} g empty)</span>
                            <input
                                v-model="said.full"
                                class="field"
                                inputmode="decimal"
                                maxlength="12"
                                :aria-invalid="!!errors['full_grams']"
                            />
                        </label>
                        <FormProblem :errors="errors" field="full_grams" />
                        <template v-if="said.kind === 'given' || said.kind === 'sold' || said.kind === 'opened'">
                            <label v-if="data.batch_id !== null" class="block">
                                <span class="label">Or how many jars</span>
                                <input v-model="said.jars" class="field" inputmode="numeric" maxlength="6" />
                            </label>
                            <FormProblem :errors="errors" field="jars" />
                        </template>
                        <template v-if="said.kind === 'given' || said.kind === 'sold'">
                            <label class="block">
                                <span class="label">To whom</span>
                                <input v-model="said.to" class="field" maxlength="120" />
                            </label>
                            <label v-if="said.kind === 'sold'" class="block">
                                <span class="label">For how much in all</span>
                                <input v-model="said.price" class="field" inputmode="decimal" maxlength="12" />
                            </label>
                        </template>
                        <label class="block">
                            <span class="label">Note (optional)</span>
                            <input v-model="said.note" class="field" maxlength="300" />
                        </label>
                        <button class="act" :disabled="moving.isPending.value">Write it down</button>
                    </form>
                    <button v-if="!data.withdrawn" type="button" class="act-quiet act-stop mt-2 -ml-2.5" @click="reason = ''">
                        It must not be used any more
                    </button>
                    <section v-if="inUse.length > 0" class="mt-6" aria-labelledby="in-use">
                        <h2 id="in-use">In use</h2>
                        <ul>
                            <li v-for="m in inUse" :key="m.id" class="row-line flex flex-wrap items-baseline justify-between gap-x-3 py-1">
                                <span>
                                    {{ m.jars > 1 ? `${m.jars} jars` : 'A jar' }}, opened {{ sayDate(m.on) }}
                                    <span
                                        v-if="m.use_by"
                                        class="block"
                                        :class="m.use_by < todayDate() ? 'said-stop font-semibold' : 'quiet'"
                                    >
                                        {{ m.use_by < todayDate() ? 'It was to be used by' : 'Use it by' }} {{ sayDate(m.use_by) }}
                                    </span>
                                </span>
                                <button type="button" class="act-quiet" @click="empty(m.id, todayDate())">It is empty</button>
                            </li>
                        </ul>
                    </section>
                    <section class="mt-6">
                        <h2>What moved</h2>
                        <ul>
                            <li v-for="m in data.movements" :key="m.id" class="row-line flex flex-wrap items-baseline gap-x-3 py-1">
                                <span class="w-20 text-right font-semibold whitespace-nowrap">
                                    {{ m.grams > 0 ? '+' : '' }}{{ num(m.grams) }} g
                                </span>
                                <span class="min-w-32 flex-1">
                                    <RouterLink v-if="m.batch_id" :to="`/make/${m.batch_id}`">{{ m.words }}</RouterLink>
                                    <RouterLink v-else-if="m.steep_id" :to="`/steeps/${m.steep_id}`">{{ m.words }}</RouterLink>
                                    <template v-else>{{ m.words }}</template>
                                    <span>{{ beside(m) }}</span>
                                    <span class="quiet block text-[13px]">{{ sayDate(m.on) }}{{ m.by ? `, ${m.by}` : '' }}</span>
                                </span>
                            </li>
                        </ul>
                        <p v-if="data.movements.length === 0" class="quiet">Nothing yet.</p>
                    </section>
                </div>
            </div>
            <UiDialog :open="reason !== null" :title="`${data.name} must not be used`" @close="reason = null">
                <p>Whatever was made of it says so from then on, and its labels and passports too. Nothing is thrown away by it.</p>
                <form class="mt-3" @submit.prevent="withdraw(reason ?? '')">
                    <label class="block">
                        <span class="label">Why: it went rancid, the maker called it back …</span>
                        <input v-model="reason" class="field" maxlength="200" required />
                    </label>
                    <FormProblem :errors="errors" field="reason" />
                    <div class="mt-4 flex gap-3">
                        <button class="act">Say so everywhere</button>
                        <button type="button" class="act-quiet" @click="reason = null">Leave it</button>
                    </div>
                </form>
            </UiDialog>
        </div>
    </WaitOrProblem>
</template>
