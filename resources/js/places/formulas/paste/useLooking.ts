import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import type { Lit } from '../litText';
import { placeOf, type Asks, type Pasted, type Place, type Said } from '../usePasted';

/** The field that the text stands in. */
interface Box {
    show: (from: number, to: number) => void;
}

/** What is looked at in a pasted text: words that were pressed, else the next line that is to be settled. */
export function useLooking(pasted: Pasted, box: () => Box | null | undefined) {
    const { text, answer, lines } = pasted;

    /** Why its mass cannot be told; while the ingredient is asked for, that comes first. */
    const unweighed = (n: number): string => answer.value?.assessment?.lines[n]?.problem ?? '';
    function asks(n: number): Asks {
        const doubts = lines.value[n]?.doubts;
        if (doubts?.ingredient !== undefined) return 'ingredient';
        return unweighed(n) === '' && doubts?.amount === undefined ? '' : 'amount';
    }
    const toSettle = computed(() => lines.value.flatMap((_, n) => (asks(n) === '' ? [] : [n])));
    const doubtful = computed(() => new Set(toSettle.value.map((n) => n + 1)));

    // What is looked at: words that were pressed, else the next line to settle.
    const pressed = shallowRef<Lit | null>(null);
    const asked = ref(0);
    watch(toSettle, (now) => {
        if (!now.includes(asked.value)) asked.value = now.find((n) => n > asked.value) ?? now[0] ?? 0;
    });
    watch(text, () => (pressed.value = null));
    const lineOf = (lit: Lit): number | null =>
        lit.of !== null && ['amount', 'name', 'form', 'alternative'].includes(lit.fate) && lit.of <= lines.value.length ? lit.of - 1 : null;
    const looking = computed(() => {
        const at = pressed.value;
        if (at) {
            const n = lineOf(at);
            const line = n === null ? null : (lines.value[n] ?? null);
            const place: Place = line ? placeOf(line) : pasted.placeAt(at);
            return { n, line, place, lit: at, words: text.value.slice(at.start, at.end) };
        }
        const line = toSettle.value.includes(asked.value) ? lines.value[asked.value] : undefined;
        return line ? { n: asked.value, line, place: placeOf(line), lit: null, words: line.text } : null;
    });
    function next(): void {
        pressed.value = null;
        asked.value = toSettle.value.find((n) => n > asked.value) ?? toSettle.value[0] ?? 0;
    }
    async function say(what: Said, remember: boolean): Promise<void> {
        const now = looking.value;
        if (!now) return;
        if (remember && now.line && what.ingredient) await pasted.remember(now.line, what.ingredient);
        pasted.say(now.place, what);
        pressed.value = null;
    }
    /** The words of a line, in the text and in the card. */
    async function look(n: number): Promise<void> {
        const at = pasted.shown.value.find((l) => l.of === n + 1 && (l.fate === 'name' || l.fate === 'amount'));
        if (!at) return;
        box()?.show(at.start, at.start);
        await nextTick();
        pressed.value = at;
    }
    function show(at: Lit): void {
        box()?.show(at.start, at.end);
        pressed.value = at;
    }

    return { pressed, asked, looking, toSettle, doubtful, unweighed, asks, next, say, look, show };
}
