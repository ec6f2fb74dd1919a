import { replaceEqualDeep } from '@tanstack/vue-query';

/** What is kept with a number that grows by each write to it. */
type Revised = { id: unknown; revision: number };
const isRevised = (value: unknown): value is Revised =>
    typeof value === 'object' && value !== null && 'id' in value && 'revision' in value && typeof value.revision === 'number';

/**
 * What is shown after an answer came. Answers overtake one another: one that was asked for before a write and comes after
 * it knows less than what is shown, and what would rest on it would be refused.
 */
export function newest(shown: unknown, came: unknown): unknown {
    if (isRevised(shown) && isRevised(came) && shown.id === came.id && came.revision < shown.revision) return shown;
    return replaceEqualDeep(shown, came);
}
