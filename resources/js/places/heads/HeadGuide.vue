<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { reactive, ref, watch } from 'vue';
import type { Schemas } from '../../api/client';
import { headGuideQuery, suggest } from '../../queries/heads';
import { tellProblem } from '../../ui/notice';
import UiDialog from '../../ui/UiDialog.vue';

/** Simple observations, each skippable, each with what it cannot tell. */
defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: []; take: [suggestions: Schemas['GuideAnswer']['suggestions']] }>();
const guide = useQuery(headGuideQuery());
const answers = reactive<Record<string, string>>({});
const said = ref<Schemas['GuideAnswer']['suggestions']>([]);
let turn = 0;
watch(answers, async (given) => {
    const mine = ++turn;
    try {
        const answer = await suggest(given);
        if (mine === turn) said.value = answer.suggestions;
    } catch (e) {
        tellProblem(e);
    }
});
</script>

<template>
    <UiDialog :open="open" title="Find it out by looking" wide @close="emit('close')">
        <p class="quiet">Skip what you cannot see. These are observations, not measurements.</p>
        <fieldset v-for="q in guide.data.value?.questions ?? []" :key="q.id" class="row-line py-2.5">
            <legend class="float-left mb-1 w-full font-semibold">{{ q.asks }}</legend>
            <div class="flex flex-wrap gap-2">
                <label v-for="a in q.answers" :key="a.id" class="chip">
                    <input v-model="answers[q.id]" type="radio" :name="q.id" :value="a.id" class="sr-only" />
                    {{ a.words }}
                </label>
            </div>
            <p class="quiet mt-1 text-[13px]">{{ q.limits }}</p>
        </fieldset>
        <div class="mt-3" role="status">
            <p v-for="s in said" :key="s.trait">
                <strong>{{ s.trait }}: {{ s.value || 'cannot tell' }}.</strong>
                {{ s.why }}
            </p>
        </div>
        <div class="mt-4 flex gap-3">
            <button type="button" class="act" :disabled="!said.some((s) => s.value !== null)" @click="emit('take', said)">
                Take these over
            </button>
            <button type="button" class="act-quiet" @click="emit('close')">Close</button>
        </div>
    </UiDialog>
</template>
