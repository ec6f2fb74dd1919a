<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { reactive, ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { FORMULAS } from '../../queries/lists';
import { ordersQuery, useSettleOrder, useTakeOrder } from '../../queries/orders';
import { written } from '../../ui/events';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { tell, tellProblem } from '../../ui/notice';
import PickOne from '../../ui/PickOne.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { counted, num, sayUntil } from '../../ui/words';
import PantryHalves from './PantryHalves.vue';

/** Who wants how many jars of what, by when it has to be made, and the jars that stand there. */
const { data, isPending, error, refetch } = useQuery(ordersQuery());
const taking = useTakeOrder();
const settling = useSettleOrder();
const errors = ref<Record<string, string[]>>({});
const what = ref<{ token: string; name: string } | null>(null);
const draft = reactive({ who: '', jars: '', jar_ml: '100', due_on: '', price: '', note: '' });
const figure = (text: string): number => written(text) ?? 0;

async function take(): Promise<void> {
    errors.value = what.value ? {} : { formula_id: ['Choose what is wanted.'] };
    if (!what.value) return;
    try {
        await taking.mutateAsync({
            formula_id: Number(what.value.token),
            who: draft.who,
            jars: figure(draft.jars),
            jar_ml: figure(draft.jar_ml),
            due_on: draft.due_on,
            price: draft.price.trim() === '' ? null : figure(draft.price),
            note: draft.note,
        });
        Object.assign(draft, { who: '', jars: '', due_on: '', price: '', note: '' });
        what.value = null;
        tell('Written down.');
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
async function settle(order: Schemas['Order'], state: Schemas['OrderState']['state']): Promise<void> {
    try {
        await settling.mutateAsync({ order: order.id, state });
        if (state === 'off') tell(`The order of ${order.who} is off.`, { undo: () => void settle(order, 'open') });
        else if (state === 'given') tell(`${counted(order.jars, 'jar')} with ${order.who}: off the shelf.`);
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <div>
        <h1 class="mb-3">Pantry</h1>
        <PantryHalves here="orders" />
        <WaitOrProblem :pending="isPending" :error="error" what="the orders" @again="refetch">
            <div v-if="data" class="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,22rem)]">
                <div>
                    <ul aria-label="Open orders">
                        <li v-for="order in data.items" :key="order.id" class="row-line flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2">
                            <span class="min-w-56 flex-1">
                                <strong>{{ order.jars }} × {{ order.title }}</strong>
                                <span class="quiet">, {{ num(order.jar_ml) }} ml, for {{ order.who }}</span>
                                <span class="block" :class="order.plan.late ? 'said-stop font-semibold' : ''">{{ order.plan.words }}</span>
                                <span v-if="order.note" class="quiet block text-[13px]">{{ order.note }}</span>
                            </span>
                            <span class="quiet">due {{ sayUntil(order.due_on) }}</span>
                            <span class="-mr-2.5">
                                <RouterLink
                                    v-if="order.plan.to_make > 0 && order.formula_id"
                                    :to="`/formulas/${order.formula_id}`"
                                    class="act-quiet"
                                >
                                    Make it
                                </RouterLink>
                                <button v-else type="button" class="act-quiet" @click="settle(order, 'given')">Handed over</button>
                                <button type="button" class="act-quiet" @click="settle(order, 'off')">Cancelled</button>
                            </span>
                        </li>
                    </ul>
                    <p v-if="data.items.length === 0" class="max-w-prose">
                        Nobody waits for anything. Write an order down, for example six jars of the cloud butter for a market on Saturday:
                        it says by when they have to be made, what stands there already, and Today reminds you.
                    </p>
                    <section v-if="data.jars.length > 0" class="mt-8">
                        <h2>Jars on the shelf</h2>
                        <table class="mt-1 w-full text-[15px]">
                            <thead>
                                <tr class="quiet border-rule border-b text-left text-[13px]">
                                    <th scope="col" class="py-1 font-normal">Batch</th>
                                    <th scope="col" class="pl-3 text-right font-normal">Jars</th>
                                    <th scope="col" class="pl-3 text-right font-normal">Went in 90 days</th>
                                    <th scope="col" class="pl-3 font-normal">Use by</th>
                                    <th scope="col" class="pl-3 font-normal">Make again by</th>
                                </tr>
                            </thead>
                            <tbody>
                                <tr v-for="jar in data.jars" :key="jar.lot_id" class="row-line">
                                    <th scope="row" class="py-1 text-left font-normal">
                                        <RouterLink :to="`/pantry/lots/${jar.lot_id}`">{{ jar.title }}</RouterLink>
                                        <span class="quiet text-[13px]">, lot {{ jar.lot_code }}</span>
                                    </th>
                                    <td class="pl-3 text-right">{{ jar.jars }}</td>
                                    <td class="pl-3 text-right">{{ jar.went }}</td>
                                    <td class="pl-3">{{ jar.use_by ? sayUntil(jar.use_by) : '' }}</td>
                                    <td class="pl-3">{{ jar.make_again_by ? sayUntil(jar.make_again_by) : 'cannot tell yet' }}</td>
                                </tr>
                            </tbody>
                        </table>
                    </section>
                </div>
                <form class="space-y-3" @submit.prevent="take">
                    <h2>Write an order down</h2>
                    <PickOne
                        v-model="what"
                        :list="FORMULAS"
                        label="What is wanted"
                        labelled
                        placeholder="a formula …"
                        :say="(row) => row.title"
                    />
                    <FormProblem :errors="errors" field="formula_id" />
                    <FormField v-slot="{ field }" label="Who wants it" :problem="errors['who']">
                        <input v-bind="field" v-model="draft.who" class="field" maxlength="120" />
                    </FormField>
                    <div class="grid grid-cols-2 gap-3">
                        <FormField v-slot="{ field }" label="Jars" :problem="errors['jars']">
                            <input v-bind="field" v-model="draft.jars" class="field" inputmode="numeric" maxlength="6" />
                        </FormField>
                        <FormField v-slot="{ field }" label="Each holds, ml" :problem="errors['jar_ml']">
                            <input v-bind="field" v-model="draft.jar_ml" class="field" inputmode="decimal" maxlength="8" />
                        </FormField>
                        <FormField v-slot="{ field }" label="By" :problem="errors['due_on']">
                            <input v-bind="field" v-model="draft.due_on" type="date" class="field" />
                        </FormField>
                        <FormField v-slot="{ field }" label="For how much in all" :problem="errors['price']">
                            <input v-bind="field" v-model="draft.price" class="field" inputmode="decimal" maxlength="10" />
                        </FormField>
                    </div>
                    <label class="block">
                        <span class="label">Note (optional)</span>
                        <input v-model="draft.note" class="field" maxlength="300" />
                    </label>
                    <button class="act" :disabled="taking.isPending.value">Take the order</button>
                    <p class="quiet text-[13px]">Selling is subject to local law, which is yours to check first.</p>
                </form>
            </div>
        </WaitOrProblem>
    </div>
</template>
