<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { schoolsQuery, useChooseSchool } from '../../queries/session';
import { tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';

/** Where makers disagree: one's own side, with what it costs. The safer stands first, and is what one begins with. */
const session = useSession();
const { data, isPending, error, refetch } = useQuery(schoolsQuery());
const choosing = useChooseSchool();
/** Shows the studio's own choice again when a new one could not be kept. */
const refused = ref(0);

async function choose(school: string, option: string): Promise<void> {
    try {
        session.set(await choosing.mutateAsync({ school, option }));
    } catch (e) {
        refused.value++;
        tellProblem(e);
    }
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the ways" @again="refetch">
        <div v-if="data" :key="refused" class="grid gap-x-10 gap-y-5 lg:grid-cols-2">
            <p class="quiet max-w-prose lg:col-span-2">
                Good makers disagree here. What you choose is what a new steep, formula or routine begins with; each can be done otherwise
                every time. The first of each is the safer, or the more usual.
            </p>
            <fieldset v-for="one in data.items" :key="one.school">
                <legend class="font-head font-semibold">{{ one.question }}</legend>
                <label v-for="option in one.options" :key="option.option" class="mt-1 flex items-baseline gap-2">
                    <input
                        type="radio"
                        :name="one.school"
                        :checked="session.studio?.schools[one.school] === option.option"
                        @change="choose(one.school, option.option)"
                    />
                    <span>
                        {{ option.label }}.
                        <span class="quiet text-[13px]">{{ option.costs }}</span>
                    </span>
                </label>
            </fieldset>
        </div>
    </WaitOrProblem>
</template>
