<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import EvidenceMark from '../../../ui/EvidenceMark.vue';
import HowLink from '../../../ui/HowLink.vue';

/** What it is used for, and how well that is known. */
defineProps<{ it: Schemas['Ingredient']; nothing: string[] }>();
</script>

<template>
    <section>
        <h2>
            What it is used for, and how well that is known
            <HowLink of="evidence" what="evidence" />
        </h2>
        <p v-if="it.needs.length === 0" class="mt-1">Nothing: no use for the hair is written down for it here.</p>
        <ul v-else class="mt-1">
            <li v-for="need in it.needs" :key="need.need" class="row-line grid gap-x-4 py-2 sm:grid-cols-[10rem_minmax(0,1fr)]">
                <span>
                    <strong>{{ need.label }}</strong>
                    <span class="block"><EvidenceMark :grade="need.grade" :route="need.route" /></span>
                </span>
                <span>
                    {{ need.found }}
                    <span v-if="need.on" class="block text-[13px]">Tried on: {{ need.on }}.</span>
                    <span v-if="need.grade > 1" class="quiet block text-[13px]">
                        {{ need.source === 'estimate' ? 'our reading; no single source' : need.source }}
                    </span>
                </span>
            </li>
        </ul>
        <p v-if="nothing.length > 0" class="quiet mt-1 text-[13px]">
            Nothing is known of it for {{ nothing.join(', ') }}, nor whether it acts on hormones. For these, ask a clinician.
        </p>
    </section>
</template>
