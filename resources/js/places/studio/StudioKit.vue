<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { kitQuery, useAddToKit, useChangeInKit, useTakeFromKit } from '../../queries/kit';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { valueIn, written } from '../../ui/events';
import { tell, tellProblem } from '../../ui/notice';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { num } from '../../ui/words';
import IngredientPick from '../formulas/IngredientPick.vue';

/** Scales, spoons, droppers, bowls, jars and places: what is written here takes the place of what is usual. */
type Item = Schemas['KitItem'];
type Kind = Schemas['Kit']['kinds'][number];

const { data, isPending, error, refetch } = useQuery(kitQuery());
const adding = useAddToKit();
const changing = useChangeInKit();
const taking = useTakeFromKit();
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
const draft = ref<{ id: number | null; kind: Item['kind']; name: string; ingredient: string; substance: string } | null>(null);
const fields = ref<Record<string, string>>({});
const errors = ref<Record<string, string[]>>({});
const kinds = computed(() => data.value?.kinds ?? []);
const kind = computed<Kind | undefined>(() => kinds.value.find((k) => k.kind === draft.value?.kind));
const shelves = computed(() =>
    kinds.value
        .map((of) => ({ of, items: (data.value?.items ?? []).filter((item) => item.kind === of.kind) }))
        .filter((shelf) => shelf.items.length > 0),
);

function begin(of: Item['kind'], item: Item | null = null): void {
    errors.value = {};
    draft.value = {
        id: item?.id ?? null,
        kind: of,
        name: item?.name ?? '',
        ingredient: item?.ingredient ?? '',
        substance: item?.substance ?? '',
    };
    const now = kinds.value.find((k) => k.kind === of);
    fields.value = Object.fromEntries([
        ...(now?.figures ?? []).map((f) => [f.field, item ? String(item[f.field] ?? '') : '']),
        ...(now?.choices ?? []).map((c) => [c.field, String(item?.[c.field] ?? c.allowed[0] ?? '')]),
    ]);
}
/** A figure as she writes it, with a comma or a point; what is no figure is told by the application. */
function figure(text: string): number | string | null {
    const value = written(text);
    return value === null || Number.isFinite(value) ? value : text;
}
async function keep(): Promise<void> {
    const now = draft.value;
    if (!now || !kind.value) return;
    const body: Schemas['KitItemDraft'] = {
        kind: now.kind,
        name: now.name,
        ingredient: now.ingredient,
        ...Object.fromEntries(kind.value.figures.map((f) => [f.field, figure(fields.value[f.field] ?? '')])),
        ...Object.fromEntries(kind.value.choices.map((c) => [c.field, fields.value[c.field] ?? ''])),
    };
    errors.value = {};
    try {
        await (now.id === null ? adding.mutateAsync(body) : changing.mutateAsync({ item: now.id, body }));
        draft.value = null;
        tell('Kept. Every figure is worked out with it from now on.');
    } catch (e) {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
    }
}
async function take(item: Item): Promise<void> {
    try {
        await taking.mutateAsync(item.id);
        // What it is weighed with is named anew when it comes back.
        tell(`${item.name} is out of the kit.`, { undo: () => void adding.mutateAsync(item).catch(tellProblem) });
    } catch (e) {
        tellProblem(e);
    }
}
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
                <form v-if="draft && kind" class="bg-raised border-rule space-y-3 rounded border p-4" novalidate @submit.prevent="keep">
                    <h2>{{ kind.label }}</h2>
                    <p v-if="SAYS[kind.kind]" class="quiet text-[13px]">{{ SAYS[kind.kind] }}</p>
                    <FormField v-slot="{ field }" label="What I call it" :problem="errors['name']">
                        <input v-bind="field" v-model="draft.name" class="field" maxlength="80" />
                    </FormField>
                    <label v-for="choice in kind.choices" :key="choice.field" class="block">
                        <span class="label">{{ choice.label }}</span>
                        <select class="field" :value="fields[choice.field]" @change="fields[choice.field] = valueIn($event)">
                            <option v-for="one in choice.allowed" :key="one" :value="one">{{ one }}</option>
                        </select>
                    </label>
                    <div v-if="kind.weighed_with">
                        <span class="label">Weighed with</span>
                        <IngredientPick
                            :name="draft.substance"
                            label="Weighed with"
                            placed
                            @choose="draft && Object.assign(draft, { ingredient: $event.id, substance: $event.name })"
                        />
                        <FormProblem :errors="errors" field="ingredient" />
                    </div>
                    <div class="grid grid-cols-2 items-end gap-3">
                        <div v-for="one in kind.figures" :key="one.field">
                            <label class="block">
                                <span class="label">
                                    {{ one.label }}{{ one.unit ? `, ${one.unit}` : '' }}{{ one.needed ? '' : ' (if known)' }}
                                </span>
                                <input
                                    class="field"
                                    inputmode="decimal"
                                    maxlength="12"
                                    :value="fields[one.field]"
                                    :aria-invalid="!!errors[one.field]"
                                    @input="fields[one.field] = valueIn($event)"
                                />
                            </label>
                            <FormProblem :errors="errors" :field="one.field" />
                        </div>
                    </div>
                    <div class="flex gap-x-3">
                        <button class="act" :disabled="adding.isPending.value || changing.isPending.value">Keep it</button>
                        <button type="button" class="act-quiet" @click="draft = null">Leave it</button>
                    </div>
                </form>
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
