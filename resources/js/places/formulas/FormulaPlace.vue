<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { formulaQuery } from '../../queries/formulas';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import FormulaBench from './FormulaBench.vue';

const props = defineProps<{ id: string }>();
const client = useQueryClient();
// What is on the bench is typed over: it is fetched once, and never put in place of what is being typed.
const { data, isPending, error, refetch } = useQuery({
    ...formulaQuery(Number(props.id)),
    staleTime: Infinity,
    gcTime: 0,
    refetchOnWindowFocus: false,
});
function gone(): void {
    void client.invalidateQueries({ queryKey: ['formulas'] });
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the formula" @again="refetch">
        <FormulaBench v-if="data" :page="data" @gone="gone" />
    </WaitOrProblem>
</template>
