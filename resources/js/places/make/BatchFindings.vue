<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { useFindOnBatch, useTakeBackFinding } from '../../queries/batches';
import { written } from '../../ui/events';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { tell, tellProblem } from '../../ui/notice';
import { counted, num, sayDate, todayDate } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';

/** What was found on a finished batch. It moves what is said of the next ones; the record itself stays as it is. */
const props = defineProps<{ batch: Schemas['Batch'] }>();
const finding = useFindOnBatch();
const takingBack = useTakeBackFinding();
const errors = ref<Record<string, string[]>>({});
type Sign = NonNullable<Schemas['BatchFindingDraft']['signs']>[number];
const SIGNS: Record<Sign, string> = {
    'bad-smell': 'It smells bad',
    mould: 'Something grows in it',
    colour: 'Its colour has changed',
    separated: 'It has separated',
};
interface Found extends Pick<Schemas['BatchFindingDraft'], 'on' | 'texture' | 'state' | 'note'> {
    signs: Sign[];
    overrun: string;
    minutes: string;
}
const AT_ITS_FIELD = ['texture', 'state', 'overrun_percent', 'whipped_minutes', 'on', 'note'];
const elsewhere = computed(() => Object.keys(errors.value).filter((field) => !AT_ITS_FIELD.includes(field)));
const EMPTY: Found = { signs: [], on: todayDate(), texture: '', overrun: '', minutes: '', state: '', note: '' };
const form = reactive<Found>({ ...EMPTY });
const whipped = computed(() => props.batch.kind === 'whipped-butter');
const TEXTURES: [Schemas['BatchFindingDraft']['texture'], string][] = [
    ['', 'not felt'],
    ['much-softer', 'much softer than said'],
    ['softer', 'softer than said'],
    ['as-said', 'as said'],
    ['firmer', 'firmer than said'],
    ['much-firmer', 'much firmer than said'],
];

async function put(work: () => Promise<Schemas['Batch']>): Promise<Schemas['Batch'] | null> {
    errors.value = {};
    try {
        return await work();
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
        return null;
    }
}
const number = (text: string | number): number | null => written(String(text));
async function say(): Promise<void> {
    const known = new Set(props.batch.findings.map((f) => f.id));
    const batch = await put(() =>
        finding.mutateAsync({
            id: props.batch.id,
            body: {
                on: form.on,
                texture: form.texture,
                overrun_percent: number(form.overrun),
                whipped_minutes: number(form.minutes),
                state: form.state,
                signs: form.signs,
                note: form.note,
            },
        }),
    );
    if (!batch) return;
    Object.assign(form, EMPTY);
    const made = batch.findings.find((f) => !known.has(f.id));
    tell('Noted. What is said of the next ones follows it.', made ? { undo: () => void takeBack(made.id) } : {});
}
async function takeBack(id: number): Promise<void> {
    if (await put(() => takingBack.mutateAsync({ batch: props.batch.id, finding: id }))) tell('Taken back.');
}
function words(f: Schemas['BatchFinding']): string {
    const said = [
        f.texture_label,
        f.overrun_percent === null ? '' : `${num(f.overrun_percent)} % of air after ${counted(f.whipped_minutes ?? 0, 'minute')}`,
        f.state === 'off'
            ? `gone off at ${counted(f.months, 'month', 1)}`
            : f.state === 'good'
              ? `still good at ${counted(f.months, 'month', 1)}`
              : '',
        ...f.signs.map((s) => SIGNS[s].toLowerCase()),
        f.note,
    ].filter((s) => s !== '');
    return said.join('; ');
}
</script>

<template>
    <section aria-label="What you found">
        <h2>
            What you found
            <HowLink of="learned" what="what is learned from it" />
        </h2>
        <ul v-if="batch.findings.length > 0" class="mt-2">
            <li v-for="f in batch.findings" :key="f.id" class="row-line flex items-baseline justify-between gap-3 py-1.5">
                <span>
                    <span class="quiet">{{ sayDate(f.on) }}.</span>
                    {{ words(f) }}
                </span>
                <button type="button" class="act-quiet no-print shrink-0" :aria-label="`Take back: ${words(f)}`" @click="takeBack(f.id)">
                    Take back
                </button>
            </li>
        </ul>
        <p v-else class="quiet mt-1">Firmer than said? Less air? Gone off early? Say so, and the next forecast is better.</p>
        <form class="no-print mt-3 grid gap-x-4 gap-y-3 sm:grid-cols-2" @submit.prevent="say">
            <FormField v-slot="{ field }" label="Its texture" :problem="errors['texture']">
                <select v-bind="field" v-model="form.texture" class="field">
                    <option v-for="[value, word] in TEXTURES" :key="value" :value="value">{{ word }}</option>
                </select>
            </FormField>
            <FormField v-slot="{ field }" label="Does it still keep?" :problem="errors['state']">
                <select v-bind="field" v-model="form.state" class="field">
                    <option value="">not looked at</option>
                    <option value="good">still good</option>
                    <option value="off">gone off</option>
                </select>
            </FormField>
            <fieldset class="sm:col-span-2">
                <legend class="label">Seen or smelt</legend>
                <div class="flex flex-wrap gap-x-5">
                    <label v-for="(word, sign) in SIGNS" :key="sign" class="flex min-h-9 items-center gap-2">
                        <input v-model="form.signs" type="checkbox" :value="sign" />
                        {{ word }}
                    </label>
                </div>
                <p v-if="form.signs.some((sign) => batch.bad_signs.includes(sign))" class="said-stop font-semibold">
                    All jars of this batch are then marked: not to be used any more.
                </p>
            </fieldset>
            <template v-if="whipped">
                <div>
                    <FormField v-slot="{ field }" label="Volume gained by whipping, %" :problem="errors['overrun_percent']">
                        <input v-bind="field" v-model="form.overrun" class="field" inputmode="decimal" maxlength="6" />
                    </FormField>
                    <button
                        v-if="batch.air_percent !== null"
                        type="button"
                        class="act-quiet -ml-2.5"
                        @click="form.overrun = String(batch.air_percent)"
                    >
                        {{ num(batch.air_percent) }} by its full jars: take that
                    </button>
                </div>
                <FormField v-slot="{ field }" label="Minutes whipped" :problem="errors['whipped_minutes']">
                    <input v-bind="field" v-model="form.minutes" class="field" inputmode="decimal" maxlength="6" />
                </FormField>
            </template>
            <FormField v-slot="{ field }" label="Found on" :problem="errors['on']">
                <input v-bind="field" v-model="form.on" type="date" class="field" :min="batch.made_on" :max="todayDate()" required />
            </FormField>
            <FormField v-slot="{ field }" label="Note" :problem="errors['note']">
                <input v-bind="field" v-model="form.note" class="field" maxlength="500" />
            </FormField>
            <div class="sm:col-span-2">
                <FormProblem v-for="field in elsewhere" :key="field" :errors="errors" :field="field" />
                <button class="act mt-1">Note it</button>
            </div>
        </form>
    </section>
</template>
