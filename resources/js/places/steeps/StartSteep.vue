<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import HowLink from '../../ui/HowLink.vue';
import DateStrip from './DateStrip.vue';
import MethodsTable from './MethodsTable.vue';
import JarAndWay from './start/JarAndWay.vue';
import PartRow from './start/PartRow.vue';
import PlantDetails from './start/PlantDetails.vue';
import { useStart } from './start/useStart';
import SteepFigures from './SteepFigures.vue';
import SteepJar from './SteepJar.vue';

/** A jar before it is filled: every change is answered with what will come of it. */
const router = useRouter();
const { draft, herbs, oils, wanted, planned, errors, busy, oneHerb, heated, fill, chooseHerb, chooseOil, addHerb, addOil, drop, start } =
    useStart();
const jarName = computed(() => herbs.value.map((h) => h.name).join(' and '));
onMounted(fill);

async function begin(): Promise<void> {
    const steep = await start();
    if (steep) await router.push(`/steeps/${steep.id}`);
}
</script>

<template>
    <div>
        <h1 class="mb-4">Start a steep</h1>
        <form @submit.prevent="begin">
            <div class="grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,25rem)_170px_minmax(0,1fr)]">
                <div class="space-y-3">
                    <fieldset>
                        <legend class="label">Plants</legend>
                        <PartRow
                            v-for="(herb, n) in draft.herbs"
                            :key="n"
                            v-model:amount="herb.amount"
                            v-model:cost="herb.cost"
                            :name="herbs[n]?.name ?? ''"
                            :label="n === 0 ? 'Plant' : `Plant ${n + 1}`"
                            :grams="planned?.herb_grams[n]"
                            :at="`herbs.${n}`"
                            :errors="errors"
                            :only="draft.herbs.length === 1"
                            @choose="chooseHerb(n, $event)"
                            @drop="drop('herbs', n)"
                        >
                            <PlantDetails v-model="draft.herbs[n]!" :name="herbs[n]?.name ?? ''" :forms="herbs[n]?.forms ?? []" />
                        </PartRow>
                        <button type="button" class="act-quiet -ml-2.5" @click="addHerb">Another plant in the jar</button>
                        <p v-if="oneHerb && draft.herbs.length > 1" class="quiet text-[13px]">
                            You keep to one herb at a time: with {{ draft.herbs.length }} in one jar nobody can tell which of them did it.
                        </p>
                    </fieldset>
                    <fieldset>
                        <legend class="label">Oils</legend>
                        <PartRow
                            v-for="(pour, n) in draft.oils"
                            :key="n"
                            v-model:amount="pour.amount"
                            v-model:cost="pour.cost"
                            :name="oils[n]?.name ?? ''"
                            :label="n === 0 ? 'Oil' : `Oil ${n + 1}`"
                            :grams="planned?.oil_grams[n]"
                            :at="`oils.${n}`"
                            :errors="errors"
                            :only="draft.oils.length === 1"
                            @choose="chooseOil(n, $event)"
                            @drop="drop('oils', n)"
                        />
                        <button type="button" class="act-quiet -ml-2.5" @click="addOil">Another oil</button>
                        <p class="quiet text-[13px]">
                            "to cover" works out what covers the herb; "412 - 180 g" is a bottle weighed full and empty; "24 capsules of 400
                            mg" counts powder.
                        </p>
                    </fieldset>
                    <FormProblem v-for="field in ['herbs', 'oils']" :key="field" :errors="errors" :field="field" />
                    <JarAndWay v-model="draft" v-model:wanted="wanted" :heated="heated" :usual="planned?.usual_way" :errors="errors" />
                    <p
                        v-if="planned && planned.timing.message"
                        :class="planned.timing.fits ? 'text-good' : 'said-caution font-semibold'"
                        role="status"
                    >
                        {{ planned.timing.message }}
                        <button
                            v-if="planned.timing.fits && wanted"
                            type="button"
                            class="act-quiet"
                            @click="draft.started_on = planned.timing.latest_start"
                        >
                            Begin then
                        </button>
                    </p>
                    <FormField v-slot="{ field }" label="Its name (optional)" :problem="errors['name']">
                        <input v-bind="field" v-model="draft.name" class="field" maxlength="200" :placeholder="planned?.name ?? ''" />
                    </FormField>
                    <FormProblem v-for="field in ['form', 'started_on']" :key="field" :errors="errors" :field="field" />
                    <FormField
                        v-if="errors['although'] || draft.although"
                        v-slot="{ field }"
                        label="Why it is begun all the same; this stays with the jar"
                        :problem="errors['although']"
                    >
                        <textarea v-bind="field" v-model="draft.although" class="field" rows="2" maxlength="500" />
                    </FormField>
                    <button class="act" :disabled="busy">Start it</button>
                </div>
                <SteepJar v-if="planned" :plan="planned.plan" :jar-ml="draft.jar_ml" :diameter-cm="draft.diameter_cm" :name="jarName" />
                <div v-if="planned" aria-live="polite">
                    <SteepFigures :plan="planned.plan" :usual="planned.usual_ratio" :learned="planned.learned" />
                    <p class="mt-4">{{ planned.plan.straining }}</p>
                </div>
            </div>
            <div v-if="planned" class="mt-6 space-y-6">
                <section>
                    <h2 class="mb-1">
                        Its days
                        <HowLink of="steeps" what="a steep" />
                    </h2>
                    <DateStrip
                        :start="planned.plan.dates.start"
                        :stop-shaking="planned.plan.dates.stop_shaking"
                        :strain="planned.plan.dates.strain"
                        :ready="planned.plan.dates.ready"
                        :best-before="planned.plan.dates.best_before ?? ''"
                        :range="planned.days_range"
                        :wanted="wanted"
                        @start="draft.started_on = $event"
                        @days="draft.days = $event"
                    />
                </section>
                <MethodsTable
                    :table="planned.methods"
                    :chosen="draft.method"
                    @choose="Object.assign(draft, { method: $event, days: 0, celsius: 0, minutes: 0, held_for: '' })"
                />
            </div>
        </form>
    </div>
</template>
