<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useQueryClient } from '@tanstack/vue-query';
import { Problem, type Schemas } from '../../api/client';
import { useEnterDemo, useSignIn } from '../../queries/session';
import JarView from '../../jar/JarView.vue';
import FormProblem from '../../ui/FormProblem.vue';
import { useSession } from '../../ui/session';

/** Who is there. */

const session = useSession();
const router = useRouter();
const route = useRoute();
const client = useQueryClient();
const email = ref('');
const password = ref('');
const errors = ref<Record<string, string[]>>({});
const busy = ref(false);
const away = ref('');

onMounted(async () => {
    try {
        await session.load();
    } catch (e) {
        away.value = e instanceof Error ? e.message : '';
    }
});
const signingIn = useSignIn();
const demo = useEnterDemo();
async function enter(entering: () => Promise<Schemas['Session']>): Promise<void> {
    busy.value = true;
    errors.value = {};
    try {
        session.set(await entering());
        client.clear();
        const to =
            typeof route.query['to'] === 'string' && route.query['to'].startsWith('/') && !route.query['to'].startsWith('//')
                ? route.query['to']
                : '/';
        await router.replace(to);
    } catch (e) {
        if (e instanceof Problem) errors.value = e.hasFields ? e.errors : { email: [e.message] };
    } finally {
        busy.value = false;
    }
}
const bands = [
    { id: 'm', name: 'measured', percent: 52, matter: 'hard-fat' },
    { id: 'c', name: 'converted', percent: 30, matter: 'liquid' },
    { id: 'e', name: 'estimated', percent: 18, matter: 'active' },
];
</script>

<template>
    <main class="mx-auto grid min-h-screen max-w-5xl items-center gap-12 px-6 py-10 md:grid-cols-[1fr_22rem]">
        <div class="flex items-end gap-8">
            <JarView :bands="bands" :fill="0.86" label="A jar whose bands are what is measured, what is converted and what is estimated" />
            <div class="pb-4">
                <h1 class="!text-[52px] !leading-[0.95] font-extrabold">
                    Honest
                    <br />
                    Crown
                </h1>
                <p class="mt-4 max-w-xs text-[17px]">
                    What your hair oil or butter truly is, how long it keeps, and what your hands do next. Every number says how it is
                    known.
                </p>
            </div>
        </div>
        <div>
            <p v-if="away" class="said-stop mb-4 font-semibold" role="alert">{{ away }}</p>
            <div v-if="session.session?.demo" class="mb-8">
                <button type="button" class="counter-act w-full" :disabled="busy" @click="enter(() => demo.mutateAsync())">
                    Enter the demo studio
                </button>
                <FormProblem :errors="errors" field="demo" />
                <p class="quiet mt-2 text-[14px]">Two people, three months of work. Change what you like.</p>
            </div>
            <form class="space-y-3" @submit.prevent="enter(() => signingIn.mutateAsync({ email, password }))">
                <h2>Sign in to your studio</h2>
                <label class="block">
                    <span class="label">E-mail</span>
                    <input v-model="email" type="email" autocomplete="username" required class="field" :aria-invalid="!!errors['email']" />
                </label>
                <label class="block">
                    <span class="label">Password</span>
                    <input v-model="password" type="password" autocomplete="current-password" required class="field" />
                </label>
                <FormProblem :errors="errors" field="email" />
                <FormProblem :errors="errors" field="password" />
                <button class="act" :disabled="busy">Sign in</button>
            </form>
        </div>
    </main>
</template>
