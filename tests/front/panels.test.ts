import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../resources/js/api/client';
import BehaviourPanel from '../../resources/js/places/formulas/BehaviourPanel.vue';
import CostPanel from '../../resources/js/places/formulas/CostPanel.vue';
import DesignPanel from '../../resources/js/places/formulas/DesignPanel.vue';
import LoadPanel from '../../resources/js/places/formulas/LoadPanel.vue';
import FamilyPanel from '../../resources/js/places/formulas/FamilyPanel.vue';
import FindingsList from '../../resources/js/places/formulas/FindingsList.vue';
import NewFormula from '../../resources/js/places/formulas/NewFormula.vue';
import StockPanel from '../../resources/js/places/formulas/StockPanel.vue';
import { useBench } from '../../resources/js/places/formulas/useBench';
import VersionJars from '../../resources/js/places/formulas/VersionJars.vue';
import { notice } from '../../resources/js/ui/notice';
import { aBenchServer, later, Status } from './api';
import { aFinding, aFormula, aJudgedLine, anAssessment, anEvaluation, aPage, aVersion, band } from './made';
import { by, click, fill, pick, said, show, within } from './shown';

let server: ReturnType<typeof aBenchServer>;
beforeEach(() => {
    server = aBenchServer();
});
const bench = (page = aPage()) => within(() => useBench(page)).it;

describe('findings', () => {
    const cure: Schemas['Cure'] = { label: 'Take 6 drops instead of 20', change: { op: 'set-amounts', lines: { l2: '6 drops' } } };
    const load = aFinding('load', {
        severity: 'stop',
        lines: ['l2'],
        message: 'Strong oils are 3.1 %, at most 1 % for a child.',
        figures: {
            share: { ...band(3.1, 2.8, 3.4), label: 'share', unit: '%' },
            'weight-index': { ...band(3), label: 'weight index', unit: '' },
        },
        cures: [cure],
        acceptable: false,
    });
    const smell = aFinding('smell', { lines: ['l3'] });

    it('say when there are none', async () => {
        const { wrapper } = await show(FindingsList, { findings: [] });
        expect(said(wrapper)).toBe('Nothing speaks against it.');
    });

    it('show their sentence, the figures with their bands, and the page of the rule', async () => {
        const { wrapper } = await show(FindingsList, { findings: [load] });
        expect(said(wrapper)).toContain('Stop. Strong oils are 3.1 %, at most 1 % for a child.');
        expect(said(wrapper)).toContain('share, % 3.1, 2.8 to 3.4');
        expect(said(wrapper)).toContain('weight index 3');
        expect(by('details', /Rule/).querySelector('a')?.getAttribute('href')).toBe('/methods/load');
    });

    it('are grouped by what they are about, the group of the worst first', async () => {
        const { wrapper } = await show(FindingsList, {
            findings: [
                load,
                aFinding('water.free', { method: 'water' }),
                smell,
                aFinding('new', { method: 'unheard-of', severity: 'note' }),
            ],
        });
        expect(wrapper.findAll('h3').map((h) => h.text())).toEqual(['Strong oils', 'Water', 'Something else']);
        expect(wrapper.findAll('section').map((s) => s.findAll('li').length)).toEqual([2, 1, 1]);
    });

    it('a cure shows what it would do before it is done, and hands over the jar as it would be', async () => {
        const after = anAssessment({ findings: [aFinding('smell')], total_grams: band(98) });
        const preview = vi.fn(() => Promise.resolve(anEvaluation({ assessment: after })));
        const { wrapper } = await show(FindingsList, { findings: [load], preview });
        by('button', cure.label).dispatchEvent(new Event('focus'));
        await flushPromises();
        expect(preview).toHaveBeenCalledWith(cure.change);
        expect(said(wrapper)).toContain('Then: no stops, 1 caution, 98 g in all.');
        expect(wrapper.emitted('then')?.at(-1)).toEqual([after]);
        by('button', cure.label).dispatchEvent(new Event('blur'));
        expect(wrapper.emitted('then')?.at(-1)).toEqual([null]);
        await click(cure.label);
        expect(wrapper.emitted('cure')).toEqual([[cure.label, cure.change]]);
    });

    it('a preview that comes after the hand has gone is not shown', async () => {
        const slow = later<Schemas['Evaluation'] | null>();
        const { wrapper } = await show(FindingsList, { findings: [load], preview: () => slow.promise });
        by('button', cure.label).dispatchEvent(new Event('focus'));
        by('button', cure.label).dispatchEvent(new Event('blur'));
        slow.settle(anEvaluation());
        await flushPromises();
        expect(wrapper.emitted('then')).toEqual([[null]]);
    });

    it('can be accepted with a reason and not without; a stop that no reason outweighs cannot', async () => {
        const { wrapper } = await show(FindingsList, { findings: [load, smell], decides: true });
        expect(said(wrapper)).toContain('This cannot be accepted, only changed.');
        await click('Keep it anyway, and say why');
        await fill(/^Why you accept/, '   ');
        by('form', /Accept/).dispatchEvent(new Event('submit', { cancelable: true }));
        expect(wrapper.emitted('accept')).toBeUndefined();
        await fill(/^Why you accept/, ' Worn only at night ');
        by('form', /Accept/).dispatchEvent(new Event('submit', { cancelable: true }));
        expect(wrapper.emitted('accept')).toEqual([[smell, 'Worn only at night']]);
    });

    it('that are accepted say why, offer no cure, and can be opened again', async () => {
        const { wrapper } = await show(FindingsList, { findings: [{ ...smell, cures: [cure], accepted: 'Worn at night' }], decides: true });
        expect(said(wrapper)).toContain('Accepted.');
        expect(said(wrapper)).toContain('Because: Worn at night');
        expect(said(wrapper)).not.toContain(cure.label);
        await click('Open it again');
        expect(wrapper.emitted('reopen')).toHaveLength(1);
    });
});

