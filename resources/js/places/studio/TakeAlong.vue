<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { useRouter } from 'vue-router';
import { carry, type Carried } from '../../queries/carried';
import { useSignOut } from '../../queries/session';
import { tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';

/** From the demo into one's own studio: it is taken along to the door, and put down inside. */
const props = defineProps<{ what: Carried }>();
const session = useSession();
const router = useRouter();
const client = useQueryClient();
const leaving = useSignOut();

async function go(): Promise<void> {
    try {
        carry(props.what);
        session.set(await leaving.mutateAsync());
        client.clear();
        await router.push('/sign-in');
    } catch (e) {
        tellProblem(e);
    }
}
</script>

<template>
    <button v-if="session.studio?.demo" type="button" class="act-quiet no-print" @click="go">Take it into my own studio</button>
</template>
