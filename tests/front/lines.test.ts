import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import IngredientPick from '../../resources/js/places/formulas/IngredientPick.vue';
import LinesTable from '../../resources/js/places/formulas/LinesTable.vue';
import { useBench } from '../../resources/js/places/formulas/useBench';
import { notice } from '../../resources/js/ui/notice';
import { aBenchServer, later } from './api';
import { aFinding, aFormula, aJudgedLine, aLine, anAssessment, aPage, aRow } from './made';
import { by, click, fill, press, said, show, within } from './shown';

let server: ReturnType<typeof aBenchServer>;
beforeEach(() => {
    server = aBenchServer();
});

async function table(page = aPage()) {
    const { it: bench } = within(() => useBench(page));
    const shown = await show(LinesTable, { bench, lit: '' });
    return { bench, ...shown };
}
const names = (bench: ReturnType<typeof useBench>): string[] => bench.formula.value.lines.map((l) => l.name);

describe('the lines of a formula', () => {
    it('show grams and shares to one place, and 100.0 at the foot', async () => {
        const { wrapper } = await table();
        expect(said(wrapper)).toMatch(/Grams.*Share/);
        expect(by('tfoot tr:first-child', /Add a line/).textContent?.replaceAll(/\s+/g, ' ')).toContain('100.0 %');
        expect([...document.querySelectorAll('tbody tr')].map((r) => r.querySelector('td:nth-child(5)')?.textContent?.trim())).toEqual([
            '30.0 %',
            '60.0 %',
            '10.0 %',
        ]);
    });

    it('say "cannot tell" where a line could not be read, and why', async () => {
        await table(
            aPage({
                assessment: anAssessment({
                    lines: [
                        aJudgedLine('l1', 'Shea butter', 30, { problem: 'A dollop is no measure.', grams: null, share: null }),
                        aJudgedLine('l2', 'Jojoba', 70),
                    ],
                }),
            }),
        );
        const row = document.querySelector('[data-line=l1]');
        expect(row?.textContent).toContain('cannot tell');
        expect(by('input', 'Amount of Shea butter').getAttribute('aria-invalid')).toBe('true');
        expect(by('input', 'Amount of Shea butter').title).toBe('A dollop is no measure.');
    });

    it('mark the lines that a finding is about with its worst severity', async () => {
        await table(
            aPage({
                assessment: anAssessment({
                    findings: [
                        aFinding('load', { severity: 'stop', lines: ['l2'] }),
                        aFinding('smell', { severity: 'caution', lines: ['l2', 'l3'] }),
                        aFinding('hint', { severity: 'note', lines: ['l1'] }),
                    ],
                }),
            }),
        );
        const mark = (id: string): string => document.querySelector(`[data-line=${id}] td:last-child`)?.textContent?.trim() ?? '';
        expect(mark('l2')).toContain('stop');
        expect(mark('l3')).toContain('caution');
        expect(mark('l1')).not.toContain('note');
    });

    it('keep an amount just as it is written', async () => {
        const { bench } = await table();
        await fill('Amount of Jojoba', ' 2 heaped tbsp ');
        expect(bench.formula.value.lines[1]?.amount).toBe(' 2 heaped tbsp ');
    });

    it('a name that is typed over is no longer the ingredient it was', async () => {
        server.on('GET', '/api/ingredients', { items: [] });
        const { bench } = await table();
        await fill('Ingredient of line Jojoba', 'Joj');
        expect(bench.formula.value.lines[1]).toMatchObject({ name: 'Joj', ingredient: '' });
    });

    it('a chosen ingredient brings its usual form and phase', async () => {
        server.on('GET', '/api/ingredients', {
            items: [aRow('mango-butter', 'Mango butter', { usual_form: 'refined', usual_phase: 'melt' })],
        });
        const { bench } = await table();
        await fill('Ingredient of line Jojoba', 'mango');
        await press('Ingredient of line mango', 'Enter');
        expect(bench.formula.value.lines[1]).toMatchObject({
            ingredient: 'mango-butter',
            name: 'Mango butter',
            form: 'refined',
            phase: 'melt',
            amount: '60 g',
        });
    });

    it('Enter in an amount adds a line and goes to it; its id is never one that is taken', async () => {
        const { bench } = await table(
            aPage({ formula: aFormula({ lines: [aLine('l2', 'Jojoba'), aLine('l3', 'Beeswax'), aLine('l4', 'Castor')] }) }),
        );
        await press('Amount of Jojoba', 'Enter');
        const ids = bench.formula.value.lines.map((l) => l.id);
        expect(ids.slice(0, 3)).toEqual(['l2', 'l3', 'l4']);
        expect(new Set(ids).size).toBe(4);
        expect(document.activeElement?.closest('tr')?.dataset['line']).toBe(ids[3]);
    });

    it('Alt with the arrows moves a line and keeps the hand in it, up to the ends', async () => {
        const { bench } = await table();
        by('input', 'Amount of Beeswax').focus();
        await press('Amount of Beeswax', 'ArrowUp', { altKey: true });
        expect(names(bench)).toEqual(['Shea butter', 'Beeswax', 'Jojoba']);
        expect(document.activeElement?.getAttribute('aria-label')).toBe('Amount of Beeswax');
        await press('Amount of Beeswax', 'ArrowUp', { altKey: true });
        await press('Amount of Beeswax', 'ArrowUp', { altKey: true });
        expect(names(bench)).toEqual(['Beeswax', 'Shea butter', 'Jojoba']);
        await press('Amount of Beeswax', 'ArrowDown');
        expect(names(bench)).toEqual(['Beeswax', 'Shea butter', 'Jojoba']);
    });

    it('Alt with left and right lets a line go in earlier or later, up to the ends', async () => {
        const { bench } = await table();
        const phase = (): string | undefined => bench.formula.value.lines[1]?.phase;
        await press('Amount of Jojoba', 'ArrowRight', { altKey: true });
        expect(phase()).toBe('cool-down');
        for (let i = 0; i < 4; i++) await press('Amount of Jojoba', 'ArrowLeft', { altKey: true });
        expect(phase()).toBe('melt');
    });

    it('offer a choice of form only where there is one', async () => {
        const { bench } = await table(
            aPage({
                assessment: anAssessment({
                    lines: [
                        aJudgedLine('l1', 'Shea butter', 30, { forms: ['raw', 'refined'], form: 'raw' }),
                        aJudgedLine('l2', 'Jojoba', 70),
                    ],
                }),
            }),
        );
        expect(document.querySelectorAll('select[aria-label^="Form of"]')).toHaveLength(1);
        await fill('Form of Shea butter', 'refined');
        expect(bench.formula.value.lines[0]?.form).toBe('refined');
    });

    it('tell what the hand is over', async () => {
        const { wrapper } = await table();
        document.querySelector('[data-line=l2]')?.dispatchEvent(new Event('mouseenter'));
        document.querySelector('[data-line=l2]')?.dispatchEvent(new Event('mouseleave'));
        expect(wrapper.emitted('light')).toEqual([['l2'], ['']]);
    });
});