describe('from the cupboard', () => {
    const row = (ingredient: string, name: string, needed: number, at_hand: number | null) => ({
        ingredient,
        name,
        needed,
        at_hand,
        short: at_hand === null ? null : Math.max(0, needed - at_hand),
        steeped: ingredient.startsWith('lot-'),
        left_of_largest: at_hand,
    });
    const stock = (more: object = {}) => ({
        largest_grams: 250,
        limiting: ['Shea butter'],
        unknown: ['Beeswax'],
        rows: [row('shea-butter', 'Shea butter', 30, 20), row('lot-4', 'Rosemary in jojoba', 60, 400), row('beeswax', 'Beeswax', 10, null)],
        ...more,
    });
    async function panel(answer = stock()) {
        server.on('POST', '/api/stock', () => answer);
        const it = bench();
        const shown = await show(StockPanel, { bench: it });
        await click(/From the cupboard/);
        return { bench: it, ...shown };
    }

    it('asks nothing until it is opened', async () => {
        await show(StockPanel, { bench: bench() });
        expect(server.calls).toHaveLength(0);
    });

    it('says the largest batch, what runs out first, what is short and what is not known', async () => {
        const { wrapper } = await panel();
        expect(said(wrapper)).toContain('Enough for 250 g. Shea butter runs out first. Not counted: Beeswax.');
        expect(by('tr', /^Shea/).textContent).toContain('10.0 g short');
        expect(by('tr', /^Beeswax/).textContent).toContain('cannot tell');
    });

    it('makes that much, which can be undone', async () => {
        const { bench: it } = await panel();
        await click('Make that much');
        expect(it.formula.value.size).toEqual({ mode: 'mass', grams: 250 });
        notice.value?.undo?.();
        expect(it.formula.value.size).toEqual({ mode: 'as-written' });
    });

    it('takes a new count, nought and "not known" too, and works it out anew', async () => {
        await panel();
        server.on('PUT', '/api/ingredients/shea-butter/cupboard', {});
        await fill('Grams of Shea butter there are', '500');
        await fill('Grams of Shea butter there are', '0');
        await fill('Grams of Shea butter there are', '');
        expect(server.to('/api/ingredients/shea-butter/cupboard').map((c) => c.body)).toEqual([
            { grams: 500 },
            { grams: 0 },
            { grams: null },
        ]);
        expect(server.to('/api/stock')).toHaveLength(4);
    });

    it('does not write over a count that is being typed when the answer to another comes', async () => {
        await panel();
        const slow = later<unknown>();
        server.on('PUT', '/api/ingredients/shea-butter/cupboard', () => slow.promise);
        server.on('PUT', '/api/ingredients/beeswax/cupboard', {});
        await fill('Grams of Shea butter there are', '500');
        const field = by('input', 'Grams of Beeswax there are') as HTMLInputElement;
        field.value = '4';
        field.dispatchEvent(new Event('input'));
        server.on('POST', '/api/stock', () =>
            stock({
                rows: [
                    row('shea-butter', 'Shea butter', 30, 500),
                    row('lot-4', 'Rosemary in jojoba', 60, 400),
                    row('beeswax', 'Beeswax', 10, 0),
                ],
            }),
        );
        slow.settle({});
        await flushPromises();
        expect((by('input', 'Grams of Shea butter there are') as HTMLInputElement).value).toBe('500');
        expect(field.value).toBe('4');
        field.dispatchEvent(new Event('blur'));
        await flushPromises();
        expect(server.to('/api/ingredients/beeswax/cupboard').map((c) => c.body)).toEqual([{ grams: 4 }]);
    });

    it('a steeped oil was weighed when it was strained: it is shown, not typed', async () => {
        await panel();
        expect(document.querySelector('[aria-label="Grams of Rosemary in jojoba there are"]')).toBeNull();
        expect(by('tr', /^Rosemary/).querySelector('.fig-measured')?.textContent).toBe('400');
    });

    it('says so when nothing can be made, when nobody counted, and when the formula is empty', async () => {
        const { wrapper } = await panel(stock({ largest_grams: 0 }));
        expect(said(wrapper)).toContain('Nothing can be made: Shea butter is not there.');
        wrapper.unmount();
        const second = await panel(stock({ largest_grams: null }));
        expect(said(second.wrapper)).toContain('Cannot tell how much it allows');
        second.wrapper.unmount();
        const third = await panel(stock({ rows: [] }));
        expect(said(third.wrapper)).toContain('Nothing is in it yet.');
    });
});

