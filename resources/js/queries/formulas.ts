import { queryOptions } from '@tanstack/vue-query';
import { api, done, got, type Schemas } from '../api/client';
import { useMake, useWrite } from './write';

const at = (formula: number) => ({ params: { path: { formula } } });

const page = (id: number) => got(api.GET('/api/formulas/{formula}', at(id)));

/** What stands there now, told to whoever came too late. */
export const isFormulaPage = (value: unknown): value is Schemas['FormulaPage'] =>
    typeof value === 'object' && value !== null && 'formula' in value && 'versions' in value;

export const formulaQuery = (id: number) => queryOptions({ queryKey: ['formula', id], queryFn: () => page(id) });

export const familyQuery = (id: number) =>
    queryOptions({
        queryKey: ['family', id],
        queryFn: () => got(api.GET('/api/formulas/{formula}/family', at(id))),
        staleTime: 0,
    });

/** One side of a comparison: a formula as it stands, or one of its versions. */
export interface Side {
    token: string;
    name: string;
    to: string;
    formula: Schemas['Formula'];
    assessment: Schemas['Assessment'];
}

async function side(token: string, pages: Schemas['FormulaPage'][]): Promise<Side | null> {
    const [id, number] = token.split('.').map(Number);
    const of = pages.find((p) => p.id === id);
    if (!of) return null;
    const to = `/formulas/${of.id}`;
    if (number === undefined) return { token, name: of.formula.title, to, formula: of.formula, assessment: of.assessment };
    const version = of.versions.find((v) => v.number === number);
    if (!version) return null;
    const { assessment } = await evaluate({ formula: version.formula, head_id: of.head_id, hair: of.hair });
    return { token, name: `${version.formula.title}, version ${number}`, to, formula: version.formula, assessment };
}

/** Formulas and versions side by side; a version stands after a dot: "12.3". */
export const sidesQuery = (tokens: string[]) =>
    queryOptions({
        queryKey: ['compare-formulas', tokens],
        queryFn: async () => {
            const pages = await Promise.all([...new Set(tokens.map((t) => Number(t.split('.')[0])))].map(page));
            const sides = await Promise.all(tokens.map((token) => side(token, pages)));
            return { sides: sides.filter((s) => s !== null), pages };
        },
    });

export const swapQuery = (body: Schemas['SwapAsk']) =>
    queryOptions({
        queryKey: ['swap', body.line, body.formula],
        queryFn: () => got(api.POST('/api/swap', { body })),
        staleTime: 0,
        gcTime: 0,
    });

/** How the grams of one line came about: asked for when it is looked at. */
export const workingQuery = (body: Schemas['WorkingAsk']) =>
    queryOptions({
        queryKey: ['working', body.line, body.formula],
        queryFn: () => got(api.POST('/api/working', { body })),
        staleTime: 0,
        gcTime: 0,
    });

// What judges a draft and keeps nothing.
export const evaluate = (body: Schemas['FormulaDraft'], signal?: AbortSignal) =>
    got(api.POST('/api/evaluate', { body, ...(signal ? { signal } : {}) }));
export const cure = (body: Schemas['CureAsk']) => got(api.POST('/api/cure', { body }));
export const reshare = (body: Schemas['ReshareAsk']) => got(api.POST('/api/reshare', { body }));
export const design = (body: Schemas['DesignAsk'], signal: AbortSignal) => got(api.POST('/api/design', { body, signal }));
export const read = (body: Schemas['ReadAsk'], signal: AbortSignal) => got(api.POST('/api/read', { body, signal }));
export const settleName = (body: Schemas['SettledName']) => got(api.PUT('/api/read/names', { body }));
export const forgetName = (body: Schemas['ForgetName']) => done(api.DELETE('/api/read/names', { body }));
export const waterPlan = (body: Schemas['FormulaDraft']) => got(api.POST('/api/water', { body }));
export const loadPlan = (body: Schemas['FormulaDraft']) => got(api.POST('/api/load', { body }));
export const costPlan = (body: Schemas['FormulaDraft']) => got(api.POST('/api/cost', { body }));
export const stockOf = (body: Schemas['FormulaDraft']) => got(api.POST('/api/stock', { body }));
export const withoutScale = (body: Schemas['WithoutScaleAsk']) => got(api.POST('/api/without-scale', { body }));
export const howMade = (body: Schemas['ProcedureAsk']) => got(api.POST('/api/procedure', { body }));
export const plainText = (id: number) => got(api.GET('/api/formulas/{formula}/text', at(id)));

/** Saved as it is typed: each carries the revision that the one before it brought. */
export const saveFormula = (id: number, body: Schemas['FormulaSave']) => got(api.PUT('/api/formulas/{formula}', { ...at(id), body }));

export const useSaveFormula = () =>
    useWrite(({ id, body }: { id: number; body: Schemas['FormulaSave'] }) => saveFormula(id, body), { stale: [['formulas']] });

export const useStartFormula = () =>
    useMake((body: Schemas['FormulaDraft'], keyed) => got(api.POST('/api/formulas', { body, ...keyed })), { stale: [['formulas']] });

/** The steep that a recipe holds, begun; the rest of it on the bench. */
export const useBeginSteep = () =>
    useMake((body: Schemas['ReadAsk'], keyed) => got(api.POST('/api/read/steep', { body, ...keyed })), {
        stale: [['formulas'], ['steeps'], ['today']],
    });

/** As much of a recipe as one use takes, begun at the counter. */
export const useMakeDose = () =>
    useMake((body: Schemas['ReadAsk'], keyed) => got(api.POST('/api/read/dose', { body, ...keyed })), {
        stale: [['formulas'], ['batches'], ['today']],
    });

export const useStartSkeleton = () =>
    useMake((body: Schemas['SkeletonAsk'], keyed) => got(api.POST('/api/formulas/skeleton', { body, ...keyed })), {
        stale: [['formulas']],
    });

export const useKeepVersion = () =>
    useMake(({ id, note }: { id: number; note: string }, keyed) =>
        got(api.POST('/api/formulas/{formula}/versions', { ...at(id), body: { note }, ...keyed })),
    );

export const usePutAway = () => useWrite((id: number) => done(api.DELETE('/api/formulas/{formula}', at(id))), { stale: [['formulas']] });

export const useBringBack = () =>
    useWrite((id: number) => got(api.POST('/api/formulas/{formula}/restore', at(id))), { stale: [['formulas']] });

export const useStartVariant = () =>
    useMake(
        ({ id, title }: { id: number; title: string }, keyed) =>
            got(api.POST('/api/formulas/{formula}/variants', { ...at(id), body: { title }, ...keyed })),
        { stale: [['formulas']] },
    );

export const usePassOn = () =>
    useWrite((id: number) => got(api.POST('/api/formulas/{formula}/family/pass', at(id))), { stale: [['formulas'], ['family']] });

export const useLeaveFamily = () =>
    useWrite((id: number) => got(api.POST('/api/formulas/{formula}/leave', at(id))), { stale: [['family']] });
