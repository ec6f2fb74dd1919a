<script setup lang="ts">
import { nextTick, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import HowLink from '../../ui/HowLink.vue';
import type { Asked } from './design/asked';
import AskedOfIt from './design/AskedOfIt.vue';
import NowAndThen from './design/NowAndThen.vue';
import { useDesign } from './design/useDesign';
import WishRow from './design/WishRow.vue';
import type { Bench } from './useBench';

/** Asked in the maker's words, shown as demands that can be changed, answered beside the present jar. */
const props = defineProps<{ bench: Bench }>();
const design = useDesign(props.bench);
const { answer, demands, problem, busy, shown } = design;
const route = useRoute();
const title = ref<HTMLElement | null>(null);
const asked = ref<InstanceType<typeof AskedOfIt> | null>(null);

/** Whoever comes from a bottle that is to be used up asks for that. */
onMounted(() => {
    const { 'use-up': of, called } = route.query;
    if (typeof of !== 'string' || of === '') return;
    design.toggle('use-up', of, typeof called === 'string' ? called : of);
    void nextTick(() => title.value?.scrollIntoView({ block: 'start' }));
});
async function also(what: Asked, words: string): Promise<void> {
    if (!design.also(what, words)) return;
    await nextTick();
    asked.value?.lead();
}
</script>

<template>
    <section aria-label="Design">
        <h2 ref="title">
            What should it be instead?
            <HowLink of="solver" what="a design" />
        </h2>
        <WishRow :design="design" @also="also" />
        <p v-if="problem" class="said-stop mt-2 font-semibold" role="alert">{{ problem }}</p>
        <p v-if="busy" class="quiet mt-2" role="status">
            Working it out…
            <button type="button" class="act-quiet" @click="design.stop">Stop</button>
        </p>
        <div v-if="answer || demands.length > 0" class="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,20rem)_auto_minmax(0,1fr)]">
            <AskedOfIt ref="asked" :design="design" />
            <NowAndThen v-if="shown?.assessment" :bench="bench" :design="design" />
        </div>
    </section>
</template>
