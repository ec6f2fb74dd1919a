<script setup lang="ts">
import { computed, ref } from 'vue';
import MoreRows from '../../ui/MoreRows.vue';
import { BATCHES } from '../../queries/lists';
import { useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { BAD, KINDS, counted, num, sayBestBefore, sayDate } from '../../ui/words';

const wanted = ref('');
const state = ref('');
const { query, rows, none } = useList(BATCHES, () => ({ q: wanted.value, ...(state.value && { state: state.value }) }));
/** A handful is seen at a glance. */
const many = computed(() => wanted.value !== '' || state.value !== '' || rows.value.length > 12);
const STATES = { '': 'All', open: 'Being made', done: 'Done' };
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h1>Make</h1>
            <RouterLink to="/formulas" class="act">Choose a formula to make</RouterLink>
        </div>
        <div v-if="many" class="mb-3 flex max-w-xl flex-wrap gap-3">
            <label class="min-w-60 flex-1">
                <span class="label">Find by title or lot</span>
                <input v-model="wanted" type="search" class="field" maxlength="80" />
            </label>
            <label>
                <span class="label">Which</span>
                <select v-model="state" class="field">
                    <option v-for="(word, key) in STATES" :key="key" :value="key">{{ word }}</option>
                </select>
            </label>
        </div>
        <WaitOrProblem :pending="query.isPending.value" :error="query.error.value" what="your batches" @again="query.refetch">
            <ul>
                <li v-for="batch in rows" :key="batch.id" class="row-line">
                    <RouterLink
                        :to="`/make/${batch.id}`"
                        class="text-ink grid grid-cols-[6.5rem_1fr] items-center gap-x-4 py-3 no-underline hover:bg-lead-wash lg:grid-cols-[6.5rem_minmax(0,1fr)_9rem_15rem]"
                    >
                        <!-- A row of filled jars; an open batch is empty glass. -->
                        <svg
                            width="104"
                            height="40"
                            viewBox="0 0 104 40"
                            role="img"
                            :aria-label="batch.state === 'done' ? counted(batch.jars ?? 0, 'jar') : 'not filled yet'"
                        >
                            <g v-for="n in Math.min(6, Math.max(1, batch.jars))" :key="n" :transform="`translate(${(n - 1) * 17} 4)`">
                                <rect x="2" y="0" width="11" height="4" fill="var(--ink)" />
                                <rect
                                    x="0.8"
                                    y="6"
                                    width="13.4"
                                    height="28"
                                    rx="2"
                                    :fill="batch.state === 'done' ? 'url(#matter-liquid)' : 'var(--raised)'"
                                    stroke="var(--glass)"
                                    stroke-width="1.4"
                                />
                            </g>
                        </svg>
                        <span>
                            <span class="font-head text-[18px] leading-tight font-semibold">{{ batch.title }}</span>
                            <span class="quiet block text-[13px]">
                                {{ KINDS[batch.kind] }}, lot {{ batch.lot_code }}, made {{ sayDate(batch.made_on) }} by {{ batch.by }}
                            </span>
                            <span
                                class="block text-[13px] lg:hidden"
                                :class="batch.state === 'open' ? 'said-caution font-semibold' : 'quiet'"
                            >
                                {{
                                    batch.state === 'open'
                                        ? 'being made: go on with it'
                                        : `${batch.jars} × ${num(batch.net_grams)} g, ${batch.bad ? BAD : sayBestBefore(batch.best_before)}`
                                }}
                            </span>
                        </span>
                        <span class="hidden lg:block">
                            {{ batch.state === 'done' ? `${batch.jars} × ${num(batch.net_grams)} g` : 'being made' }}
                        </span>
                        <span
                            class="hidden text-right lg:block"
                            :class="batch.bad ? 'said-stop font-semibold' : batch.state === 'open' ? 'said-caution font-semibold' : 'quiet'"
                        >
                            {{ batch.bad ? BAD : batch.state === 'open' ? 'go on with it' : sayBestBefore(batch.best_before) }}
                        </span>
                    </RouterLink>
                </li>
            </ul>
            <MoreRows :query="query" />
            <p v-if="none && state && !wanted">
                {{ state === 'open' ? 'Nothing is being made just now.' : 'Nothing is finished yet.' }}
                <button type="button" class="act-quiet" @click="state = ''">Show all</button>
            </p>
            <p v-else-if="none && wanted">
                No batch has "{{ wanted }}" in its title or lot.
                <button type="button" class="act-quiet" @click="wanted = ''">Show all</button>
            </p>
            <p v-else-if="none" class="max-w-prose">
                Nothing has been made yet. Open a formula and press "Make it": you gather, weigh line by line, and the record keeps what the
                scale truly showed. For example: six jars of a whipped shea butter, 100 ml each; shea asked for 140 g, 141 went in, and the
                label counts the 141.
            </p>
        </WaitOrProblem>
    </div>
</template>
