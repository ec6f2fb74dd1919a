<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { ingredientQuery, useClearStock, useDeleteOwn, useForgetFigure, useStock } from '../../queries/ingredients';
import { tell, tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import AtAGlance from './ingredient/AtAGlance.vue';
import IngredientHead from './ingredient/IngredientHead.vue';
import KnownFigures from './ingredient/KnownFigures.vue';
import StandIns from './ingredient/StandIns.vue';
import TakeCare from './ingredient/TakeCare.vue';
import WhatItHolds from './ingredient/WhatItHolds.vue';
import WhatItServes from './ingredient/WhatItServes.vue';
import WhereUsed from './ingredient/WhereUsed.vue';

/** One ingredient: its figures with their sources, its cautions, what stands of it and where it is used. */

const props = defineProps<{ id: string }>();
const router = useRouter();
/** What a stand-in must be without. */
const without = ref('');
const { data, isPending, error, refetch } = useQuery(computed(() => ingredientQuery(props.id, without.value)));
const forgetting = useForgetFigure();
const stocking = useStock();
const clearing = useClearStock();
const deleting = useDeleteOwn();
const it = computed(() => data.value?.ingredient);

async function act(work: () => Promise<unknown>, said: string): Promise<void> {
    try {
        await work();
        tell(said);
    } catch (e) {
        tellProblem(e);
    }
}
// No price ships with the catalogue, so there is none to go back to.
const back = (id: number, property: string): Promise<void> =>
    act(() => forgetting.mutateAsync(id), property === 'price_per_kg' ? 'The price is forgotten.' : "The catalogue's figure is back.");
const stock = (now: boolean): Promise<void> =>
    act(
        () => (now ? stocking.mutateAsync({ id: props.id }) : clearing.mutateAsync(props.id)),
        now ? 'It stands in the cupboard.' : 'It was taken out of the cupboard.',
    );
const count = (text: string): Promise<void> =>
    act(
        () => stocking.mutateAsync({ id: props.id, grams: text === '' ? null : Number(text) }),
        text === '' ? 'How much there is is not known any more.' : `${text} g are there.`,
    );
async function remove(): Promise<void> {
    const own = data.value?.own?.id;
    if (own === undefined) return;
    await act(async () => {
        await deleting.mutateAsync(own);
        await router.push('/pantry');
    }, 'Your ingredient was taken out.');
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the ingredient" @again="refetch">
        <div v-if="it && data">
            <IngredientHead :id="id" :page="data" @stock="stock" @count="count" @remove="remove" />
            <div class="grid gap-x-10 gap-y-7 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
                <div class="min-w-0 space-y-7">
                    <AtAGlance :it="it" />
                    <WhatItServes :it="it" :nothing="data.nothing_known_of" />
                    <WhatItHolds :it="it" />
                    <KnownFigures :id="id" :page="data" @back="back" />
                </div>
                <div class="space-y-7">
                    <TakeCare :it="it" />
                    <StandIns :id="id" v-model:without="without" :stand-ins="data.stand_ins" />
                    <WhereUsed :page="data" />
                </div>
            </div>
        </div>
    </WaitOrProblem>
</template>
