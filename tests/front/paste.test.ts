import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../resources/js/api/client';
import PastePlace from '../../resources/js/places/formulas/PastePlace.vue';
import { aServer } from './api';
import { aFormula, aJudgedLine, aLine, anAssessment, anEvaluation, aPage, band } from './made';
import { by, click, fill, said, show } from './shown';

let server: ReturnType<typeof aServer>;
beforeEach(() => {
    sessionStorage.clear();
    vi.useFakeTimers();
    server = aServer();
});
afterEach(() => vi.useRealTimers());

function aRead(text: string, name: string, more: Partial<Schemas['ReadLine']> = {}): Schemas['ReadLine'] {
    return {
        text,
        understood: 'yes',
        ingredient: name.toLowerCase().replaceAll(' ', '-'),
        name,
        written_name: name.toLowerCase(),
        amount: '2 tbsp',
        grams: band(28),
        basis: 'converted',
        form: null,
        doubts: {},
        alternatives: [],
        ...more,
    };
}

/** Pastes a text that the server reads as given; what it judges afterwards has no problem left. */
async function pasted(lines: Schemas['ReadLine'][], problems: string[], forWhom: Schemas['Reading']['for'] = null) {
    const formula = aFormula({
        audience: forWhom ? 'child-2-6' : 'adult-leave-on',
        lines: lines.map((l, i) => aLine(`l${i + 1}`, l.name, l.amount ?? '')),
    });
    const judged = (told: string[]) =>
        anAssessment({ lines: lines.map((l, i) => aJudgedLine(`l${i + 1}`, l.name, 50, { problem: told[i] ?? '' })) });
    server.on('POST', '/api/read', {
        reading: { title: 'Told', lines, steps: [], notes: [], for: forWhom },
        formula,
        assessment: judged(problems),
    });
    server.on('POST', '/api/evaluate', anEvaluation({ assessment: judged([]) }));
    const { wrapper } = await show(PastePlace);
    await fill(/recipe's text/, 'any');
    await vi.advanceTimersByTimeAsync(200);
    await flushPromises();
    return wrapper;
}
const sent = (): Schemas['Formula'] => (server.to('/api/evaluate').at(-1)?.body as { formula: Schemas['Formula'] }).formula;

describe('a pasted recipe', () => {
    it("keeps two ingredients of one row apart: an amount changed for one is not the other's", async () => {
        const row = '2 tbsp each: shea butter, olive oil';
        await pasted([aRead(row, 'Shea butter'), aRead(row, 'Olive oil')], []);
        await fill('Amount of Olive oil', '30 g');
        expect(sent().lines.map((l) => l.amount)).toEqual(['2 tbsp', '30 g']);
        expect((by('input', 'Amount of Shea butter') as HTMLInputElement).value).toBe('2 tbsp');
    });

    it('asks for an amount that nobody can tell, and is content when it is written', async () => {
        const why = '"a handful" is another amount in every hand.';
        const line = aRead('a handful of nettle', 'Nettle leaf', {
            understood: 'doubtful',
            amount: 'a handful',
            grams: null,
            doubts: { amount: why },
        });
        const wrapper = await pasted([line], [why]);
        expect(said(wrapper)).toContain(`${why} You wrote "a handful of nettle".`);
        expect(said(wrapper)).toContain('cannot tell');
        expect(said(wrapper)).toContain('1 of 1 lines to settle.');
        // The ingredient is no question, so none is put.
        expect(document.querySelector('[role=combobox]')).toBeNull();
        await fill('Amount of Nettle leaf', '12 g');
        expect(said(wrapper)).toContain('Every line was understood.');
        expect(said(wrapper)).not.toContain('cannot tell');
    });

    it('asks which ingredient first, and for its amount only then', async () => {
        const line = aRead('stick of zorblax', 'zorblax', {
            understood: 'no',
            ingredient: null,
            amount: '1 stick',
            grams: null,
            doubts: { ingredient: '"zorblax" is not in the catalogue.' },
            alternatives: [{ id: 'shea-butter', name: 'Shea butter', score: 0.5 }],
        });
        const wrapper = await pasted([line], ['"1 stick" is another amount in every hand.']);
        expect(said(wrapper)).toContain('"zorblax" is not in the catalogue.');
        expect(said(wrapper)).not.toContain('another amount in every hand');
        server.on('GET', '/api/ingredients', {
            items: [{ id: 'shea-butter', name: 'Shea butter', usual_form: '', usual_phase: 'melt' }],
        });
        server.on(
            'POST',
            '/api/evaluate',
            anEvaluation({
                assessment: anAssessment({
                    lines: [aJudgedLine('l1', 'Shea butter', 0, { problem: '"1 stick" is another amount in every hand.' })],
                }),
            }),
        );
        await click('Shea butter');
        expect(sent().lines[0]).toMatchObject({ ingredient: 'shea-butter', phase: 'melt' });
        expect(said(wrapper)).toContain('another amount in every hand');
        expect(said(wrapper)).toContain('1 of 1 lines to settle.');
    });

    it('says whom the text is for, and the maker may say otherwise; so it goes on the bench', async () => {
        const wrapper = await pasted([aRead('2 tbsp olive oil', 'Olive oil')], [], { audience: 'child-2-6', words: '5 yr old' });
        expect(said(wrapper)).toContain('It says "5 yr old".');
        const choice = by('select', /^For/) as HTMLSelectElement;
        expect(choice.value).toBe('child-2-6');
        await fill(/^For/, 'child-6-12');
        expect(sent().audience).toBe('child-6-12');
        server.on('POST', '/api/formulas', aPage());
        await click('Put it on the bench');
        expect((server.to('/api/formulas', 'POST')[0]?.body as { formula: Schemas['Formula'] }).formula.audience).toBe('child-6-12');
    });

    it('begins anew when it is cleared', async () => {
        const wrapper = await pasted([aRead('2 tbsp olive oil', 'Olive oil')], []);
        await fill('Amount of Olive oil', '30 g');
        await click('Clear');
        await vi.advanceTimersByTimeAsync(200);
        await flushPromises();
        expect(said(wrapper)).toContain('What was understood');
        await fill(/recipe's text/, 'again');
        await vi.advanceTimersByTimeAsync(200);
        await flushPromises();
        expect((by('input', 'Amount of Olive oil') as HTMLInputElement).value).toBe('2 tbsp');
    });
});
