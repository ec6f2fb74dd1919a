<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { smallBands } from '../../jar/bands';
import JarView, { type JarBand } from '../../jar/JarView.vue';
import { shortDate } from '../../ui/words';

/** Kept versions as a line of jars, the oldest first, with what was changed between one and the next. */
const props = defineProps<{ id: number; versions: Schemas['VersionRow'][]; now: JarBand[] }>();
const emit = defineEmits<{ back: [version: Schemas['VersionRow']] }>();
const inOrder = computed(() => [...props.versions].reverse());
</script>

<template>
    <ol class="flex items-start gap-x-1 overflow-x-auto pb-2" aria-label="Versions, the oldest first" tabindex="0">
        <li v-for="(version, n) in inOrder" :key="version.id" class="flex shrink-0 items-start">
            <div v-if="n > 0" class="border-rule mt-10 w-40 border-t px-2 pt-1 text-[13px]">
                {{ version.changes.slice(0, 3).join(' ') || 'Nothing that counts was changed.' }}
                <span v-if="version.changes.length > 3" class="quiet" :title="version.changes.slice(3).join(' ')">
                    And {{ version.changes.length - 3 }} more.
                </span>
            </div>
            <div class="w-36">
                <JarView
                    small
                    :width="56"
                    :height="92"
                    :bands="smallBands(version.bands)"
                    :label="`Version ${version.number}: ${version.texture}`"
                />
                <p class="mt-1">
                    <strong>{{ version.number }}</strong>
                    {{ version.note || 'without a note' }}
                    <span class="quiet block text-[13px]">
                        {{ shortDate(version.kept_at) }}{{ version.texture ? `, ${version.texture}` : '' }}
                    </span>
                </p>
                <p class="no-print -ml-2.5 flex flex-wrap text-[14px]">
                    <button
                        type="button"
                        class="act-quiet"
                        :aria-label="`Bring back version ${version.number}`"
                        @click="emit('back', version)"
                    >
                        Bring back
                    </button>
                    <RouterLink :to="`/formulas/compare?of=${id},${id}.${version.number}`" class="act-quiet">Compare</RouterLink>
                </p>
            </div>
        </li>
        <li class="flex shrink-0 items-start">
            <div class="border-rule mt-10 w-10 border-t border-dashed" aria-hidden="true"></div>
            <div class="w-28">
                <JarView small :width="56" :height="92" :bands="now" label="As it is now" />
                <p class="mt-1 font-semibold">now</p>
            </div>
        </li>
    </ol>
</template>
