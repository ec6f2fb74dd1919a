<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { bandsOf } from '../../../jar/bands';
import type { JarBand } from '../../../jar/JarView.vue';
import { tell } from '../../../ui/notice';
import FindingsList from '../FindingsList.vue';
import type { Bench } from '../useBench';

/** What is found of the formula, how much of each kind is open, and what the maker decides about it. */
const props = defineProps<{ bench: Bench }>();
const emit = defineEmits<{ light: [line: string]; then: [bands: JarBand[] | null] }>();
const { assessment } = props.bench;
const SEVERITIES: Schemas['Finding']['severity'][] = ['stop', 'caution', 'note'];
const open = computed(() => assessment.value.findings.filter((f) => f.accepted === ''));
/** "1 stop, 6 cautions": what there is none of is not counted. */
const counts = computed(() =>
    SEVERITIES.map((severity) => ({ severity, n: open.value.filter((f) => f.severity === severity).length }))
        .filter(({ n }) => n > 0)
        .map(({ severity, n }) => `${n} ${severity}${n === 1 ? '' : 's'}`)
        .join(', '),
);

function accept(finding: Schemas['Finding'], reason: string): void {
    props.bench.edit(`accept ${finding.code}`, (draft) => {
        draft.accepted = [...(draft.accepted ?? []), { finding: finding.key, reason }];
    });
    tell('Accepted, with your reason in the record. It opens again as soon as it says something else.', { undo: props.bench.undo });
}
function reopen(finding: Schemas['Finding']): void {
    props.bench.edit(`reopen ${finding.code}`, (draft) => {
        draft.accepted = (draft.accepted ?? []).filter((_, n) => n !== finding.accepted_by);
    });
}
</script>

<template>
    <section aria-label="Findings">
        <h2 class="mb-2">
            Findings
            <span class="quiet text-[14px] font-normal">{{ counts }}</span>
        </h2>
        <div class="xl:max-h-[calc(100vh-19rem)] xl:overflow-y-auto xl:pr-2" tabindex="0" role="group" aria-label="Findings, worst first">
            <FindingsList
                :findings="assessment.findings"
                :empty="assessment.lines.every((l) => l.grams === null)"
                :preview="bench.preview"
                decides
                @cure="bench.cure"
                @light="emit('light', $event)"
                @accept="accept"
                @reopen="reopen"
                @then="emit('then', $event ? bandsOf($event) : null)"
            />
        </div>
    </section>
</template>
