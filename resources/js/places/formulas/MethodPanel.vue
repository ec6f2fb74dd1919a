<script setup lang="ts">
import { computed, ref } from 'vue';
import { howMade } from '../../queries/formulas';
import { tell, tellProblem } from '../../ui/notice';
import { sayMinutes } from '../../ui/words';
import { gateCelsius } from '../make/counter/figures';
import AsideTitle from './AsideTitle.vue';
import { useAside } from './useAside';
import type { Bench } from './useBench';

/** The maker's own method, and what is done at the counter by it: what is not safe as she wrote it says so here already. */
const props = defineProps<{ bench: Bench }>();
const { open, answer, problem } = useAside(props.bench, (draft) => howMade({ formula: draft.formula }));
const formula = computed(() => props.bench.formula.value);
const writing = ref<string | null>(null);
const doubts = computed(() => (answer.value?.tasks ?? []).filter((t) => t.doubt !== '').length);

async function keep(): Promise<void> {
    try {
        const read = await howMade({ formula: formula.value, method: writing.value ?? '' });
        props.bench.edit('method', (draft) => (draft.steps = read.steps));
        writing.value = null;
        tell('The method is kept with the formula.', { undo: props.bench.undo });
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <section aria-label="Method">
        <AsideTitle v-model:open="open" title="Method" how="procedure" hint="How it will be made, task by task." />
        <form v-if="writing !== null" class="mt-2" @submit.prevent="keep">
            <label>
                <span class="label">One sentence a line, in your order, with your times and temperatures</span>
                <textarea v-model="writing" class="field" rows="8" maxlength="20000" />
            </label>
            <button class="act mt-2">Keep the method</button>
            <button type="button" class="act-quiet" @click="writing = null">Leave it as it was</button>
        </form>
        <template v-else>
            <ol v-if="formula.steps.length > 0" class="mt-2 list-decimal space-y-1 pl-5">
                <li v-for="(step, i) in formula.steps" :key="i">{{ step.text }}</li>
            </ol>
            <p v-else class="quiet mt-2">No steps were written: they are worked out from the phases.</p>
            <button type="button" class="act-quiet -ml-2.5" @click="writing = formula.steps.map((s) => s.text).join('\n')">
                {{ formula.steps.length > 0 ? 'Change the method' : 'Write your own' }}
            </button>
        </template>
        <p v-if="open && problem" role="alert" class="said-stop mt-2">{{ problem }}</p>
        <div v-if="open && answer" class="mt-3">
            <p v-if="doubts > 0" class="said-caution font-semibold">
                {{ doubts === 1 ? 'One thing is' : `${doubts} things are` }} done otherwise than you wrote, and says why.
            </p>
            <ol class="mt-1">
                <li v-for="task in answer.tasks" :key="task.id" class="row-line py-1.5">
                    <span class="font-semibold">{{ task.act }}</span>
                    <span class="quiet block text-[13px]">
                        {{
                            [
                                task.gate.celsius ? `${gateCelsius(task)} °C` : '',
                                task.gate.minutes ? `about ${sayMinutes(Math.round(task.gate.minutes.best))}` : '',
                                task.gate.sign,
                            ]
                                .filter(Boolean)
                                .join('; ')
                        }}
                    </span>
                    <span v-if="task.doubt" class="said-caution block text-[14px]">{{ task.doubt }}</span>
                </li>
            </ol>
        </div>
    </section>
</template>
