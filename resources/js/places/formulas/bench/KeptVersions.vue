<script setup lang="ts">
import { ref } from 'vue';
import type { Schemas } from '../../../api/client';
import type { JarBand } from '../../../jar/JarView.vue';
import { tell } from '../../../ui/notice';
import type { Bench } from '../useBench';
import VersionJars from '../VersionJars.vue';

/** What was kept of the formula, and keeping it as it is now. */
const props = defineProps<{ id: number; bench: Bench; now: JarBand[] }>();
const { versions } = props.bench;
const note = ref('');

async function keep(): Promise<void> {
    await props.bench.keep(note.value);
    note.value = '';
}
function back(version: Schemas['VersionRow']): void {
    props.bench.replace(version.formula, `version ${version.number}`);
    tell(`Version ${version.number} is back on the bench.`, { undo: props.bench.undo });
}
</script>

<template>
    <section aria-label="Kept versions">
        <h2>Kept versions</h2>
        <form class="no-print mt-2 flex max-w-md gap-2" @submit.prevent="keep">
            <input v-model="note" class="field" maxlength="300" aria-label="What changed" placeholder="What changed, in your words" />
            <button class="act shrink-0">Keep this</button>
        </form>
        <p v-if="versions.length === 0" class="quiet mt-2">No version is kept yet. Keep one before you try something.</p>
        <VersionJars v-else :id="id" class="mt-4" :versions="versions" :now="now" @back="back" />
    </section>
</template>
