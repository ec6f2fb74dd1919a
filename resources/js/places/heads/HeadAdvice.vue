<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Schemas } from '../../api/client';
import { headAdviceQuery, useStartForHead } from '../../queries/heads';
import EvidenceMark from '../../ui/EvidenceMark.vue';
import { tell, tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { KINDS } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';

/** What may go into this head's jar: by need, evidence first; what to leave out; what to try first; and from there a formula. */
const props = defineProps<{ head: Schemas['Head'] }>();
const router = useRouter();
const chosen = ref<string[]>([]);
const kind = ref<Schemas['FirstFormulaAsk']['kind']>('scalp-oil');
const need = ref('');
const advice = useQuery(computed(() => headAdviceQuery(props.head)));
const needs = computed(() => advice.data.value?.needs ?? []);
const at = computed(() =>
    Math.max(
        0,
        needs.value.findIndex((n) => n.need === need.value),
    ),
);
const names = computed(() => {
    const all = advice.data.value?.needs.flatMap((n) => n.ranked) ?? [];
    return chosen.value.map((id) => all.find((r) => r.id === id)?.name ?? id);
});
function choose(id: string): void {
    chosen.value = chosen.value.includes(id) ? chosen.value.filter((c) => c !== id) : [...chosen.value, id];
}
const starting = useStartForHead();
async function start(): Promise<void> {
    try {
        const made = await starting.mutateAsync({ id: props.head.id, body: { kind: kind.value, ingredients: chosen.value } });
        await router.push(`/formulas/${made.id}`);
        tell(made.remarks[0] ?? 'A first version is on the bench; its reasons stand in its notes.');
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <section>
        <h2>
            What serves {{ head.name }}
            <HowLink of="fit" what="the fit to a head" />
        </h2>
        <WaitOrProblem :pending="advice.isPending.value" :error="advice.error.value" what="the advice" @again="advice.refetch">
            <div v-if="(advice.data.value?.red_flags.length ?? 0) > 0" class="bg-stop-wash said-stop mt-2 rounded p-3" role="alert">
                <p class="font-semibold">A clinician first: {{ advice.data.value?.red_flags.join(', ') }}.</p>
                <p>
                    No formula is started for this head until these signs are gone or have been looked at. What is below is for reading
                    only.
                </p>
            </div>
            <p v-if="needs.length === 0" class="quiet mt-1">
                Say below what this head is cared for, or mark its scalp, and what serves it stands here, best known first.
            </p>
            <TabGroup v-else as="div" :selected-index="at" @change="(to) => (need = needs[to]?.need ?? '')">
                <TabList class="mt-2 flex flex-wrap gap-x-1" aria-label="Needs">
                    <Tab v-for="n in needs" :key="n.need" v-slot="{ selected }" as="template">
                        <button class="act-quiet" :class="selected ? 'bg-lead-wash !no-underline' : ''">{{ n.label }}</button>
                    </Tab>
                </TabList>
                <TabPanels>
                    <TabPanel v-for="n in needs" :key="n.need">
                        <p class="mt-1">{{ n.first }}</p>
                        <ol class="mt-1" aria-label="Best known first">
                            <li v-for="r in n.ranked" :key="r.id" class="row-line grid grid-cols-[1.4rem_minmax(0,1fr)] gap-x-2 py-1.5">
                                <input
                                    type="checkbox"
                                    class="mt-1 size-4"
                                    :checked="chosen.includes(r.id)"
                                    :aria-label="`Choose ${r.name}`"
                                    @change="choose(r.id)"
                                />
                                <span>
                                    <span class="flex flex-wrap items-baseline gap-x-3">
                                        <RouterLink :to="`/pantry/${r.id}`" class="text-ink font-semibold no-underline hover:underline">
                                            {{ r.name }}
                                        </RouterLink>
                                        <EvidenceMark :grade="r.evidence" :route="r.route" />
                                        <span v-if="advice.data.value?.at_hand.includes(r.id)" class="text-good text-[13px] font-semibold">
                                            in the cupboard
                                        </span>
                                    </span>
                                    <span class="quiet block text-[13px]">{{ r.reasons.join(' ') }}</span>
                                </span>
                            </li>
                        </ol>
                        <details v-if="n.left_out.length > 0" class="mt-2">
                            <summary class="cursor-pointer">{{ n.left_out.length }} left out, and why</summary>
                            <ul class="mt-1 text-[13px]">
                                <li v-for="l in n.left_out" :key="l.id" class="py-0.5">
                                    <strong>{{ l.name }}.</strong>
                                    {{ l.reason }}
                                </li>
                            </ul>
                        </details>
                    </TabPanel>
                </TabPanels>
            </TabGroup>
            <form class="border-rule mt-4 flex flex-wrap items-end gap-3 border-t pt-3" @submit.prevent="start">
                <label>
                    <span class="label">Start a</span>
                    <select v-model="kind" class="field">
                        <option v-for="(word, value) in KINDS" :key="value" :value="value">{{ word }}</option>
                    </select>
                </label>
                <button class="act" :disabled="starting.isPending.value || (advice.data.value?.red_flags.length ?? 0) > 0">
                    Start a formula
                </button>
                <p class="quiet w-full text-[13px]">
                    {{ names.length > 0 ? `With ${names.join(', ')}.` : 'Choose above what goes in, or leave it to plain staples.' }}
                </p>
            </form>
        </WaitOrProblem>
    </section>
</template>
