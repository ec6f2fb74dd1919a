<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { Problem, type Schemas } from '../../../api/client';
import { dropBatch } from '../../../api/kept';
import { useFinishBatch } from '../../../queries/batches';
import JarPick from '../../studio/JarPick.vue';
import { written } from '../../../ui/events';
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
const FIELDS = [
    'jars',
    'jar_ml',
    'net_grams',
    'full_grams',
    'remainder_grams',
    'bowl_ml',
    'made_on',
    'inspected',
    'weighings',
    'state',
    'although',
];

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
        <label>
            <span class="label">Jars filled</span>
            <input v-model="said.jars" type="number" min="1" class="field !min-h-14 !text-xl" />
        </label>
        <label>
            <span class="label">Jar, ml</span>
            <input v-model="said.ml" inputmode="decimal" maxlength="8" class="field !min-h-14 !text-xl" />
        </label>
        <label>
            <span class="label">Net in one, grams</span>
            <input
                v-model="said.net"
                inputmode="decimal"
                maxlength="10"
                class="field !min-h-14 !text-xl"
                :aria-invalid="!!errors['net_grams']"
            />
        </label>
        <label>
            <span class="label">Left over, grams</span>
            <input
                v-model="said.remainder"
                inputmode="decimal"
                maxlength="10"
                class="field !min-h-14 !text-xl"
                :aria-invalid="!!errors['remainder_grams']"
            />
        </label>
        <label v-if="whipped" class="col-span-full">
            <span class="label">How far it stood in a marked bowl after whipping, ml (optional)</span>
            <input v-model="said.bowl" inputmode="decimal" maxlength="8" class="field !min-h-14 !w-48 !text-xl" />
        </label>
        <label v-if="jar" class="col-span-full">
            <span class="label">Or one weighed full with its lid, grams ({{ num(jar.tareGrams, 1) }} g empty)</span>
            <input
                v-model="said.full"
                inputmode="decimal"
                maxlength="10"
                class="field !min-h-14 !w-48 !text-xl"
                :aria-invalid="!!errors['full_grams']"
            />
        </label>
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
        <label class="col-span-full sm:col-span-2">
            <span class="label">Made on</span>
            <input v-model="said.made" type="date" class="field !min-h-14" :aria-invalid="!!errors['made_on']" />
        </label>
        <label class="col-span-full">
            <span class="label">Note: what went otherwise than planned</span>
            <textarea v-model="said.note" class="field" rows="2" maxlength="2000" />
        </label>
        <label v-if="errors['although'] || said.although" class="col-span-full">
            <span class="label">Why it is kept all the same; this stands on the record</span>
            <textarea v-model="said.although" class="field" rows="2" maxlength="500" />
        </label>
        <div class="col-span-full">
            <FormProblem v-for="field in FIELDS" :key="field" :errors="errors" :field="field" />
            <p v-if="waiting > 0" class="said-caution">What is kept here is sent first: close it when there is a network.</p>
            <button class="counter-act mt-2" :disabled="finishing.isPending.value || waiting > 0">Done: keep the record</button>
        </div>
    </form>
</template>
