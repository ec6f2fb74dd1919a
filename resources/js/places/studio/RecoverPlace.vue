<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { useRoute } from 'vue-router';
import { useAskMail, useRecover, useRecoverByMail } from '../../queries/session';
import FormField from '../../ui/FormField.vue';
import { tellProblem } from '../../ui/notice';
import FrontPage from './FrontPage.vue';
import NewPassword from './NewPassword.vue';
import { useEntering } from './useEntering';

/** A lost password: one of the ten codes opens the account once, or a link that was sent by mail. */
const { session, errors, busy, enter } = useEntering();
const route = useRoute();
const recovering = useRecover();
const byMail = useRecoverByMail();
const asking = useAskMail();
const said = (key: string): string => (typeof route.query[key] === 'string' ? route.query[key] : '');
const asked = reactive({ email: said('email'), code: said('token'), new: '' });
/** Come by the link of a letter: nothing but the new password is asked for. */
const mailed = computed(() => said('token') !== '');
const sent = ref(false);

const open = () => (mailed.value ? byMail : recovering).mutateAsync({ ...asked });
async function send(): Promise<void> {
    try {
        await asking.mutateAsync({ email: asked.email });
        sent.value = true;
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <FrontPage>
        <form class="space-y-3" @submit.prevent="enter(open, 'code')">
            <h1 class="!text-[24px]">{{ mailed ? 'A new password' : 'Forgot your password?' }}</h1>
            <p v-if="!mailed" class="quiet">
                One of your ten codes opens the studio once. Without a code, whoever runs this installation can give you a new password.
            </p>
            <FormField v-slot="{ field }" label="Address or name" :problem="errors['email']">
                <input
                    v-bind="field"
                    v-model="asked.email"
                    class="field"
                    autocomplete="username"
                    required
                    maxlength="190"
                    :readonly="mailed"
                />
            </FormField>
            <p v-if="sent" role="status">If this address is known here, a letter with a link is on its way. The link works for an hour.</p>
            <button
                v-else-if="session.session?.can_mail && !mailed"
                type="button"
                class="act-quiet -ml-2.5"
                :disabled="asking.isPending.value || asked.email.trim() === ''"
                @click="send"
            >
                I have no code: send me a link by mail
            </button>
            <FormField v-if="!mailed" v-slot="{ field }" label="Code" :problem="errors['code']">
                <input v-bind="field" v-model="asked.code" class="field" autocomplete="one-time-code" required maxlength="60" />
            </FormField>
            <NewPassword v-model="asked.new" label="New password" :problem="errors['new']" />
            <div class="flex flex-wrap items-center gap-x-3">
                <button class="act" :disabled="busy">Set it and enter</button>
                <RouterLink :to="mailed ? '/recover' : '/sign-in'" class="act-quiet">{{ mailed ? 'Use a code' : 'Back' }}</RouterLink>
            </div>
        </form>
    </FrontPage>
</template>
