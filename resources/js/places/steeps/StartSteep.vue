<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { reactive, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { ask, onceKey, Problem, type Schemas } from '../../api/client';
import FormProblem from '../../ui/FormProblem.vue';
import { todayDate } from '../../ui/words';
import IngredientPick from '../formulas/IngredientPick.vue';
import SteepFigures from './SteepFigures.vue';
import SteepJar from './SteepJar.vue';

const router = useRouter();
const client = useQueryClient();
const plantName = ref('Calendula flower');
const oilName = ref('High-oleic sunflower oil');
const forms = ref<string[]>(['dried', 'fresh']);
const draft = reactive<Schemas['SteepDraft']>({
    name: '',
    plant: 'calendula',
    form: 'dried',
    plant_grams: 40,
    oil: 'sunflower-oil-high-oleic',
    oil_grams: 320,
    method: 'cold-dark',
    jar_ml: 750,
    diameter_cm: 9,
    shaken_daily: true,
    started_on: todayDate(),
});
const METHODS: Record<Schemas['SteepDraft']['method'], string> = {
    'cold-dark': 'Cold and dark, four weeks',
    'sunny-sill': 'Sunny sill, five weeks',
    'water-bath': 'Water bath, an hour at 70 °C',
    'hot-jar': 'Closed jar in hot water, an hour',
    'direct-heat': 'Gentle direct heat, ten minutes',
};
const plan = shallowRef<Schemas['SteepPlan'] | null>(null);
const errors = ref<Record<string, string[]>>({});
const busy = ref(false);
let turn = 0;

watch(
    draft,
    async () => {
        const mine = ++turn;
        try {
            const answer = await ask<'SteepPlan'>('POST', '/api/steeps/plan', draft);
            if (mine !== turn) return;
            plan.value = answer;
            errors.value = {};
        } catch (e) {
            if (mine === turn && e instanceof Problem) errors.value = Object.keys(e.errors).length > 0 ? e.errors : { form: [e.message] };
        }
    },
    { immediate: true },
);
function plant(row: Schemas['IngredientRow']): void {
    plantName.value = row.name;
    forms.value = row.forms.length > 0 ? row.forms : [''];
    Object.assign(draft, { plant: row.id, form: row.usual_form || forms.value[0] });
}
function oil(row: Schemas['IngredientRow']): void {
    oilName.value = row.name;
    draft.oil = row.id;
}
async function start(): Promise<void> {
    busy.value = true;
    try {
        const steep = await ask<'Steep'>('POST', '/api/steeps', draft, { key: onceKey() });
        await client.invalidateQueries();
        await router.push(`/steeps/${steep.id}`);
    } catch (e) {
        if (e instanceof Problem) errors.value = Object.keys(e.errors).length > 0 ? e.errors : { form: [e.message] };
    } finally {
        busy.value = false;
    }
}
</script>

<template>
    <div>
        <h1 class="mb-4">Start a steep</h1>
        <form class="grid gap-8 lg:grid-cols-[minmax(0,22rem)_170px_minmax(0,1fr)]" @submit.prevent="start">
            <div class="space-y-3">
                <div>
                    <span class="label">Plant</span>
                    <IngredientPick :name="plantName" label="Plant" placed @choose="plant" />
                    <FormProblem :errors="errors" field="plant" />
                </div>
                <div class="grid grid-cols-2 gap-3">
                    <label>
                        <span class="label">Form</span>
                        <select v-model="draft.form" class="field">
                            <option v-for="form in forms" :key="form" :value="form">{{ form }}</option>
                        </select>
                    </label>
                    <label>
                        <span class="label">Plant, grams</span>
                        <input
                            v-model.number="draft.plant_grams"
                            type="number"
                            min="0"
                            step="any"
                            class="field"
                            :aria-invalid="!!errors['plant_grams']"
                        />
                    </label>
                </div>
                <FormProblem :errors="errors" field="plant_grams" />
                <FormProblem :errors="errors" field="form" />
                <div class="grid grid-cols-2 gap-3">
                    <div>
                        <span class="label">Oil</span>
                        <IngredientPick :name="oilName" label="Oil" placed @choose="oil" />
                    </div>
                    <label>
                        <span class="label">Oil, grams</span>
                        <input
                            v-model.number="draft.oil_grams"
                            type="number"
                            min="0"
                            step="any"
                            class="field"
                            :aria-invalid="!!errors['oil_grams']"
                        />
                    </label>
                </div>
                <FormProblem :errors="errors" field="oil" />
                <FormProblem :errors="errors" field="oil_grams" />
                <label class="block">
                    <span class="label">Method</span>
                    <select v-model="draft.method" class="field">
                        <option v-for="(word, method) in METHODS" :key="method" :value="method">{{ word }}</option>
                    </select>
                </label>
                <div class="grid grid-cols-2 gap-3">
                    <label>
                        <span class="label">Jar, ml</span>
                        <input v-model.number="draft.jar_ml" type="number" min="0" step="any" class="field" />
                    </label>
                    <label>
                        <span class="label">Inner width, cm</span>
                        <input v-model.number="draft.diameter_cm" type="number" min="0" step="any" class="field" />
                    </label>
                </div>
                <div class="grid grid-cols-2 items-end gap-3">
                    <label>
                        <span class="label">Start</span>
                        <input v-model="draft.started_on" type="date" class="field" />
                    </label>
                    <label class="flex min-h-9 items-center gap-2">
                        <input v-model="draft.shaken_daily" type="checkbox" />
                        Shaken daily
                    </label>
                </div>
                <FormProblem :errors="errors" field="started_on" />
                <label class="block">
                    <span class="label">Its name (optional)</span>
                    <input v-model="draft.name" class="field" maxlength="200" :placeholder="`${plantName} in ${oilName.toLowerCase()}`" />
                </label>
                <button class="act" :disabled="busy">Start it</button>
            </div>
            <SteepJar v-if="plan" :plan="plan" :jar-ml="draft.jar_ml" :diameter-cm="draft.diameter_cm" :name="plantName" />
            <div v-if="plan" aria-live="polite">
                <SteepFigures :plan="plan" />
                <p class="mt-4">{{ plan.straining }}</p>
            </div>
        </form>
    </div>
</template>
