<script setup lang="ts">
import { ref } from 'vue';
import type { Schemas } from '../../api/client';
import { num, SEVERITIES } from '../../ui/words';

/** What the checks say, worst first: sentences, the figures they rest on, and the cures. */
defineProps<{ findings: Schemas['Finding'][]; preview?: (change: Schemas['Change']) => Promise<Schemas['Evaluation'] | null> }>();
const emit = defineEmits<{ cure: [label: string, change: Schemas['Change']]; light: [id: string] }>();

const open = ref('');
const effect = ref('');

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
    const stops = answer.assessment.findings.filter((f) => f.severity === 'stop').length;
    const cautions = answer.assessment.findings.filter((f) => f.severity === 'caution').length;
    effect.value = `Then: ${stops === 0 ? 'no stop' : `${stops} to stop for`}, ${cautions === 0 ? 'no caution' : `${cautions} to decide`}, ${num(answer.assessment.total_grams.best)} g in all.`;
}
</script>

<template>
    <div>
        <p v-if="findings.length === 0" class="text-good font-semibold">Nothing speaks against it.</p>
        <ol class="space-y-3">
            <li
                v-for="finding in findings"
                :key="keyOf(finding)"
                class="border-l-4 pl-3"
                :style="{ borderColor: finding.severity === 'note' ? 'var(--rule)' : `var(--${finding.severity})` }"
                @mouseenter="emit('light', finding.lines[0] ?? '')"
                @mouseleave="emit('light', '')"
            >
                <p>
                    <strong class="font-head" :class="`said-${finding.severity}`">{{ SEVERITIES[finding.severity] }}.</strong>
                    {{ finding.message }}
                </p>
                <details v-if="Object.keys(finding.figures).length > 0" class="quiet text-[13px]">
                    <summary class="cursor-pointer">The figures</summary>
                    <dl class="grid grid-cols-[1fr_auto] gap-x-3 pt-1">
                        <template v-for="(band, name) in finding.figures" :key="name">
                            <dt>{{ name }}</dt>
                            <dd class="text-right">
                                {{ num(band.best) }}{{ band.low === band.high ? '' : `, ${num(band.low)} to ${num(band.high)}` }}
                            </dd>
                        </template>
                    </dl>
                    <p class="pt-1">Rule: docs/methods/{{ finding.method }}.md</p>
                </details>
                <div v-if="finding.cures.length > 0" class="mt-1 flex flex-wrap gap-x-1">
                    <button
                        v-for="cure in finding.cures"
                        :key="cure.label"
                        type="button"
                        class="act-quiet -ml-2.5 text-left"
                        @mouseenter="preview && show(preview, keyOf(finding) + cure.label, cure.change)"
                        @focus="preview && show(preview, keyOf(finding) + cure.label, cure.change)"
                        @click="emit('cure', cure.label, cure.change)"
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
            </li>
        </ol>
    </div>
</template>
