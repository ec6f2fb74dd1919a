<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref, useTemplateRef } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { lotQuery, useAddLotPicture, useChangeLot, useEndJar, useMoveLot, useRemoveLotPicture, useWithdrawLot } from '../../queries/shelf';
import KeptPictures from '../../ui/KeptPictures.vue';
import { tell, tellProblem } from '../../ui/notice';
import { chosenPicture } from '../../ui/picture';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { todayDate } from '../../ui/words';
import BottleView from './BottleView.vue';
import JarsInUse from './lot/JarsInUse.vue';
import LotSummary from './lot/LotSummary.vue';
import MustNotBeUsed from './lot/MustNotBeUsed.vue';
import SayWhatHappened from './lot/SayWhatHappened.vue';
import WhatMoved from './lot/WhatMoved.vue';
import LotFields from './LotFields.vue';
import MadeOf from './MadeOf.vue';
import TracePicture from './TracePicture.vue';
import UseItUp from './UseItUp.vue';

/** One bottle or jar: what is left, until when, what it cost, what moved, and what came of it. */
const props = defineProps<{ id: string }>();
const lot = Number(props.id);
const { data, isPending, error, refetch } = useQuery(lotQuery(lot));
const moving = useMoveLot();
const changing = useChangeLot();
const withdrawing = useWithdrawLot();
const ending = useEndJar();
const picturing = useAddLotPicture(lot);
const unpicturing = useRemoveLotPicture();
const errors = ref<Record<string, string[]>>({});
const asking = ref(false);
const form = useTemplateRef<InstanceType<typeof SayWhatHappened>>('form');

/** Null when it was refused, which is said. */
async function attempt<T>(work: () => Promise<T>): Promise<T | null> {
    errors.value = {};
    try {
        return await work();
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
        return null;
    }
}
async function move(body: Schemas['MovementDraft']): Promise<void> {
    const before = data.value?.left_grams ?? null;
    const page = await attempt(() => moving.mutateAsync({ lot, body }));
    if (!page) return;
    form.value?.clear();
    tell('Written down.', before === null ? {} : { undo: () => void takeBack(before, page) });
}
/** What was said is put right by saying how much there was; a jar that was not opened after all is in use no more. */
async function takeBack(before: number, page: Schemas['LotPage']): Promise<void> {
    const body: Schemas['MovementDraft'] = { kind: 'counted', grams: before, note: 'taken back' };
    const said = page.movements[0];
    await attempt(async () => {
        await moving.mutateAsync({ lot, body });
        if (said?.kind === 'opened') await ending.mutateAsync({ lot, movement: said.id, on: todayDate() });
    });
}
async function change(body: Schemas['LotChange']): Promise<void> {
    if (await attempt(() => changing.mutateAsync({ lot, body }))) tell('Kept.');
}
async function empty(movement: number, on: string | null): Promise<void> {
    if (!(await attempt(() => ending.mutateAsync({ lot, movement, on })))) return;
    tell(on === null ? 'It is in use again.' : 'It is empty.', on === null ? {} : { undo: () => void empty(movement, null) });
}
const unphoto = (id: number): Promise<unknown> => attempt(() => unpicturing.mutateAsync(id));
async function photograph(event: Event): Promise<void> {
    const blob = await chosenPicture(event);
    if (!blob) return;
    if (await attempt(() => picturing.mutateAsync(blob))) tell('The picture is kept on this machine.');
    else if (errors.value['photo']) tell(errors.value['photo'][0] ?? '', { stop: true });
}
/** Without a reason it may be used again. */
async function withdraw(reason: string): Promise<void> {
    if (await attempt(() => withdrawing.mutateAsync({ lot, reason }))) asking.value = false;
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="this bottle" @again="refetch">
        <div v-if="data">
            <p class="quiet"><RouterLink to="/pantry/shelf">On the shelf</RouterLink></p>
            <div class="grid gap-x-10 gap-y-8 lg:grid-cols-[7rem_minmax(0,1fr)_minmax(0,22rem)]">
                <BottleView :fill="data.fill" :matter="data.matter" :source="data.source" :height="180" />
                <div class="min-w-0">
                    <LotSummary :lot="data" @mistaken="withdraw('')" />
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
                    <SayWhatHappened
                        ref="form"
                        :lot="data"
                        :errors="errors"
                        :busy="moving.isPending.value"
                        @said="move"
                        @afresh="errors = {}"
                    />
                    <button v-if="!data.withdrawn" type="button" class="act-quiet act-stop mt-2 -ml-2.5" @click="asking = true">
                        It must not be used any more
                    </button>
                    <JarsInUse :lot="data" @empty="empty($event, todayDate())" />
                    <WhatMoved :lot="data" />
                </div>
            </div>
            <MustNotBeUsed :open="asking" :name="data.name" :errors="errors" @close="asking = false" @withdraw="withdraw" />
        </div>
    </WaitOrProblem>
</template>
