import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../api/client';
import { useSession } from '../../ui/session';
import { takeIn } from '../../queries/carried';

/** Coming in, whichever way: what was kept of another is forgotten, and the page that was wanted is shown. */
export function useEntering() {
    const session = useSession();
    const router = useRouter();
    const route = useRoute();
    const client = useQueryClient();
    const errors = ref<Record<string, string[]>>({});
    const busy = ref(false);

    function wanted(): string {
        const to = route.query['to'];
        return typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/';
    }
    async function enter(entering: () => Promise<Schemas['Session']>, field = 'email'): Promise<void> {
        busy.value = true;
        errors.value = {};
        try {
            session.set(await entering());
            client.clear();
            const studio = session.studio;
            const carried = studio && !studio.demo ? await takeIn() : null;
            const to = carried ?? wanted();
            await router.replace(studio?.set_up ? to : { path: '/set-up', query: { to } });
        } catch (e) {
            if (e instanceof Problem) errors.value = e.hasFields ? e.errors : { [field]: [e.message] };
            else errors.value = { [field]: ['Something went wrong here. Nothing you typed is lost.'] };
        } finally {
            busy.value = false;
        }
    }
    return { session, errors, busy, enter };
}