describe('versions as jars', () => {
    const versions = [
        aVersion(3, { changes: ['Jojoba 60 to 50 g.', 'Shea 30 to 40 g.', 'Beeswax 10 to 8 g.', 'Lavender added.', 'Title changed.'] }),
        aVersion(2, { note: 'Softer', changes: ['Beeswax 12 to 10 g.'] }),
        aVersion(1),
    ];

    it('stand in the order in which they were kept, with what was changed in between', async () => {
        const { wrapper } = await show(VersionJars, { id: 7, versions, now: [] });
        const words = said(wrapper);
        expect(words.indexOf('without a note')).toBeLessThan(words.indexOf('Softer'));
        expect(words).toContain('Beeswax 12 to 10 g.');
        expect(words).toContain('And 2 more.');
        expect(words.trim()).toMatch(/now$/);
    });

    it('bring back the one that is asked for, and lead to the comparison with it', async () => {
        const { wrapper } = await show(VersionJars, { id: 7, versions, now: [] });
        await click('Bring back version 2');
        expect(wrapper.emitted('back')).toEqual([[versions[1]]]);
        expect([...document.querySelectorAll('a')].map((a) => a.getAttribute('href'))).toContain('/formulas/compare?of=7,7.2');
    });
});

describe('variants', () => {
    const member = (id: number, title: string, waiting: string[] = []): Schemas['FamilyMember'] =>
        ({ id, title, waiting, stops: 0, cautions: 0, bands: [], texture: 'butter' }) as unknown as Schemas['FamilyMember'];
    const passed = (id: number, revision: number) => ({
        id,
        title: `Variant ${id}`,
        revision,
        changes: ['Jojoba 60 to 50 g.'],
        stops_before: 0,
        stops: id === 8 ? 1 : 0,
        cautions_before: 0,
        cautions: 0,
        before: aFormula({ title: `Variant ${id} before` }),
        head_id: null,
        hair: null,
    });

    it('of a base: what waits is passed on, what it did is said, and it is taken back variant by variant', async () => {
        server.on('GET', '/api/formulas/7/family', {
            base: null,
            variants: [member(8, 'Lavender', ['Jojoba 60 to 50 g.']), member(9, 'Mint', ['Jojoba 60 to 50 g.'])],
        });
        server.on('POST', '/api/formulas/7/family/pass', { passed: [passed(8, 4), passed(9, 6)] });
        const { wrapper } = await show(FamilyPanel, { bench: bench(), id: 7 });
        await click('Pass it on to 2 variants');
        expect(said(wrapper)).toContain('Variant 8. Jojoba 60 to 50 g. Now 1 stop.');
        expect(said(wrapper)).toContain('Variant 9. Jojoba 60 to 50 g. Nothing new speaks against it.');
        server.on('PUT', '/api/formulas/8', new Status(409, { message: 'It was changed since then.' }));
        server.on('PUT', '/api/formulas/9', () => aPage({ id: 9 }));
        notice.value?.undo?.();
        await flushPromises();
        expect(server.to('/api/formulas/9', 'PUT')[0]?.body).toMatchObject({ revision: 6, formula: { title: 'Variant 9 before' } });
        expect(notice.value).toMatchObject({ words: 'It was changed since then.', stop: true });
    });

    it('what waits is asked for again when a change of the base is saved', async () => {
        server.on('GET', '/api/formulas/7/family', { base: null, variants: [member(8, 'Lavender')] });
        const it = bench();
        const { wrapper } = await show(FamilyPanel, { bench: it, id: 7 });
        expect(said(wrapper)).not.toContain('Waiting');
        server.on('GET', '/api/formulas/7/family', { base: null, variants: [member(8, 'Lavender', ['Jojoba 60 to 50 g.'])] });
        it.edit('title', (draft) => (draft.title = 'Changed'));
        await it.flush();
        await flushPromises();
        expect(said(wrapper)).toContain('Waiting: Jojoba 60 to 50 g.');
        expect(by('button', 'Pass it on to the variant')).toBeTruthy();
    });

    it('are made from what is saved, under their own name', async () => {
        server.on('GET', '/api/formulas/7/family', { base: null, variants: [] });
        server.on('POST', '/api/formulas/7/variants', () => aPage({ id: 21 }));
        const it = bench();
        const { router } = await show(FamilyPanel, { bench: it, id: 7 });
        it.edit('title', (draft) => (draft.title = 'Just typed'));
        await fill('Name of the new variant', ' Evening oil, mint ');
        by('form', /Make a variant/).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
        const paths = server.calls.filter((c) => c.method !== 'GET' && c.path !== '/api/evaluate').map((c) => `${c.method} ${c.path}`);
        expect(paths.slice(0, 2)).toEqual(['PUT /api/formulas/7', 'POST /api/formulas/7/variants']);
        expect(server.to('/api/formulas/7/variants')[0]?.body).toEqual({ title: 'Evening oil, mint' });
        expect(router.currentRoute.value.path).toBe('/formulas/21');
    });

    it('a variant names its base, and can stand on its own', async () => {
        server.on('GET', '/api/formulas/7/family', { base: { id: 3, title: 'Base oil' }, variants: [member(7, 'This')] });
        server.on('POST', '/api/formulas/7/leave', {});
        const { wrapper } = await show(FamilyPanel, { bench: bench(), id: 7 });
        expect(said(wrapper)).toContain('Its base is Base oil.');
        expect(said(wrapper)).toContain('This (this one)');
        await click('Let it stand on its own');
        expect(server.to('/api/formulas/7/leave')).toHaveLength(1);
    });
});

