import type { Schemas } from '../../api/client';

type Looked = Schemas['Batch']['inspected'][number];

/** What is looked at on a filled container. */
export const LOOKED: Record<Looked, string> = {
    whole: 'no chip and no crack',
    clean: 'rim and outside wiped',
    sealed: 'closed, and the lid holds',
    labelled: 'labelled with lot and date',
};
