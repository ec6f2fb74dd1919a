import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/vue-query';
import { computed, watchEffect, type ComputedRef } from 'vue';
import { ask, type Schemas } from '../api/client';

/** The answers that are a page of rows, and say where the next one begins. */
export type ListName = {
    [K in keyof Schemas]: Schemas[K] extends { items: unknown[]; next: string | null } ? K : never;
}[keyof Schemas];
export type RowOf<N extends ListName> = Schemas[N]['items'][number];

const LISTS: Record<ListName, string> = {
    FormulaList: 'formulas',
    HeadList: 'heads',
    BatchList: 'batches',
    SteepList: 'steeps',
    LotList: 'lots',
    RoutineList: 'routines',
};

export const pageOf = <N extends ListName>(name: N, asked: Record<string, string>): Promise<Schemas[N]> =>
    ask<N>('GET', `/api/${LISTS[name]}?${new URLSearchParams(asked).toString()}`);

/** A list that can grow: a page at a time, the rest when it is asked for (MoreRows.vue). */
export function useList<N extends ListName>(name: N, asked: () => Record<string, string> = () => ({})) {
    const query = useInfiniteQuery({
        queryKey: [LISTS[name], 'list', computed(asked)],
        queryFn: ({ pageParam }) => pageOf(name, { ...asked(), cursor: pageParam }),
        initialPageParam: '',
        getNextPageParam: (last) => last.next ?? undefined,
        placeholderData: keepPreviousData,
    });
    const rows = computed(() =>
        ((query.data.value?.pages ?? []) as Schemas[N][]).flatMap((page) => page.items as RowOf<N>[]),
    ) as ComputedRef<RowOf<N>[]>;
    // One answer looks through so many rows and no more: while nothing is found and there is more, it goes on by itself.
    watchEffect(() => {
        if (rows.value.length === 0 && query.hasNextPage.value && !query.isFetching.value) void query.fetchNextPage();
    });
    /** Nothing is there, and nothing is left to look through: only now may it be said. */
    const none = computed(
        () => query.isSuccess.value && !query.isPlaceholderData.value && !query.hasNextPage.value && rows.value.length === 0,
    );
    return { query, rows, none };
}

/** All rows, for a choice among few: heads, oils on the shelf. */
export function useEvery<N extends ListName>(name: N) {
    const query = useQuery({
        queryKey: [LISTS[name], 'every'],
        queryFn: async () => {
            const rows: RowOf<N>[] = [];
            let cursor: string | null = '';
            do {
                const page: Schemas[N] = await pageOf(name, { cursor });
                rows.push(...(page.items as RowOf<N>[]));
                cursor = page.next;
            } while (cursor);
            return rows;
        },
    });
    return computed(() => (query.data.value ?? []) as RowOf<N>[]);
}