describe('how it behaves', () => {
    const panel = async (more: Partial<Schemas['Assessment']>): Promise<string> =>
        said((await show(BehaviourPanel, { assessment: anAssessment(more), keeps: null })).wrapper);
    const shift = (factor: number, count: number): Schemas['Shift'] => ({ factor, count });

    it('says what the studio has learned and from how many findings, and nothing where nothing was learned', async () => {
        const learned = { family: 'whipped with wax', texture: shift(1.12, 3), overrun: shift(0.8, 1), life: shift(1, 0) };
        expect(await panel({ learned })).toContain(
            'Learned from your own batches how? (whipped with wax): effective solids +12 %, from 3 findings; air from whipping −20 %, from 1 finding.',
        );
        expect(await panel({})).not.toContain('Learned');
    });

    it.each([
        [8, 'liquid in the cold'],
        [null, 'not by 40 °C'],
        [33.6, 'about 34 °C'],
    ])('melted through at %d: %s', async (melts_at_c, words) => expect(await panel({ melts_at_c })).toContain(words));

    it('gives the window for whipping, or says that there is none', async () => {
        const school = { name: 'short', minutes: 5, overrun_percent: band(60, 40, 80), millilitres: band(180, 160, 200) };
        const whipping = { possible: true, coldest_c: 17.6, warmest_c: 23.2, schools: [school] };
        expect(await panel({ whipping })).toContain('Whip while the bowl is 18 to 23 °C.');
        expect(await panel({ whipping })).toContain('180 ml, 160 to 200; 60 % of air');
        expect(await panel({ whipping: { ...whipping, possible: false } })).toContain('At no bowl temperature');
    });

    it('says until when, made today, and nothing where it cannot be told', async () => {
        const keeps = { best_before: '2028-07-25', opened_months: 6, opened: '6 M', store: '' };
        const { wrapper } = await show(BehaviourPanel, { assessment: anAssessment(), keeps });
        expect(said(wrapper)).toContain('Made today, best before 25 July 2028 by the low end; once opened 6 months.');
        expect(await panel({})).not.toContain('Made today');
    });

    it('says "cannot tell" rather than a table of noughts', async () =>
        expect(await panel({ texture_known: false })).toContain(
            'Cannot tell: the solid-fat curve of a line is not known, or most of it is powder.',
        ));
});

