<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num } from '../../ui/words';
import KitForm from './kit/KitForm.vue';
import { useKit } from './kit/useKit';

/** Scales, spoons, droppers, bowls, jars and places: what is written here takes the place of what is usual. */
type Item = Schemas['KitItem'];
type Kind = Schemas['Kit']['kinds'][number];

const { data, isPending, error, refetch, kinds, kind, draft, errors, begin, keep, take, busy } = useKit();
const SAYS: Partial<Record<Item['kind'], string>> = {
    scale: 'Each amount is weighed on the finest that carries it.',
    spoon: 'Weighed with water it counts for every liquid, weighed with something else for that alone.',
    dropper: 'Count drops onto the scale, for example 40, and write what they weigh; of a pump, strokes.',
    bowl: 'The largest decides how much can be made at once; the make sheet names the one that fits, and what it weighs empty.',
    pan: 'For the water bath: the make sheet names the one in which the bowl can stand.',
    mould: 'The make sheet counts the bars it gives, and what each weighs.',
    strainer: 'On strain day the one that is fine enough is named.',
    thermometer: 'Limits are read low by half a step of it.',
    mixer: 'How fast it goes, and the minutes that you like, decide how much air is beaten in, and how many jars.',
    jar: 'With its empty weight a jar can be weighed full at the counter; with its sizes it is filled in for you.',
    place: 'Dates go by its warmest months.',
};
const shelves = computed(() =>
    kinds.value
        .map((of) => ({ of, items: (data.value?.items ?? []).filter((item) => item.kind === of.kind) }))
        .filter((shelf) => shelf.items.length > 0),
);

/** What is known of it, in its own words. */
function words(of: Kind, item: Item): string {
    const said = of.figures.flatMap((f) => {
        const value = item[f.field];
        return typeof value === 'number' ? [`${f.label.toLowerCase()} ${num(value, 3)}${f.unit ? ` ${f.unit}` : ''}`] : [];
    });
    const chosen = of.choices.map((c) => String(item[c.field] ?? ''));
    return [...chosen, item.substance, ...said].filter((w) => w !== '').join(', ');
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the kit" @again="refetch">
        <div v-if="data" class="grid gap-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
            <div>
                <p v-if="data.items.length === 0" class="quiet max-w-prose">
                    Nothing is written down yet. A scale with its step, a tablespoon weighed once with shea, forty drops on the scale: each
                    makes every share of yours surer, and the working says so.
                </p>
                <section v-for="shelf in shelves" :key="shelf.of.kind" class="mb-5">
                    <h2>{{ shelf.of.label }}</h2>
                    <ul>
                        <li v-for="item in shelf.items" :key="item.id" class="row-line flex flex-wrap items-baseline gap-x-4 py-1.5">
                            <span class="min-w-40 flex-1">
                                <strong class="mr-2">{{ item.name }}</strong>
                                <span class="quiet text-[13px]">{{ words(shelf.of, item) }}</span>
                            </span>
                            <button type="button" class="act-quiet" @click="begin(item.kind, item)">Change</button>
                            <button type="button" class="act-quiet" @click="take(item)">Take out</button>
                        </li>
                    </ul>
                </section>
            </div>
            <div>
                <KitForm
                    v-if="draft && kind"
                    v-model="draft"
                    :kind="kind"
                    :says="SAYS[kind.kind]"
                    :errors="errors"
                    :busy="busy"
                    @keep="keep"
                    @leave="draft = null"
                />
                <template v-else>
                    <h2>Write down</h2>
                    <div class="-ml-2.5 flex flex-wrap">
                        <button v-for="one in kinds" :key="one.kind" type="button" class="act-quiet" @click="begin(one.kind)">
                            {{ one.label }}
                        </button>
                    </div>
                </template>
            </div>
        </div>
    </WaitOrProblem>
</template>
