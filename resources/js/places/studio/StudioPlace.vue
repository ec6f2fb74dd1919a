<script setup lang="ts">
import { reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useQueryClient } from '@tanstack/vue-query';
import { Problem, type Schemas } from '../../api/client';
import { useChangePassword, useSaveStudio, useSignOut } from '../../queries/session';
import FormProblem from '../../ui/FormProblem.vue';
import { tell, tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';

/** What the studio measures with, where it lies, and whose name its papers bear. */

const session = useSession();
const router = useRouter();
const client = useQueryClient();
const savingStudio = useSaveStudio();
const changing = useChangePassword();
const signingOut = useSignOut();
const studio = reactive<Schemas['Studio']>({
    ...(session.studio ?? { name: '', cup: 'us', scale_grams: 1, maker: '', southern: false, bowl_ml: 0, time_zone: 'UTC' }),
});
const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone').filter((z) => z !== 'UTC')];
const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
const current = ref('');
const fresh = ref('');
const errors = ref<Record<string, string[]>>({});

async function attempt(work: () => Promise<void>): Promise<void> {
    errors.value = {};
    try {
        await work();
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
const save = (): Promise<void> =>
    attempt(async () => {
        session.set(await savingStudio.mutateAsync({ ...studio }));
        tell('Saved. Every figure is worked out with it from now on.');
    });
const change = (): Promise<void> =>
    attempt(async () => {
        session.set(await changing.mutateAsync({ current: current.value, new: fresh.value }));
        current.value = fresh.value = '';
        tell('The password is changed.');
    });
const leave = (): Promise<void> =>
    attempt(async () => {
        session.set(await signingOut.mutateAsync());
        client.clear();
        await router.push('/sign-in');
    });
</script>

<template>
    <div class="max-w-3xl">
        <h1 class="mb-4">Studio</h1>
        <form class="space-y-3" @submit.prevent="save">
            <label class="block">
                <span class="label">Name</span>
                <input v-model="studio.name" class="field" maxlength="120" />
            </label>
            <FormProblem :errors="errors" field="name" />
            <label class="block">
                <span class="label">Maker's line on labels</span>
                <input v-model="studio.maker" class="field" maxlength="200" />
            </label>
            <div class="grid grid-cols-2 gap-4">
                <label>
                    <span class="label">Cups in this kitchen</span>
                    <select v-model="studio.cup" class="field">
                        <option value="us">US, 236.6 ml</option>
                        <option value="metric">metric, 250 ml</option>
                        <option value="imperial">imperial, 284.1 ml</option>
                    </select>
                </label>
                <label>
                    <span class="label">The scale shows steps of, grams</span>
                    <input
                        v-model.number="studio.scale_grams"
                        type="number"
                        step="any"
                        min="0"
                        class="field"
                        :aria-invalid="!!errors['scale_grams']"
                    />
                </label>
            </div>
            <FormProblem :errors="errors" field="scale_grams" />
            <label class="block max-w-[50%] pr-2">
                <span class="label">The largest bowl holds, ml (0 when you do not know)</span>
                <input v-model.number="studio.bowl_ml" type="number" step="any" min="0" class="field" :aria-invalid="!!errors['bowl_ml']" />
            </label>
            <FormProblem :errors="errors" field="bowl_ml" />
            <div class="flex flex-wrap items-end gap-x-4 gap-y-1">
                <label class="block w-full sm:w-[calc(50%-0.5rem)]">
                    <span class="label">Time zone, in which your day begins</span>
                    <select v-model="studio.time_zone" class="field" :aria-invalid="!!errors['time_zone']">
                        <option v-if="!ZONES.includes(studio.time_zone)" :value="studio.time_zone">{{ studio.time_zone }}</option>
                        <option v-for="zone in ZONES" :key="zone" :value="zone">{{ zone.replaceAll('_', ' ') }}</option>
                    </select>
                </label>
                <button v-if="here && here !== studio.time_zone" type="button" class="act-quiet" @click="studio.time_zone = here">
                    Take this device's: {{ here.replaceAll('_', ' ') }}
                </button>
            </div>
            <FormProblem :errors="errors" field="time_zone" />
            <label class="flex items-center gap-2">
                <input v-model="studio.southern" type="checkbox" />
                South of the equator: the cold months are April to September
            </label>
            <button class="act">Save</button>
        </form>
        <form class="mt-10 space-y-3" @submit.prevent="change">
            <h2>Change the password of {{ session.session?.user?.email }}</h2>
            <div class="grid grid-cols-2 gap-4">
                <label>
                    <span class="label">Present password</span>
                    <input v-model="current" type="password" autocomplete="current-password" class="field" required />
                </label>
                <label>
                    <span class="label">New password, at least 10 characters</span>
                    <input v-model="fresh" type="password" autocomplete="new-password" class="field" required />
                </label>
            </div>
            <FormProblem :errors="errors" field="current" />
            <FormProblem :errors="errors" field="new" />
            <button class="act">Change it</button>
        </form>
        <button type="button" class="act-quiet mt-10 -ml-2.5" @click="leave">Sign out</button>
    </div>
</template>