describe('cost', () => {
    const priced = (more: Partial<Schemas['Cost']> = {}): Schemas['Cost'] => ({
        known: band(4.2, 4.1, 4.3),
        per_100g: 4.2,
        unpriced: ['Jojoba', 'Beeswax'],
        ...more,
    });
    type Row = Schemas['CostPlan']['rows'][number];
    const row = (ingredient: string, name: string, price_is: Row['price_is'] = 'said', more: Partial<Row> = {}): Row => ({
        line: `line of ${name}`,
        ingredient,
        name,
        grams: 10,
        price_per_kg: null,
        price_is,
        money: null,
        ...more,
    });
    const panel = (cost = priced()) => show(CostPanel, { bench: bench(aPage({ assessment: anAssessment({ cost }) })) });

    it('says that it is at least that while a price is missing', async () => {
        const { wrapper } = await panel();
        expect(said(wrapper)).toContain('At least 4.20 for the batch, 4.10 to 4.30; 4.20 for 100 g.');
        expect(said(wrapper)).toContain('2 lines have no price.');
    });

    it('cannot tell when no price is known', async () => {
        const { wrapper } = await panel(priced({ unpriced: ['Shea butter', 'Jojoba', 'Beeswax'] }));
        expect(said(wrapper)).toContain('Cannot tell: no price is known.');
    });

    it('keeps a price with where it comes from, and judges anew', async () => {
        server.on('PUT', '/api/ingredients/jojoba/figures', {});
        server.on('POST', '/api/cost', () => ({ rows: [row('jojoba', 'Jojoba'), row('beeswax', 'Beeswax')] }));
        const { wrapper } = await panel();
        await click(/Cost/);
        await wrapper.get('input[placeholder^="our price"]').setValue('receipt of October');
        await fill('Price of a kilogram of Jojoba', '38.5');
        expect(server.to('/api/ingredients/jojoba/figures')[0]?.body).toEqual({
            form: '',
            property: 'price_per_kg',
            low: 38.5,
            best: 38.5,
            high: 38.5,
            source: 'receipt of October',
        });
        expect(server.to('/api/evaluate')).toHaveLength(1);
        expect(server.to('/api/cost').length).toBeGreaterThan(1);
        await fill('Price of a kilogram of Beeswax', '');
        expect(server.to('/api/ingredients/beeswax/figures')).toHaveLength(0);
    });

    it('asks no price for what has one, or cannot have one', async () => {
        const paid = row('olive-oil', 'Olive oil', 'paid', { price_per_kg: 9, money: band(0.9) });
        server.on('POST', '/api/cost', () => ({
            rows: [row('lot-4', 'Rosemary oil', 'steeped'), row('', 'unicorn dust', 'unplaced'), paid],
        }));
        const { wrapper } = await panel();
        await click(/Cost/);
        for (const words of ['steeped here', 'not placed', '9.00, as the bottle cost', '0.90', 'cannot tell'])
            expect(said(wrapper)).toContain(words);
        expect(document.querySelector('input[aria-label^="Price"]')).toBeNull();
    });
});

