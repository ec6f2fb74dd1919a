<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import type { Schemas } from '../../api/client';
import { useBeginBatch, useRehearse } from '../../queries/batches';
import { plainText, stockOf, useBringBack, usePutAway } from '../../queries/formulas';
import { HEADS } from '../../queries/lists';
import { tickedIn, valueIn } from '../../ui/events';
import { bandsOf, sayJar } from '../../jar/bands';
import JarView, { type JarBand } from '../../jar/JarView.vue';
import TextureRibbon from '../../jar/TextureRibbon.vue';
import type { Moved } from '../../jar/useEdge';
import { useActs } from '../../ui/acts';
import TouchedBy from '../../ui/TouchedBy.vue';
import HowLink from '../../ui/HowLink.vue';
import { tell, tellProblem } from '../../ui/notice';
import UiDialog from '../../ui/UiDialog.vue';
import { useEvery } from '../../ui/useList';
import { AUDIENCES, HAIR_TYPES, KINDS, num, sayMonths } from '../../ui/words';
import BehaviourPanel from './BehaviourPanel.vue';
import CostPanel from './CostPanel.vue';
import DesignPanel from './DesignPanel.vue';
import FamilyPanel from './FamilyPanel.vue';
import MethodPanel from './MethodPanel.vue';
import FindingsList from './FindingsList.vue';
import FitPanel from './FitPanel.vue';
import JarPick from '../studio/JarPick.vue';
import TakeAlong from '../studio/TakeAlong.vue';
import LinesTable from './LinesTable.vue';
import LoadPanel from './LoadPanel.vue';
import StockPanel from './StockPanel.vue';
import { useBench } from './useBench';
import VersionJars from './VersionJars.vue';
import WaterPanel from './WaterPanel.vue';
import PlacePick from '../studio/PlacePick.vue';
import WithoutScale from './WithoutScale.vue';

/** One formula at the bench: its lines beside the jar, what is found of it, and the panels behind. */

const props = defineProps<{ page: Schemas['FormulaPage'] }>();
const emit = defineEmits<{ gone: [] }>();
const bench = useBench(props.page);
const { formula, assessment, status, versions, canUndo, canRedo, theirs, refusal, headId, hair, fit, keeps } = bench;
const router = useRouter();
const lit = ref('');
const note = ref('');
const lines = ref<InstanceType<typeof LinesTable> | null>(null);
const heads = useEvery(HEADS);

const bands = computed(() => bandsOf(assessment.value));
const then = shallowRef<JarBand[] | null>(null);
/** Which edges of the jar may be moved: those between lines whose share is known and not locked. */
const movable = computed(() => {
    const free = new Set(formula.value.lines.filter((l) => !l.locked).map((l) => l.id));
    return assessment.value.lines.filter((l) => l.problem === '' && free.has(l.id)).map((l) => l.id);
});
/** Dates go by where it stands; a wet place wets whatever stands in it. */
function keepIn(draft: Schemas['Formula'], place: Schemas['Place']): void {
    draft.storage_c = place.celsius;
    if (place.wet) draft.wet_use = true;
}
async function reshare(moved: Moved): Promise<void> {
    // Without an answer the jar goes back to what it was.
    if (!(await bench.reshare(moved.from, moved.to, moved.points))) assessment.value = { ...assessment.value };
}
async function asStockAllows(): Promise<void> {
    try {
        const stock = await stockOf({ formula: formula.value, head_id: headId.value, hair: hair.value });
        const grams = stock.largest_grams;
        if (grams === null || grams <= 0) {
            const why = grams === null ? 'nobody said how much there is' : `${stock.limiting.join(' and ')} is not in the cupboard`;
            return tell(`Cannot tell what your stock allows: ${why}. See "From the cupboard" below.`, { stop: true });
        }
        bench.edit('size', (draft) => (draft.size = { mode: 'mass', grams }));
        tell(`${num(grams)} g: ${stock.limiting.join(' and ')} runs out first.`, { undo: bench.undo });
    } catch (e) {
        tellProblem(e);
    }
}
const saved = computed(
    () =>
        ({
            saved: 'Saved',
            waiting: 'Not saved yet',
            saving: 'Saving…',
            away: 'Not saved yet: the application does not answer. It is tried again by itself.',
            overtaken: 'Not saved: someone changed this formula',
            refused: 'Not saved: see below',
        })[status.value],
);
const count = (severity: string): number => assessment.value.findings.filter((f) => f.severity === severity && f.accepted === '').length;

