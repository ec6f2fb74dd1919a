<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Schemas } from '../../api/client';
import { ABOUT, counted, num, SEVERITIES } from '../../ui/words';

/** What the checks say, by what it is about, the worst first: sentences, the figures they rest on, and the cures. */
const props = defineProps<{
    findings: Schemas['Finding'][];
    preview?: (change: Schemas['Change']) => Promise<Schemas['Evaluation'] | null>;
    /** Whether a finding can be accepted here. */
    decides?: boolean;
    /** Lines that may be another thing, or another amount: what is said of them may be otherwise too. */
    doubtful?: string[];
    /** Whether nothing is counted: then there is no verdict. */
    empty?: boolean;
}>();
const emit = defineEmits<{
    cure: [label: string, change: Schemas['Change']];
    light: [id: string];
    accept: [finding: Schemas['Finding'], reason: string];
    reopen: [finding: Schemas['Finding']];
    /** What a cure would make of it, to be drawn beside what it is; null when nobody looks any more. */
    then: [assessment: Schemas['Assessment'] | null];
}>();

/** They come worst first: what a group is about stands where its worst finding does. */
const groups = computed(() => {
    const byAbout = new Map<string, Schemas['Finding'][]>();
    for (const finding of props.findings) {
        const about = ABOUT[finding.method] ?? 'Something else';
        byAbout.set(about, [...(byAbout.get(about) ?? []), finding]);
    }
    return [...byAbout];
});
const open = ref('');
const effect = ref('');
const deciding = ref('');
const reason = ref('');

function decide(finding: Schemas['Finding']): void {
    deciding.value = deciding.value === keyOf(finding) ? '' : keyOf(finding);
    reason.value = '';
}
function accept(finding: Schemas['Finding']): void {
    if (reason.value.trim() === '') return;
    emit('accept', finding, reason.value.trim());
    deciding.value = '';
}

/** What says itself that a line was not understood needs no more words. */
function isDoubtful(finding: Schemas['Finding']): boolean {
    return !finding.code.endsWith('.unknown') && finding.lines.some((id) => props.doubtful?.includes(id));
}
function keyOf(finding: Schemas['Finding']): string {
    return finding.code + finding.lines.join();
}
async function show(
    preview: ((change: Schemas['Change']) => Promise<Schemas['Evaluation'] | null>) | undefined,
    key: string,
    change: Schemas['Change'],
): Promise<void> {
    open.value = key;
    effect.value = 'Working it out…';
    const answer = await preview?.(change);
    if (open.value !== key || !answer) return;
    emit('then', answer.assessment);
    const stops = answer.assessment.findings.filter((f) => f.severity === 'stop' && f.accepted === '').length;
    const cautions = answer.assessment.findings.filter((f) => f.severity === 'caution' && f.accepted === '').length;
    effect.value = `Then: ${stops === 0 ? 'no stops' : counted(stops, 'stop')}, ${cautions === 0 ? 'no cautions' : counted(cautions, 'caution')}, ${num(answer.assessment.total_grams.best)} g in all.`;
}

function leave(): void {
    open.value = '';
    emit('then', null);
}
</script>

<template>
    <div>
        <p v-if="findings.length === 0 && empty" class="quiet">Nothing is in it yet, so nothing can be said of it.</p>
        <p v-else-if="findings.length === 0" class="text-good font-semibold">Nothing speaks against it.</p>
        <section v-for="[about, some] in groups" :key="about" class="mb-4" :aria-label="about">
            <h3 class="quiet mb-1 text-[13px] font-semibold">{{ about }}</h3>
            <ol class="space-y-3">
                <li
                    v-for="finding in some"
                    :key="keyOf(finding)"
                    class="border-l-4 pl-3"
                    :class="finding.accepted ? 'quiet' : ''"
                    :style="{ borderColor: finding.severity === 'note' || finding.accepted ? 'var(--rule)' : `var(--${finding.severity})` }"
                    @mouseenter="emit('light', finding.lines[0] ?? '')"
                    @mouseleave="emit('light', '')"
                >
                    <p>
                        <strong class="font-head" :class="finding.accepted ? '' : `said-${finding.severity}`">
                            {{ finding.accepted ? 'Accepted' : SEVERITIES[finding.severity] }}.
                        </strong>
                        {{ finding.message }}
                        <span v-if="isDoubtful(finding)" class="quiet">As far as its line was understood.</span>
                    </p>
                    <p v-if="finding.accepted">
                        Because: {{ finding.accepted }}
                        <button v-if="decides" type="button" class="act-quiet" @click="emit('reopen', finding)">Open it again</button>
                    </p>
                    <details v-if="Object.keys(finding.figures).length > 0" class="quiet text-[13px]">
                        <summary class="cursor-pointer">The figures</summary>
                        <dl class="grid grid-cols-[1fr_auto] gap-x-3 pt-1">
                            <template v-for="(figure, name) in finding.figures" :key="name">
                                <dt>{{ figure.unit === '' ? figure.label : `${figure.label}, ${figure.unit}` }}</dt>
                                <dd class="text-right">
                                    {{ num(figure.best)
                                    }}{{ figure.low === figure.high ? '' : `, ${num(figure.low)} to ${num(figure.high)}` }}
                                </dd>
                            </template>
                        </dl>
                        <p class="pt-1">
                            <RouterLink :to="`/methods/${finding.method}`">Rule: {{ finding.method.replaceAll('-', ' ') }}</RouterLink>
                        </p>
                    </details>
                    <div v-if="finding.cures.length > 0 && !finding.accepted" class="mt-1 flex flex-wrap gap-x-1">
                        <button
                            v-for="cure in finding.cures"
                            :key="cure.label"
                            type="button"
                            class="act-quiet -ml-2.5 text-left"
                            @mouseenter="preview && show(preview, keyOf(finding) + cure.label, cure.change)"
                            @focus="preview && show(preview, keyOf(finding) + cure.label, cure.change)"
                            @mouseleave="leave"
                            @blur="leave"
                            @click="
                                leave();
                                emit('cure', cure.label, cure.change);
                            "
                        >
                            {{ cure.label }}
                        </button>
                        <p
                            v-for="cure in finding.cures"
                            v-show="open === keyOf(finding) + cure.label"
                            :key="`e${cure.label}`"
                            class="quiet w-full text-[13px]"
                        >
                            {{ effect }}
                        </p>
                    </div>
                    <template v-if="decides && finding.severity !== 'note' && !finding.accepted">
                        <button
                            v-if="finding.acceptable"
                            type="button"
                            class="act-quiet no-print -ml-2.5 text-[13px]"
                            :aria-expanded="deciding === keyOf(finding)"
                            @click="decide(finding)"
                        >
                            Keep it anyway, and say why
                        </button>
                        <p v-else class="quiet text-[13px]">This cannot be accepted, only changed.</p>
                        <form v-if="deciding === keyOf(finding)" class="mt-1 flex gap-2" @submit.prevent="accept(finding)">
                            <input
                                v-model="reason"
                                class="field"
                                maxlength="500"
                                required
                                :aria-label="`Why you accept: ${finding.message}`"
                                placeholder="Why, in your words"
                            />
                            <button class="act shrink-0">Accept</button>
                        </form>
                    </template>
                </li>
            </ol>
        </section>
    </div>
</template>