describe('room for strong oils', () => {
    const oil = (line: string, name: string, more: object = {}) => ({
        line,
        name,
        percent: band(1, 0.8, 1.4),
        limit_percent: null,
        limit_reason: '',
        drops: 20,
        most_drops: 30,
        held_by: 'all scents together are over',
        ...more,
    });

    it('says how many drops there may be and what holds them; too many are brought down with one press', async () => {
        server.on('POST', '/api/load', {
            audience: 'Adult, stays in the hair',
            percent: band(1.5, 1.1, 2.3),
            ceiling: 2,
            oils: [
                oil('l1', 'Lavender'),
                oil('l2', 'Clove', { drops: 9, most_drops: 4, held_by: 'eugenol is over', limit_percent: 0.5 }),
                oil('l3', 'Sage', { most_drops: 0, held_by: 'not for children under 6' }),
                oil('l4', 'Rose', { drops: null, most_drops: 0 }),
                oil('l5', 'Pine', { most_drops: null, held_by: '' }),
            ],
            constituents: [
                { name: 'eugenol', percent: 0.8, limit_percent: 0.5, of_limit: 160, bearers: ['Clove', 'Basil steep'] },
                { name: 'citral', percent: 0.0031, limit_percent: 0.6, of_limit: 0.52, bearers: ['Rose'] },
            ],
        });
        const it = bench();
        const { wrapper } = await show(LoadPanel, { bench: it });
        expect(server.to('/api/load')).toHaveLength(0);
        await click(/Room for strong oils/);
        const words = said(wrapper);
        expect(words).toContain('30 drops, then all scents together are over');
        expect(words).toContain('4 drops, then eugenol is over');
        expect(words).toContain('none: not for children under 6');
        expect(words).toContain('none: all scents together are over');
        expect(words).toContain('more than anybody counts');
        expect(words).toMatch(/eugenol 0.8 0.5 160 % Clove, Basil steep/);
        expect(words).toMatch(/citral 0.0031 0.6 under 1 % Rose/);
        // Only what is over is offered to be changed.
        expect([...document.querySelectorAll('td button')].map((b) => b.textContent?.trim())).toEqual(['Put in 4 drops']);
        await click('Put in 4 drops');
        expect(it.formula.value.lines.find((l) => l.id === 'l2')?.amount).toBe('4 drops');
        it.undo();
        expect(it.formula.value.lines.find((l) => l.id === 'l2')?.amount).toBe('60 g');
    });
});

