import { nextTick } from 'vue';
import { newKey } from '../../../api/newKey';
import type { Schemas } from '../../../api/client';
import { oneOf } from '../../../ui/events';
import { PHASES } from '../../../ui/words';
import type { Bench } from '../useBench';

export type LineField = 'amount' | 'form' | 'phase' | 'name';

/** What is done to the lines of a formula: each a step of undo, with the hand left where it was. */
export function useLines(bench: Bench, table: () => HTMLElement | null) {
    function set(id: string, field: LineField, value: string): void {
        bench.edit(`${field} ${id}`, (draft) => {
            const line = draft.lines.find((l) => l.id === id);
            if (!line) return;
            if (field === 'phase') line.phase = oneOf(PHASES, value) ?? line.phase;
            else line[field] = value;
            // A name that is typed over is no longer the ingredient it was.
            if (field === 'name') line.ingredient = '';
        });
    }
    function settle(id: string, row: Schemas['IngredientRow']): void {
        bench.edit(`ingredient ${id}`, (draft) => {
            const line = draft.lines.find((l) => l.id === id);
            if (line) Object.assign(line, { ingredient: row.id, name: row.name, form: row.usual_form, phase: row.usual_phase });
        });
    }
    async function add(): Promise<void> {
        const id = newKey();
        bench.edit(`add ${id}`, (draft) =>
            draft.lines.push({ id, ingredient: '', name: '', amount: '', form: '', phase: 'warm', locked: false }),
        );
        await nextTick();
        table()?.querySelector<HTMLElement>(`[data-line="${id}"] input`)?.focus();
    }
    function remove(id: string): void {
        bench.edit(`remove ${id}`, (draft) => (draft.lines = draft.lines.filter((l) => l.id !== id)));
    }
    async function move(id: string, by: number): Promise<void> {
        const from = bench.formula.value.lines.findIndex((l) => l.id === id);
        const to = from + by;
        if (to < 0 || to >= bench.formula.value.lines.length) return;
        const focused = document.activeElement?.getAttribute('data-field');
        bench.edit(`move ${id}`, (draft) => {
            const [line] = draft.lines.splice(from, 1);
            if (line) draft.lines.splice(to, 0, line);
        });
        await nextTick();
        table()
            ?.querySelector<HTMLElement>(`[data-line="${id}"] [data-field="${focused ?? 'amount'}"]`)
            ?.focus();
    }
    /** The line goes in earlier or later. */
    function turn(id: string, by: number): void {
        const order = Object.keys(PHASES);
        const line = bench.formula.value.lines.find((l) => l.id === id);
        const phase = order[order.indexOf(line?.phase ?? 'warm') + by];
        if (phase) set(id, 'phase', phase);
    }
    function lock(id: string): void {
        bench.edit(`lock ${id}`, (draft) => {
            const line = draft.lines.find((l) => l.id === id);
            if (line) line.locked = !line.locked;
        });
    }

    return { set, settle, add, remove, move, turn, lock };
}
