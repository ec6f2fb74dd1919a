<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive, ref, watch } from 'vue';
import type { Schemas } from '../../api/client';
import { headGuideQuery } from '../../queries/heads';
import FormField from '../../ui/FormField.vue';
import NumberField from '../../ui/NumberField.vue';
import OneOf from '../../ui/OneOf.vue';
import SomeOf from '../../ui/SomeOf.vue';
import { NEEDS } from '../../ui/words';
import HeadDislikes from './HeadDislikes.vue';
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

const guide = useQuery(headGuideQuery());
/** What was ticked of that which a clinician should see first. */
const alarming = computed(() => {
    const first = guide.data.value?.clinician;
    return !!first && (first.scalp.includes(draft.scalp) || draft.signs.some((sign) => first.signs.includes(sign)));
});

function take(suggestions: Schemas['GuideAnswer']['suggestions']): void {
    for (const s of suggestions) if (s.value !== null) Object.assign(draft, { [s.trait]: s.value });
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
        <SomeOf v-model="draft.signs" class="mt-3" legend="Signs that a clinician should see first" :options="SIGNS" grave />
        <p v-if="alarming" class="bg-stop-wash said-stop mt-3 rounded p-3 font-semibold" role="alert">
            See a clinician before any formula is used.
        </p>
        <div class="grid gap-x-8 xl:grid-cols-2">
            <OneOf
                v-for="([title, options], field) in CHOICES"
                :key="field"
                v-model="draft[field]"
                class="mt-4"
                :legend="title"
                :options="options"
            />
        </div>
        <SomeOf v-model="draft.wants" class="mt-4" legend="Cared for" :options="NEEDS" />
        <SomeOf
            v-model="draft.conditions"
            class="mt-4"
            legend="With which the clinician is asked about some ingredients"
            :options="CONDITIONS"
        >
            <label class="chip">
                <input v-model="draft.pregnant" type="checkbox" class="sr-only" />
                pregnant or nursing
            </label>
        </SomeOf>
        <div class="mt-4 grid gap-4 xl:grid-cols-2">
            <div>
                <FormField
                    v-slot="{ field }"
                    label="Allergies, with commas between (tree nut, sesame, bee product, an ingredient)"
                    :problem="errors['allergies']"
                >
                    <input v-bind="field" v-model="allergies" class="field" />
                </FormField>
                <NumberField
                    v-model="draft.wash_every_days"
                    class="mt-4 max-w-48"
                    label="Days from wash to wash (0: not known)"
                    :problem="errors['wash_every_days']"
                    min="0"
                    max="60"
                />
            </div>
            <HeadDislikes v-model="draft.dislikes" />
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
