import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { defineComponent, h, ref } from 'vue';
import HeadsPlace from '../../resources/js/places/heads/HeadsPlace.vue';
import MakePlace from '../../resources/js/places/make/MakePlace.vue';
import PantryPlace from '../../resources/js/places/pantry/PantryPlace.vue';
import RhythmPlace from '../../resources/js/places/rhythm/RhythmPlace.vue';
import { notice } from '../../resources/js/ui/notice';
import PickOne from '../../resources/js/ui/PickOne.vue';
import { FORMULAS, HEADS } from '../../resources/js/queries/lists';
import { useEvery } from '../../resources/js/ui/useList';
import { aServer, later, Status, type Call } from './api';
import { aLot } from './made';
import { by, click, pick, press, said, show } from './shown';

let server: ReturnType<typeof aServer>;
const asked = (call: Call): URLSearchParams => new URLSearchParams(call.path.split('?')[1] ?? '');
const aHead = (id: number, name: string) => ({
    id,
    name,
    strand: 'coarse',
    porosity: 'high',
    scalp: 'dry',
    audience: 'adult-leave-on',
    allergies: [],
    weight_lengths: { low: 3, best: 3.5, high: 4 },
});
const aBatch = (id: number, title: string) => ({
    id,
    title,
    lot_code: `L-${id}`,
    kind: 'balm',
    state: 'done',
    made_on: '2026-11-01',
    by: 'Amara',
    jars: 2,
    net_grams: 50,
    best_before: '2027-05-01',
});

beforeEach(() => {
    document.cookie = 'XSRF-TOKEN=here';
    notice.value = null;
    server = aServer();
});

describe('a list that can grow', () => {
    it('shows the next page under the one before, and stops offering at the last', async () => {
        server.on('GET', '/api/heads', (call: Call) =>
            asked(call).get('cursor') === 'two' ? { items: [aHead(2, 'Zola')], next: null } : { items: [aHead(1, 'Imani')], next: 'two' },
        );
        const { wrapper } = await show(HeadsPlace);
        expect(said(wrapper)).not.toContain('Zola');
        await click('Show more');
        expect(wrapper.findAll('li a').map((a) => a.get('.font-head').text())).toEqual(['Imani', 'Zola']);
        expect(said(wrapper)).not.toContain('Show more');
    });

    it('is looked through on the server once it is long, and says when nothing is found', async () => {
        const many = Array.from({ length: 13 }, (_, n) => aBatch(n + 1, `Balm ${n + 1}`));
        server.on('GET', '/api/batches', (call: Call) => {
            const q = asked(call).get('q') ?? '';
            return { items: many.filter((b) => b.title.includes(q)), next: null };
        });
        const { wrapper } = await show(MakePlace);
        const field = by('input', /^Find/) as HTMLInputElement;
        const write = async (text: string): Promise<void> => {
            field.value = text;
            field.dispatchEvent(new Event('input'));
            await flushPromises();
        };
        await write('13');
        expect(wrapper.findAll('li a')).toHaveLength(1);
        await write('nothing so called');
        expect(said(wrapper)).toContain('No batch has "nothing so called" in its title or lot.');
        expect(said(wrapper)).not.toContain('Nothing has been made yet');
        await click('Show all');
        expect(wrapper.findAll('li a')).toHaveLength(13);
    });

    it('goes on by itself while nothing is found and there is more to look through', async () => {
        server.on('GET', '/api/heads', (call: Call) => {
            const page = Number(asked(call).get('cursor') ?? '0');
            return { items: page < 3 ? [] : [aHead(9, 'Far back')], next: page < 4 ? String(page + 1) : null };
        });
        const { wrapper } = await show(HeadsPlace);
        for (let n = 0; n < 4; n++) {
            expect(said(wrapper)).not.toContain('A head is a person');
            await flushPromises();
        }
        expect(said(wrapper)).toContain('Far back');
        expect(server.to('/api/heads').map((c) => asked(c).get('cursor'))).toEqual(['', '1', '2', '3']);
        expect(said(wrapper)).toContain('Show more');
    });

    it('is fetched whole where one of few is chosen', async () => {
        server.on('GET', '/api/heads', (call: Call) => {
            const page = Number(asked(call).get('cursor') ?? '0');
            return { items: [aHead(page, `Head ${page}`)], next: page < 3 ? String(page + 1) : null };
        });
        const { wrapper } = await show(
            defineComponent(() => {
                const heads = useEvery(HEADS);
                return () => h('p', heads.value.map((one) => one.name).join(', '));
            }),
        );
        expect(said(wrapper)).toBe('Head 0, Head 1, Head 2, Head 3');
    });
});