describe('design', () => {
    const demand = {
        kind: 'solids',
        words: 'effective solids at 25 °C',
        min: null,
        max: 18,
        of: '',
        at: 25,
    } as unknown as Schemas['ShownDemand'];
    const solved = (more: object = {}) => ({
        demands: [demand],
        answer: { status: 'optimal', binding: ['effective solids at 25 °C'], conflict: [], relax: [] },
        formula: aFormula({ title: 'Softer' }),
        assessment: anAssessment({
            texture_label: 'soft salve',
            lines: [aJudgedLine('l1', 'Shea butter', 20), aJudgedLine('l2', 'Jojoba', 80)],
        }),
        none: 'Nothing nearer to the present formula meets them.',
        simple: null,
        ...more,
    });
    const asked = (n: number) => server.to('/api/design')[n]?.body as Schemas['DesignAsk'];

    it('turns a wish into demands that are shown, and the answer stands beside the present jar', async () => {
        server.on('POST', '/api/design', () => solved());
        const { wrapper } = await show(DesignPanel, { bench: bench() });
        await click('Softer');
        expect(server.to('/api/design')[0]?.body).toMatchObject({ wishes: [{ kind: 'softer', of: '' }], demands: null });
        expect(said(wrapper)).toContain('What binds: effective solids at 25 °C.');
        expect(by('tr', /^Jojoba/).textContent).toMatch(/60\s*%\s*80\s*%/);
        expect(by('tr', /^Texture/).textContent).toMatch(/butter\s*soft salve/);
    });

    it('edited demands are sent as they were edited; a field that holds no number is no bound', async () => {
        server.on('POST', '/api/design', () => solved());
        await show(DesignPanel, { bench: bench() });
        await click('Softer');
        await fill(/: at most/, '15');
        await fill(/: at least/, 'some');
        by('form', /Asked of it/).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
        expect(server.to('/api/design')[1]?.body).toMatchObject({ demands: [{ kind: 'solids', min: null, max: 15, at: 25 }] });
    });

    it('says what contradicts each other and the least that would make it possible', async () => {
        server.on('POST', '/api/design', () =>
            solved({
                answer: {
                    status: 'impossible',
                    binding: [],
                    conflict: ['solids at most 2', 'beeswax locked at 10'],
                    relax: [{ demand: 'solids', to: 9 }],
                },
                formula: null,
                assessment: null,
            }),
        );
        const { wrapper } = await show(DesignPanel, { bench: bench() });
        await click('Softer');
        expect(said(wrapper)).toContain('These cannot be met together: solids at most 2; beeswax locked at 10.');
        expect(said(wrapper)).toContain('It would be possible if "solids" were 9.');
        expect(document.body.textContent).not.toContain('Open it');
    });

    it('goes on the bench as a new version, the old one kept before it', async () => {
        server.on('POST', '/api/design', () => solved());
        server.on('POST', '/api/formulas/7/versions', () => aPage({ versions: [aVersion(1)] }));
        const it = bench();
        await show(DesignPanel, { bench: it });
        await click('Softer');
        await click('Open it as a new version');
        await flushPromises();
        expect(server.to('/api/formulas/7/versions').map((c) => (c.body as { note: string }).note)).toEqual(['Before: softer', 'softer']);
        expect(it.formula.value.title).toBe('Softer');
    });

    it('is the best by what the maker says, and of no more ingredients than she says', async () => {
        server.on('POST', '/api/design', () => solved({ none: 'Nothing cheaper meets them.' }));
        const { wrapper } = await show(DesignPanel, { bench: bench() });
        await fill(/^Best is/, 'cheapest');
        expect(asked(0)).toMatchObject({ wishes: [], demands: null, goals: ['cheapest'], most_ingredients: null });
        expect(said(wrapper)).toContain('Nothing cheaper meets them.');
        await fill(/^then/, 'service');
        await fill(/^of at most/, '4');
        expect(asked(2)).toMatchObject({ demands: [{ kind: 'solids', max: 18 }], goals: ['cheapest', 'service'], most_ingredients: 4 });
    });

    it("is asked for a figure of the maker's own, which waits for its number and outlives a wish", async () => {
        server.on('POST', '/api/design', (call: { body: Schemas['DesignAsk'] }) =>
            solved({
                demands: (call.body.demands ?? [demand]).map((d) => ({ ...demand, ...d, words: `${d.kind} of ${d.of}` })),
            }),
        );
        await show(DesignPanel, { bench: bench() });
        await fill('Also ask for', 'need sealing');
        expect(server.to('/api/design')).toHaveLength(0);
        expect(document.activeElement?.getAttribute('aria-label')).toBe('points for sealing in moisture: at least');
        await fill('points for sealing in moisture: at least', '12');
        by('form', /Asked of it/).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
        expect(asked(0).serves).toEqual(['sealing']);
        expect(asked(0).demands).toEqual([{ kind: 'need', of: 'sealing', at: 25, min: 12, max: null }]);
        await click('Softer');
        // First what the wish asks for, then that and what was asked for before.
        expect(asked(1).demands).toBeNull();
        expect(asked(2).demands?.map((d) => d.kind)).toEqual(['solids', 'need']);
        await click('Drop: need of sealing');
        expect(asked(3).demands?.map((d) => d.kind)).toEqual(['solids']);
    });

    it('says when the present formula is the answer, and offers nothing to take', async () => {
        server.on('POST', '/api/design', () => solved({ assessment: anAssessment() }));
        const { wrapper } = await show(DesignPanel, { bench: bench() });
        await click('Only from my cupboard');
        expect(said(wrapper)).toContain('The present formula meets this already: nothing changes.');
        expect(said(wrapper)).not.toContain('Open it');
    });

    it('shows about the same in simple parts, and takes them when they are chosen', async () => {
        const simple = {
            words: '1 shea butter, 3 jojoba',
            formula: aFormula({ title: 'In parts' }),
            assessment: anAssessment({ lines: [aJudgedLine('l1', 'Shea butter', 25), aJudgedLine('l2', 'Jojoba', 75)] }),
        };
        server.on('POST', '/api/design', () => solved({ simple }));
        server.on('POST', '/api/formulas/7/versions', () => aPage({ versions: [aVersion(1)] }));
        const it = bench();
        const { wrapper } = await show(DesignPanel, { bench: it });
        await click('Softer');
        expect(said(wrapper)).toContain('Nearly the same in parts: 1 shea butter, 3 jojoba');
        expect(by('tr', /^Jojoba/).textContent).toMatch(/60\s*%\s*80\s*%/);
        await click('In parts instead');
        expect(by('tr', /^Jojoba/).textContent).toMatch(/60\s*%\s*75\s*%/);
        await click('Open it as a new version');
        await flushPromises();
        expect(it.formula.value.title).toBe('In parts');
    });

    it('a wish taken back leaves no answer to a question that nobody asks', async () => {
        server.on('POST', '/api/design', () => solved());
        const { wrapper } = await show(DesignPanel, { bench: bench() });
        await click('Softer');
        await click('Softer');
        expect(said(wrapper)).not.toContain('Asked of it');
    });
});