const sizeMode = computed(() => formula.value.size.mode);
function setSize(mode: string): void {
    if (mode === 'stock') return void asStockAllows();
    bench.edit('size', (draft) => {
        draft.size =
            mode === 'mass'
                ? { mode: 'mass', grams: Math.max(1, Math.round(assessment.value.total_grams.best) || 100) }
                : mode === 'jars'
                  ? { mode: 'jars', jars: 4, millilitres: 100, overfill: props.page.sizing.overfill, loss: props.page.sizing.loss }
                  : { mode: 'as-written' };
    });
}
function setNumber(field: 'grams' | 'jars' | 'millilitres', event: Event): void {
    const value = Number(valueIn(event));
    if (!Number.isFinite(value) || value <= 0) return;
    bench.edit(`size ${field}`, (draft) => (draft.size[field] = field === 'jars' ? Math.max(1, Math.round(value)) : value));
}
function setText(field: 'title' | 'kind' | 'audience' | 'notes', value: string): void {
    bench.edit(field, (draft) => Object.assign(draft, { [field]: value }));
}

function chooseFor(value: string): void {
    const type = HAIR_TYPES.find((h) => h.key === value);
    bench.chooseFor(type ? null : Number(value) || null, type?.hair ?? null);
}

const beginning = useBeginBatch();
const rehearsing = useRehearse();
const puttingAway = usePutAway();
const bringingBack = useBringBack();
/** What the bench stops at is asked about before it is made. */
const stops = computed(() => assessment.value.findings.filter((f) => f.severity === 'stop' && f.accepted === ''));
const asking = ref(false);
const although = ref('');
async function make(): Promise<void> {
    if (!(await bench.flush())) return tell('Save it first: it is not saved yet.', { stop: true });
    if (stops.value.length > 0 && !asking.value) {
        asking.value = true;
        return;
    }
    try {
        const batch = await beginning.mutateAsync({ formula_id: props.page.id, although: although.value });
        asking.value = false;
        await router.push(`/make/${batch.id}`);
    } catch (e) {
        tellProblem(e);
    }
}
async function rehearse(): Promise<void> {
    if (!(await bench.flush())) return tell('Save it first: it is not saved yet.', { stop: true });
    try {
        await router.push(`/make/${(await rehearsing.mutateAsync(props.page.id)).id}`);
    } catch (e) {
        tellProblem(e);
    }
}
async function keep(): Promise<void> {
    await bench.keep(note.value);
    note.value = '';
}
async function putAway(): Promise<void> {
    await bench.flush();
    try {
        await puttingAway.mutateAsync(props.page.id);
        emit('gone');
        await router.push('/formulas');
        tell(`"${formula.value.title}" was put away.`, {
            undo: () => void bringingBack.mutateAsync(props.page.id).catch(tellProblem),
        });
    } catch (e) {
        tellProblem(e);
    }
}
function accept(finding: Schemas['Finding'], reason: string): void {
    bench.edit(`accept ${finding.code}`, (draft) => {
        draft.accepted = [...(draft.accepted ?? []), { finding: finding.key, reason }];
    });
    tell('Accepted, with your reason in the record. It opens again as soon as it says something else.', { undo: bench.undo });
}
function reopen(finding: Schemas['Finding']): void {
    bench.edit(`reopen ${finding.code}`, (draft) => {
        draft.accepted = (draft.accepted ?? []).filter((_, n) => n !== finding.accepted_by);
    });
}
async function copyText(): Promise<void> {
    if (!(await bench.flush())) return tell('Save it first: it is not saved yet.', { stop: true });
    try {
        const { text } = await plainText(props.page.id);
        await navigator.clipboard.writeText(text);
        tell('Copied as plain text: grams, shares, method and what was said of it.');
    } catch (e) {
        tellProblem(e);
    }
}
function back(version: Schemas['VersionRow']): void {
    bench.replace(version.formula, `version ${version.number}`);
    tell(`Version ${version.number} is back on the bench.`, { undo: bench.undo });
}
useActs([
    { label: 'Make this formula', key: 'b', run: () => void make() },
    { label: 'Copy as plain text', run: () => void copyText() },
    { label: 'Add a line', key: 'a', run: () => void lines.value?.add() },
    { label: 'Undo', key: 'u', run: bench.undo },
    { label: 'Redo', key: 'r', run: bench.redo },
]);
</script>

