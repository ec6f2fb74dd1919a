import { useSessionStorage } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { useLatest } from '../../api/latest';
import { forgetName, read, settleName } from '../../queries/formulas';
import { tellProblem } from '../../ui/notice';
import { moved, placed, rowAt, type Lit } from './litText';

export type ReadLine = Schemas['ReadLine'];
export type Correction = Schemas['Correction'];
/** Where something is said of a text: its words, by which it is found again when the text is changed elsewhere. */
export type Place = Pick<Correction, 'row' | 'name' | 'amount'>;
export type Said = Omit<Correction, keyof Place>;

/** What is asked of a line first; "" for nothing. */
export type Asks = '' | 'ingredient' | 'amount';

/** What the maker settles of a whole text. */
export interface Settled {
    corrections: Correction[];
    ounces: 'weight' | 'volume' | null;
    audience: Schemas['Formula']['audience'] | null;
    times: number | null;
}
const NOTHING: Settled = { corrections: [], ounces: null, audience: null, times: null };
const words = (text: string): string => text.trim().replace(/\s+/g, ' ');
const same = (a: Place, b: Place): boolean =>
    words(a.row) === words(b.row) && (a.name ?? '') === (b.name ?? '') && (a.amount ?? '') === (b.amount ?? '');

export const placeOf = (line: ReadLine): Place => ({ row: line.row, name: line.written_name, amount: line.written_amount });

/** A pasted text, read anew at every change, with all that was said of it: it outlives a closed page. */
export function usePasted() {
    const text = useSessionStorage('pasted-recipe', '');
    const settled = useSessionStorage<Settled>('pasted-recipe-settled', NOTHING);
    const answer = shallowRef<Schemas['ReadAnswer'] | null>(null);
    const problem = ref('');
    /** The text that the answer is about, and its words with what they became. */
    const readOf = ref('');
    const lit = shallowRef<Lit[]>([]);

    const asked = computed<Schemas['ReadAsk']>(() => ({ text: text.value, ...settled.value }));
    const reading = useLatest(
        async (signal) => {
            const of = text.value;
            return { of, got: await read(asked.value, signal) };
        },
        ({ of, got }) => {
            answer.value = got;
            readOf.value = of;
            lit.value = placed(of, got.reading.spans);
            problem.value = '';
        },
        (e) => (problem.value = e instanceof Problem ? e.message : 'This could not be read. Your text is kept.'),
    );
    watch(
        asked,
        () => {
            if (text.value.trim() !== '') return reading.soon();
            reading.forget();
            answer.value = null;
            lit.value = [];
            problem.value = '';
        },
        { immediate: true },
    );
    const lines = computed(() => answer.value?.reading.lines ?? []);
    const shown = computed(() => moved(lit.value, readOf.value, text.value));

    const saidOf = (place: Place): Correction | undefined => settled.value.corrections.find((c) => same(c, place));
    /** Said of one place, beside what was said of it before. */
    function say(place: Place, what: Said): void {
        const others = settled.value.corrections.filter((c) => !same(c, place));
        settled.value = { ...settled.value, corrections: [...others, { ...saidOf(place), ...what, ...place }] };
    }
    function unsay(place: Place): void {
        settled.value = { ...settled.value, corrections: settled.value.corrections.filter((c) => !same(c, place)) };
    }
    const settle = (what: Partial<Settled>): void => void (settled.value = { ...settled.value, ...what });

    /** A name that is to mean this in the next recipe too. */
    async function remember(line: ReadLine, ingredient: string): Promise<void> {
        try {
            await settleName({ written: line.written_name, ingredient, form: line.form });
        } catch (e) {
            tellProblem(e);
        }
    }
    async function forget(line: ReadLine): Promise<void> {
        try {
            await forgetName({ written: line.written_name });
            reading.soon();
        } catch (e) {
            tellProblem(e);
        }
    }
    /** Words that became no line, as a place of their own. */
    function placeAt(at: Lit): Place {
        const figure = at.fate === 'unplaced' || /^\d/.test(text.value.slice(at.start, at.end));
        return { row: rowAt(text.value, at.start), name: '', amount: figure ? text.value.slice(at.start, at.end) : '' };
    }
    function clear(): void {
        text.value = '';
        settled.value = NOTHING;
    }

    return { text, settled, answer, problem, asked, lines, shown, say, unsay, saidOf, settle, remember, forget, placeAt, clear };
}

export type Pasted = ReturnType<typeof usePasted>;