describe('beginning a formula', () => {
    beforeEach(() => {
        server.on('GET', '/api/heads', { items: [{ id: 4, name: 'Ada' }] });
        server.on('GET', '/api/lots', {
            items: [
                { id: 1, ingredient: 'lot-1', name: 'Rosemary in jojoba', grams: 180.4, withdrawn: '' },
                { id: 2, ingredient: 'lot-2', name: 'Spoiled', grams: 90, withdrawn: 'Smells rancid' },
            ],
        });
        server.on('GET', '/api/formulas', { items: [{ id: 9, title: 'Cloud butter' }], next: null });
        server.on('POST', '/api/formulas/skeleton', () => aPage({ id: 30 }));
        server.on('POST', '/api/formulas', () => aPage({ id: 31 }));
    });
    const submit = async (words: RegExp): Promise<void> => {
        by('form', words).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
    };

    it('from what it should be, for a type of hair', async () => {
        const { router } = await show(NewFormula);
        await submit(/Start from this basic recipe/);
        expect(server.to('/api/formulas/skeleton')[0]?.body).toEqual({
            kind: 'whipped-butter',
            hair: { strand: 'medium', porosity: 'normal' },
            ingredients: [],
        });
        expect(router.currentRoute.value.path).toBe('/formulas/30');
    });

    it('around a steeped oil, never one that was withdrawn', async () => {
        await show(NewFormula, {}, '/formulas/new?steep=lot-1');
        expect(by('select', 'Steeped oil').textContent).not.toContain('Spoiled');
        await submit(/Build around it/);
        expect(server.to('/api/formulas/skeleton')[0]?.body).toMatchObject({ ingredients: ['lot-1'] });
    });

    it('as a copy of another, under its own name', async () => {
        server.on('GET', '/api/formulas/9', () => aPage({ id: 9, head_id: 4, formula: aFormula({ title: 'Cloud butter' }) }));
        await show(NewFormula);
        await pick('Formula to copy', 'Cloud butter');
        await submit(/Copy it/);
        expect(server.to('/api/formulas', 'POST')[0]?.body).toMatchObject({ formula: { title: 'Cloud butter, another' }, head_id: 4 });
    });

    it('from nothing: one empty line; two presses begin one formula', async () => {
        const slow = later<unknown>();
        server.on('POST', '/api/formulas', () => slow.promise);
        const { router } = await show(NewFormula);
        by('button', 'An empty bench').click();
        by('button', 'An empty bench').click();
        slow.settle(aPage({ id: 31 }));
        await flushPromises();
        expect(server.to('/api/formulas', 'POST')).toHaveLength(1);
        expect(server.to('/api/formulas', 'POST')[0]?.body).toMatchObject({ formula: { lines: [{ name: '', amount: '' }] } });
        expect(router.currentRoute.value.path).toBe('/formulas/31');
    });

    it('says why it could not, and stays', async () => {
        server.on('POST', '/api/formulas/skeleton', new Status(422, { message: 'No oil of the catalogue suits that.' }));
        const { router } = await show(NewFormula, {}, '/formulas/new');
        await submit(/Start from this basic recipe/);
        expect(notice.value?.words).toBe('No oil of the catalogue suits that.');
        expect(router.currentRoute.value.path).toBe('/formulas/new');
    });
});
