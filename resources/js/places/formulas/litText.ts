import type { Schemas } from '../../api/client';

/** Words of a pasted text with what they became, by where they stand in it as the browser counts. */
export interface Lit {
    start: number;
    end: number;
    fate: Fate;
    of: number | null;
    why: string;
}
export type Fate = Schemas['Reading']['spans'][number]['fate'];

/** What a fate is called. */
export const FATES: Record<Fate, string> = {
    title: 'Title',
    heading: 'Heading',
    amount: 'Amount',
    name: 'Ingredient',
    form: 'Form',
    alternative: 'Left open',
    step: 'Step',
    time: 'Time',
    temperature: 'Temperature',
    yield: 'What it makes',
    audience: 'Whom it is for',
    negated: 'Left out',
    remark: 'Note',
    unplaced: 'Not placed',
};

/** Places are counted in whole characters; the browser counts a picture sign as two. */
export function placed(text: string, spans: Schemas['Reading']['spans']): Lit[] {
    const letters = [...text];
    if (letters.length === text.length) return spans;
    const at: number[] = [];
    let units = 0;
    for (const letter of letters) {
        at.push(units);
        units += letter.length;
    }
    at.push(units);
    return spans.map((s) => ({ ...s, start: at[s.start] ?? units, end: at[s.end] ?? units }));
}

/** The same words in a text that was changed since: those before and after the change stay lit. */
export function moved(spans: Lit[], before: string, now: string): Lit[] {
    if (before === now) return spans;
    let head = 0;
    const shortest = Math.min(before.length, now.length);
    while (head < shortest && before[head] === now[head]) head++;
    let tail = 0;
    while (tail < shortest - head && before[before.length - 1 - tail] === now[now.length - 1 - tail]) tail++;
    const shift = now.length - before.length;
    return spans.flatMap((s) => {
        if (s.end <= head) return [s];
        if (s.start >= before.length - tail) return [{ ...s, start: s.start + shift, end: s.end + shift }];
        return [];
    });
}

/** A text in pieces, lit and unlit, in its order. */
export function pieces(text: string, spans: Lit[]): { text: string; lit: Lit | null }[] {
    const out: { text: string; lit: Lit | null }[] = [];
    let from = 0;
    for (const lit of spans) {
        if (lit.start < from || lit.end > text.length) continue;
        if (lit.start > from) out.push({ text: text.slice(from, lit.start), lit: null });
        out.push({ text: text.slice(lit.start, lit.end), lit });
        from = lit.end;
    }
    if (from < text.length) out.push({ text: text.slice(from), lit: null });
    return out;
}

/** The row in which a place stands. */
export function rowAt(text: string, place: number): string {
    const start = text.lastIndexOf('\n', place - 1) + 1;
    const end = text.indexOf('\n', place);
    return text.slice(start, end < 0 ? text.length : end);
}
