import { api, got, type Schemas } from '../api/client';

/** A page of rows, and where the next one begins. */
export interface Page<Row> {
    items: Row[];
    next: string | null;
}
export interface Asked {
    q?: string;
    state?: string;
    cursor?: string;
}
/** A list that can grow: its key, and one page of it. */
export interface List<Row> {
    key: string;
    page: (query: Asked) => Promise<Page<Row>>;
}

export const FORMULAS: List<Schemas['FormulaRow']> = {
    key: 'formulas',
    page: (query) => got(api.GET('/api/formulas', { params: { query } })),
};
export const HEADS: List<Schemas['Head']> = { key: 'heads', page: (query) => got(api.GET('/api/heads', { params: { query } })) };
export const BATCHES: List<Schemas['BatchList']['items'][number]> = {
    key: 'batches',
    page: (query) => got(api.GET('/api/batches', { params: { query } })),
};
export const STEEPS: List<Schemas['SteepRow']> = { key: 'steeps', page: (query) => got(api.GET('/api/steeps', { params: { query } })) };
export const LOTS: List<Schemas['Lot']> = { key: 'lots', page: (query) => got(api.GET('/api/lots', { params: { query } })) };
export const ROUTINES: List<Schemas['Routine']> = {
    key: 'routines',
    page: (query) => got(api.GET('/api/routines', { params: { query } })),
};
