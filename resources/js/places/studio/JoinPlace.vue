<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { reactive } from 'vue';
import { invitationQuery, useJoin } from '../../queries/session';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { ROLES } from '../../ui/words';
import FrontPage from './FrontPage.vue';
import NewPassword from './NewPassword.vue';
import { useEntering } from './useEntering';

/** A studio that somebody asks you into. */
const props = defineProps<{ token: string }>();
const { data, isPending, error, refetch } = useQuery(invitationQuery(props.token));
const { errors, busy, enter } = useEntering();
const joining = useJoin(props.token);
const asked = reactive({ name: '', email: '', password: '' });
</script>

<template>
    <FrontPage>
        <WaitOrProblem :pending="isPending" :error="error" what="the invitation" @again="refetch">
            <form v-if="data" class="space-y-3" @submit.prevent="enter(() => joining.mutateAsync({ ...asked }), 'token')">
                <h1 class="!text-[24px]">{{ data.by }} asks you into {{ data.studio }}</h1>
                <p class="quiet">{{ ROLES[data.role] }}.</p>
                <FormField v-slot="{ field }" label="Your name, as it stands beside what you do" :problem="errors['name']">
                    <input v-bind="field" v-model="asked.name" class="field" autocomplete="name" required maxlength="120" />
                </FormField>
                <FormField v-slot="{ field }" label="Address or name to sign in with" :problem="errors['email']">
                    <input v-bind="field" v-model="asked.email" class="field" autocomplete="username" required maxlength="190" />
                </FormField>
                <NewPassword v-model="asked.password" label="Password" :problem="errors['password']" />
                <FormProblem :errors="errors" field="token" />
                <button class="act" :disabled="busy">Join</button>
            </form>
        </WaitOrProblem>
    </FrontPage>
</template>