describe('what can be done with one line', () => {
    const open = (name: string): Promise<void> => click(`More for ${name}`);
    const item = (words: string | RegExp): Promise<void> => click(words, '[role=menuitem]');

    it('locks its share and lets it go', async () => {
        const { bench } = await table();
        await open('Jojoba');
        await item('Lock its share');
        expect(bench.formula.value.lines[1]?.locked).toBe(true);
        expect(document.querySelector('[data-line=l2]')?.textContent).toContain('locked');
        await open('Jojoba');
        await item('Let its share move');
        expect(bench.formula.value.lines[1]?.locked).toBe(false);
    });

    it('takes it out, and undo brings it back where it was', async () => {
        const { bench } = await table();
        await open('Jojoba');
        await item('Take out Jojoba');
        expect(names(bench)).toEqual(['Shea butter', 'Beeswax']);
        bench.undo();
        await flushPromises();
        expect(names(bench)).toEqual(['Shea butter', 'Jojoba', 'Beeswax']);
    });

    it('offers no stand-in for what is not placed', async () => {
        await table(aPage({ formula: aFormula({ lines: [aLine('l1', 'Mystery', '10 g', { ingredient: '' })] }) }));
        await open('Mystery');
        expect([...document.querySelectorAll('[role=menuitem]')].map((i) => i.textContent?.trim())).toEqual([
            'Lock its share',
            'Take out Mystery',
        ]);
    });

    it('shows stand-ins with what would change; the one taken is one step of undo', async () => {
        const swapped = aFormula({
            lines: [aLine('l1', 'Shea butter', '30 g'), aLine('l2', 'Sunflower oil', '60 g'), aLine('l3', 'Beeswax')],
        });
        server.on('POST', '/api/swap', {
            of: 'Jojoba',
            swaps: [
                {
                    id: 'sunflower',
                    name: 'Sunflower oil',
                    matter: 'liquid',
                    nearness: 0.914,
                    rebalanced: true,
                    words: ['Keeps 3 months less.', 'Lighter.'],
                    formula: swapped,
                    assessment: anAssessment(),
                },
            ],
        });
        const { bench } = await table();
        await open('Jojoba');
        await item('What could take its place');
        expect(server.to('/api/swap')[0]?.body).toMatchObject({ line: 'l2' });
        const row = by('li', /Sunflower oil/).textContent?.replaceAll(/\s+/g, ' ');
        expect(row).toContain('91 % alike, the others moved');
        expect(row).toContain('Keeps 3 months less. Lighter.');
        await click('Take Sunflower oil');
        expect(names(bench)).toEqual(['Shea butter', 'Sunflower oil', 'Beeswax']);
        notice.value?.undo?.();
        expect(names(bench)).toEqual(['Shea butter', 'Jojoba', 'Beeswax']);
    });

    it('says so when nothing is near enough', async () => {
        server.on('POST', '/api/swap', { of: 'Jojoba', swaps: [] });
        await table();
        await open('Jojoba');
        await item('What could take its place');
        expect(document.body.textContent).toContain('Nothing that is known does the same as it.');
    });
});

