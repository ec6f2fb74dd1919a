<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import {
    devicesQuery,
    earlierInLog,
    securityQuery,
    useChangePassword,
    useEndDevice,
    useEndOthers,
    useNewCodes,
} from '../../queries/session';
import { tell, tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';
import { SECURITY, sayDate, sayTime } from '../../ui/words';
import HiddenField from './HiddenField.vue';
import NewPassword from './NewPassword.vue';

/** The password, where one is signed in, codes for a lost password, and what concerned all that. */
const session = useSession();
const { data: devices } = useQuery(devicesQuery());
const { data: log } = useQuery({ ...securityQuery(), enabled: session.may('own') });
const ending = useEndDevice();
const endingOthers = useEndOthers();
const changing = useChangePassword();
const coding = useNewCodes();
const current = ref('');
const fresh = ref('');
const forCodes = ref('');
const codes = ref<string[]>([]);
const errors = ref<Record<string, string[]>>({});
const codeErrors = ref<Record<string, string[]>>({});

/** What was asked for beyond the latest of the log. */
const earlier = ref<Schemas['SecurityEvents']['items']>([]);
const more = ref<boolean | null>(null);
async function goBack(): Promise<void> {
    const last = [...(log.value?.items ?? []), ...earlier.value].at(-1);
    if (!last) return;
    try {
        const page = await earlierInLog(last.id);
        earlier.value = [...earlier.value, ...page.items];
        more.value = page.more;
    } catch (e) {
        tellProblem(e);
    }
}

async function change(): Promise<void> {
    errors.value = {};
    try {
        session.set(await changing.mutateAsync({ current: current.value, new: fresh.value }));
        current.value = fresh.value = '';
        tell('The password is changed. Every other session has ended.');
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
async function renew(): Promise<void> {
    codeErrors.value = {};
    try {
        codes.value = (await coding.mutateAsync({ current: forCodes.value })).codes;
        forCodes.value = '';
    } catch (e) {
        if (e instanceof Problem && e.hasFields) codeErrors.value = e.errors;
        else tellProblem(e);
    }
}
const print = (): void => window.print();
</script>

<template>
    <div class="max-w-3xl space-y-10">
        <section class="no-print">
            <h2>Where you are signed in</h2>
            <ul class="mt-1">
                <li v-for="device in devices?.items ?? []" :key="device.id" class="row-line flex flex-wrap items-baseline gap-x-4 py-1.5">
                    <span class="flex-1">
                        <span class="mr-2">{{ device.on }}</span>
                        <span class="quiet">{{ `${device.address}, last ${sayDate(device.last)} at ${sayTime(device.last)}` }}</span>
                    </span>
                    <span v-if="device.here" class="quiet">here</span>
                    <button v-else type="button" class="act-quiet" @click="ending.mutateAsync(device.id).catch(tellProblem)">End it</button>
                </li>
            </ul>
            <button
                v-if="(devices?.items.length ?? 0) > 1"
                type="button"
                class="act-quiet -ml-2.5"
                @click="endingOthers.mutateAsync().catch(tellProblem)"
            >
                Sign out everywhere else
            </button>
        </section>
        <form class="no-print space-y-3" @submit.prevent="change">
            <h2>Change the password of {{ session.session?.user?.email }}</h2>
            <div class="grid gap-4 sm:grid-cols-2">
                <HiddenField v-model="current" label="Current password" autocomplete="current-password" :problem="errors['current']" />
                <NewPassword v-model="fresh" label="New password" :problem="errors['new']" />
            </div>
            <button class="act" :disabled="changing.isPending.value">Change it</button>
        </form>
        <section>
            <h2>Codes for a lost password</h2>
            <template v-if="codes.length > 0">
                <p class="mt-1">
                    Each opens {{ session.studio?.name }} once, for {{ session.session?.user?.email }}. They are shown only now.
                </p>
                <ol class="mt-2 grid max-w-md grid-cols-2 gap-x-6 gap-y-1 text-[17px]" aria-label="Codes">
                    <li v-for="code in codes" :key="code">
                        <code>{{ code }}</code>
                    </li>
                </ol>
                <button type="button" class="act no-print mt-3" @click="print">Print them</button>
            </template>
            <form v-else class="no-print mt-1 flex flex-wrap items-start gap-3" @submit.prevent="renew">
                <HiddenField
                    v-model="forCodes"
                    class="w-64"
                    label="Current password"
                    autocomplete="current-password"
                    :problem="codeErrors['current']"
                />
                <button class="act mt-6" :disabled="coding.isPending.value">Make ten new codes</button>
            </form>
            <p class="quiet no-print mt-1 text-[13px]">Those you had before end. Keep them where you keep papers, not on this device.</p>
        </section>
        <section v-if="log" class="no-print">
            <h2>What concerned the safety of this studio</h2>
            <p class="quiet text-[13px]">Kept for a year, and seen by its owner alone.</p>
            <ul class="mt-1">
                <li v-for="event in [...log.items, ...earlier]" :key="event.id" class="row-line flex flex-wrap gap-x-4 py-1">
                    <span class="quiet w-52">{{ sayDate(event.at) }} at {{ sayTime(event.at) }}</span>
                    <span>
                        {{
                            event.kind === 'failed'
                                ? `${SECURITY[event.kind]} ${event.name}`
                                : `${event.name} ${SECURITY[event.kind] ?? event.kind}`
                        }}{{ event.what ? `: ${event.what}` : '' }}
                    </span>
                    <span v-if="event.address" class="quiet text-[13px]">from {{ event.address }}</span>
                </li>
            </ul>
            <button v-if="more ?? log.more" type="button" class="act-quiet -ml-2.5" @click="goBack">Show earlier</button>
        </section>
    </div>
</template>
