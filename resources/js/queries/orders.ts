import { queryOptions } from '@tanstack/vue-query';
import { api, got, type Schemas } from '../api/client';
import { useMake, useWrite } from './write';

/** Who wants what by when, and the jars that stand there for it. */
export const ordersQuery = () => queryOptions({ queryKey: ['orders'], queryFn: () => got(api.GET('/api/orders')) });

const keep = { keep: () => ['orders'], stale: [['today'], ['shelf'], ['lot']] };

export const useTakeOrder = () => useMake((body: Schemas['OrderDraft'], keyed) => got(api.POST('/api/orders', { body, ...keyed })), keep);

export const useSettleOrder = () =>
    useWrite(
        ({ order, state }: { order: number; state: Schemas['OrderState']['state'] }) =>
            got(api.PUT('/api/orders/{order}', { params: { path: { order } }, body: { state } })),
        keep,
    );
