import { flushPromises } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Schemas } from '../../resources/js/api/client';
import CompareFormulas from '../../resources/js/places/formulas/CompareFormulas.vue';
import { useBench } from '../../resources/js/places/formulas/useBench';
import WaterPanel from '../../resources/js/places/formulas/WaterPanel.vue';
import WithoutScale from '../../resources/js/places/formulas/WithoutScale.vue';
import CrownMap from '../../resources/js/places/heads/CrownMap.vue';
import SignIn from '../../resources/js/places/studio/SignIn.vue';
import { router } from '../../resources/js/router';
import { useSession } from '../../resources/js/ui/session';
import { aBenchServer, Status } from './api';
import { aChangedDraft, aFinding, aFormula, anAssessment, aPage, aVersion, band } from './made';
import { by, click, pick, said, show, within } from './shown';

let server: ReturnType<typeof aBenchServer>;
beforeEach(() => {
    server = aBenchServer();
});
const bench = (page = aPage()) => within(() => useBench(page)).it;

describe('the scalp from above', () => {
    const mark = (id: number, zone: string, state: string, on: string) => ({ id, zone, state, on, note: '' }) as Schemas['HeadMark'];
    const map = (marks: Schemas['HeadMark'][]) => show(CrownMap, { head: { marks } as unknown as Schemas['Head'], today: '2026-11-25' });

    it('is read out zone by zone, and a zone shows what was marked last', async () => {
        await map([mark(1, 'crown', 'dry', '2026-11-01'), mark(2, 'crown', 'flaking', '2026-11-20')]);
        expect(by('svg', /^The scalp from above/).getAttribute('aria-label')).toContain('crown flaking');
        expect(by('[role=button]', 'crown: flaking')).toBeTruthy();
        expect(by('[role=button]', 'nape: not known')).toBeTruthy();
    });

    it('turns back to how it was on an earlier day, and to now when something is marked', async () => {
        const { wrapper } = await map([mark(1, 'crown', 'dry', '2026-11-01'), mark(2, 'crown', 'flaking', '2026-11-20')]);
        await click('1 Nov');
        expect(by('[role=button]', 'crown: dry')).toBeTruthy();
        by('[role=button]', 'crown: dry').dispatchEvent(new Event('click'));
        await flushPromises();
        await click('calm');
        expect(wrapper.emitted('mark')).toEqual([['crown', 'calm']]);
        expect(by('[role=button]', 'crown: flaking')).toBeTruthy();
    });

    it('is worked by keyboard, and a mark can be taken back', async () => {
        const { wrapper } = await map([mark(7, 'nape', 'itchy', '2026-11-20')]);
        by('[role=button]', 'nape: itchy').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        await flushPromises();
        expect(said(wrapper)).toContain('20 Nov: itchy');
        await click('take back');
        expect(wrapper.emitted('unmark')).toEqual([[7]]);
    });
});

describe('water and preservation', () => {
    const choice = (id: string, fits: boolean, against: string[] = []): Schemas['WaterPlan']['choices'][number] => ({
        id,
        name: `Preservative ${id}`,
        fits,
        against,
        dose_percent: 0.9,
        grams: 0.9,
        grams_on_base: 0.89,
        range_percent: null,
        law_percent: 1,
        ph: band(5, 3, 8),
        most_celsius: 45,
    });

    it('says which line brings it, what may be done, and what fits; adding is a cure that can be undone', async () => {
        server.on('POST', '/api/water', {
            class: 'E',
            label: 'emulsion',
            percent: band(74, 73, 75),
            bearers: [{ line: 'l1', name: 'Water', percent: band(74, 73, 75) }],
            emulsifier_percent: 6,
            next: ['Preserve it.'],
            choices: [choice('a', true), choice('b', false, ['does not reach moulds'])],
        });
        server.on('POST', '/api/cure', () => aChangedDraft(aFormula({ title: 'Preserved' })));
        const it = bench();
        const { wrapper } = await show(WaterPanel, { bench: it });
        await click(/Water and preservation/);
        expect(said(wrapper)).toContain('emulsion (E). Water in the finished mass: 74 %, 73 to 75.');
        expect(said(wrapper)).toContain('does not reach moulds');
        expect(document.querySelectorAll('button[aria-label^="Add"]')).toHaveLength(1);
        await click('Add Preservative a');
        expect(server.to('/api/cure')[0]?.body).toMatchObject({ change: { op: 'add-line', ingredient: 'a', amount: '0.9 %' } });
        expect(it.formula.value.title).toBe('Preserved');
        it.undo();
        expect(it.formula.value.title).toBe('Evening oil');
    });
});

