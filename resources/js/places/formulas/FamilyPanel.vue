<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { Schemas } from '../../api/client';
import { familyQuery, useLeaveFamily, usePassOn, useSaveFormula, useStartVariant } from '../../queries/formulas';
import { smallBands } from '../../jar/bands';
import JarView from '../../jar/JarView.vue';
import { tell, tellProblem } from '../../ui/notice';
import type { Bench } from './useBench';
import HowLink from '../../ui/HowLink.vue';
import { counted } from '../../ui/words';

/** The variants of this formula: one base, several scents or herbs, and what a change of the base does to each. */
const props = defineProps<{ bench: Bench; id: number }>();
const router = useRouter();
const title = ref('');
const did = shallowRef<Schemas['FamilyPassed']['passed']>([]);
const { data, refetch } = useQuery(familyQuery(props.id));
// What waits for the variants is told of what is saved.
watch(props.bench.status, (status) => {
    if (status === 'saved') void refetch();
});
const waiting = computed(() => (data.value?.variants ?? []).filter((v) => v.waiting.length > 0).length);

const starting = useStartVariant();
const passing = usePassOn();
const saving = useSaveFormula();
const leaving = useLeaveFamily();
async function vary(): Promise<void> {
    if (!(await props.bench.flush())) return tell('Save it first: it is not saved yet.', { stop: true });
    try {
        const page = await starting.mutateAsync({ id: props.id, title: title.value.trim() });
        await router.push(`/formulas/${page.id}`);
    } catch (e) {
        tellProblem(e);
    }
}
async function pass(): Promise<void> {
    if (!(await props.bench.flush())) return tell('Save it first: it is not saved yet.', { stop: true });
    try {
        did.value = (await passing.mutateAsync(props.id)).passed;
        tell(`Passed on to ${did.value.length}.`, { undo: () => void takeBack() });
    } catch (e) {
        tellProblem(e);
    }
}
/** Each variant as it was; one that was changed since then is left, and said. */
async function takeBack(): Promise<void> {
    for (const one of did.value) {
        try {
            const { revision, before: formula, head_id, hair } = one;
            await saving.mutateAsync({ id: one.id, body: { revision, formula, head_id, hair } });
        } catch (e) {
            tellProblem(e);
        }
    }
    did.value = [];
    await refetch();
}
async function leave(): Promise<void> {
    try {
        await leaving.mutateAsync(props.id);
        tell('It stands on its own now.');
    } catch (e) {
        tellProblem(e);
    }
}
function grew(one: Schemas['FamilyPassed']['passed'][number]): string {
    const stops = one.stops - one.stops_before;
    const cautions = one.cautions - one.cautions_before;
    if (stops > 0) return `Now ${counted(one.stops, 'stop')}.`;
    if (cautions > 0) return `Now ${counted(one.cautions, 'caution')}.`;
    return stops < 0 || cautions < 0 ? 'Better than before.' : 'Nothing new speaks against it.';
}
</script>

<template>
    <section v-if="data" aria-label="Variants">
        <h2>
            {{ data.base ? 'A variant' : 'Variants' }}
            <HowLink of="family" what="passing on" />
        </h2>
        <p v-if="data.base" class="mt-2">
            Its base is
            <RouterLink :to="`/formulas/${data.base.id}`">{{ `${data.base.title}.` }}</RouterLink>
            What is changed there is passed on from there, except where this one went its own way.
            <button type="button" class="act-quiet no-print" @click="leave">Let it stand on its own</button>
        </p>
        <p v-else-if="data.variants.length === 0" class="quiet mt-1">
            One base, several scents or herbs: a variant takes every later change of this formula, and keeps what is its own.
        </p>
        <ul class="mt-2 flex flex-wrap gap-x-6 gap-y-3">
            <li v-for="v in data.variants" :key="v.id" class="flex w-64 items-start gap-3">
                <JarView small :width="34" :height="56" :bands="smallBands(v.bands)" :label="`Jar of ${v.title}`" />
                <div>
                    <RouterLink v-if="v.id !== id" :to="`/formulas/${v.id}`" class="font-head text-[16px] leading-tight font-semibold">
                        {{ v.title }}
                    </RouterLink>
                    <span v-else class="font-head text-[16px] leading-tight font-semibold">{{ v.title }} (this one)</span>
                    <p class="text-[13px]">
                        <span v-if="v.stops > 0" class="said-stop font-semibold">{{ counted(v.stops, 'stop') }}</span>
                        <span v-else-if="v.cautions > 0" class="said-caution font-semibold">{{ counted(v.cautions, 'caution') }}</span>
                        <span v-else class="text-good font-semibold">in order</span>
                    </p>
                    <p v-if="v.waiting.length > 0" class="quiet text-[13px]">Waiting: {{ v.waiting.join(' ') }}</p>
                </div>
            </li>
        </ul>
        <template v-if="!data.base">
            <button v-if="waiting > 0" type="button" class="act no-print mt-3" @click="pass">
                Pass it on to {{ waiting === 1 ? 'the variant' : `${waiting} variants` }}
            </button>
            <ul v-if="did.length > 0" class="mt-3" aria-label="What it did">
                <li v-for="one in did" :key="one.id" class="row-line py-1">
                    <strong>{{ one.title }}.</strong>
                    {{ one.changes.join(' ') }}
                    <span :class="one.stops > one.stops_before ? 'said-stop font-semibold' : ''">{{ grew(one) }}</span>
                </li>
            </ul>
            <form class="no-print mt-3 flex max-w-md gap-2" @submit.prevent="vary">
                <input
                    v-model="title"
                    class="field"
                    maxlength="200"
                    required
                    aria-label="Name of the new variant"
                    :placeholder="`${bench.formula.value.title}, lavender`"
                />
                <button class="act shrink-0" :disabled="starting.isPending.value">Make a variant</button>
            </form>
        </template>
    </section>
</template>
