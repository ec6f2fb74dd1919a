<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { onMounted, reactive, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { ask, onceKey, Problem, type Schemas } from '../../api/client';
import FormProblem from '../../ui/FormProblem.vue';
import { tell, tellProblem } from '../../ui/notice';
import UiDialog from '../../ui/UiDialog.vue';
import { AUDIENCES, fixed } from '../../ui/words';

const props = defineProps<{ id: string }>();
const router = useRouter();
const client = useQueryClient();
const kept = shallowRef<Schemas['Head'] | null>(null);
const errors = ref<Record<string, string[]>>({});
const asking = ref(false);
const allergies = ref('');
const dislikes = ref('');
const draft = reactive<Schemas['HeadDraft']>({
    name: '',
    strand: 'medium',
    porosity: 'normal',
    scalp: 'calm',
    age_band: 'over-12',
    pregnant: false,
    allergies: [],
    dislikes: [],
});

const CHOICES = {
    strand: [
        'Strand',
        {
            fine: 'fine: hardly felt between the fingers',
            medium: 'medium: like a sewing thread',
            coarse: 'coarse: felt clearly, like a stiff thread',
        },
    ],
    porosity: ['Porosity', { low: 'low: water beads, dries slowly', normal: 'normal', high: 'high: soaks at once, dries fast' }],
    scalp: [
        'Scalp',
        { calm: 'calm', dry: 'dry', oily: 'oily', flaking: 'flaking', itchy: 'itchy', alarming: 'sores, pain, sudden or patchy loss' },
    ],
    age_band: ['Age', { 'under-2': 'under 2', '2-6': '2 to 6', '6-12': '6 to 12', 'over-12': 'over 12' }],
} as const;

function take(head: Schemas['Head']): void {
    kept.value = head;
    Object.assign(draft, {
        name: head.name,
        strand: head.strand,
        porosity: head.porosity,
        scalp: head.scalp,
        age_band: head.age_band,
        pregnant: head.pregnant,
    });
    allergies.value = head.allergies.join(', ');
    dislikes.value = head.dislikes.join(', ');
}
onMounted(async () => {
    if (props.id === 'new') return;
    try {
        take(await ask<'Head'>('GET', `/api/heads/${props.id}`));
    } catch (e) {
        tellProblem(e);
    }
});
function words(text: string): string[] {
    return text
        .split(',')
        .map((w) => w.trim())
        .filter((w) => w !== '');
}
async function save(): Promise<void> {
    errors.value = {};
    const body = { ...draft, allergies: words(allergies.value), dislikes: words(dislikes.value) };
    try {
        if (kept.value) {
            take(await ask<'Head'>('PUT', `/api/heads/${kept.value.id}`, { ...body, revision: kept.value.revision }));
            tell('Saved.');
        } else {
            const head = await ask<'Head'>('POST', '/api/heads', body, { key: onceKey() });
            await router.replace(`/heads/${head.id}`);
            tell(`${head.name} is described.`);
        }
        await client.invalidateQueries({ queryKey: ['heads'] });
    } catch (e) {
        if (e instanceof Problem && e.status === 409) {
            kept.value = e.current as Schemas['Head'];
            tellProblem(
                new Error('Someone changed this head since you opened it. Yours is kept on this screen; save again to put it over theirs.'),
            );
        } else if (e instanceof Problem && Object.keys(e.errors).length > 0) errors.value = e.errors;
        else tellProblem(e);
    }
}
async function remove(): Promise<void> {
    asking.value = false;
    try {
        await ask('DELETE', `/api/heads/${kept.value?.id}`);
        await client.invalidateQueries();
        await router.push('/heads');
        tell('The head and everything kept of it were deleted.');
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <form class="grid gap-10 lg:grid-cols-[minmax(0,34rem)_minmax(0,1fr)]" @submit.prevent="save">
        <div>
            <h1 class="mb-4">{{ kept?.name || 'Describe a head' }}</h1>
            <label class="block">
                <span class="label">Name, or what you call this head</span>
                <input v-model="draft.name" class="field" maxlength="120" :aria-invalid="!!errors['name']" />
            </label>
            <FormProblem :errors="errors" field="name" />
            <fieldset v-for="([title, options], field) in CHOICES" :key="field" class="mt-4">
                <legend class="label">{{ title }}</legend>
                <div class="flex flex-wrap gap-2">
                    <label
                        v-for="(word, value) in options"
                        :key="value"
                        class="has-checked:bg-lead has-checked:text-on-lead border-rule flex min-h-9 cursor-pointer items-center rounded border px-3 has-focus-visible:outline-2"
                    >
                        <input v-model="draft[field]" type="radio" :name="field" :value="value" class="sr-only" />
                        {{ word }}
                    </label>
                </div>
            </fieldset>
            <p v-if="draft.scalp === 'alarming'" class="bg-stop-wash said-stop mt-3 rounded p-3 font-semibold" role="alert">
                Sores, pain, fever, a spreading rash, sudden or patchy loss: see a clinician before any formula is used.
            </p>
            <label class="mt-4 flex items-center gap-2">
                <input v-model="draft.pregnant" type="checkbox" />
                Pregnant or nursing
            </label>
            <label class="mt-4 block">
                <span class="label">Allergies, with commas between (tree nut, sesame, bee product, an ingredient)</span>
                <input v-model="allergies" class="field" />
            </label>
            <FormProblem :errors="errors" field="allergies" />
            <label class="mt-4 block">
                <span class="label">Dislikes, with commas between</span>
                <input v-model="dislikes" class="field" />
            </label>
            <div class="mt-5 flex gap-3">
                <button class="act">{{ kept ? 'Save' : 'Keep this head' }}</button>
                <button v-if="kept" type="button" class="act-quiet act-stop" @click="asking = true">Delete</button>
            </div>
        </div>
        <div v-if="kept">
            <h2>What suits {{ kept.name }}</h2>
            <svg
                viewBox="0 0 420 120"
                class="mt-3 w-full max-w-md"
                role="img"
                :aria-label="`Weights that suit: lengths ${fixed(kept.weight_lengths.low, 1)} to ${fixed(kept.weight_lengths.high, 1)}, scalp ${fixed(kept.weight_scalp.low, 1)} to ${fixed(kept.weight_scalp.high, 1)}, on a scale of 1 to 5.`"
            >
                <g
                    v-for="(row, i) in [
                        ['lengths', kept.weight_lengths],
                        ['scalp', kept.weight_scalp],
                    ] as const"
                    :key="row[0]"
                    :transform="`translate(70 ${18 + i * 42})`"
                >
                    <text x="-10" y="17" text-anchor="end" font-size="14" fill="var(--ink)">{{ row[0] }}</text>
                    <rect x="0" y="0" width="320" height="24" rx="4" fill="none" stroke="var(--glass)" stroke-width="1.5" />
                    <rect
                        :x="(row[1].low - 0.5) * 64"
                        y="1.5"
                        :width="(row[1].high - row[1].low) * 64"
                        height="21"
                        fill="url(#matter-liquid)"
                        stroke="var(--matter-line)"
                        stroke-width=".8"
                    />
                </g>
                <g v-for="n in 5" :key="n">
                    <text :x="70 + (n - 0.5) * 64" y="112" text-anchor="middle" font-size="12" fill="var(--quiet)">
                        {{ n === 1 ? '1 light' : n === 5 ? '5 rich' : n }}
                    </text>
                </g>
            </svg>
            <p class="mt-3">
                Judged as: {{ AUDIENCES[kept.audience] }}. Choose this head in a formula and its limits, allergies and dislikes are checked
                there.
            </p>
        </div>
        <UiDialog :open="asking" title="Delete this head?" @close="asking = false">
            <p>This deletes {{ kept?.name }}, the routines and everything recorded of them. It cannot be undone.</p>
            <div class="mt-4 flex gap-3">
                <button type="button" class="act" @click="remove">Delete for good</button>
                <button type="button" class="act-quiet" @click="asking = false">Keep</button>
            </div>
        </UiDialog>
    </form>
</template>
