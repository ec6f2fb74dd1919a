<script setup lang="ts">
import { ref } from 'vue';
import { oneOf, valueIn } from '../../../ui/events';
import { AUDIENCES, NEEDS } from '../../../ui/words';
import IngredientPick from '../IngredientPick.vue';
import { FIGURES, GOALS, SIMPLE, type Asked } from './asked';
import type { Design } from './useDesign';

/** What it should be, in the maker's words, and what is best among all that is so. */
const props = defineProps<{ design: Design }>();
const emit = defineEmits<{ also: [asked: Asked, words: string] }>();
const { wishes, best, next, most } = props.design;
const without = ref('');

function choose(event: Event): void {
    const field = event.target;
    const [kind = '', of = ''] = valueIn(event).split(' ');
    if (field instanceof HTMLSelectElement) field.value = '';
    const figure = FIGURES[Number(of)];
    const need = oneOf(NEEDS, of);
    if (kind === 'need' && need) emit('also', { kind: 'need', of: need, at: 25 }, `points for ${NEEDS[need]}`);
    else if (figure) emit('also', { kind: figure[0], of: '', at: figure[1] }, figure[2]);
}
function safeFor(event: Event): void {
    const whom = oneOf(AUDIENCES, valueIn(event));
    if (whom) props.design.toggle('safe-for', whom, `safe for ${AUDIENCES[whom]}`);
}
function shun(): void {
    const what = without.value.trim();
    without.value = '';
    if (what !== '') props.design.toggle('without', what, `without ${what}`);
}
</script>

<template>
    <div class="mt-2 flex flex-wrap items-center gap-2">
        <button
            v-for="[kind, words] in SIMPLE"
            :key="kind"
            type="button"
            class="border-rule min-h-9 rounded border px-3"
            :class="wishes.some((w) => w.kind === kind) ? 'bg-lead text-on-lead' : ''"
            :aria-pressed="wishes.some((w) => w.kind === kind)"
            @click="design.toggle(kind)"
        >
            {{ words }}
        </button>
        <form class="inline-flex" @submit.prevent="shun">
            <input v-model="without" class="field !w-40" maxlength="80" aria-label="Without" placeholder="without … (tree nut)" />
        </form>
        <span class="w-44">
            <IngredientPick
                name=""
                label="Use up an ingredient"
                hint="use up …"
                placed
                @choose="design.toggle('use-up', $event.id, `use up: ${$event.name}`)"
            />
        </span>
        <select class="field !w-48" aria-label="Safe for" :value="''" @change="safeFor">
            <option value="">safe for …</option>
            <option v-for="(word, audience) in AUDIENCES" :key="audience" :value="audience">{{ word }}</option>
        </select>
    </div>
    <div class="mt-3 flex flex-wrap items-center gap-x-2 gap-y-2 text-[14px]">
        <label class="flex items-center gap-2">
            <span class="quiet">Best is</span>
            <select v-model="best" class="field !w-auto" @change="design.again()">
                <option v-for="(words, goal) in GOALS" :key="goal" :value="goal">{{ words }}</option>
            </select>
        </label>
        <label class="flex items-center gap-2">
            <span class="quiet">then</span>
            <select v-model="next" class="field !w-auto" @change="design.again()">
                <option value="">what is nearest</option>
                <option v-for="(words, goal) in GOALS" :key="goal" :value="goal" :disabled="goal === best">{{ words }}</option>
            </select>
        </label>
        <label class="flex items-center gap-2">
            <span class="quiet">of at most</span>
            <input v-model="most" class="field !w-16" inputmode="numeric" maxlength="2" placeholder="any" @change="design.again()" />
            <span class="quiet">ingredients</span>
        </label>
        <select class="field !w-52" aria-label="Also ask for" :value="''" @change="choose">
            <option value="">also ask for …</option>
            <option v-for="([, , words], n) in FIGURES" :key="n" :value="`figure ${n}`">{{ words }}</option>
            <optgroup label="points for a need">
                <option v-for="(words, need) in NEEDS" :key="need" :value="`need ${need}`">{{ words }}</option>
            </optgroup>
        </select>
        <span class="w-44">
            <IngredientPick
                name=""
                label="Share of an ingredient"
                placed
                hint="share of …"
                @choose="emit('also', { kind: 'share', of: $event.id, at: 25 }, `share, %: ${$event.name}`)"
            />
        </span>
    </div>
    <p v-if="wishes.some((w) => w.name)" class="mt-2 flex flex-wrap gap-2">
        <button
            v-for="w in wishes.filter((x) => x.name)"
            :key="w.kind + w.of"
            type="button"
            class="bg-lead text-on-lead rounded px-3 py-1"
            :aria-label="`Take back: ${w.name}`"
            @click="design.toggle(w.kind, w.of ?? '')"
        >
            {{ w.name }} ×
        </button>
    </p>
</template>
