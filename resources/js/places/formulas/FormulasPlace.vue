<script setup lang="ts">
import { ref } from 'vue';
import { smallBands } from '../../jar/bands';
import JarView from '../../jar/JarView.vue';
import MoreRows from '../../ui/MoreRows.vue';
import { FORMULAS } from '../../queries/lists';
import { useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { counted, KINDS, sayDate, sayMonths } from '../../ui/words';

/** All formulas of the studio. */

const wanted = ref('');
const { query, rows, none } = useList(FORMULAS, () => ({ q: wanted.value }));
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h1>Formulas</h1>
            <div class="flex items-center gap-1">
                <RouterLink to="/formulas/paste" class="act-quiet">Paste a recipe</RouterLink>
                <RouterLink to="/formulas/new" class="act">Begin a formula</RouterLink>
            </div>
        </div>
        <label class="mb-3 block max-w-md">
            <span class="label">Find by title or ingredient</span>
            <input v-model="wanted" type="search" class="field" maxlength="80" />
        </label>
        <WaitOrProblem :pending="query.isPending.value" :error="query.error.value" what="your formulas" @again="query.refetch">
            <ul>
                <li v-for="row in rows" :key="row.id" class="row-line">
                    <RouterLink
                        :to="`/formulas/${row.id}`"
                        class="text-ink grid grid-cols-[44px_1fr] items-center gap-x-4 py-2.5 no-underline hover:bg-lead-wash sm:grid-cols-[44px_minmax(0,1fr)_13rem_9rem_10rem]"
                    >
                        <JarView small :width="34" :height="52" :bands="smallBands(row.bands)" :label="`Jar of ${row.title}`" />
                        <span>
                            <span class="font-head text-[18px] leading-tight font-semibold">{{ row.title }}</span>
                            <span class="quiet block text-[13px]">
                                {{ KINDS[row.kind] }}, {{ row.lines }} {{ row.lines === 1 ? 'line' : 'lines' }}, touched
                                {{ sayDate(row.updated_at) }}
                            </span>
                        </span>
                        <span class="hidden sm:block">{{ row.texture }}</span>
                        <span class="hidden sm:block">
                            <span class="quiet text-[13px]">keeps</span>
                            {{ sayMonths(row.life_months) }}
                        </span>
                        <span class="hidden text-right sm:block">
                            <span v-if="row.stops > 0" class="said-stop font-semibold">{{ counted(row.stops, 'stop') }}</span>
                            <span v-else-if="row.cautions > 0" class="said-caution font-semibold">
                                {{ counted(row.cautions, 'caution') }}
                            </span>
                            <span v-else-if="!row.settled || row.water_class === null" class="quiet">cannot tell yet</span>
                            <span v-else class="text-good font-semibold">in order</span>
                        </span>
                    </RouterLink>
                </li>
            </ul>
            <MoreRows :query="query" />
            <div v-if="none" class="mt-6 max-w-prose">
                <template v-if="wanted">
                    <p>No formula has "{{ wanted }}" in its title or lines.</p>
                    <button type="button" class="act-quiet -ml-2.5" @click="wanted = ''">Show all</button>
                </template>
                <template v-else>
                    <p>A formula is what a recipe truly is: shares, texture, how long it keeps, and what speaks against it.</p>
                    <p class="mt-2">
                        Paste one as you have it, spoons, drops and all, for example "180 g shea butter, 3 tbsp jojoba oil, 12 drops
                        lavender".
                    </p>
                </template>
            </div>
        </WaitOrProblem>
    </div>
</template>
