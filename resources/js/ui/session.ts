import { defineStore } from 'pinia';
import { ask, type Schemas } from '../api/client';

/** Who is signed in, and what their studio measures with. */
export const useSession = defineStore('session', {
    state: () => ({ session: null as Schemas['Session'] | null }),
    getters: {
        signedIn: (state) => state.session?.signed_in ?? false,
        studio: (state) => state.session?.studio ?? null,
    },
    actions: {
        async load() {
            this.session ??= await ask<'Session'>('GET', '/api/session');
            return this.session;
        },
        set(session: Schemas['Session']) {
            this.session = session;
        },
        source(id: string) {
            return this.session?.sources[id] ?? (id === 'estimate' ? 'an estimate of ours' : id);
        },
    },
});
