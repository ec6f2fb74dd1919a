<script setup lang="ts">
import { reactive } from 'vue';
import { useOpenStudio } from '../../queries/session';
import FormField from '../../ui/FormField.vue';
import FrontPage from './FrontPage.vue';
import NewPassword from './NewPassword.vue';
import { countryHere, zoneHere } from './here';
import { useEntering } from './useEntering';

/** A studio of one's own: four things are asked, everything else has a default that can be changed. */
const { session, errors, busy, enter } = useEntering();
const opening = useOpenStudio();
const asked = reactive({ name: '', studio: '', email: '', password: '' });
const open = (): Promise<void> =>
    enter(() => opening.mutateAsync({ ...asked, time_zone: zoneHere(), country: countryHere() || null }), 'studio');
</script>

<template>
    <FrontPage>
        <form v-if="session.session?.can_open" class="space-y-3" @submit.prevent="open">
            <h1 class="!text-[24px]">Open a studio</h1>
            <FormField v-slot="{ field }" label="Your name, as it stands beside what you do" :problem="errors['name']">
                <input v-bind="field" v-model="asked.name" class="field" autocomplete="name" required maxlength="120" />
            </FormField>
            <FormField v-slot="{ field }" label="What the studio is called" :problem="errors['studio']">
                <input v-bind="field" v-model="asked.studio" class="field" required maxlength="120" />
            </FormField>
            <FormField v-slot="{ field }" label="Address or name to sign in with" :problem="errors['email']">
                <input v-bind="field" v-model="asked.email" class="field" autocomplete="username" required maxlength="190" />
            </FormField>
            <NewPassword v-model="asked.password" label="Password" :problem="errors['password']" />
            <div class="flex flex-wrap items-center gap-x-3">
                <button class="act" :disabled="busy">Open it</button>
                <RouterLink to="/sign-in" class="act-quiet">Back</RouterLink>
            </div>
        </form>
        <div v-else>
            <h1 class="!text-[24px]">No further studio can be opened here</h1>
            <p class="mt-2">Ask whoever runs this installation, or somebody who has a studio to ask you in.</p>
            <RouterLink to="/sign-in" class="act mt-4 no-underline">Sign in</RouterLink>
        </div>
    </FrontPage>
</template>
