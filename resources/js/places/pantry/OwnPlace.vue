<script setup lang="ts">
import FormField from '../../ui/FormField.vue';
import { INGREDIENT_KINDS } from '../../ui/words';
import BlendParts from './BlendParts.vue';
import OwnFigures from './own/OwnFigures.vue';
import { useOwn } from './own/useOwn';

/** An ingredient of the studio's own is written down. */
const props = defineProps<{ id: string }>();
const { held, like, draft, synonyms, allergens, isBlend, parts, errors, save, busy } = useOwn(props.id);
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
            catalogue, open that and choose "Copy this as my own".
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
            <FormField v-slot="{ field }" label="INCI name, from its paper" :problem="errors['inci']">
                <input v-bind="field" v-model="draft.inci" class="field" maxlength="200" />
            </FormField>
            <FormField v-if="!isBlend" v-slot="{ field }" label="Kind" :problem="errors['kind'] ?? errors['like']">
                <select v-bind="field" v-model="draft.kind" class="field" :disabled="!!like">
                    <template v-for="(word, kind) in INGREDIENT_KINDS" :key="kind">
                        <option v-if="kind !== 'ready-steep'" :value="kind">{{ word }}</option>
                    </template>
                </select>
            </FormField>
            <FormField v-slot="{ field }" label="Also called, with commas between" :problem="errors['synonyms']">
                <input v-bind="field" v-model="synonyms" class="field" />
            </FormField>
            <FormField
                v-slot="{ field }"
                :label="`${isBlend ? 'Other allergens' : 'Allergens'}, with commas between`"
                :problem="errors['allergens']"
            >
                <input v-bind="field" v-model="allergens" class="field" />
            </FormField>
        </div>
        <label v-if="!isBlend" class="mt-3 flex items-center gap-2">
            <input v-model="draft.vegan" type="checkbox" />
            Vegan
        </label>
        <OwnFigures v-model="draft.figures" class="mt-6" :errors="errors" />
        <div class="mt-5 flex gap-3">
            <button class="act" :disabled="busy()">Keep it</button>
            <RouterLink to="/pantry" class="act-quiet">Leave it</RouterLink>
        </div>
    </form>
</template>
