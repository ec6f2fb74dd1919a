import { useQueryClient } from '@tanstack/vue-query';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import { Problem, type Schemas } from '../../../api/client';
import { useLatest } from '../../../api/latest';
import { ingredient } from '../../../queries/ingredients';
import { planSteep, steepQuery, useStartSteep } from '../../../queries/steeps';
import { tellProblem } from '../../../ui/notice';
import { useSession } from '../../../ui/session';
import { todayDate } from '../../../ui/words';
import { HEATED } from '../ways';

type Draft = Schemas['SteepDraft'];
export type Herb = Draft['herbs'][number];
export type Pour = Draft['oils'][number];

/** Names and forms beside the draft, which holds only what is sent. */
export interface Named {
    name: string;
    forms: string[];
}

const MOST_POURED = 12;
const LAST_DRAW = 3;

/** A jar that is being planned: what goes in, what is foretold of it, and what is wrong with what was typed. */
export function useStart() {
    const route = useRoute();
    const client = useQueryClient();
    /** What the studio's own ways begin with. */
    const begins = useSession().studio?.begins;
    const plantForm = begins?.form ?? 'dried';
    const herbs = ref<Named[]>([{ name: 'Calendula flower', forms: ['dried', 'fresh', 'powder'] }]);
    const oils = ref<Named[]>([{ name: 'High-oleic sunflower oil', forms: [] }]);
    const wanted = ref('');
    const draft = reactive<Draft>({
        name: '',
        herbs: [{ ingredient: 'calendula', form: plantForm, preparation: 'none', amount: '40 g', draw: 1, cost: null }],
        oils: [{ ingredient: 'sunflower-oil-high-oleic', amount: 'to cover', cost: null }],
        water_grams: 0,
        method: begins?.method ?? 'cold-dark',
        celsius: 0,
        minutes: 0,
        held_for: '',
        days: 0,
        jar_ml: 750,
        diameter_cm: 9,
        mouth_cm: 7,
        shaken_daily: true,
        shaken_sometimes: false,
        pressed: begins?.pressed ?? false,
        started_on: todayDate(),
        although: '',
    });
    const planned = shallowRef<Schemas['SteepPlanned'] | null>(null);
    const errors = ref<Record<string, string[]>>({});
    const starting = useStartSteep();

    function take(problem: unknown): void {
        if (problem instanceof Problem) errors.value = problem.hasFields ? problem.errors : { form: [problem.message] };
    }
    const plan = useLatest(
        (signal) => planSteep({ ...draft, wanted: wanted.value || null }, signal),
        (answer) => {
            planned.value = answer;
            errors.value = {};
        },
        take,
    );
    watch([draft, wanted], plan.soon, { immediate: true });

    /** What is left in some bottles, to be used up together: "olive-oil:120,jojoba-oil:40". */
    async function pourLeftOvers(): Promise<void> {
        const asked = String(route.query['oils'] ?? '')
            .split(',')
            .map((one) => one.split(':'))
            .slice(0, MOST_POURED);
        const found = await Promise.all(asked.filter(([id]) => id).map(([id = '']) => ingredient(id).catch(() => null)));
        const poured = found.flatMap((of, n) => {
            const grams = Math.floor(Number(asked[n]?.[1] ?? 0));
            return of ? [{ of: of.ingredient, amount: grams > 0 ? `${grams} g` : 'to cover' }] : [];
        });
        if (poured.length === 0) return;
        oils.value = poured.map(({ of }) => ({ name: of.name, forms: [] }));
        draft.oils = poured.map(({ of, amount }) => ({ ingredient: of.id, amount, cost: null }));
    }
    /** A jar that was made before, once more; or its herb, drawn again. */
    async function beginAgain(): Promise<void> {
        const again = String(route.query['again'] ?? '');
        if (!/^\d+$/.test(again)) return;
        const past = await client.fetchQuery(steepQuery(Number(again)));
        const drawn = route.query['draw'] === 'next' ? 1 : 0;
        const named = (of: { ingredient: string; name: string }[], id: string) => of.find((x) => x.ingredient === id)?.name ?? id;
        herbs.value = past.draft.herbs.map((h) => ({ name: named(past.herbs, h.ingredient), forms: [h.form] }));
        oils.value = past.draft.oils.map((o) => ({ name: named(past.oils, o.ingredient), forms: [] }));
        Object.assign(draft, {
            ...structuredClone(past.draft),
            name: '',
            started_on: todayDate(),
            herbs: past.draft.herbs.map(({ ingredient: id, form, preparation, amount, cost, draw }) => ({
                ingredient: id,
                form,
                preparation,
                amount,
                cost,
                draw: Math.min(LAST_DRAW, draw + drawn),
            })),
            oils: past.draft.oils.map(({ ingredient: id, amount, cost }) => ({ ingredient: id, amount, cost })),
        });
    }
    async function fill(): Promise<void> {
        try {
            await pourLeftOvers();
            await beginAgain();
        } catch (e) {
            tellProblem(e);
        }
    }
    function chooseHerb(n: number, row: Schemas['IngredientRow']): void {
        herbs.value[n] = { name: row.name, forms: row.forms.length > 0 ? row.forms : [''] };
        const form = plantForm === 'fresh' && row.forms.includes('fresh') ? 'fresh' : row.usual_form || row.forms[0] || '';
        const herb = draft.herbs[n];
        if (herb) Object.assign(herb, { ingredient: row.id, form, preparation: row.usual_preparation });
    }
    function chooseOil(n: number, row: Schemas['IngredientRow']): void {
        oils.value[n] = { name: row.name, forms: [] };
        const pour = draft.oils[n];
        if (pour) pour.ingredient = row.id;
    }
    function addHerb(): void {
        herbs.value.push({ name: 'Rosemary leaf', forms: ['dried', 'fresh', 'powder', 'cut'] });
        draft.herbs.push({ ingredient: 'rosemary', form: plantForm, preparation: 'none', amount: '10 g', draw: 1, cost: null });
    }
    function addOil(): void {
        oils.value.push({ name: 'Jojoba oil', forms: [] });
        draft.oils.push({ ingredient: 'jojoba-oil', amount: draft.diameter_cm > 0 ? 'to cover' : '100 g', cost: null });
    }
    function drop(list: 'herbs' | 'oils', n: number): void {
        draft[list].splice(n, 1);
        (list === 'herbs' ? herbs : oils).value.splice(n, 1);
    }
    /** Null when it was refused, which is shown beside the fields. */
    async function start(): Promise<Schemas['Steep'] | null> {
        try {
            return await starting.mutateAsync({ ...draft });
        } catch (e) {
            take(e);
            return null;
        }
    }

    return {
        draft,
        herbs,
        oils,
        wanted,
        planned,
        errors,
        busy: starting.isPending,
        oneHerb: begins?.one_herb ?? false,
        heated: computed(() => HEATED.includes(draft.method)),
        fill,
        chooseHerb,
        chooseOil,
        addHerb,
        addOil,
        drop,
        start,
    };
}
