import type { Schemas } from '../../../api/client';

/** What can be asked of a design, in the maker's words. */
export type Wish = Schemas['DesignAsk']['wishes'][number];
export const SIMPLE: [Wish['kind'], string][] = [
    ['softer', 'Softer'],
    ['firmer', 'Firmer'],
    ['lighter', 'Lighter on the hair'],
    ['richer', 'Richer'],
    ['keeps-longer', 'Keeps longer'],
    ['cheaper', 'Cheaper'],
    ['fewer', 'One ingredient fewer'],
    ['at-hand', 'Only from my cupboard'],
];
export type Goal = NonNullable<Schemas['DesignAsk']['goals']>[number];
export const GOALS: Record<Goal, string> = {
    nearest: 'nearest to what it is now',
    cheapest: 'cheapest',
    service: 'serving the most',
    lasting: 'keeping longest',
    lightest: 'lightest on the hair',
};
export type Asked = Pick<Schemas['ShownDemand'], 'kind' | 'of' | 'at'>;
export const FIGURES: [Asked['kind'], number, string][] = [
    ['solids', 12, 'firmness in a cold room, % solid at 12 °C'],
    ['solids', 21, 'firmness in the room, % solid at 21 °C'],
    ['solids', 32, 'firmness on a hot day, % solid at 32 °C'],
    ['weight', 25, 'weight on the hair, 1 to 5'],
    ['life', 25, 'months that it keeps'],
    ['cost', 25, 'cost of 100 g'],
    ['load', 25, 'essential oils, %'],
    ['saturated', 25, 'saturated fat, %'],
    ['monounsaturated', 25, 'monounsaturated fat, %'],
    ['polyunsaturated', 25, 'polyunsaturated fat, %'],
];
/** By which a demand is told from the others. */
export const keyOf = (d: Asked): string => `${d.kind} ${d.of} ${d.at}`;

/** What was typed, as a number; null when it is none. */
export function number(value: unknown): number | null {
    return value === null || value === '' || !Number.isFinite(Number(value)) ? null : Number(value);
}