describe('one of many', () => {
    const chosen = ref<{ token: string; name: string } | null>(null);
    const Picker = defineComponent(
        () => () =>
            h(PickOne as never, {
                modelValue: chosen.value,
                'onUpdate:modelValue': (one: typeof chosen.value) => (chosen.value = one),
                list: FORMULAS,
                label: 'Which',
                placeholder: '…',
                say: (row: { title: string }) => row.title,
                before: [{ token: '7.2', name: 'Evening oil, version 2' }],
                without: ['8'],
            }),
    );
    const options = (): string[] => [...document.querySelectorAll('[role=option]')].map((o) => o.textContent ?? '');

    beforeEach(() => {
        chosen.value = null;
        server.on('GET', '/api/formulas', (call: Call) => ({
            items: [
                { id: 7, title: 'Evening oil' },
                { id: 8, title: 'Cloud butter' },
                { id: 9, title: 'Scalp oil' },
            ].filter((f) => f.title.toLowerCase().includes((asked(call).get('q') ?? '').toLowerCase())),
            next: null,
        }));
    });

    it('offers the latest, what belongs to the place first, without what is there already', async () => {
        await show(Picker);
        by('input', 'Which').focus();
        await flushPromises();
        by('input', 'Which').click();
        await flushPromises();
        expect(options()).toEqual(['Evening oil, version 2', 'Evening oil', 'Scalp oil']);
        await press('Which', 'Escape');
        expect(options()).toEqual([]);
    });

    it('what is typed is looked for among all of them, and what is taken stands in the field', async () => {
        await show(Picker);
        await pick('Which', 'Scalp oil', 'scalp');
        expect(server.to('/api/formulas').map((c) => asked(c).get('q'))).toContain('scalp');
        expect(chosen.value).toEqual({ token: '9', name: 'Scalp oil' });
        expect((by('input', 'Which') as HTMLInputElement).value).toBe('Scalp oil');
    });

    it('is looked for further back while nothing is found', async () => {
        server.on('GET', '/api/formulas', (call: Call) =>
            asked(call).get('cursor') === 'back' ? { items: [{ id: 3, title: 'Old oil' }], next: null } : { items: [], next: 'back' },
        );
        await show(Picker);
        await pick('Which', 'Old oil', 'old');
        expect(chosen.value).toEqual({ token: '3', name: 'Old oil' });
    });

    it('says when there is none, and why it cannot tell', async () => {
        await show(Picker);
        const field = by('input', 'Which') as HTMLInputElement;
        field.focus();
        field.value = 'xyz';
        field.dispatchEvent(new Event('input', { bubbles: true }));
        await flushPromises();
        expect(said(by('[role=listbox]', /Nothing/))).toBe('Nothing is found by that.');
        const slow = later<unknown>();
        server.on('GET', '/api/formulas', () => slow.promise);
        field.value = 'xyzz';
        field.dispatchEvent(new Event('input', { bubbles: true }));
        await flushPromises();
        expect(said(by('[role=listbox]', /./))).toBe('Looking…');
        slow.settle({ items: [], next: null });
        await flushPromises();
        expect(said(by('[role=listbox]', /./))).toBe('Nothing is found by that.');
        server.on('GET', '/api/formulas', new Status(503, { message: 'The database does not answer.' }));
        field.value = 'oil';
        field.dispatchEvent(new Event('input', { bubbles: true }));
        await flushPromises();
        expect(notice.value?.words).toBe('The database does not answer.');
    });
});

describe('planning a routine', () => {
    beforeEach(() => {
        server.on('GET', '/api/routines', { items: [], next: null });
        server.on('GET', '/api/heads', { items: [aHead(4, 'Imani')], next: null });
        server.on('GET', '/api/batches', { items: [aBatch(6, 'Cloud butter')], next: null });
        server.on('POST', '/api/routines', { id: 11 });
    });
    const plan = async (): Promise<void> => {
        by('form', /Plan a routine/).dispatchEvent(new Event('submit', { cancelable: true }));
        await flushPromises();
    };

    it('asks for what is missing before anything is sent', async () => {
        const { wrapper } = await show(RhythmPlace);
        await plan();
        expect(said(wrapper)).toContain('Choose whose head it is for.');
        expect(said(wrapper)).toContain('Choose what is used.');
        expect(server.to('/api/routines', 'POST')).toHaveLength(0);
    });

    it('is for one head and one finished batch', async () => {
        const { wrapper, router } = await show(RhythmPlace);
        await wrapper.get('select').setValue('4');
        await pick('What is used', 'Cloud butter, lot L-6');
        expect(asked(server.to('/api/batches')[0] as Call).get('state')).toBe('done');
        await plan();
        expect(server.to('/api/routines', 'POST')[0]?.body).toMatchObject({ head_id: 4, batch_id: 6, per_week: 2 });
        expect(router.currentRoute.value.path).toBe('/rhythm/11');
    });
});

describe('oils steeped here, in the pantry', () => {
    it('says of one that was given up that it must not be used, and nothing that would deny it', async () => {
        const dry = { dry: true, water_percent: 0, best_before: '2027-08-12' };
        server.on('GET', '/api/lots', () => ({
            items: [
                aLot(1, 'Rosemary in olive oil', { ...dry, withdrawn: 'Smells of wet hay (27 November 2026).' }),
                aLot(2, 'Nettle in jojoba', dry),
            ],
            next: null,
        }));
        server.on('GET', '/api/ingredients', () => ({ items: [], total: 0, next: null }));
        await show(PantryPlace);
        await flushPromises();
        const row = (name: string): string => said(by('a', name).closest('li') as HTMLElement);
        expect(row('Rosemary in olive oil')).toContain('must not be used: Smells of wet hay');
        expect(row('Rosemary in olive oil')).not.toMatch(/best before|dry/);
        expect(row('Nettle in jojoba')).toContain('best before 12 August 2027');
        expect(row('Nettle in jojoba')).not.toContain('must not');
    });
});