describe('without a scale', () => {
    const answer = (more: object = {}) => ({
        rows: [
            { line: 'l1', name: 'Shea butter', grams: 30, ounces: 1.058, measure: '2 tbsp', percent_now: 30, percent_then: 28.4 },
            { line: 'l3', name: 'Beeswax', grams: 10, ounces: 0.353, measure: '', percent_now: 10, percent_then: 10 },
        ],
        formula: aFormula({ title: 'In spoons' }),
        assessment: anAssessment({ total_grams: band(98, 90, 107), findings: [aFinding('slump'), aFinding('hint', { severity: 'note' })] }),
        strip: [],
        strip_problem: '',
        ...more,
    });

    it('shows grams, ounces and the nearest measure side by side, and what the rounding does', async () => {
        server.on('POST', '/api/without-scale', () => answer());
        const { wrapper } = await show(WithoutScale, { bench: bench() });
        await click(/Without a scale/);
        expect(said(by('tr', /^Shea/))).toBe('Shea butter 2 tbsp 30.0 1.06 30.0 % 28.4 %');
        expect(said(by('tr', /^Beeswax/))).toContain('cannot tell: weigh it');
        expect(said(wrapper)).toContain('it comes to 98 g, 90 to 107,');
        expect(said(wrapper)).toContain('Something about slump.');
        expect(said(wrapper)).not.toContain('Something about hint.');
    });

    it('writes the formula so, which is one step of undo', async () => {
        server.on('POST', '/api/without-scale', () => answer());
        const it = bench();
        await show(WithoutScale, { bench: it });
        await click(/Without a scale/);
        await click('Write the formula in these measures');
        expect(it.formula.value.title).toBe('In spoons');
        it.undo();
        expect(it.formula.value.title).toBe('Evening oil');
    });

    it('draws a strip for the bottle whose width is given, to scale', async () => {
        server.on('POST', '/api/without-scale', (call: { body: unknown }) =>
            answer(
                (call.body as { bottle_mm: number | null }).bottle_mm === 38
                    ? { strip: [{ line: 'l1', name: 'Jojoba', from_mm: 0, to_mm: 40.2, drops: false }] }
                    : {},
            ),
        );
        const { wrapper } = await show(WithoutScale, { bench: bench() });
        await click(/Without a scale/);
        expect(said(wrapper)).toContain('Give the width');
        await wrapper.get('input[placeholder="38"]').setValue('38');
        await flushPromises();
        const strip = by('svg', /^Fill strip/);
        expect(strip.getAttribute('aria-label')).toBe('Fill strip. Jojoba to 40.2 mm.');
        expect(strip.style.height).toBe('47mm');
    });
});

describe('formulas side by side', () => {
    beforeEach(() => {
        server.on('GET', '/api/formulas', { items: [{ id: 9, title: 'Cloud butter' }], next: null });
        server.on('GET', '/api/formulas/7', () => aPage({ versions: [aVersion(2, { formula: aFormula({ title: 'As it was' }) })] }));
        server.on('GET', '/api/formulas/9', () => aPage({ id: 9, formula: aFormula({ title: 'Cloud butter' }) }));
    });

    it('takes versions too, leaves out what is not there, and no more than four', async () => {
        const { wrapper } = await show(CompareFormulas, {}, '/formulas/compare?of=7,7.2,7.99,nonsense,7');
        const names = wrapper.findAll('a').map((a) => a.text());
        expect(names).toContain('Evening oil');
        expect(names).toContain('As it was, version 2');
        expect(server.to('/api/evaluate')).toHaveLength(1);
        expect(server.to('/api/formulas/7', 'GET')).toHaveLength(1);
    });

    it('what is put beside them goes into the address, so that it can be kept and sent', async () => {
        const { router: at } = await show(CompareFormulas, {}, '/formulas/compare?of=7');
        await pick('Put beside them', 'Cloud butter');
        expect(at.currentRoute.value.query['of']).toBe('7,9');
    });
});

