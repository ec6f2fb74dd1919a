import { useMutation, useQueryClient, type QueryKey } from '@tanstack/vue-query';
import { once, type Keyed } from '../api/once';

interface What<Asked, Answer> {
    /** Beginnings of the keys that it makes stale; [[]] is everything. */
    stale?: readonly QueryKey[];
    /** Where the answer is kept for whoever shows it. */
    keep?: (answer: Answer, asked: Asked) => QueryKey;
    /** Writes of one name go one after the other: the last answer is the last choice. */
    inTurn?: string;
}

/** A write, and what it makes stale. */
export function useWrite<Asked, Answer>(write: (asked: Asked) => Promise<Answer>, { stale = [], keep, inTurn }: What<Asked, Answer> = {}) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: write,
        ...(inTurn && { scope: { id: inTurn } }),
        onSuccess: async (answer: Answer, asked: Asked) => {
            if (keep) client.setQueryData(keep(answer, asked), answer);
            await Promise.all(stale.map((queryKey) => client.invalidateQueries({ queryKey })));
        },
    });
}

/** A write that makes something new: done once, however often it is pressed or sent. */
export function useMake<Asked, Answer>(make: (asked: Asked, keyed: Keyed) => Promise<Answer>, what: What<Asked, Answer> = {}) {
    return useWrite(once(make), what);
}
