import { queryOptions } from '@tanstack/vue-query';
import { api, got, type Schemas } from '../api/client';
import type { List } from './lists';
import { pictureForm } from '../ui/picture';
import { useMake, useWrite } from './write';

/** Every bottle and jar that stands on the shelf, what is to be used first before the rest. */
export const SHELF: List<Schemas['ShelfLot']> = {
    key: 'shelf',
    page: (query) => got(api.GET('/api/pantry/shelf', { params: { query } })),
};

export const lotQuery = (lot: number) =>
    queryOptions({ queryKey: ['lot', lot], queryFn: () => got(api.GET('/api/pantry/lots/{lot}', { params: { path: { lot } } })) });

/** What has to be bought for what is to be made. */
export const shopping = (body: Schemas['ShoppingAsk']) => got(api.POST('/api/pantry/shopping', { body }));

export const useUpQuery = (lot: number) =>
    queryOptions({
        queryKey: ['lot', lot, 'use-up'],
        queryFn: () => got(api.GET('/api/pantry/lots/{lot}/use-up', { params: { path: { lot } } })),
    });

export const readLots = (text: string) => got(api.POST('/api/pantry/read', { body: { text } }));

/** What changes on the shelf changes what there is of an ingredient, and what is short. */
const stale = [['shelf'], ['ingredients'], ['ingredient'], ['today']];

export const usePutOnShelf = () =>
    useMake((body: Schemas['LotsDraft'], keyed) => got(api.POST('/api/pantry/lots', { body, ...keyed })), { stale });

const keep = { keep: (page: Schemas['LotPage']) => ['lot', page.id], stale };

export const useChangeLot = () =>
    useWrite(
        ({ lot, body }: { lot: number; body: Schemas['LotChange'] }) =>
            got(api.PUT('/api/pantry/lots/{lot}', { params: { path: { lot } }, body })),
        keep,
    );

export const useMoveLot = () =>
    useMake(
        ({ lot, body }: { lot: number; body: Schemas['MovementDraft'] }, keyed) =>
            got(api.POST('/api/pantry/lots/{lot}/movements', { params: { path: { lot } }, body, ...keyed })),
        keep,
    );

export const useEndJar = () =>
    useWrite(
        ({ lot, movement, on }: { lot: number; movement: number; on: string | null }) =>
            got(api.PUT('/api/pantry/lots/{lot}/movements/{movement}', { params: { path: { lot, movement } }, body: { ended_on: on } })),
        { keep: (lot) => lotQuery(lot.id).queryKey },
    );

export const useAddLotPicture = (lot: number) =>
    useWrite(
        (photo: Blob) =>
            got(
                api.POST('/api/pantry/lots/{lot}/photos', {
                    params: { path: { lot } },
                    body: { photo: '' },
                    bodySerializer: pictureForm(photo),
                }),
            ),
        keep,
    );

export const useRemoveLotPicture = () =>
    useWrite((photo: number) => got(api.DELETE('/api/pantry/photos/{photo}', { params: { path: { photo } } })), keep);

export const useWithdrawLot = () =>
    useWrite(
        ({ lot, reason }: { lot: number; reason: string }) =>
            got(api.PUT('/api/pantry/lots/{lot}/withdrawn', { params: { path: { lot } }, body: { reason } })),
        { keep: (page: Schemas['LotPage']) => ['lot', page.id], stale: [...stale, ['batch'], ['steep']] },
    );
