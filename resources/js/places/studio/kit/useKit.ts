import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { Problem, type Schemas } from '../../../api/client';
import { kitQuery, useAddToKit, useChangeInKit, useTakeFromKit } from '../../../queries/kit';
import { written } from '../../../ui/events';
import { tell, tellProblem } from '../../../ui/notice';

type Item = Schemas['KitItem'];

/** A thing as it is typed: its figures and its choices by field, as texts. */
export interface KitDraft {
    id: number | null;
    kind: Item['kind'];
    name: string;
    ingredient: string;
    substance: string;
    fields: Record<string, string>;
}

/** A figure as she writes it, with a comma or a point; what is no figure is told by the application. */
function figure(text: string): number | string | null {
    const value = written(text);
    return value === null || Number.isFinite(value) ? value : text;
}

/** What stands in the kitchen, and the one thing of it that is being written down. */
export function useKit() {
    const query = useQuery(kitQuery());
    const adding = useAddToKit();
    const changing = useChangeInKit();
    const taking = useTakeFromKit();
    const draft = ref<KitDraft | null>(null);
    const errors = ref<Record<string, string[]>>({});
    const kinds = computed(() => query.data.value?.kinds ?? []);
    const kind = computed(() => kinds.value.find((k) => k.kind === draft.value?.kind));

    function begin(of: Item['kind'], item: Item | null = null): void {
        errors.value = {};
        const now = kinds.value.find((k) => k.kind === of);
        draft.value = {
            id: item?.id ?? null,
            kind: of,
            name: item?.name ?? '',
            ingredient: item?.ingredient ?? '',
            substance: item?.substance ?? '',
            fields: Object.fromEntries([
                ...(now?.figures ?? []).map((f) => [f.field, item ? String(item[f.field] ?? '') : '']),
                ...(now?.choices ?? []).map((c) => [c.field, String(item?.[c.field] ?? c.allowed[0] ?? '')]),
            ]),
        };
    }
    async function keep(): Promise<void> {
        const now = draft.value;
        if (!now || !kind.value) return;
        const body: Schemas['KitItemDraft'] = {
            kind: now.kind,
            name: now.name,
            ingredient: now.ingredient,
            ...Object.fromEntries(kind.value.figures.map((f) => [f.field, figure(now.fields[f.field] ?? '')])),
            ...Object.fromEntries(kind.value.choices.map((c) => [c.field, now.fields[c.field] ?? ''])),
        };
        errors.value = {};
        try {
            await (now.id === null ? adding.mutateAsync(body) : changing.mutateAsync({ item: now.id, body }));
            draft.value = null;
            tell('Kept. Every figure is worked out with it from now on.');
        } catch (e) {
            if (e instanceof Problem && e.hasFields) errors.value = e.errors;
            else tellProblem(e);
        }
    }
    async function take(item: Item): Promise<void> {
        try {
            await taking.mutateAsync(item.id);
            // What it is weighed with is named anew when it comes back.
            tell(`${item.name} is out of the kit.`, { undo: () => void adding.mutateAsync(item).catch(tellProblem) });
        } catch (e) {
            tellProblem(e);
        }
    }
    const busy = computed(() => adding.isPending.value || changing.isPending.value);

    return { ...query, kinds, kind, draft, errors, begin, keep, take, busy };
}
