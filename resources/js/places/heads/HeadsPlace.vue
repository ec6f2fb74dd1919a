<script setup lang="ts">
import { computed, ref } from 'vue';
import MoreRows from '../../ui/MoreRows.vue';
import { HEADS } from '../../queries/lists';
import { useList } from '../../ui/useList';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { AUDIENCES, fixed } from '../../ui/words';

const wanted = ref('');
const { query, rows, none } = useList(HEADS, () => ({ q: wanted.value }));
/** A handful is seen at a glance. */
const many = computed(() => wanted.value !== '' || rows.value.length > 12);
</script>

<template>
    <div>
        <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h1>Heads</h1>
            <RouterLink to="/heads/new" class="act">Add a person</RouterLink>
        </div>
        <label v-if="many" class="mb-3 block max-w-md">
            <span class="label">Find by name</span>
            <input v-model="wanted" type="search" class="field" maxlength="80" />
        </label>
        <WaitOrProblem :pending="query.isPending.value" :error="query.error.value" what="the heads" @again="query.refetch">
            <ul v-if="rows.length > 0">
                <li v-for="head in rows" :key="head.id" class="row-line">
                    <RouterLink
                        :to="`/heads/${head.id}`"
                        class="text-ink grid gap-x-4 py-3 no-underline hover:bg-lead-wash sm:grid-cols-[minmax(0,1fr)_15rem_15rem]"
                    >
                        <span>
                            <span class="font-head text-[18px] font-semibold">{{ head.name }}</span>
                            <span class="quiet block text-[13px]">
                                {{ head.strand }} strands, {{ head.porosity }} porosity, {{ head.scalp }} scalp
                            </span>
                        </span>
                        <span>
                            <span class="quiet text-[13px]">weight that suits</span>
                            {{ fixed(head.weight_lengths.low, 1) }} to {{ fixed(head.weight_lengths.high, 1) }}
                        </span>
                        <span class="sm:text-right">
                            {{ AUDIENCES[head.audience] }}
                            <span v-if="head.allergies.length > 0" class="said-stop block text-[13px] font-semibold">
                                allergic to {{ head.allergies.join(', ') }}
                            </span>
                        </span>
                    </RouterLink>
                </li>
            </ul>
            <MoreRows :query="query" />
            <p v-if="none && wanted">
                Nobody here has "{{ wanted }}" in the name.
                <button type="button" class="act-quiet" @click="wanted = ''">Show all</button>
            </p>
            <p v-else-if="none" class="max-w-prose">
                A head is a person whose hair you care for. Its strands, porosity and scalp say how rich a product may be; its age and
                allergies set what must not be in it. For example "Imani: coarse, high porosity, dry scalp".
            </p>
        </WaitOrProblem>
    </div>
</template>
