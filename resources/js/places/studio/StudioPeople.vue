<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { peopleQuery, useChangeRole, useInvite, useRemovePerson, useUninvite } from '../../queries/session';
import { oneOf, valueIn } from '../../ui/events';
import { tell, tellProblem } from '../../ui/notice';
import LinkShown from '../../ui/LinkShown.vue';
import UiDialog from '../../ui/UiDialog.vue';
import { useSession } from '../../ui/session';
import HiddenField from './HiddenField.vue';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';
import { ROLES, sayDate } from '../../ui/words';

/** Who is in the studio, what their part is, and who is asked to join. */
type Person = Schemas['People']['people'][number];
type Role = Schemas['RoleAsk']['role'];
const PARTS: Record<Role, string> = { owner: '', maker: '', helper: '' };
const session = useSession();
const { data, isPending, error, refetch } = useQuery(peopleQuery());
const changing = useChangeRole();
const removing = useRemovePerson();
const inviting = useInvite();
const ending = useUninvite();
const asked = ref<Role>('maker');
const made = ref<Schemas['Invitation'] | null>(null);
const leaving = ref<Person | null>(null);
const passing = ref<Person | null>(null);
const password = ref('');
const errors = ref<Record<string, string[]>>({});

async function change(person: Person, role: Role): Promise<void> {
    errors.value = {};
    try {
        await changing.mutateAsync({ person: person.id, role, password: password.value });
        tell(`${person.name} is ${role} now.`);
        if (role === 'owner') location.assign('/');
        stayOwner();
    } catch (e) {
        if (e instanceof Problem && e.hasFields && passing.value) errors.value = e.errors;
        else tellProblem(e);
    }
}
function stayOwner(): void {
    passing.value = null;
    password.value = '';
}
function chosen(person: Person, event: Event): void {
    const role = oneOf(PARTS, valueIn(event));
    if (role === 'owner') passing.value = person;
    else if (role) void change(person, role);
}
async function remove(person: Person): Promise<void> {
    try {
        await removing.mutateAsync(person.id);
        tell(`${person.name} is out. Her name stays on what she did.`);
    } catch (e) {
        tellProblem(e);
    } finally {
        leaving.value = null;
    }
}
async function invite(): Promise<void> {
    try {
        made.value = await inviting.mutateAsync({ role: asked.value });
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <WaitOrProblem :pending="isPending" :error="error" what="the people" @again="refetch">
        <div v-if="data" class="max-w-3xl">
            <ul>
                <li v-for="person in data.people" :key="person.id" class="row-line flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2">
                    <span class="min-w-48 flex-1">
                        <strong class="mr-2">{{ person.name }}</strong>
                        <span class="quiet text-[13px]">{{ person.email }}{{ person.you ? ', you' : '' }}</span>
                    </span>
                    <span v-if="person.you" class="quiet">Owner</span>
                    <template v-else>
                        <select
                            class="field !w-auto !py-0.5"
                            :value="person.role"
                            :aria-label="`Part of ${person.name}`"
                            @change="chosen(person, $event)"
                        >
                            <option value="maker">Maker</option>
                            <option value="helper">Helper</option>
                            <option value="owner">Owner, in your place</option>
                        </select>
                        <button type="button" class="act-quiet act-stop" @click="leaving = person">Take out</button>
                    </template>
                </li>
            </ul>
            <ul class="quiet mt-3 space-y-1 text-[13px]">
                <li v-for="(words, role) in ROLES" :key="role">{{ words }}.</li>
            </ul>
            <form v-if="!session.studio?.demo" class="mt-6 flex flex-wrap items-end gap-3" @submit.prevent="invite">
                <label>
                    <span class="label">Ask somebody in, as</span>
                    <select v-model="asked" class="field">
                        <option value="maker">Maker</option>
                        <option value="helper">Helper</option>
                    </select>
                </label>
                <button class="act" :disabled="inviting.isPending.value">Make a link</button>
            </form>
            <p v-else class="quiet mt-6">Nobody is asked into the demo studio: everyone can enter it.</p>
            <LinkShown v-if="made" class="mt-4" :link="made.link" says="For one person, once, for seven days." />
            <ul v-if="data.invitations.length > 0" class="mt-4">
                <li v-for="one in data.invitations" :key="one.id" class="row-line flex flex-wrap items-baseline gap-x-4 py-2">
                    <span class="flex-1">Asked as {{ one.role }} by {{ one.by }}, runs out {{ sayDate(one.expires_at) }}</span>
                    <button type="button" class="act-quiet" @click="ending.mutateAsync(one.id).catch(tellProblem)">End it</button>
                </li>
            </ul>
            <UiDialog :open="leaving !== null" :title="`Take ${leaving?.name} out?`" @close="leaving = null">
                <p>She is signed out everywhere and cannot come back without a new link. Her name stays on what she did.</p>
                <div class="mt-4 flex gap-3">
                    <button type="button" class="act" @click="leaving && remove(leaving)">Take her out</button>
                    <button type="button" class="act-quiet" @click="leaving = null">Keep her</button>
                </div>
            </UiDialog>
            <UiDialog :open="passing !== null" :title="`Make ${passing?.name} the owner?`" @close="stayOwner">
                <p>There is one owner. You will be a maker, and only {{ passing?.name }} can give it back.</p>
                <HiddenField
                    v-model="password"
                    class="mt-3"
                    label="Your password"
                    autocomplete="current-password"
                    :problem="errors['password']"
                />
                <div class="mt-4 flex gap-3">
                    <button type="button" class="act" :disabled="password === ''" @click="passing && change(passing, 'owner')">
                        Pass it on
                    </button>
                    <button type="button" class="act-quiet" @click="stayOwner">Stay the owner</button>
                </div>
            </UiDialog>
        </div>
    </WaitOrProblem>
</template>
