<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useEnterDemo, useSignIn } from '../../queries/session';
import FormField from '../../ui/FormField.vue';
import FormProblem from '../../ui/FormProblem.vue';
import FrontPage from './FrontPage.vue';
import HiddenField from './HiddenField.vue';
import { isCarrying } from '../../queries/carried';
import { useEntering } from './useEntering';

/** Who is there. */
const { session, errors, busy, enter } = useEntering();
const email = ref('');
const password = ref('');
const away = ref('');
const carrying = isCarrying();

onMounted(async () => {
    try {
        await session.load();
    } catch (e) {
        away.value = e instanceof Error ? e.message : '';
    }
});
const signingIn = useSignIn();
const demo = useEnterDemo();
</script>

<template>
    <FrontPage>
        <h1 class="sr-only">Sign in</h1>
        <p v-if="away" class="said-stop mb-4 font-semibold" role="alert">{{ away }}</p>
        <p v-if="carrying" class="mb-4">What you took with you from the demo studio is put into yours as soon as you are in.</p>
        <div v-if="session.session?.can_open" class="mb-6">
            <RouterLink class="counter-act w-full no-underline" to="/open">Open a studio</RouterLink>
            <p class="quiet mt-2 text-[14px]">Your own: recipes, steeps, batches and heads, on this machine and nowhere else.</p>
        </div>
        <div v-if="session.session?.demo && !carrying" class="mb-8">
            <button
                type="button"
                :class="session.session.can_open ? 'act-quiet -ml-2.5' : 'counter-act w-full'"
                :disabled="busy"
                @click="enter(() => demo.mutateAsync(), 'demo')"
            >
                Enter the demo studio
            </button>
            <FormProblem :errors="errors" field="demo" />
            <p class="quiet text-[14px]">Two people, three months of work. Change what you like.</p>
        </div>
        <form class="space-y-3" @submit.prevent="enter(() => signingIn.mutateAsync({ email, password }))">
            <h2>Sign in to your studio</h2>
            <FormField v-slot="{ field }" label="Address or name" :problem="errors['email']">
                <input v-bind="field" v-model="email" autocomplete="username" required maxlength="190" class="field" />
            </FormField>
            <HiddenField v-model="password" label="Password" autocomplete="current-password" :problem="errors['password']" />
            <div class="flex flex-wrap items-center gap-x-3">
                <button class="act" :disabled="busy">Sign in</button>
                <RouterLink to="/recover" class="act-quiet">Forgot your password?</RouterLink>
            </div>
        </form>
    </FrontPage>
</template>
