<script setup lang="ts">
import type { Schemas } from '../../../api/client';
import TouchedBy from '../../../ui/TouchedBy.vue';
import { todayDate } from '../../../ui/words';
import TakeAlong from '../../studio/TakeAlong.vue';
import { isUnderWay } from './recording';

/** What a jar is called and made of, and where to go from it. */
defineProps<{ steep: Schemas['Steep'] }>();
const emit = defineEmits<{ 'put-away': []; 'bring-back': [] }>();
</script>

<template>
    <div class="mb-4 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div class="min-w-0">
            <h1>{{ steep.name }}</h1>
            <p class="quiet mt-1">{{ steep.charge }}; {{ steep.method_label.toLowerCase() }}</p>
            <TouchedBy :touched="steep.touched" />
        </div>
        <div class="flex flex-wrap">
            <RouterLink :to="`/steeps/start?again=${steep.id}`" class="act-quiet">Do it again</RouterLink>
            <TakeAlong :what="{ kind: 'steep', body: { ...steep.draft, started_on: todayDate() } }" />
            <RouterLink v-if="steep.draw_again" :to="`/steeps/start?again=${steep.id}&draw=next`" class="act-quiet">
                Draw the herb once more
            </RouterLink>
            <button v-if="steep.put_away" type="button" class="act-quiet" @click="emit('bring-back')">Bring it back</button>
            <button v-else type="button" class="act-quiet" @click="emit('put-away')">Put away</button>
            <RouterLink v-if="isUnderWay(steep)" :to="`/steeps/${steep.id}/strain`" class="act">Strain day</RouterLink>
        </div>
    </div>
</template>
