<script setup lang="ts">
import { ref } from 'vue';
import { useAddPicture, useBringBackSteep, useGiveUp, usePutAwaySteep, useRemovePicture, useWithdraw } from '../../queries/steeps';
import KeptPictures from '../../ui/KeptPictures.vue';
import { tell, tellProblem } from '../../ui/notice';
import { chosenPicture } from '../../ui/picture';
import { usePutAway } from '../../ui/usePutAway';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num } from '../../ui/words';
import { fieldsOf, SAID, type Doing, type RecordForm } from './jar/recording';
import RecordDialog from './jar/RecordDialog.vue';
import SteepActs from './jar/SteepActs.vue';
import SteepAlerts from './jar/SteepAlerts.vue';
import SteepAside from './jar/SteepAside.vue';
import SteepHead from './jar/SteepHead.vue';
import SteepJournal from './jar/SteepJournal.vue';
import SteepNext from './jar/SteepNext.vue';
import WhatCameOut from './jar/WhatCameOut.vue';
import SteepJar from './SteepJar.vue';
import { useSteep } from './useSteep';

/** One jar from the first day to the last lot of it: what it needs, its journal, what was had of it. */

const props = defineProps<{ id: string }>();
const { data, isPending, error, refetch, errors, act, record, unrecord, shake } = useSteep(Number(props.id));
const givingUp = useGiveUp(Number(props.id));
const withdrawing = useWithdraw();
const addingPicture = useAddPicture(Number(props.id));
const removingPicture = useRemovePicture(Number(props.id));
const bringingBack = useBringBackSteep();
const putAway = usePutAway('/steeps', usePutAwaySteep().mutateAsync, bringingBack.mutateAsync);

const doing = ref<Doing | null>(null);

function open(what: Doing): void {
    errors.value = {};
    doing.value = what;
}
async function submit(what: Doing, form: RecordForm): Promise<void> {
    if (await written(what, form)) doing.value = null;
}
async function written(what: Doing, form: RecordForm): Promise<boolean> {
    if (what === 'withdraw') return withdraw(form.reason);
    if (what === 'spoil') {
        return (await act(() => givingUp.mutateAsync({ revision: data.value?.revision ?? 0, reason: form.reason }))) !== null;
    }
    return record({ kind: what, note: form.note, ...fieldsOf(what, form) }, SAID[what]);
}
/** Without a reason it may be used again. */
async function withdraw(reason: string): Promise<boolean> {
    const lot = data.value?.lots.at(-1);
    if (!lot) return false;
    try {
        const { warned } = await withdrawing.mutateAsync({ lot: lot.id, reason });
        const said = warned.length > 0 ? `Warned: ${warned.map((w) => w.title).join(', ')}.` : 'Nothing uses it.';
        if (reason === '') tell('It may be used again.');
        else tell(said, { undo: () => void withdraw('') });
        return true;
    } catch (e) {
        tellProblem(e);
        return false;
    }
}
async function photograph(event: Event): Promise<void> {
    const blob = await chosenPicture(event);
    if (!blob) return;
    const steep = await act(() => addingPicture.mutateAsync(blob));
    if (steep) tell('The picture is kept on this machine.');
    else if (errors.value['photo']) tell(errors.value['photo'][0] ?? '', { stop: true });
}
const unphoto = (id: number): Promise<unknown> => act(() => removingPicture.mutateAsync(id));
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the steep" @again="refetch">
        <div v-if="data">
            <SteepHead
                :steep="data"
                @put-away="putAway(Number(id), data.name)"
                @bring-back="act(() => bringingBack.mutateAsync(Number(id)))"
            />
            <SteepAlerts :steep="data" @mistaken="withdraw('')" />
            <div class="grid gap-x-8 gap-y-6 lg:grid-cols-[170px_minmax(0,1fr)_minmax(0,22rem)]">
                <div class="flex flex-wrap items-start gap-4 lg:block">
                    <SteepJar :plan="data.plan" :jar-ml="data.jar_ml" :diameter-cm="data.diameter_cm" :name="data.name" />
                    <p class="mt-2">
                        <strong>day {{ data.day }} of {{ data.days }}</strong>
                        <br />
                        about
                        <span class="fig fig-estimated">{{ num(data.drawn_now_percent.best, 0) }}</span>
                        <span class="unit">
                            % drawn, {{ num(data.drawn_now_percent.low, 0) }} to {{ num(data.drawn_now_percent.high, 0) }}
                        </span>
                    </p>
                </div>
                <div class="order-first min-w-0 lg:order-none">
                    <SteepNext :steep="data" @shake="shake" @record="(kind, said) => record({ kind }, said)" />
                    <WhatCameOut :steep="data" @bad="open('withdraw')" />
                    <SteepActs
                        :steep="data"
                        @open="open"
                        @photograph="photograph"
                        @sign="(sign) => record({ kind: 'sign', sign }, 'Recorded.')"
                    />
                    <SteepJournal :steep="data" @shake="shake" @unrecord="unrecord" />
                    <KeptPictures class="mt-6" :pictures="data.photos" :of="data.name" @out="unphoto" />
                </div>
                <SteepAside :steep="data" />
            </div>
            <RecordDialog :doing="doing" :errors="errors" @close="doing = null" @submit="submit" />
        </div>
    </WaitOrProblem>
</template>
