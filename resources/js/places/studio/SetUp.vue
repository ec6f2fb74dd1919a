<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { Problem } from '../../api/client';
import { useAddToKit } from '../../queries/kit';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { tellProblem } from '../../ui/notice';
import IngredientPick from '../formulas/IngredientPick.vue';
import CountryPick from './CountryPick.vue';
import CupPick from './CupPick.vue';
import { zoneHere } from './here';
import { useStudioDraft } from './useStudioDraft';
import ZonePick from './ZonePick.vue';

/** Three short questions, each with a default that is already there. */
const { draft, errors, save, busy } = useStudioDraft();
const route = useRoute();
const router = useRouter();
const at = ref(0);
const HEADS = ['Where is your kitchen?', 'When does your day begin?', 'How do you measure?'];
const last = computed(() => at.value === HEADS.length - 1);
if (draft.time_zone === 'UTC') draft.time_zone = zoneHere();

/** What she has weighed once already; empty is what is usual. */
const adding = useAddToKit();
const own = reactive({ spoon: '', drops: '', weighed: '', of: { id: '', name: '' } });
const read = (written: string): number => Number(written.trim().replace(',', '.'));
async function measured(): Promise<boolean> {
    try {
        if (own.spoon.trim() !== '') {
            await adding.mutateAsync({ kind: 'spoon', name: 'My tablespoon', ingredient: 'water', unit: 'tbsp', grams: read(own.spoon) });
            own.spoon = '';
        }
        if (own.drops.trim() !== '' || own.weighed.trim() !== '') {
            await adding.mutateAsync({
                kind: 'dropper',
                name: 'My dropper',
                ingredient: own.of.id,
                drops: read(own.drops),
                grams: read(own.weighed),
            });
        }
        return true;
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
        return false;
    }
}
async function done(measuredToo = false): Promise<void> {
    if (!(await save()) || (measuredToo && !(await measured()))) return;
    const to = route.query['to'];
    await router.replace(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/');
}
const next = (): Promise<void> | undefined => (last.value ? done(true) : void at.value++);
</script>

<template>
    <form class="mx-auto max-w-md pt-8" novalidate @submit.prevent="next">
        <p class="quiet text-[13px]">{{ at + 1 }} of {{ HEADS.length }}. Every answer can be changed under Studio.</p>
        <h1 class="mt-1 mb-4">{{ HEADS[at] }}</h1>
        <CountryPick v-if="at === 0" :model-value="draft" />
        <template v-else-if="at === 1">
            <label class="block">
                <span class="label">Time zone</span>
                <ZonePick v-model="draft.time_zone" />
            </label>
            <label class="mt-3 flex items-center gap-2">
                <input v-model="draft.southern" type="checkbox" />
                South of the equator: the cold months are April to September
            </label>
        </template>
        <template v-else>
            <FormField v-slot="{ field }" label="My scale shows steps of, grams" :problem="errors['scale_grams']">
                <input v-bind="field" v-model.number="draft.scale_grams" type="number" step="any" min="0" class="field" />
            </FormField>
            <p class="quiet mt-1 text-[13px]">
                1 is a kitchen scale, 0.1 a small one, 0.01 one for jewels. How sure every share is follows from it.
            </p>
            <label class="mt-3 block">
                <span class="label">My cups</span>
                <CupPick v-model="draft.cup" />
            </label>
            <fieldset class="mt-4">
                <legend class="label">If you have weighed them once (else leave it empty)</legend>
                <label class="flex flex-wrap items-center gap-2">
                    My level tablespoon of water weighs
                    <input v-model="own.spoon" class="field !w-20" inputmode="decimal" maxlength="12" placeholder="14.8" />
                    g
                </label>
                <div class="mt-2 flex flex-wrap items-center gap-2">
                    <input
                        v-model="own.drops"
                        class="field !w-16"
                        inputmode="numeric"
                        maxlength="6"
                        placeholder="40"
                        aria-label="Drops counted"
                    />
                    drops of
                    <span class="w-44">
                        <IngredientPick
                            :name="own.of.name"
                            label="What was dropped"
                            placed
                            @choose="own.of = { id: $event.id, name: $event.name }"
                        />
                    </span>
                    weigh
                    <input
                        v-model="own.weighed"
                        class="field !w-20"
                        inputmode="decimal"
                        maxlength="12"
                        placeholder="1.1"
                        aria-label="They weigh, grams"
                    />
                    g
                </div>
                <FormProblem :errors="errors" field="drops" />
                <FormProblem :errors="errors" field="grams" />
                <FormProblem :errors="errors" field="ingredient" />
            </fieldset>
        </template>
        <div class="mt-6 flex flex-wrap items-center gap-x-3">
            <button class="act" :disabled="busy">{{ last ? 'Begin' : 'Next' }}</button>
            <button v-if="at > 0" type="button" class="act-quiet" @click="at--">Back</button>
            <button type="button" class="act-quiet" :disabled="busy" @click="done()">Skip, take what stands there</button>
        </div>
    </form>
</template>
