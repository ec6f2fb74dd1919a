<script setup lang="ts">
import { reactive } from 'vue';
import { useRecover } from '../../queries/session';
import FormProblem from '../../ui/FormProblem.vue';
import FrontPage from './FrontPage.vue';
import NewPassword from './NewPassword.vue';
import { useEntering } from './useEntering';

/** A lost password: one of the ten codes opens the account once. */
const { errors, busy, enter } = useEntering();
const recovering = useRecover();
const asked = reactive({ email: '', code: '', new: '' });
</script>

<template>
    <FrontPage>
        <form class="space-y-3" @submit.prevent="enter(() => recovering.mutateAsync({ ...asked }), 'code')">
            <h1 class="!text-[24px]">The password is lost</h1>
            <p class="quiet">
                One of your ten codes opens the studio once. Without a code, whoever runs this installation can give you a new password.
            </p>
            <label class="block">
                <span class="label">Address or name</span>
                <input v-model="asked.email" class="field" autocomplete="username" required maxlength="190" />
            </label>
            <label class="block">
                <span class="label">Code</span>
                <input
                    v-model="asked.code"
                    class="field"
                    autocomplete="one-time-code"
                    required
                    maxlength="60"
                    :aria-invalid="!!errors['code']"
                />
            </label>
            <FormProblem :errors="errors" field="email" />
            <FormProblem :errors="errors" field="code" />
            <NewPassword v-model="asked.new" label="New password" :invalid="!!errors['new']" />
            <FormProblem :errors="errors" field="new" />
            <div class="flex flex-wrap items-center gap-x-3">
                <button class="act" :disabled="busy">Set it and enter</button>
                <RouterLink to="/sign-in" class="act-quiet">Back</RouterLink>
            </div>
        </form>
    </FrontPage>
</template>
