import { onMounted, reactive, ref, shallowRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { Problem, type Schemas } from '../../../api/client';
import { ingredient, useSaveOwn, useWriteOwn } from '../../../queries/ingredients';
import { written } from '../../../ui/events';
import { tell, tellProblem } from '../../../ui/notice';
import type { BlendRow } from '../blend';

const words = (text: string): string[] =>
    text
        .split(',')
        .map((w) => w.trim())
        .filter((w) => w !== '');

/** An ingredient of the studio's own as it is written down; a new one can be like one that there is. */
export function useOwn(id: string) {
    const route = useRoute();
    const router = useRouter();
    const held = shallowRef<Schemas['OwnHeld'] | null>(null);
    const like = shallowRef<Schemas['Ingredient'] | null>(null);
    const synonyms = ref('');
    const allergens = ref('');
    /** Made of several, each of which is judged by itself. */
    const isBlend = ref(false);
    const parts = ref<BlendRow[]>([]);
    const errors = ref<Record<string, string[]>>({});
    const draft = reactive<Schemas['OwnDraft']>({
        name: '',
        inci: '',
        kind: 'carrier-oil',
        like: '',
        synonyms: [],
        allergens: [],
        vegan: true,
        figures: [],
    });
    const saving = useSaveOwn();
    const writing = useWriteOwn();

    async function open(): Promise<void> {
        const page = await ingredient(id);
        held.value = page.own ?? null;
        if (!page.own) return;
        const { name, inci, kind, like: of, synonyms: also, allergens: bears, vegan, figures } = page.own;
        Object.assign(draft, { name, inci, kind, like: of, synonyms: also, allergens: bears, vegan, figures });
        isBlend.value = page.own.parts.length > 0;
        parts.value = page.own.parts.map(({ ingredient: part, percent }) => ({
            ingredient: part,
            name: page.ingredient.blend.find((p) => p.ingredient === part)?.name ?? part,
            percent: percent === null ? '' : String(percent),
        }));
    }
    /** With what the place that led here knows of it. */
    function begin(): void {
        draft.like = String(route.query['like'] ?? '');
        draft.name = String(route.query['name'] ?? '').slice(0, 200);
        isBlend.value = route.query['of'] === 'several';
    }
    async function takeOver(other: string): Promise<void> {
        like.value = (await ingredient(other)).ingredient;
        if (id !== 'new') return;
        const { kind, inci, allergens: bears, vegan } = like.value;
        Object.assign(draft, { kind, inci, allergens: bears, vegan });
    }
    onMounted(async () => {
        try {
            if (id === 'new') begin();
            else await open();
            if (draft.like !== '') await takeOver(draft.like);
            synonyms.value = draft.synonyms.join(', ');
            allergens.value = draft.allergens.join(', ');
        } catch (e) {
            tellProblem(e);
        }
    });

    async function save(): Promise<void> {
        errors.value = {};
        const body = {
            ...draft,
            ...(isBlend.value && { kind: 'unknown', like: '' }),
            parts: isBlend.value ? parts.value.map((part) => ({ ingredient: part.ingredient, percent: written(part.percent) })) : [],
            synonyms: words(synonyms.value),
            allergens: words(allergens.value),
        };
        try {
            const kept = held.value
                ? await saving.mutateAsync({ id: held.value.id, body: { ...body, revision: held.value.revision } })
                : await writing.mutateAsync(body);
            await router.push(`/pantry/${kept.ingredient.id}`);
            tell(`${draft.name} is kept beside the catalogue.`);
        } catch (e) {
            if (e instanceof Problem && e.hasFields) errors.value = e.errors;
            else tellProblem(e);
        }
    }
    const busy = () => writing.isPending.value || saving.isPending.value;

    return { held, like, draft, synonyms, allergens, isBlend, parts, errors, save, busy };
}
