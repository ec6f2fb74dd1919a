import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Wanted } from '../../../queries/ingredients';

/** What can be asked of an ingredient. */
export const NONE = {
    q: '',
    kind: '',
    need: '',
    evidence: '',
    strand: '',
    porosity: '',
    heaviest: '',
    action: '',
    without: '',
    vegan: '',
    at_hand: '',
    pregnancy: '',
    by: '',
};
export type Asked = typeof NONE;

function isAsked(field: string): field is keyof Asked {
    return field in NONE;
}

/** What is looked for, and what is laid side by side: both live in the address, so that a look can be sent and gone back to. */
export function useLook() {
    const route = useRoute();
    const router = useRouter();
    const inAddress = (field: string): string => String(route.query[field] ?? '');
    const fields = Object.keys(NONE).filter(isAsked);

    const wanted = computed(() => {
        const asked = { ...NONE };
        for (const field of fields) asked[field] = inAddress(field);
        return asked;
    });
    const picked = computed(() => inAddress('side').split(',').filter(Boolean));
    const filtered = computed(() => fields.some((f) => wanted.value[f] !== ''));
    const search = computed(() => {
        const asked: Wanted = {};
        for (const f of fields) if (wanted.value[f] !== '') asked[f] = wanted.value[f];
        return asked;
    });
    function look(change: Partial<Asked & { side: string }>, from: Asked = wanted.value): void {
        const query: Record<string, string> = {};
        const next = { ...from, side: picked.value.join(','), ...change };
        for (const [key, value] of Object.entries(next)) if (value !== '') query[key] = value;
        void router.replace({ query });
    }

    return { wanted, picked, filtered, search, look };
}
