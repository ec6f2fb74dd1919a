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
const open = computed(() => assessment.value.findings.filter((f) => f.accepted === ''));
const count = (severity: Schemas['Finding']['severity']): number => open.value.filter((f) => f.severity === severity).length;

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
            <span class="quiet text-[14px] font-normal">
                {{ count('stop') }} stop, {{ count('caution') }} caution, {{ count('note') }} note
            </span>
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
