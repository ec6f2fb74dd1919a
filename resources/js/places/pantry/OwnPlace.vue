<script setup lang="ts">
import { onMounted, reactive, ref, shallowRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../api/client';
import { ingredient, useSaveOwn, useWriteOwn } from '../../queries/ingredients';
import { written } from '../../ui/events';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { tell, tellProblem } from '../../ui/notice';
import { INGREDIENT_KINDS } from '../../ui/words';
import type { BlendRow } from './blend';
import BlendParts from './BlendParts.vue';

/** An ingredient of the studio's own is written down. */

const props = defineProps<{ id: string }>();
const route = useRoute();
const router = useRouter();
const held = shallowRef<Schemas['OwnHeld'] | null>(null);
const like = shallowRef<Schemas['Ingredient'] | null>(null);
const synonyms = ref('');
const allergens = ref('');
/** Made of several, each of which is judged by itself. */
const isBlend = ref(false);
const parts = ref<BlendRow[]>([]);
const errors = ref<Record<string, string[]>>({});
const draft = reactive<Schemas['OwnDraft']>({
    name: '',
    inci: '',
    kind: 'carrier-oil',
    like: '',
    synonyms: [],
    allergens: [],
    vegan: true,
    figures: [],
});
const PROPERTIES: Record<string, string> = {
    weight: 'weight on the hair, 1 to 5',
    life_months: 'life unopened, months',
    opened_months: 'life once opened, months',
    density_20c: 'density at 20 °C, g/ml',
    bulk_density: 'bulk density, g/ml',
    melting_c: 'melting range, °C',
    drop_ml: 'drop volume, ml',
    piece_grams: 'mass of one piece, g',
    price_per_kg: 'price of a kilogram',
};

onMounted(async () => {
    try {
        const other = String(route.query['like'] ?? '');
        if (props.id !== 'new') {
            const page = await ingredient(props.id);
            held.value = page.own ?? null;
            if (page.own) {
                const { name, inci, kind, like: of, synonyms: also, allergens: bears, vegan, figures } = page.own;
                Object.assign(draft, { name, inci, kind, like: of, synonyms: also, allergens: bears, vegan, figures });
                isBlend.value = page.own.parts.length > 0;
                parts.value = page.own.parts.map(({ ingredient: id, percent }) => ({
                    ingredient: id,
                    name: page.ingredient.blend.find((p) => p.ingredient === id)?.name ?? id,
                    percent: percent === null ? '' : String(percent),
                }));
            }
        } else if (other !== '') {
            draft.like = other;
        }
        if (draft.like !== '') {
            like.value = (await ingredient(draft.like)).ingredient;
            if (props.id === 'new')
                Object.assign(draft, {
                    kind: like.value.kind,
                    inci: like.value.inci,
                    allergens: like.value.allergens,
                    vegan: like.value.vegan,
                });
        }
        synonyms.value = draft.synonyms.join(', ');
        allergens.value = draft.allergens.join(', ');
    } catch (e) {
        tellProblem(e);
    }
});
const words = (text: string): string[] =>
    text
        .split(',')
        .map((w) => w.trim())
        .filter((w) => w !== '');
const add = (): void => void draft.figures.push({ form: '', property: 'weight', low: 2, best: 2, high: 2, source: '' });

const saving = useSaveOwn();
const writing = useWriteOwn();
async function save(): Promise<void> {
    errors.value = {};
    const body = {
        ...draft,
        ...(isBlend.value && { kind: 'unknown', like: '' }),
        parts: isBlend.value ? parts.value.map(({ ingredient: id, percent }) => ({ ingredient: id, percent: written(percent) })) : [],
        synonyms: words(synonyms.value),
        allergens: words(allergens.value),
    };
    try {
        const kept = held.value
            ? await saving.mutateAsync({ id: held.value.id, body: { ...body, revision: held.value.revision } })
            : await writing.mutateAsync(body);
        await router.push(`/pantry/${kept.ingredient.id}`);
        tell(`${draft.name} is kept beside the catalogue.`);
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
</script>

<template>
    <form class="max-w-2xl" @submit.prevent="save">
        <h1 class="mb-2">{{ held ? 'Change your ingredient' : 'An ingredient of your own' }}</h1>
        <p v-if="like" class="mb-4">
            Like
            <RouterLink :to="`/pantry/${like.id}`">{{ like.name }}</RouterLink>
            : what you do not say here is taken over from it, with its sources.
        </p>
        <p v-else-if="!isBlend" class="quiet mb-4 max-w-prose">
            Of a kind alone little is known, and what cannot be told is asked about where it is needed. If it is like something in the
            catalogue, open that and choose "Mine is like this, but …".
        </p>
        <FormField v-slot="{ field }" label="Name" :problem="errors['name']">
            <input v-bind="field" v-model="draft.name" class="field" maxlength="120" />
        </FormField>
        <label v-if="!like" class="mt-3 flex items-center gap-2">
            <input v-model="isBlend" type="checkbox" />
            A ready blend of several things
        </label>
        <BlendParts v-if="isBlend" v-model="parts" class="mt-3" :errors="errors" />
        <div class="mt-3 grid gap-4 sm:grid-cols-2">
            <label class="block">
                <span class="label">INCI name, from its paper</span>
                <input v-model="draft.inci" class="field" maxlength="200" />
            </label>
            <label v-if="!isBlend" class="block">
                <span class="label">Kind</span>
                <select v-model="draft.kind" class="field" :disabled="!!like">
                    <template v-for="(word, kind) in INGREDIENT_KINDS" :key="kind">
                        <option v-if="kind !== 'ready-steep'" :value="kind">{{ word }}</option>
                    </template>
                </select>
            </label>
            <label class="block">
                <span class="label">Also called, with commas between</span>
                <input v-model="synonyms" class="field" />
            </label>
            <label class="block">
                <span class="label">{{ isBlend ? 'Other allergens' : 'Allergens' }}, with commas between</span>
                <input v-model="allergens" class="field" />
            </label>
        </div>
        <FormProblem :errors="errors" field="kind" />
        <FormProblem :errors="errors" field="like" />
        <label v-if="!isBlend" class="mt-3 flex items-center gap-2">
            <input v-model="draft.vegan" type="checkbox" />
            Vegan
        </label>
        <h2 class="mt-6">Figures that you know better</h2>
        <div
            v-for="(f, n) in draft.figures"
            :key="n"
            class="row-line grid gap-2 py-2 sm:grid-cols-[minmax(0,1fr)_5rem_5rem_5rem_minmax(0,1fr)_2rem]"
        >
            <label>
                <span class="sr-only">Figure</span>
                <select v-model="f.property" class="field">
                    <option v-for="(word, property) in PROPERTIES" :key="property" :value="property">{{ word }}</option>
                </select>
            </label>
            <input
                v-for="end in ['low', 'best', 'high'] as const"
                :key="end"
                v-model.number="f[end]"
                type="number"
                step="any"
                class="field"
                :aria-label="{ low: 'at least', best: 'best', high: 'at most' }[end]"
            />
            <input v-model="f.source" class="field" maxlength="200" placeholder="where it comes from" aria-label="Where it comes from" />
            <button type="button" class="act-quiet" aria-label="Take this figure out" @click="draft.figures.splice(n, 1)">×</button>
            <div class="sm:col-span-6">
                <FormProblem :errors="errors" :field="`figures.${n}.low`" />
                <FormProblem :errors="errors" :field="`figures.${n}.high`" />
                <FormProblem :errors="errors" :field="`figures.${n}.source`" />
            </div>
        </div>
        <button type="button" class="act-quiet -ml-2.5" @click="add">Add a figure</button>
        <div class="mt-5 flex gap-3">
            <button class="act" :disabled="writing.isPending.value || saving.isPending.value">Keep it</button>
            <RouterLink to="/pantry" class="act-quiet">Leave it</RouterLink>
        </div>
    </form>
</template>
