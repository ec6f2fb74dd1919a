<script setup lang="ts">
import { ref } from 'vue';
import { Problem } from '../../api/client';
import { studioExport, useLeaveStudio, useStay } from '../../queries/session';
import FormField from '../../ui/FormField.vue';
import HiddenField from './HiddenField.vue';
import { tell, tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';
import { longDate } from '../../ui/words';

/** Taking everything away, and leaving. */
const session = useSession();
const leaving = useLeaveStudio();
const staying = useStay();
const name = ref('');
const password = ref('');
const errors = ref<Record<string, string[]>>({});
const busy = ref(false);

async function takeAway(): Promise<void> {
    busy.value = true;
    try {
        const all = JSON.stringify(await studioExport(), null, 2);
        const link = document.createElement('a');
        link.href = URL.createObjectURL(new Blob([all], { type: 'application/json' }));
        link.download = 'honest-crown-studio.json';
        link.click();
        URL.revokeObjectURL(link.href);
    } catch (e) {
        tellProblem(e);
    } finally {
        busy.value = false;
    }
}
async function leave(): Promise<void> {
    errors.value = {};
    try {
        session.set(await leaving.mutateAsync({ name: name.value, password: password.value }));
        name.value = password.value = '';
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
async function stay(): Promise<void> {
    try {
        session.set(await staying.mutateAsync());
        tell('The studio stays.');
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <div class="max-w-3xl space-y-10">
        <section>
            <h2>Take everything away</h2>
            <p class="mt-1">All that is this studio's as one JSON file: formulas with their versions, steeps, batches, heads, routines.</p>
            <button type="button" class="act mt-2" :disabled="busy" @click="takeAway">Save the file</button>
        </section>
        <section>
            <h2>Leave</h2>
            <template v-if="session.studio?.leaving_on">
                <p class="said-stop mt-1 font-semibold">
                    On {{ longDate(session.studio.leaving_on) }} the studio and all in it is taken away for good.
                </p>
                <button type="button" class="act mt-2" @click="stay">Stay after all</button>
            </template>
            <p v-else-if="session.studio?.demo" class="quiet mt-1">The demo studio stays.</p>
            <form v-else class="mt-1 space-y-2" @submit.prevent="leave">
                <p>The studio, everybody's sign-in, every formula, batch, head and picture. You have thirty days to think it over.</p>
                <FormField v-slot="{ field }" class="max-w-sm" :label="`Type its name: ${session.studio?.name}`" :problem="errors['name']">
                    <input v-bind="field" v-model="name" class="field" maxlength="120" autocomplete="off" />
                </FormField>
                <HiddenField
                    v-model="password"
                    class="max-w-sm"
                    label="Your password"
                    autocomplete="current-password"
                    :problem="errors['password']"
                />
                <button class="act-quiet act-stop -ml-2.5" :disabled="name.trim() === '' || password === ''">Leave in thirty days</button>
            </form>
        </section>
    </div>
</template>
