<script setup lang="ts">
import type { Schemas } from '../../api/client';

/** What a head does not bear well, and when. */
const dislikes = defineModel<Required<Schemas['HeadDraft']>['dislikes']>({ required: true });
</script>

<template>
    <fieldset>
        <legend class="label">Does not bear well</legend>
        <div v-for="(d, n) in dislikes" :key="n" class="mb-1.5 flex gap-2">
            <input v-model="d.what" class="field" maxlength="80" aria-label="What" placeholder="coconut" />
            <select v-model="d.season" class="field !w-44" aria-label="When">
                <option value="any">all year</option>
                <option value="cold">in the cold months</option>
                <option value="warm">in the warm months</option>
            </select>
            <button type="button" class="act-quiet" :aria-label="`Take out ${d.what}`" @click="dislikes.splice(n, 1)">×</button>
        </div>
        <button type="button" class="act-quiet -ml-2.5" @click="dislikes.push({ what: '', season: 'any' })">
            Add something it does not bear
        </button>
    </fieldset>
</template>