describe('a name that settles on an ingredient', () => {
    const pick = (more: Record<string, unknown> = {}) => show(IngredientPick, { name: '', label: 'Ingredient', placed: false, ...more });

    it('asks from the second letter on, and no more than the field can hold', async () => {
        server.on('GET', '/api/ingredients', { items: [] });
        await pick();
        await fill('Ingredient', 's');
        expect(server.to('/api/ingredients')).toHaveLength(0);
        await fill('Ingredient', 'x'.repeat(150));
        expect(server.to('/api/ingredients')[0]?.path).toBe(`/api/ingredients?q=${'x'.repeat(80)}`);
    });

    it('shows the answer to the last letters only', async () => {
        const slow = later<unknown>();
        const answers: unknown[] = [slow.promise, { items: [aRow('shea-butter', 'Shea butter')] }];
        server.on('GET', '/api/ingredients', () => answers.shift());
        await pick();
        await fill('Ingredient', 'sh');
        await fill('Ingredient', 'she');
        slow.settle({ items: [aRow('shikakai', 'Shikakai')] });
        await flushPromises();
        expect([...document.querySelectorAll('[role=option]')].map((o) => o.textContent)).toEqual([expect.stringContaining('Shea butter')]);
    });

    it('Enter takes the best match, and nothing where nothing matches', async () => {
        server.on('GET', '/api/ingredients', { items: [] });
        const { wrapper } = await pick();
        await fill('Ingredient', 'zzz');
        await press('Ingredient', 'Enter');
        expect(wrapper.emitted('choose')).toBeUndefined();
        server.on('GET', '/api/ingredients', { items: [aRow('a', 'First'), aRow('b', 'Second')] });
        await fill('Ingredient', 'fi');
        await press('Ingredient', 'Enter');
        expect(wrapper.emitted('choose')?.[0]).toEqual([expect.objectContaining({ id: 'a' })]);
    });

    it('keeps what is typed when the server is away', async () => {
        server.on('GET', '/api/ingredients', () => Promise.reject(new TypeError('refused')));
        const { wrapper } = await pick();
        await fill('Ingredient', 'shea');
        expect(wrapper.emitted('typed')?.at(-1)).toEqual(['shea']);
    });
});
