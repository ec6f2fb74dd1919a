<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { Problem, type Schemas } from '../../../api/client';
import { dropBatch } from '../../../api/kept';
import { useFinishBatch } from '../../../queries/batches';
import JarPick from '../../studio/JarPick.vue';
import { written } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import FormProblem from '../../../ui/FormProblem.vue';
import { tellProblem } from '../../../ui/notice';
import { useSession } from '../../../ui/session';
import { num } from '../../../ui/words';
import { LOOKED } from '../looked';

/** The last of it: jars counted and looked at, what was left over, and the record is closed. */
const props = defineProps<{ batch: Schemas['Batch']; waiting: number }>();
const emit = defineEmits<{ go: [key: string] }>();
const session = useSession();
const finishing = useFinishBatch();
const errors = ref<Record<string, string[]>>({});
type Looked = NonNullable<Schemas['FinishAsk']['inspected']>[number];
const size = props.batch.formula.size;
const said = reactive({
    jars: String(size.jars || 1),
    ml: String(size.millilitres || 100),
    net: '',
    full: '',
    remainder: '',
    bowl: '',
    note: '',
    although: '',
    made: props.batch.made_on,
    sample: false,
});
const whipped = props.batch.kind === 'whipped-butter';
const looked = ref<Looked[]>([]);
/** A jar of the kit whose empty weight is known can be weighed full. */
const jar = ref<{ id: number; name: string; tareGrams: number } | null>(null);
const total = computed(() => props.batch.weighings.reduce((sum, w) => sum + (w.actual_grams ?? 0), 0));
const open = computed(() => props.batch.weighings.filter((w) => w.actual_grams === null));
/** What is wrong and stands at no field of its own. */
const ELSEWHERE = ['inspected', 'weighings', 'state'];

function taken(of: { id: number; name: string; tareGrams: number; fillMl: number }): void {
    said.ml = String(of.fillMl);
    jar.value = of.tareGrams > 0 ? of : null;
}
async function finish(): Promise<void> {
    errors.value = {};
    try {
        await finishing.mutateAsync({
            id: props.batch.id,
            body: {
                revision: props.batch.revision,
                jars: Number(said.jars),
                jar_ml: written(said.ml) ?? 0,
                net_grams: written(said.net),
                ...(jar.value && { full_grams: written(said.full), jar: jar.value.id }),
                remainder_grams: written(said.remainder),
                ...(whipped && { bowl_ml: written(said.bowl) }),
                sample_kept: said.sample,
                inspected: looked.value,
                made_on: said.made || null,
                note: said.note,
                although: said.although,
            },
        });
        await dropBatch(props.batch.id);
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
</script>

<template>
    <h2 class="counter-head">Count the jars and close the batch</h2>
    <p class="text-[18px]">{{ num(total) }} g were weighed.</p>
    <p v-if="open.length > 0" class="said-stop font-semibold">
        Not weighed yet: {{ open.map((w) => w.name).join(', ') }}.
        <button type="button" class="counter-quiet" @click="emit('go', `weigh ${open[0]?.line}`)">Weigh it now</button>
    </p>
    <form class="mt-3 grid max-w-2xl grid-cols-2 gap-4 sm:grid-cols-4" @submit.prevent="finish">
        <JarPick v-if="session.may('make')" class="col-span-full" label="Jar of the kit" @choose="taken" />
        <FormField v-slot="{ field }" label="Jars filled" :problem="errors['jars']">
            <input v-bind="field" v-model="said.jars" type="number" min="1" class="field !min-h-14 !text-xl" />
        </FormField>
        <FormField v-slot="{ field }" label="Jar, ml" :problem="errors['jar_ml']">
            <input v-bind="field" v-model="said.ml" inputmode="decimal" maxlength="8" class="field !min-h-14 !text-xl" />
        </FormField>
        <FormField v-slot="{ field }" label="Net in one, grams" :problem="errors['net_grams']">
            <input v-bind="field" v-model="said.net" inputmode="decimal" maxlength="10" class="field !min-h-14 !text-xl" />
        </FormField>
        <FormField v-slot="{ field }" label="Left over, grams" :problem="errors['remainder_grams']">
            <input v-bind="field" v-model="said.remainder" inputmode="decimal" maxlength="10" class="field !min-h-14 !text-xl" />
        </FormField>
        <FormField
            v-if="whipped"
            v-slot="{ field }"
            class="col-span-full"
            label="How far it stood in a marked bowl after whipping, ml (optional)"
            :problem="errors['bowl_ml']"
        >
            <input v-bind="field" v-model="said.bowl" inputmode="decimal" maxlength="8" class="field !min-h-14 !w-48 !text-xl" />
        </FormField>
        <FormField
            v-if="jar"
            v-slot="{ field }"
            class="col-span-full"
            :label="`Or one weighed full with its lid, grams (${num(jar.tareGrams, 1)} g empty)`"
            :problem="errors['full_grams']"
        >
            <input v-bind="field" v-model="said.full" inputmode="decimal" maxlength="10" class="field !min-h-14 !w-48 !text-xl" />
        </FormField>
        <fieldset class="col-span-full">
            <legend class="label">Every jar looked at</legend>
            <div class="grid gap-x-6 sm:grid-cols-2">
                <label v-for="(words, what) in LOOKED" :key="what" class="flex min-h-14 items-center gap-3 text-[17px]">
                    <input v-model="looked" type="checkbox" :value="what" class="h-7 w-7" />
                    <span class="first-letter:uppercase">{{ words }}</span>
                </label>
                <label class="flex min-h-14 items-center gap-3 text-[17px]">
                    <input v-model="said.sample" type="checkbox" class="h-7 w-7" />
                    One jar kept back as the sample
                </label>
            </div>
        </fieldset>
        <FormField v-slot="{ field }" class="col-span-full sm:col-span-2" label="Made on" :problem="errors['made_on']">
            <input v-bind="field" v-model="said.made" type="date" class="field !min-h-14" />
        </FormField>
        <FormField v-slot="{ field }" class="col-span-full" label="Note: what went otherwise than planned" :problem="errors['note']">
            <textarea v-bind="field" v-model="said.note" class="field" rows="2" maxlength="2000" />
        </FormField>
        <FormField
            v-if="errors['although'] || said.although"
            v-slot="{ field }"
            class="col-span-full"
            label="Why it is kept all the same; this stands on the record"
            :problem="errors['although']"
        >
            <textarea v-bind="field" v-model="said.although" class="field" rows="2" maxlength="500" />
        </FormField>
        <div class="col-span-full">
            <FormProblem v-for="field in ELSEWHERE" :key="field" :errors="errors" :field="field" />
            <p v-if="waiting > 0" class="said-caution">What is kept here is sent first: close it when there is a network.</p>
            <button class="counter-act mt-2" :disabled="finishing.isPending.value || waiting > 0">Done: keep the record</button>
        </div>
    </form>
</template>
