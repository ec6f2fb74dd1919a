import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../resources/js/api/client';
import { moved, pieces, placed, rowAt, type Lit } from '../../resources/js/places/formulas/litText';
import PastePlace from '../../resources/js/places/formulas/PastePlace.vue';
import { onKey } from '../../resources/js/ui/acts';
import { aServer } from './api';
import { aFormula, aJudgedLine, aLine, anAssessment, aPage, band } from './made';
import { by, click, fill, said, show } from './shown';

let server: ReturnType<typeof aServer>;
beforeEach(() => {
    sessionStorage.clear();
    vi.useFakeTimers();
    server = aServer();
});
afterEach(() => {
    document.body.innerHTML = '';
    vi.useRealTimers();
});

function aRead(text: string, name: string, more: Partial<Schemas['ReadLine']> = {}): Schemas['ReadLine'] {
    return {
        row: text,
        text,
        understood: 'yes',
        ingredient: name.toLowerCase().replaceAll(' ', '-'),
        name,
        written_name: name.toLowerCase(),
        written_amount: '2 tbsp',
        amount: '2 tbsp',
        grams: band(28),
        basis: 'converted',
        form: null,
        doubts: {},
        choices: [],
        optional: false,
        settled_by: 'text',
        memorable: true,
        alternatives: [],
        ...more,
    };
}

