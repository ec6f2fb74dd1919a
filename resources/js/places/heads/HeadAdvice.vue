<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { ask, type Schemas } from '../../api/client';
import { useOnce } from '../../ui/useOnce';
import EvidenceMark from '../../ui/EvidenceMark.vue';
import { tell, tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { KINDS } from '../../ui/words';
import HowLink from '../../ui/HowLink.vue';

/** What may go into this head's jar: by need, evidence first; what to leave out; what to try first; and from there a formula. */
const props = defineProps<{ head: Schemas['Head'] }>();
const router = useRouter();
const chosen = ref<string[]>([]);
const kind = ref('scalp-oil');
const need = ref('');
const advice = useQuery({
    queryKey: computed(() => ['advice', props.head.id, props.head.revision, props.head.scalp_now]),
    queryFn: () => ask<'HeadAdvice'>('GET', `/api/heads/${props.head.id}/advice`),
});
const shown = computed(() => advice.data.value?.needs.find((n) => n.need === need.value) ?? advice.data.value?.needs[0]);
const names = computed(() => {
    const all = advice.data.value?.needs.flatMap((n) => n.ranked) ?? [];
    return chosen.value.map((id) => all.find((r) => r.id === id)?.name ?? id);
});
function choose(id: string): void {
    chosen.value = chosen.value.includes(id) ? chosen.value.filter((c) => c !== id) : [...chosen.value, id];
}
const once = useOnce();
async function start(): Promise<void> {
    try {
        const made = await once.post<'FirstFormulaMade'>(`/api/heads/${props.head.id}/formula`, {
            kind: kind.value,
            ingredients: chosen.value,
        });
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
            <p v-if="!shown" class="quiet mt-1">
                Say below what this head is cared for, or mark its scalp, and what serves it stands here, best known first.
            </p>
            <template v-else>
                <div class="mt-2 flex flex-wrap gap-x-1" role="tablist" aria-label="Needs">
                    <button
                        v-for="n in advice.data.value?.needs"
                        :key="n.need"
                        type="button"
                        role="tab"
                        class="act-quiet"
                        :class="n.need === shown.need ? 'bg-lead-wash !no-underline' : ''"
                        :aria-selected="n.need === shown.need"
                        @click="need = n.need"
                    >
                        {{ n.label }}
                    </button>
                </div>
                <p class="mt-1">{{ shown.first }}</p>
                <ol class="mt-1" aria-label="Best known first">
                    <li v-for="r in shown.ranked" :key="r.id" class="row-line grid grid-cols-[1.4rem_minmax(0,1fr)] gap-x-2 py-1.5">
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
                <details v-if="shown.left_out.length > 0" class="mt-2">
                    <summary class="cursor-pointer">{{ shown.left_out.length }} left out, and why</summary>
                    <ul class="mt-1 text-[13px]">
                        <li v-for="l in shown.left_out" :key="l.id" class="py-0.5">
                            <strong>{{ l.name }}.</strong>
                            {{ l.reason }}
                        </li>
                    </ul>
                </details>
            </template>
            <form class="border-rule mt-4 flex flex-wrap items-end gap-3 border-t pt-3" @submit.prevent="start">
                <label>
                    <span class="label">Start a</span>
                    <select v-model="kind" class="field">
                        <option v-for="(word, value) in KINDS" :key="value" :value="value">{{ word }}</option>
                    </select>
                </label>
                <button class="act" :disabled="once.busy.value || (advice.data.value?.red_flags.length ?? 0) > 0">Start a formula</button>
                <p class="quiet w-full text-[13px]">
                    {{ names.length > 0 ? `With ${names.join(', ')}.` : 'Choose above what goes in, or leave it to plain staples.' }}
                </p>
            </form>
        </WaitOrProblem>
    </section>
</template>
