import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/vue-query';
import { computed, watchEffect } from 'vue';
import type { Asked, List } from '../queries/lists';

/** A list that can grow: a page at a time, the rest when it is asked for (MoreRows.vue). */
export function useList<Row>(list: List<Row>, asked: () => Asked = () => ({})) {
    const query = useInfiniteQuery({
        queryKey: [list.key, 'list', computed(asked)],
        queryFn: ({ pageParam }) => list.page({ ...asked(), cursor: pageParam }),
        initialPageParam: '',
        getNextPageParam: (last) => last.next ?? undefined,
        placeholderData: keepPreviousData,
    });
    const rows = computed(() => (query.data.value?.pages ?? []).flatMap((page) => page.items));
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
export function useEvery<Row>(list: List<Row>) {
    const query = useQuery({
        queryKey: [list.key, 'every'],
        queryFn: async () => {
            const rows: Row[] = [];
            let cursor: string | null = '';
            do {
                const page = await list.page({ cursor });
                rows.push(...page.items);
                cursor = page.next;
            } while (cursor);
            return rows;
        },
    });
    return computed(() => query.data.value ?? []);
}
