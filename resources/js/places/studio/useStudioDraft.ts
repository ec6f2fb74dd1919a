import { reactive, ref } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { useSaveStudio } from '../../queries/session';
import { tellProblem } from '../../ui/notice';
import { useSession } from '../../ui/session';

const DRAWN = [
    'name',
    'cup',
    'scale_grams',
    'maker',
    'southern',
    'bowl_ml',
    'time_zone',
    'country',
    'currency',
    'decimal_comma',
    'date_style',
] as const;

/** What the studio measures with and writes by, being changed. */
export function useStudioDraft() {
    const session = useSession();
    const saving = useSaveStudio();
    const errors = ref<Record<string, string[]>>({});
    const now = session.studio;
    const draft = reactive<Schemas['StudioDraft']>({
        name: '',
        cup: 'us',
        scale_grams: 1,
        maker: '',
        southern: false,
        bowl_ml: 0,
        time_zone: 'UTC',
        country: '',
        currency: '',
        decimal_comma: false,
        date_style: 'day-first',
        ...(now ? Object.fromEntries(DRAWN.map((key) => [key, now[key]])) : {}),
    });
    async function save(): Promise<boolean> {
        errors.value = {};
        try {
            session.set(await saving.mutateAsync({ ...draft }));
            return true;
        } catch (e) {
            if (e instanceof Problem && e.hasFields) errors.value = e.errors;
            else tellProblem(e);
            return false;
        }
    }
    return { session, draft, errors, save, busy: saving.isPending };
}
