<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { useQueryClient } from '@tanstack/vue-query';
import { computed, ref, type Component } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { unsent, useSignOut } from '../../queries/session';
import { tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';
import UiDialog from '../../ui/UiDialog.vue';
import { longDate } from '../../ui/words';
import StudioData from './StudioData.vue';
import StudioKit from './StudioKit.vue';
import StudioKitchen from './StudioKitchen.vue';
import StudioLinks from './StudioLinks.vue';
import StudioPeople from './StudioPeople.vue';
import StudioSchools from './StudioSchools.vue';
import StudioSafety from './StudioSafety.vue';

/** The studio itself: what it measures with, who is in it, how safe it is, and leaving it. */
const session = useSession();
const route = useRoute();
const router = useRouter();
const client = useQueryClient();
const signingOut = useSignOut();
const ALL: { key: string; word: string; right: 'help' | 'make' | 'own'; of: Component }[] = [
    { key: 'kitchen', word: 'Habits', right: 'make', of: StudioKitchen },
    { key: 'kit', word: 'Kit', right: 'make', of: StudioKit },
    { key: 'ways', word: 'Ways', right: 'make', of: StudioSchools },
    { key: 'people', word: 'People', right: 'own', of: StudioPeople },
    { key: 'links', word: 'Links', right: 'make', of: StudioLinks },
    { key: 'safety', word: 'Sign-in', right: 'help', of: StudioSafety },
    { key: 'data', word: 'Data', right: 'own', of: StudioData },
];
const parts = computed(() => ALL.filter((part) => session.may(part.right)));
const at = computed(() =>
    Math.max(
        0,
        parts.value.findIndex((part) => part.key === route.query['part']),
    ),
);
const turn = (to: number): void => void router.replace({ query: { part: parts.value[to]?.key } });

const waiting = ref(0);
/** What is not sent yet is told before, since nobody else can send it. */
async function askToLeave(): Promise<void> {
    waiting.value = await unsent(session.session);
    if (waiting.value === 0) await leave();
}
async function leave(): Promise<void> {
    waiting.value = 0;
    try {
        session.set(await signingOut.mutateAsync());
        client.clear();
        await router.push('/sign-in');
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <div>
        <div class="no-print mb-4 flex flex-wrap items-baseline justify-between gap-3">
            <h1>{{ session.studio?.name }}</h1>
            <button type="button" class="act-quiet" @click="askToLeave">Sign out</button>
        </div>
        <UiDialog :open="waiting > 0" title="Not everything is sent" @close="waiting = 0">
            <p class="mb-4">
                {{ waiting === 1 ? 'One entry' : `${waiting} entries` }} of yours from the counter could not be sent yet.
                {{ waiting === 1 ? 'It stays' : 'They stay' }} in this browser, and can be sent only when you sign in here again.
            </p>
            <div class="flex flex-wrap gap-3">
                <button type="button" class="act" @click="waiting = 0">Stay signed in</button>
                <button type="button" class="act-quiet" @click="leave">Sign out all the same</button>
            </div>
        </UiDialog>
        <p v-if="session.studio?.leaving_on" class="said-stop no-print mb-4 font-semibold">
            This studio is taken away on {{ longDate(session.studio.leaving_on) }}. Under Data you can stay after all.
        </p>
        <TabGroup :selected-index="at" @change="turn">
            <TabList class="no-print border-rule mb-5 flex flex-wrap gap-x-6 border-b">
                <Tab v-for="part in parts" :key="part.key" v-slot="{ selected }" as="template">
                    <button
                        type="button"
                        class="py-2 font-head text-[17px]"
                        :class="selected ? 'text-lead font-bold shadow-[inset_0_-3px_0_var(--lead)]' : 'text-ink'"
                    >
                        {{ part.word }}
                    </button>
                </Tab>
            </TabList>
            <TabPanels>
                <TabPanel v-for="part in parts" :key="part.key"><component :is="part.of" /></TabPanel>
            </TabPanels>
        </TabGroup>
    </div>
</template>
