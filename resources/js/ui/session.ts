import { defineStore } from 'pinia';
import type { Schemas } from '../api/client';
import { session } from '../queries/session';
import { keepTimeIn, writeDates, writeNumbers } from './words';

/** Who is signed in, and what their studio measures with. */
export const useSession = defineStore('session', {
    state: (): { session: Schemas['Session'] | null } => ({ session: null }),
    getters: {
        signedIn: (state) => state.session?.signed_in ?? false,
        studio: (state) => state.session?.studio ?? null,
        /** Whether this person may do what is asked for: help, make or own. */
        may: (state) => (right: 'help' | 'make' | 'own') => state.session?.user?.rights.includes(right) ?? false,
    },
    actions: {
        async load() {
            if (!this.session) this.set(await session());
            return this.session;
        },
        set(session: Schemas['Session']) {
            this.session = session;
            keepTimeIn(session.studio?.time_zone);
            writeNumbers(session.studio?.decimal_comma ?? false);
            writeDates(session.studio?.date_style ?? 'day-first');
        },
        source(id: string) {
            return this.session?.sources[id] ?? (id === 'estimate' ? 'an estimate of ours' : id);
        },
    },
});