interface Told {
    problems?: string[];
    reading?: Partial<Schemas['Reading']>;
    answer?: Partial<Schemas['ReadAnswer']>;
}
/** What the server answers to a text, or to what was said of it. */
function answering(lines: Schemas['ReadLine'][], { problems = [], reading = {}, answer = {} }: Told = {}): void {
    server.on('POST', '/api/read', {
        reading: {
            title: 'Told',
            lines,
            steps: [],
            notes: [],
            for: null,
            spans: [],
            unplaced: [],
            yield: null,
            times: [],
            steep: null,
            order: null,
            ...reading,
        },
        formula: aFormula({ lines: lines.map((l, i) => aLine(`l${i + 1}`, l.name, l.amount ?? '')) }),
        assessment: anAssessment({ lines: lines.map((l, i) => aJudgedLine(`l${i + 1}`, l.name, 50, { problem: problems[i] ?? '' })) }),
        disagreements: [],
        doubtful: [],
        ounces: null,
        dose_grams: 6,
        ...answer,
    });
}
async function settle(): Promise<void> {
    await vi.advanceTimersByTimeAsync(400);
    await flushPromises();
}
async function pasted(lines: Schemas['ReadLine'][], told: Told = {}, text = 'any') {
    answering(lines, told);
    const { wrapper } = await show(PastePlace);
    await fill(/recipe's text/, text);
    await settle();
    return wrapper;
}
const asked = (): Schemas['ReadAsk'] => server.to('/api/read').at(-1)?.body as Schemas['ReadAsk'];
const press = async (key: string): Promise<void> => {
    onKey(new KeyboardEvent('keydown', { key }));
    await settle();
};

describe('a pasted recipe', () => {
    it("keeps two ingredients of one row apart: an amount changed for one is not the other's", async () => {
        const row = '2 tbsp each: shea butter, olive oil';
        await pasted([aRead(row, 'Shea butter'), aRead(row, 'Olive oil')]);
        await fill('Amount of Olive oil', '30 g');
        await settle();
        expect(asked().corrections).toEqual([{ row, name: 'olive oil', amount: '2 tbsp', says: '30 g' }]);
    });

    it('asks one thing at a time, each answer one key, and remembers a name that was settled', async () => {
        const castor = aRead('2 tbsp kastr oil', 'kastr oil', {
            understood: 'no',
            ingredient: null,
            doubts: { ingredient: '"kastr oil" is not in the catalogue.' },
            alternatives: [{ id: 'castor-oil', name: 'Castor oil', score: 0.6 }],
        });
        const kind = aRead('an essential oil', 'essential oil', {
            understood: 'no',
            ingredient: null,
            memorable: false,
            doubts: { ingredient: 'Which essential oil is meant?' },
        });
        const wrapper = await pasted([castor, kind], { problems: ['not known', 'not known'] });
        expect(said(wrapper)).toContain('1 of 2 to settle');
        expect(said(wrapper)).toContain('2 of 2 lines to settle.');
        server.on('PUT', '/api/read/names', { written: 'kastr oil', ingredient: 'castor-oil', form: null });
        answering([aRead('2 tbsp kastr oil', 'Castor oil', { settled_by: 'maker', written_name: 'kastr oil' }), kind], {
            problems: ['', 'not known'],
        });
        await press('1');
        expect(server.to('/api/read/names')[0]?.body).toEqual({ written: 'kastr oil', ingredient: 'castor-oil', form: null });
        expect(asked().corrections).toEqual([{ row: '2 tbsp kastr oil', name: 'kastr oil', amount: '2 tbsp', ingredient: 'castor-oil' }]);
        expect(said(wrapper)).toContain('Which essential oil is meant?');
        expect(document.querySelector('input[type=checkbox]')).toBeNull();
        await press('0');
        expect(asked().corrections?.at(-1)).toMatchObject({ name: 'essential oil', out: true });
        await click('Take back what I said');
        await settle();
        expect(asked().corrections).toEqual([]);
    });

    it('does not remember a name where that is not wanted, and asks for an amount that nobody can tell', async () => {
        const why = '"a handful" is another amount in every hand.';
        const line = aRead('a handful of nettle', 'Nettle leaf', {
            understood: 'doubtful',
            amount: 'a handful',
            written_amount: 'a handful',
            grams: null,
            doubts: { amount: why },
        });
        const wrapper = await pasted([line], { problems: [why] });
        expect(said(wrapper)).toContain(`${why} You wrote "a handful of nettle".`);
        expect(said(wrapper)).toContain('cannot tell');
        answering([{ ...line, amount: '12 g', doubts: {} }]);
        await fill('How much', '12 g');
        await settle();
        expect(asked().corrections).toEqual([{ row: line.row, name: 'nettle leaf', amount: 'a handful', says: '12 g' }]);
        expect(said(wrapper)).toContain('Every line was understood.');
    });

    it('shows what a pressed word became, and takes the figure that nothing took for an amount', async () => {
        const text = 'Oil 🌿\nIn week 12 some oil';
        const spans: Schemas['Reading']['spans'] = [
            { start: 0, end: 3, fate: 'title', of: null, why: 'It stands first.' },
            { start: 14, end: 16, fate: 'unplaced', of: null, why: 'No line and no step takes this figure.' },
        ];
        const wrapper = await pasted([aRead('some oil', 'Olive oil')], { reading: { spans } }, text);
        expect(said(wrapper)).toContain('One figure stands in no line and no step');
        await click('Show 12 in the text');
        expect(said(wrapper)).toContain('“12” No line and no step takes this figure.');
        const box = by('textarea', /recipe's text/) as HTMLTextAreaElement;
        expect(box.value.slice(box.selectionStart, box.selectionEnd)).toBe('12');
        await press('1');
        expect(asked().corrections).toEqual([{ row: 'In week 12 some oil', name: '', amount: '12', out: true }]);
        box.setSelectionRange(1, 1);
        box.dispatchEvent(new MouseEvent('click'));
        await settle();
        expect(said(wrapper)).toContain('“Oil” It stands first.');
        server.on('GET', '/api/ingredients', { items: [{ id: 'argan-oil', name: 'Argan oil', usual_form: '', usual_phase: 'warm' }] });
        await fill('Ingredient for Oil', 'argan');
        await settle();
        await fill('How much of it', '5 g');
        by('input', 'Ingredient for Oil').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        await settle();
        expect(asked().corrections?.at(-1)).toEqual({ row: 'Oil 🌿', name: '', amount: '', ingredient: 'argan-oil', says: '5 g' });
    });

    it('offers what the text leaves open, and forgets a name on request', async () => {
        const line = aRead('100 g shea or 80 g mango butter', 'Shea butter', {
            choices: [{ id: 'mango-butter', name: 'Mango butter', written: 'mango butter', amount: '80 g' }],
            settled_by: 'studio',
            optional: true,
        });
        const spans: Schemas['Reading']['spans'] = [{ start: 0, end: 5, fate: 'amount', of: 1, why: 'How much of it goes in.' }];
        await pasted([line], { reading: { spans } }, '100 g shea or 80 g mango butter');
        await click(/^Shea butter/);
        await settle();
        server.on('DELETE', '/api/read/names', new Response(null, { status: 204 }));
        await click('Forget it');
        await settle();
        expect(server.to('/api/read/names', 'DELETE')[0]?.body).toEqual({ written: 'shea butter' });
        await press('1');
        expect(asked().corrections).toEqual([
            { row: line.row, name: 'shea butter', amount: '2 tbsp', ingredient: 'mango-butter', says: '80 g' },
        ]);
    });

    it('asks once for what holds for all of it: whom it is for, ounces, how much', async () => {
        const wrapper = await pasted([aRead('2 oz olive oil', 'Olive oil')], {
            reading: { for: { audience: 'child-2-6', words: '5 yr old' }, times: [2, 0.5] },
            answer: { ounces: { by_volume: false, changes: 'By weight it comes to 57 g.' } },
        });
        expect(said(wrapper)).toContain('It says "5 yr old".');
        expect(said(wrapper)).toContain('By weight it comes to 57 g.');
        await fill(/^For/, 'child-6-12');
        await fill(/^How much of it/, '2');
        by('input[type=radio]', 'by volume').click();
        await settle();
        expect(asked()).toMatchObject({ audience: 'child-6-12', times: 2, ounces: 'volume' });
    });

    it('goes to the bench, to a steep, or to one fresh dose, and begins anew after', async () => {
        const steep = { herbs: [1], oils: [2], method: 'cold-dark', days: 28, celsius: null, minutes: null };
        const lines = [aRead('40 g nettle', 'Nettle leaf'), aRead('300 g olive oil', 'Olive oil')];
        const wrapper = await pasted(lines, { reading: { steep } });
        expect(said(wrapper)).toContain('Nettle leaf in Olive oil is a steep of its own: 28 days.');
        server.on('POST', '/api/read/dose', new Response(JSON.stringify({ message: 'Not for a child.' }), { status: 422 }));
        await click(/just one use, 6 g/);
        await settle();
        expect((by('textarea', /recipe's text/) as HTMLTextAreaElement).value).toBe('any');
        server.on('POST', '/api/read/steep', { steep_id: 3, formula_id: 4, name: 'Nettle in olive' });
        await click('Begin its steep');
        await settle();
        expect(server.to('/api/read/steep')[0]?.body).toMatchObject({ text: 'any' });
        expect((by('textarea', /recipe's text/) as HTMLTextAreaElement).value).toBe('');
        await fill(/recipe's text/, 'again');
        await settle();
        server.on('POST', '/api/formulas', aPage());
        await click('Open it');
        await settle();
        expect(server.to('/api/formulas', 'POST')[0]?.body).toMatchObject({ formula: { title: aFormula({}).title } });
    });
});

describe('words that are lit', () => {
    const lit = (start: number, end: number, fate: Lit['fate'] = 'name'): Lit => ({ start, end, fate, of: 1, why: '' });

    it('stand where the browser counts them, picture signs before them', () => {
        expect(placed('🌿🌿 12', [lit(3, 5)])[0]).toMatchObject({ start: 5, end: 7 });
        expect(placed('ab 12', [lit(3, 5)])[0]).toMatchObject({ start: 3, end: 5 });
    });

    it('stay lit where the text was not changed', () => {
        const before = 'one two three';
        const words = [lit(0, 3), lit(4, 7), lit(8, 13)];
        expect(moved(words, before, 'one 2 three')).toMatchObject([
            { start: 0, end: 3 },
            { start: 6, end: 11 },
        ]);
        expect(moved(words, before, before)).toBe(words);
        expect(moved(words, before, '')).toEqual([]);
    });

    it('leave no letter out and none twice', () => {
        const text = 'one two three';
        const all = pieces(text, [lit(0, 3), lit(2, 5), lit(8, 13), lit(12, 40)]);
        expect(all.map((p) => p.text).join('')).toBe(text);
        expect(all.filter((p) => p.lit).map((p) => p.text)).toEqual(['one', 'three']);
        expect(rowAt('a\nbc\nd', 3)).toBe('bc');
        expect(rowAt('a\nbc', 4)).toBe('bc');
    });
});