<template>
    <div>
        <div class="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
            <div class="min-w-0 flex-1">
                <input
                    class="bare -ml-1.5 font-head !text-[28px] leading-none font-bold"
                    :value="formula.title"
                    aria-label="Title"
                    maxlength="200"
                    @input="setText('title', valueIn($event))"
                />
                <h1 class="sr-only">{{ formula.title }}</h1>
                <p class="pl-px">
                    <span class="quiet mr-2 text-[13px]" role="status">{{ saved }}</span>
                    <TouchedBy :touched="page.touched" />
                    <TakeAlong class="!min-h-0 !py-0" :what="{ kind: 'formula', body: { formula, head_id: null } }" />
                </p>
            </div>
            <div class="no-print flex flex-wrap items-center">
                <button type="button" class="act-quiet" :disabled="!canUndo" @click="bench.undo">Undo</button>
                <button type="button" class="act-quiet" :disabled="!canRedo" @click="bench.redo">Redo</button>
                <RouterLink :to="`/formulas/compare?of=${page.id}`" class="act-quiet">Compare</RouterLink>
                <button type="button" class="act-quiet" @click="copyText">Copy as text</button>
                <a :href="`/papers/formulas/${page.id}/sheet.pdf`" target="_blank" class="act-quiet">Print</a>
                <button type="button" class="act-quiet" @click="putAway">Put away</button>
                <button type="button" class="act-quiet" :disabled="rehearsing.isPending.value" @click="rehearse">Rehearse it</button>
                <button type="button" class="act ml-2" :disabled="beginning.isPending.value" @click="make">Make it</button>
            </div>
        </div>

        <div v-if="theirs" role="alert" class="bg-caution-wash mb-4 rounded p-3">
            <p class="font-semibold">Someone changed this formula since you opened it. Yours is kept on this screen.</p>
            <button type="button" class="act-quiet" @click="bench.takeTheirs">Take theirs (undo brings yours back)</button>
            <button type="button" class="act-quiet" @click="bench.keepMine">Keep mine over theirs</button>
        </div>
        <p v-if="refusal" role="alert" class="said-stop mb-3 font-semibold">{{ refusal }}</p>

        <div class="grid gap-x-6 gap-y-6 lg:grid-cols-[190px_minmax(0,1fr)] xl:grid-cols-[190px_minmax(0,1fr)_292px]">
            <div>
                <JarView
                    :bands="bands"
                    :then="then"
                    :movable="movable"
                    :label="sayJar(bands)"
                    :lit="lit"
                    @light="lit = $event"
                    @move="reshare"
                />
                <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-[14px]">
                    <dt class="quiet">Water</dt>
                    <dd :class="assessment.water_class === 'D' ? 'said-stop font-semibold' : ''">
                        {{ assessment.water_label }} ({{ assessment.water_class }})
                    </dd>
                    <dt class="quiet">Keeps</dt>
                    <dd :title="assessment.life_reasons.join(' ')">
                        <span class="fig fig-estimated">{{ sayMonths(assessment.life_months.best) }}</span>
                    </dd>
                    <dt class="quiet">Weight</dt>
                    <dd>
                        <span class="fig fig-estimated">
                            {{ assessment.weight_index > 0 ? num(assessment.weight_index, 1) : 'cannot tell' }}
                        </span>
                        <span class="unit">of 5</span>
                    </dd>
                    <dt class="quiet">Scent</dt>
                    <dd>
                        <span class="fig fig-estimated">{{ num(assessment.essential_oil_percent.best) }}</span>
                        <span class="unit">
                            %, may be {{ num(assessment.essential_oil_percent.high) }} of {{ num(assessment.essential_oil_ceiling) }}
                        </span>
                    </dd>
                </dl>
            </div>

            <div class="min-w-0">
                <div class="mb-3 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-[1.3fr_1.1fr_.9fr_.9fr]">
                    <label>
                        <span class="label">Product</span>
                        <select class="field" :value="formula.kind" @change="setText('kind', valueIn($event))">
                            <option v-for="(word, kind) in KINDS" :key="kind" :value="kind">{{ word }}</option>
                        </select>
                    </label>
                    <label>
                        <span class="label">For</span>
                        <select class="field" :value="formula.audience" @change="setText('audience', valueIn($event))">
                            <option v-for="(word, audience) in AUDIENCES" :key="audience" :value="audience">{{ word }}</option>
                        </select>
                    </label>
                    <label>
                        <span class="label">On the head of</span>
                        <select
                            class="field"
                            :value="headId ?? (hair ? `${hair.strand} ${hair.porosity}` : '')"
                            @change="chooseFor(valueIn($event))"
                        >
                            <option value="">nobody in particular</option>
                            <option v-for="head in heads" :key="head.id" :value="head.id">{{ head.name }}</option>
                            <optgroup label="a type of hair">
                                <option v-for="type in HAIR_TYPES" :key="type.key" :value="type.key">{{ type.words }}</option>
                            </optgroup>
                        </select>
                    </label>
                    <div>
                        <label>
                            <span class="label">Batch size</span>
                            <select class="field" :value="sizeMode" @change="setSize(valueIn($event))">
                                <option value="as-written">as written</option>
                                <option value="mass">a mass</option>
                                <option value="jars">jars to fill</option>
                                <option value="stock">what my stock allows</option>
                            </select>
                        </label>
                        <div v-if="sizeMode !== 'as-written'" class="mt-1 flex items-center gap-1.5">
                            <template v-if="sizeMode === 'mass'">
                                <input
                                    class="field"
                                    type="number"
                                    min="1"
                                    step="any"
                                    :value="formula.size.grams"
                                    aria-label="Batch mass in grams"
                                    @input="setNumber('grams', $event)"
                                />
                                <span class="unit">g</span>
                            </template>
                            <template v-else>
                                <input
                                    class="field plain-number !px-1.5"
                                    type="number"
                                    min="1"
                                    :value="formula.size.jars"
                                    aria-label="How many jars"
                                    @input="setNumber('jars', $event)"
                                />
                                <span>×</span>
                                <input
                                    class="field plain-number !px-1.5"
                                    type="number"
                                    min="1"
                                    step="any"
                                    :value="formula.size.millilitres"
                                    aria-label="Millilitres in a jar"
                                    @input="setNumber('millilitres', $event)"
                                />
                                <span class="unit">ml</span>
                            </template>
                        </div>
                        <JarPick
                            v-if="sizeMode === 'jars'"
                            class="mt-1"
                            label="Jar of the kit"
                            @choose="bench.edit('size millilitres', (draft) => (draft.size.millilitres = $event.fillMl))"
                        />
                        <p v-if="sizeMode === 'jars'" class="quiet mt-1 text-[13px]">
                            {{ num((formula.size.overfill ?? 0) * 100, 1) }} % over, {{ num((formula.size.loss ?? 0) * 100, 1) }} % lost on
                            the way
                            <HowLink of="making" what="the loss" />
                        </p>
                    </div>
                </div>
                <p class="no-print mb-3 flex flex-wrap gap-x-5 text-[14px]">
                    <label class="inline-flex items-center gap-2">
                        <input
                            type="checkbox"
                            :checked="formula.wet_use"
                            @change="bench.edit('wet', (d) => (d.wet_use = tickedIn($event)))"
                        />
                        Meets wet fingers or a shower
                    </label>
                    <label class="inline-flex items-center gap-2">
                        <input
                            type="checkbox"
                            :checked="formula.for_sale"
                            @change="bench.edit('sale', (d) => (d.for_sale = tickedIn($event)))"
                        />
                        For sale (local law is yours to check first)
                    </label>
                    <label class="inline-flex items-center gap-2">
                        <input
                            type="checkbox"
                            :checked="formula.clear_glass ?? false"
                            @change="bench.edit('glass', (d) => (d.clear_glass = tickedIn($event)))"
                        />
                        In clear glass, in the light
                    </label>
                    <PlacePick
                        label="Stands in"
                        :celsius="formula.storage_c"
                        :wet="formula.wet_use"
                        @choose="(place) => bench.edit('place', (d) => keepIn(d, place))"
                    />
                </p>
                <LinesTable ref="lines" :bench="bench" :lit="lit" @light="lit = $event" />
            </div>

            <section aria-label="Findings" class="lg:col-span-2 xl:col-span-1">
                <h2 class="mb-2">
                    Findings
                    <span class="quiet text-[14px] font-normal">
                        {{ count('stop') }} stop, {{ count('caution') }} caution, {{ count('note') }} note
                    </span>
                </h2>
                <div
                    class="xl:max-h-[calc(100vh-19rem)] xl:overflow-y-auto xl:pr-2"
                    tabindex="0"
                    role="group"
                    aria-label="Findings, worst first"
                >
                    <FindingsList
                        :findings="assessment.findings"
                        :preview="bench.preview"
                        decides
                        @cure="bench.cure"
                        @light="lit = $event"
                        @accept="accept"
                        @reopen="reopen"
                        @then="then = $event ? bandsOf($event) : null"
                    />
                </div>
            </section>
        </div>

        <div class="bg-ground border-rule mt-4 border-t pt-2 pb-1 xl:sticky xl:bottom-0 xl:z-10">
            <TextureRibbon :assessment="assessment" />
        </div>

        <BehaviourPanel class="mt-6" :assessment="assessment" :keeps="keeps" />

        <DesignPanel class="no-print mt-8" :bench="bench" />
        <LoadPanel class="mt-8" :bench="bench" />
        <WaterPanel class="mt-8" :bench="bench" />
        <CostPanel class="mt-8" :bench="bench" />
        <StockPanel class="mt-8" :bench="bench" />
        <WithoutScale class="mt-8" :bench="bench" />
        <FamilyPanel :id="page.id" class="mt-8" :bench="bench" />

        <section class="mt-8" aria-label="Kept versions">
            <h2>Kept versions</h2>
            <form class="no-print mt-2 flex max-w-md gap-2" @submit.prevent="keep">
                <input v-model="note" class="field" maxlength="300" aria-label="What changed" placeholder="What changed, in your words" />
                <button class="act shrink-0">Keep this</button>
            </form>
            <p v-if="versions.length === 0" class="quiet mt-2">No version is kept yet. Keep one before you try something.</p>
            <VersionJars v-else :id="page.id" class="mt-4" :versions="versions" :now="bands" @back="back" />
        </section>

        <div class="mt-8 grid gap-8 md:grid-cols-2">
            <FitPanel v-if="fit" :fit="fit" @light="lit = $event" />
            <section>
                <MethodPanel :bench="bench" />
                <label class="mt-5 block">
                    <span class="mb-2 block font-head text-[17px] font-semibold">Notes</span>
                    <textarea
                        class="field"
                        rows="6"
                        maxlength="20000"
                        :value="formula.notes"
                        @input="setText('notes', valueIn($event))"
                    ></textarea>
                </label>
            </section>
        </div>
        <UiDialog :open="asking" title="The bench stops at this" @close="asking = false">
            <ul class="space-y-1">
                <li v-for="stop in stops" :key="stop.code + stop.message" class="said-stop">{{ stop.message }}</li>
            </ul>
            <template v-if="stops.every((s) => s.acceptable)">
                <label class="mt-3 block">
                    <span class="label">Why it is made all the same; this stands on the record</span>
                    <textarea v-model="although" class="field" rows="2" maxlength="500" />
                </label>
                <div class="mt-3 flex flex-wrap gap-2">
                    <button type="button" class="act" @click="asking = false">Back to the bench</button>
                    <button type="button" class="act-quiet" :disabled="although.trim() === '' || beginning.isPending.value" @click="make">
                        Make it all the same
                    </button>
                </div>
            </template>
            <template v-else>
                <p class="mt-3">No reason outweighs this. Settle it on the bench first.</p>
                <button type="button" class="act mt-3" @click="asking = false">Back to the bench</button>
            </template>
        </UiDialog>
    </div>
</template>
