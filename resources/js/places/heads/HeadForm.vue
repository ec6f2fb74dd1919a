<script setup lang="ts">
import { reactive, ref, watch } from 'vue';
import type { Schemas } from '../../api/client';
import FormField from '../../ui/FormField.vue';
import { NEEDS } from '../../ui/words';
import HeadGuide from './HeadGuide.vue';
import { CHOICES, CONDITIONS, SIGNS } from './traits';

/** Everything that can be known of a head; only the name must be. */
const props = defineProps<{ head: Schemas['Head'] | null; errors: Record<string, string[]>; busy: boolean }>();
const emit = defineEmits<{ save: [draft: Schemas['HeadDraft']] }>();
const guiding = ref(false);
const allergies = ref('');

type Draft = Required<Schemas['HeadDraft']>;
const draft = reactive<Draft>({
    name: '',
    strand: 'not-known',
    porosity: 'not-known',
    density: 'not-known',
    curl: 'not-known',
    scalp: 'not-known',
    age_band: 'not-known',
    pregnant: false,
    allergies: [],
    dislikes: [],
    wants: [],
    conditions: [],
    signs: [],
    style: 'not-known',
    hardness: 'not-known',
    wash_every_days: 0,
    note: '',
});
watch(
    () => props.head,
    (head) => {
        if (!head) return;
        // A copy of its own: what is typed here is not the head's before it is saved.
        const known = Object.entries(JSON.parse(JSON.stringify(head)));
        Object.assign(draft, Object.fromEntries(known.filter(([key]) => key in draft)));
        allergies.value = head.allergies.join(', ');
    },
    { immediate: true },
);

const CHIP =
    'has-checked:bg-lead has-checked:text-on-lead border-rule flex min-h-8 cursor-pointer items-center rounded border px-2.5 has-focus-visible:outline-2';

function take(suggestions: Schemas['GuideAnswer']['suggestions']): void {
    for (const s of suggestions) if (s.value !== '') Object.assign(draft, { [s.trait]: s.value });
    guiding.value = false;
}
function submit(): void {
    emit('save', {
        ...draft,
        allergies: allergies.value
            .split(',')
            .map((w) => w.trim())
            .filter((w) => w !== ''),
        dislikes: draft.dislikes.filter((d) => d.what.trim() !== ''),
        wash_every_days: Number(draft.wash_every_days) || 0,
    });
}
</script>

<template>
    <form @submit.prevent="submit">
        <FormField v-slot="{ field }" class="max-w-md" label="Name, or what you call this head" :problem="errors['name']">
            <input v-bind="field" v-model="draft.name" class="field" maxlength="120" />
        </FormField>
        <p class="mt-3">
            Everything else may wait.
            <button type="button" class="act-quiet" @click="guiding = true">Find strand, porosity and scalp by looking</button>
        </p>
        <fieldset class="mt-3">
            <legend class="label">Signs that a clinician should see first</legend>
            <div class="flex flex-wrap gap-2">
                <label v-for="(word, value) in SIGNS" :key="value" :class="CHIP" class="has-checked:!bg-stop has-checked:!text-white">
                    <input v-model="draft.signs" type="checkbox" :value="value" class="sr-only" />
                    {{ word }}
                </label>
            </div>
        </fieldset>
        <p
            v-if="draft.signs.length > 0 || draft.scalp === 'alarming'"
            class="bg-stop-wash said-stop mt-3 rounded p-3 font-semibold"
            role="alert"
        >
            See a clinician before any formula is used.
        </p>
        <div class="grid gap-x-8 xl:grid-cols-2">
            <fieldset v-for="([title, options], field) in CHOICES" :key="field" class="mt-4">
                <legend class="label">{{ title }}</legend>
                <div class="flex flex-wrap gap-2">
                    <label v-for="(word, value) in options" :key="value" :class="CHIP">
                        <input v-model="draft[field]" type="radio" :name="field" :value="value" class="sr-only" />
                        {{ word }}
                    </label>
                </div>
            </fieldset>
        </div>
        <fieldset class="mt-4">
            <legend class="label">Cared for</legend>
            <div class="flex flex-wrap gap-2">
                <label v-for="(word, value) in NEEDS" :key="value" :class="CHIP">
                    <input v-model="draft.wants" type="checkbox" :value="value" class="sr-only" />
                    {{ word }}
                </label>
            </div>
        </fieldset>
        <fieldset class="mt-4">
            <legend class="label">With which the clinician is asked about some ingredients</legend>
            <div class="flex flex-wrap gap-2">
                <label :class="CHIP">
                    <input v-model="draft.pregnant" type="checkbox" class="sr-only" />
                    pregnant or nursing
                </label>
                <label v-for="(word, value) in CONDITIONS" :key="value" :class="CHIP">
                    <input v-model="draft.conditions" type="checkbox" :value="value" class="sr-only" />
                    {{ word }}
                </label>
            </div>
        </fieldset>
        <div class="mt-4 grid gap-4 xl:grid-cols-2">
            <div>
                <FormField
                    v-slot="{ field }"
                    label="Allergies, with commas between (tree nut, sesame, bee product, an ingredient)"
                    :problem="errors['allergies']"
                >
                    <input v-bind="field" v-model="allergies" class="field" />
                </FormField>
                <FormField
                    v-slot="{ field }"
                    class="mt-4 max-w-48"
                    label="Days from wash to wash (0: not known)"
                    :problem="errors['wash_every_days']"
                >
                    <input v-bind="field" v-model.number="draft.wash_every_days" type="number" min="0" max="60" class="field" />
                </FormField>
            </div>
            <fieldset>
                <legend class="label">Does not bear well</legend>
                <div v-for="(d, n) in draft.dislikes" :key="n" class="mb-1.5 flex gap-2">
                    <input v-model="d.what" class="field" maxlength="80" aria-label="What" placeholder="coconut" />
                    <select v-model="d.season" class="field !w-44" aria-label="When">
                        <option value="any">all year</option>
                        <option value="cold">in the cold months</option>
                        <option value="warm">in the warm months</option>
                    </select>
                    <button type="button" class="act-quiet" :aria-label="`Take out ${d.what}`" @click="draft.dislikes.splice(n, 1)">
                        ×
                    </button>
                </div>
                <button type="button" class="act-quiet -ml-2.5" @click="draft.dislikes.push({ what: '', season: 'any' })">
                    Add something it does not bear
                </button>
            </fieldset>
        </div>
        <label class="mt-4 block">
            <span class="label">Note</span>
            <textarea v-model="draft.note" class="field" rows="2" maxlength="2000"></textarea>
        </label>
        <div class="mt-5 flex gap-3">
            <button class="act" :disabled="busy">{{ head ? 'Save' : 'Keep this head' }}</button>
            <slot />
        </div>
        <HeadGuide :open="guiding" @close="guiding = false" @take="take" />
    </form>
</template>
