<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { tell } from '../../ui/notice';
import HowLink from '../../ui/HowLink.vue';
import FindingsList from './FindingsList.vue';
import LitText from './LitText.vue';
import PastedHead from './paste/PastedHead.vue';
import PastedSteps from './paste/PastedSteps.vue';
import UnplacedFigures from './paste/UnplacedFigures.vue';
import { useGoOn } from './paste/useGoOn';
import ReasonDialog from '../../ui/ReasonDialog.vue';
import { useLooking } from './paste/useLooking';
import PastedLines from './PastedLines.vue';
import PastedWhole from './PastedWhole.vue';
import SettleCard from './SettleCard.vue';
import { placeOf, usePasted, type ReadLine } from './usePasted';

/** A scribbled recipe is pasted and read where it stands; what is doubtful is settled, and it goes where it is wanted. */
const EXAMPLE = `Sunday scalp oil
1/2 cup jojoba oil
3 heaped tbsp castr oil
a few drops of rosemary essential oil
1 tsp vitamin e

Method
Stir together without heat. Pour into a dropper bottle.`;

const pasted = usePasted();
const { text, settled, answer, problem, lines } = pasted;
const box = useTemplateRef<InstanceType<typeof LitText>>('box');
const { pressed, asked, looking, toSettle, doubtful, unweighed, asks, next, say, look, show } = useLooking(pasted, () => box.value);
const { busy, stopped, toBench, toSteep, toDose, cure } = useGoOn(pasted);
const judged = computed(() => answer.value?.assessment ?? null);
const unplaced = computed(() => pasted.shown.value.filter((l) => l.fate === 'unplaced'));

function amount(line: ReadLine, says: string): void {
    pasted.say(placeOf(line), { says });
}
function takeAllBack(): void {
    const before = settled.value;
    pasted.settle({ corrections: [], ounces: null, audience: null, times: null });
    tell('It is read again as it stands.', { undo: () => pasted.settle(before) });
}
function clear(): void {
    const before = { text: text.value, settled: settled.value };
    pasted.clear();
    tell('The text was taken away.', {
        undo: () => {
            text.value = before.text;
            settled.value = before.settled;
        },
    });
}
const isSettled = computed(() => {
    const { corrections, ounces, audience, times } = settled.value;
    return corrections.length > 0 || [ounces, audience, times].some((v) => v !== null);
});
</script>

<template>
    <div>
        <h1 class="mb-1">Paste a recipe</h1>
        <p class="quiet mb-4 max-w-prose">
            As you have it: spoons, drops, "a handful of this", the method too. Nothing is dropped; what is not sure is asked.
            <HowLink of="reading" what="reading" />
        </p>
        <div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] lg:grid-rows-[auto_1fr] lg:gap-x-8">
            <div class="min-w-0">
                <div class="flex items-baseline justify-between">
                    <label class="label" for="recipe">The recipe's text</label>
                    <button v-if="text === ''" type="button" class="act-quiet !min-h-0" @click="text = EXAMPLE">Try the example</button>
                    <button v-else type="button" class="act-quiet !min-h-0" @click="clear">Clear</button>
                </div>
                <LitText
                    ref="box"
                    v-model="text"
                    :lit="pasted.shown.value"
                    :chosen="pressed"
                    :doubtful="doubtful"
                    :placeholder="EXAMPLE"
                    @press="pressed = $event"
                />
                <p v-if="answer" class="quiet mt-1 text-[13px]">Press a word to see what it became, and to say otherwise.</p>
                <p v-if="problem" class="said-stop mt-2 font-semibold" role="alert">{{ problem }}</p>
            </div>
            <div class="min-w-0 lg:row-span-2">
                <template v-if="answer?.formula">
                    <SettleCard
                        v-if="looking"
                        :class="looking.lit ? 'max-lg:fixed max-lg:inset-x-3 max-lg:bottom-3 max-lg:z-30 max-lg:shadow-2xl' : ''"
                        class="mb-4 lg:sticky lg:top-2 lg:z-10"
                        :line="looking.line"
                        :lit="looking.lit"
                        :pressed="looking.words"
                        :unweighed="looking.n === null ? '' : unweighed(looking.n)"
                        :asks="looking.n === null ? '' : asks(looking.n)"
                        :left="toSettle.length"
                        :at="toSettle.indexOf(asked) + 1"
                        :said="pasted.saidOf(looking.place) !== undefined"
                        @say="say"
                        @unsay="pasted.unsay(looking.place)"
                        @forget="looking.line && pasted.forget(looking.line)"
                        @next="next"
                        @close="pressed = null"
                    />
                    <UnplacedFigures class="mb-4" :text="text" :unplaced="unplaced" @show="show" />
                    <PastedHead
                        :answer="answer"
                        :left="toSettle.length"
                        :settled="isSettled"
                        :busy="busy"
                        @take-back="takeAllBack"
                        @bench="toBench"
                        @steep="toSteep()"
                        @dose="toDose"
                    />
                    <PastedWhole :answer="answer" :settled="settled" @settle="pasted.settle" />
                    <PastedLines :lines="lines" :judged="judged" :order="answer.reading.order" :asks="asks" @look="look" @amount="amount" />
                    <PastedSteps :reading="answer.reading" />
                </template>
                <div v-else-if="!problem" class="max-w-prose">
                    <h2>What was understood</h2>
                    <p class="mt-2">
                        Each line will stand here with its ingredient, its amount and its true share, and beneath them what is wrong with
                        the whole and how to cure it.
                    </p>
                </div>
            </div>
            <section v-if="judged" class="min-w-0">
                <h2 class="mb-2">What it truly is</h2>
                <FindingsList
                    :findings="judged.findings"
                    :empty="judged.lines.every((l) => l.grams === null)"
                    :doubtful="answer?.doubtful ?? []"
                    @cure="cure"
                />
            </section>
        </div>
        <ReasonDialog
            :open="stopped.length > 0"
            title="Stop: before this jar begins"
            :stops="stopped"
            asks="Why it is begun all the same; this stays with the jar"
            does="Begin it all the same"
            back="Leave it"
            :busy="busy"
            @close="stopped = []"
            @go="toSteep"
        />
    </div>
</template>
