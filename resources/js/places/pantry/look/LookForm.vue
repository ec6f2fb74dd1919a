<script setup lang="ts">
import { tickedIn, valueIn } from '../../../ui/events';
import FormField from '../../../ui/FormField.vue';
import { INGREDIENT_KINDS, NEEDS } from '../../../ui/words';
import type { Asked } from './useLook';

/** What it must be: each question narrows what is shown. */
defineProps<{ wanted: Asked; filtered: boolean }>();
const emit = defineEmits<{ look: [change: Partial<Asked>]; clear: [] }>();
const look = (change: Partial<Asked>): void => emit('look', change);
</script>

<template>
    <form class="space-y-3" aria-label="What it must be" @submit.prevent>
        <FormField v-slot="{ field }" label="Name, INCI or synonym">
            <input v-bind="field" type="search" class="field" maxlength="80" :value="wanted.q" @input="look({ q: valueIn($event) })" />
        </FormField>
        <FormField v-slot="{ field }" label="Kind">
            <select v-bind="field" class="field" :value="wanted.kind" @change="look({ kind: valueIn($event) })">
                <option value="">any kind</option>
                <option value="carrier-oil,liquid-wax-ester">oils and liquid esters</option>
                <option value="fresh-plant,dried-herb,powder">plants in any form</option>
                <option v-for="(word, kind) in INGREDIENT_KINDS" :key="kind" :value="kind">{{ word }}</option>
            </select>
        </FormField>
        <FormField v-slot="{ field }" label="Serves">
            <select
                v-bind="field"
                class="field"
                :value="wanted.need"
                @change="
                    look({
                        need: valueIn($event),
                        by: valueIn($event) === '' ? '' : 'evidence',
                    })
                "
            >
                <option value="">any need</option>
                <option v-for="(word, need) in NEEDS" :key="need" :value="need">{{ word }}</option>
            </select>
        </FormField>
        <FormField v-if="wanted.need" v-slot="{ field }" label="Known at least by">
            <select v-bind="field" class="field" :value="wanted.evidence" @change="look({ evidence: valueIn($event) })">
                <option value="">tradition</option>
                <option value="2">laboratory or animals</option>
                <option value="3">trials on people</option>
                <option value="4">well established</option>
            </select>
        </FormField>
        <div class="grid grid-cols-2 gap-2">
            <FormField v-slot="{ field }" label="Suits strands">
                <select v-bind="field" class="field" :value="wanted.strand" @change="look({ strand: valueIn($event) })">
                    <option value="">any</option>
                    <option>fine</option>
                    <option>medium</option>
                    <option>coarse</option>
                </select>
            </FormField>
            <FormField v-slot="{ field }" label="of porosity">
                <select v-bind="field" class="field" :value="wanted.porosity" @change="look({ porosity: valueIn($event) })">
                    <option value="">any</option>
                    <option>low</option>
                    <option>normal</option>
                    <option>high</option>
                </select>
            </FormField>
        </div>
        <FormField v-slot="{ field }" label="No heavier than">
            <select v-bind="field" class="field" :value="wanted.heaviest" @change="look({ heaviest: valueIn($event) })">
                <option value="">any weight</option>
                <option value="1.5">1.5, hardly felt</option>
                <option value="2.5">2.5, light</option>
                <option value="3.5">3.5, medium</option>
            </select>
        </FormField>
        <FormField v-slot="{ field }" label="On the hair it">
            <select v-bind="field" class="field" :value="wanted.action" @change="look({ action: valueIn($event) })">
                <option value="">does anything</option>
                <option value="penetrating,partly-penetrating">goes into the fibre</option>
                <option value="sealing">seals the surface</option>
                <option value="conditioning">settles and eases combing</option>
            </select>
        </FormField>
        <FormField v-slot="{ field }" label="Without (tree nut, sesame, soy …)">
            <input v-bind="field" class="field" maxlength="200" :value="wanted.without" @change="look({ without: valueIn($event) })" />
        </FormField>
        <FormField v-slot="{ field }" label="In pregnancy and nursing">
            <select v-bind="field" class="field" :value="wanted.pregnancy" @change="look({ pregnancy: valueIn($event) })">
                <option value="">any</option>
                <option value="ok">nothing known against it</option>
                <option value="advised-against">calls for advice, or to be avoided</option>
            </select>
        </FormField>
        <label class="flex items-center gap-2">
            <input type="checkbox" :checked="wanted.at_hand === '1'" @change="look({ at_hand: tickedIn($event) ? '1' : '' })" />
            In my cupboard
        </label>
        <label class="flex items-center gap-2">
            <input type="checkbox" :checked="wanted.vegan === '1'" @change="look({ vegan: tickedIn($event) ? '1' : '' })" />
            Vegan
        </label>
        <FormField v-slot="{ field }" label="In the order of">
            <select v-bind="field" class="field" :value="wanted.by" @change="look({ by: valueIn($event) })">
                <option value="">name</option>
                <option value="evidence">how well it is known</option>
                <option value="weight">weight, lightest first</option>
                <option value="life">life, longest first</option>
            </select>
        </FormField>
        <button v-if="filtered" type="button" class="act-quiet -ml-2.5" @click="emit('clear')">Ask for nothing</button>
    </form>
</template>