describe('who may come in', () => {
    const out = { signed_in: false, demo: true, can_open: false, user: null, studio: null, sources: {} };
    const inside = {
        ...out,
        signed_in: true,
        user: { name: 'Ada', email: 'ada', role: 'owner', rights: ['help', 'make', 'own'] },
        studio: { name: 'Loft', demo: true, set_up: true, time_zone: 'UTC', decimal_comma: false },
    };

    it('signs in, and goes on to where the hand was going', async () => {
        server.on('GET', '/api/session', out);
        server.on('POST', '/api/demo', inside);
        const { router: at } = await show(SignIn, {}, '/sign-in?to=/steeps/3');
        await click('Enter the demo studio');
        expect(at.currentRoute.value.path).toBe('/steeps/3');
    });

    it.each(['//elsewhere.example', 'https://elsewhere.example'])('is not led out of the application by %s', async (to) => {
        server.on('GET', '/api/session', out);
        server.on('POST', '/api/demo', inside);
        const { router: at } = await show(SignIn, {}, `/sign-in?to=${encodeURIComponent(to)}`);
        await click('Enter the demo studio');
        expect(at.currentRoute.value.path).toBe('/');
    });

    it('says why not, and keeps the address that was typed', async () => {
        server.on('GET', '/api/session', out);
        server.on(
            'POST',
            '/api/sign-in',
            new Status(422, { message: 'No.', errors: { email: ['This address and password do not belong together.'] } }),
        );
        const { wrapper } = await show(SignIn);
        await wrapper.get('input[autocomplete=username]').setValue('ada@loft.example');
        await wrapper.get('input[type=password]').setValue('wrong');
        by('form', /Sign in/).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
        expect(wrapper.get('[role=alert]').text()).toContain('do not belong together');
        expect(wrapper.get<HTMLInputElement>('input[autocomplete=username]').element.value).toBe('ada@loft.example');
    });

    it('asks a new studio what it measures with before anything else', async () => {
        server.on('GET', '/api/session', { ...out, can_open: true });
        server.on('POST', '/api/sign-in', { ...inside, studio: { ...inside.studio, demo: false, set_up: false } });
        const { router: at } = await show(SignIn, {}, '/sign-in?to=/steeps/3');
        expect(said(document.body)).toContain('Open a studio');
        by('form', /Sign in/).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
        expect(at.currentRoute.value).toMatchObject({ path: '/set-up', query: { to: '/steeps/3' } });
    });

    it('puts down what was taken along from the demo studio', async () => {
        sessionStorage.setItem('carried', JSON.stringify({ kind: 'formula', body: { formula: { title: 'Mine' }, head_id: null } }));
        server.on('GET', '/api/session', out);
        server.on('POST', '/api/sign-in', { ...inside, studio: { ...inside.studio, demo: false } });
        server.on('POST', '/api/formulas', { id: 12 });
        const { router: at } = await show(SignIn, {}, '/sign-in');
        by('form', /Sign in/).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
        expect(server.to('/api/formulas', 'POST')[0]?.body).toMatchObject({ formula: { title: 'Mine' } });
        expect(at.currentRoute.value.path).toBe('/formulas/12');
        expect(sessionStorage.getItem('carried')).toBeNull();
    });

    it('leads a helper to nothing that she does not do', async () => {
        setActivePinia(createPinia());
        useSession().set({ ...inside, user: { ...inside.user, role: 'helper', rights: ['help'] } } as Schemas['Session']);
        for (const [to, name] of [
            ['/formulas', 'today'],
            ['/steeps', 'steeps'],
            ['/steeps/start', 'today'],
            ['/make/3', 'batch'],
        ]) {
            await router.push(String(to));
            expect(router.currentRoute.value.name).toBe(name);
        }
    });

    it('who is not signed in is asked to, and remembered where to', async () => {
        setActivePinia(createPinia());
        server.on('GET', '/api/session', out);
        await router.push('/methods/texture');
        expect(router.currentRoute.value).toMatchObject({ name: 'sign-in', query: { to: '/methods/texture' } });
        useSession().set(inside as Schemas['Session']);
        await router.push('/methods/texture');
        expect(router.currentRoute.value.name).toBe('method');
        expect(document.title).toBe('How it is worked out · Honest Crown');
        await router.push('/sign-in');
        expect(router.currentRoute.value.name).toBe('today');
    });

    it.each([
        ['/formulas/12', 'formula'],
        ['/formulas/new', 'new-formula'],
        ['/formulas/nonsense', 'nowhere'],
        ['/pantry/own/new', 'own-ingredient'],
        ['/methods', 'method'],
    ])('%s is %s', (path, name) => expect(router.resolve(path).name).toBe(name));
});
