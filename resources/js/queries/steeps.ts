import { queryOptions } from '@tanstack/vue-query';
import { pictureForm } from '../ui/picture';
import { api, done, got, type Schemas } from '../api/client';
import { inTurn } from '../api/inTurn';
import { useMake, useWrite } from './write';

export const steepQuery = (id: number) =>
    queryOptions({ queryKey: ['steep', id], queryFn: () => got(api.GET('/api/steeps/{steep}', { params: { path: { steep: id } } })) });

/** What is worked out of a steep that is not begun. */
export const planSteep = (body: Schemas['SteepAsk'], signal: AbortSignal) => got(api.POST('/api/steeps/plan', { body, signal }));

export const useStartSteep = () =>
    useMake((body: Schemas['SteepDraft'], keyed) => got(api.POST('/api/steeps', { body, ...keyed })), { stale: [[]] });

const at = (steep: number) => ({ params: { path: { steep } } });
const after = <T>(steep: number, work: () => Promise<T>): Promise<T> => inTurn(`steep ${steep}`, work);
/** Every act puts its answer in the place of what was shown, and the shelf, the oils and today follow it. */
const shown = {
    keep: (steep: Schemas['Steep']) => steepQuery(steep.id).queryKey,
    stale: [['today'], ['steeps'], ['lots'], ['ingredients']],
};

export const useRecord = (id: number) =>
    useMake(
        (body: Schemas['SteepEventDraft'], keyed) =>
            after(id, () => got(api.POST('/api/steeps/{steep}/events', { ...at(id), body, ...keyed }))),
        shown,
    );

export const useUnrecord = (id: number) =>
    useWrite((event: number) => after(id, () => got(api.DELETE('/api/steep-events/{event}', { params: { path: { event } } }))), shown);

export const useShake = (id: number) =>
    useWrite((body: Schemas['ShakeAsk']) => after(id, () => got(api.PUT('/api/steeps/{steep}/shakes', { ...at(id), body }))), shown);

export const useStrain = (id: number) =>
    useMake(
        (body: Schemas['StrainAsk'], keyed) => after(id, () => got(api.POST('/api/steeps/{steep}/strain', { ...at(id), body, ...keyed }))),
        shown,
    );

export const useGiveUp = (id: number) =>
    useMake(
        (body: Schemas['SpoilAsk'], keyed) => after(id, () => got(api.POST('/api/steeps/{steep}/spoil', { ...at(id), body, ...keyed }))),
        shown,
    );

export const usePutAwaySteep = () =>
    useWrite((id: number) => done(api.DELETE('/api/steeps/{steep}', at(id))), { stale: [['today'], ['steeps']] });

export const useBringBackSteep = () => useWrite((id: number) => got(api.POST('/api/steeps/{steep}/restore', at(id))), shown);

export const useAddPicture = (id: number) =>
    useWrite(
        (photo: Blob) =>
            after(id, () =>
                got(
                    api.POST('/api/steeps/{steep}/photos', {
                        ...at(id),
                        body: { photo: '' },
                        bodySerializer: pictureForm(photo),
                    }),
                ),
            ),
        shown,
    );

export const useRemovePicture = (id: number) =>
    useWrite((photo: number) => after(id, () => got(api.DELETE('/api/steep-photos/{photo}', { params: { path: { photo } } }))), shown);

export const useWithdraw = () =>
    useWrite(
        ({ lot, reason }: { lot: number; reason: string }) =>
            got(api.PUT('/api/lots/{lot}/withdrawn', { params: { path: { lot } }, body: { reason } })),
        { stale: [['lots'], ['steep'], ['ingredients']] },
    );
