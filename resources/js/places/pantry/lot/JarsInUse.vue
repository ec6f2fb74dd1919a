<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../../api/client';
import { sayDate, todayDate } from '../../../ui/words';

/** Jars in use, which are not empty yet. */
const props = defineProps<{ lot: Schemas['LotPage'] }>();
const emit = defineEmits<{ empty: [movement: number] }>();
const inUse = computed(() => props.lot.movements.filter((m) => m.kind === 'opened' && m.ended_on === null));
</script>

<template>
    <section v-if="inUse.length > 0" class="mt-6" aria-labelledby="in-use">
        <h2 id="in-use">In use</h2>
        <ul>
            <li v-for="m in inUse" :key="m.id" class="row-line flex flex-wrap items-baseline justify-between gap-x-3 py-1">
                <span>
                    {{ m.jars > 1 ? `${m.jars} jars` : 'A jar' }}, opened {{ sayDate(m.on) }}
                    <span v-if="m.use_by" class="block" :class="m.use_by < todayDate() ? 'said-stop font-semibold' : 'quiet'">
                        {{ m.use_by < todayDate() ? 'It was to be used by' : 'Use it by' }} {{ sayDate(m.use_by) }}
                    </span>
                </span>
                <button type="button" class="act-quiet" @click="emit('empty', m.id)">It is empty</button>
            </li>
        </ul>
    </section>
</template>
