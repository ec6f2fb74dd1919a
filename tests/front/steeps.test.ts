import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import type { Schemas } from '../../resources/js/api/client';
import DateStrip from '../../resources/js/places/steeps/DateStrip.vue';
import StrainDay from '../../resources/js/places/steeps/StrainDay.vue';
import { useSteep } from '../../resources/js/places/steeps/useSteep';
import { notice } from '../../resources/js/ui/notice';
import { aServer, later, Status } from './api';
import { anEvent, aSteep } from './made';
import { by, click, press, said, show } from './shown';

let server: ReturnType<typeof aServer>;
beforeEach(() => {
    document.cookie = 'XSRF-TOKEN=here';
    notice.value = null;
    server = aServer();
    server.on('GET', '/api/steeps/1', () => aSteep());
});

describe('what is done to a steep', () => {
    async function steep() {
        let it!: ReturnType<typeof useSteep>;
        const shown = await show(
            defineComponent({
                setup() {
                    it = useSteep(1);
                    return () => h('div', it.data.value?.name);
                },
            }),
        );
        return { it, ...shown };
    }

    it('is recorded once, shown at once, and undone from the notice by its own id', async () => {
        server.on('POST', '/api/steeps/1/events', () => aSteep({ events: [anEvent(4, 'settling'), anEvent(9, 'drawn')] }));
        server.on('DELETE', '/api/steep-events/9', () => aSteep());
        server.on('GET', '/api/steeps/1', () => aSteep({ events: [anEvent(4, 'settling')] }));
        const { it } = await steep();
        expect(await it.record({ kind: 'drawn', grams: 20 }, 'Drawn.')).toBe(true);
        expect(server.to('/api/steeps/1/events')[0]?.headers.get('Idempotency-Key')).toBeTruthy();
        expect(it.data.value?.events).toHaveLength(2);
        notice.value?.undo?.();
        await flushPromises();
        expect(server.to('/api/steep-events/9', 'DELETE')).toHaveLength(1);
        expect(notice.value?.words).toBe('Taken back.');
    });

    it('goes out one after another, so that a late answer does not stand in the place of a newer one', async () => {
        const slow = later<unknown>();
        server.on('PUT', '/api/steeps/1/shakes', (call: { body: unknown }) =>
            (call.body as { date: string }).date === '2026-11-24' ? slow.promise : aSteep({ revision: 7 }),
        );
        const { it } = await steep();
        const first = it.shake('2026-11-24', true);
        const second = it.shake('2026-11-25', true);
        await flushPromises();
        expect(server.to('/api/steeps/1/shakes')).toHaveLength(1);
        slow.settle(aSteep({ revision: 6 }));
        await Promise.all([first, second]);
        expect(it.data.value?.revision).toBe(7);
    });

    it('names the field that is not allowed and says no more; other problems are said at the foot', async () => {
        server.on('POST', '/api/steeps/1/events', new Status(422, { message: 'No.', errors: { after: ['After is more than before.'] } }));
        const { it } = await steep();
        expect(await it.record({ kind: 'bowl', before: 5, after: 9 }, 'x')).toBe(false);
        expect(it.errors.value).toEqual({ after: ['After is more than before.'] });
        expect(notice.value).toBeNull();
        server.on('POST', '/api/steeps/1/events', new Status(404, { message: 'There is no such thing in this studio.' }));
        await it.record({ kind: 'note' }, 'x');
        expect(it.errors.value).toEqual({});
        expect(notice.value?.stop).toBe(true);
    });

    it('fetches the newer state when someone was faster', async () => {
        const { it } = await steep();
        server.on('GET', '/api/steeps/1', () => aSteep({ revision: 12 }));
        server.on('PUT', '/api/steeps/1/shakes', new Status(409, { message: 'Changed by someone else.' }));
        await it.shake('2026-11-25', true);
        await flushPromises();
        expect(it.data.value?.revision).toBe(12);
        expect(notice.value?.words).toBe('Changed by someone else.');
    });

    it('tells the places that show it', async () => {
        server.on('PUT', '/api/steeps/1/shakes', () => aSteep());
        const { it, client } = await steep();
        const told = vi.spyOn(client, 'invalidateQueries');
        await it.shake('2026-11-25', true);
        expect(told.mock.calls.map(([to]) => (typeof to === 'function' ? null : to?.queryKey))).toEqual([
            ['today'],
            ['steeps'],
            ['lots'],
            ['ingredients'],
        ]);
    });
});

describe('the days of a steep', () => {
    const strip = (more: Record<string, unknown> = {}) =>
        show(DateStrip, {
            start: '2026-11-25',
            stopShaking: '2026-12-20',
            strain: '2026-12-23',
            ready: '2026-12-25',
            bestBefore: '2027-10-01',
            range: [14, 42],
            wanted: '',
            ...more,
        });

    it('the left end begins on another day, the right end stands longer or shorter, both by keys', async () => {
        const { wrapper } = await strip();
        await press('Day it begins', 'ArrowRight');
        await press('Day it begins', 'PageDown');
        await press('Day it is strained', 'ArrowLeft');
        await press('Day it is strained', 'a');
        expect(wrapper.emitted('start')).toEqual([['2026-11-26'], ['2026-11-18']]);
        expect(wrapper.emitted('days')).toEqual([[27]]);
    });

    it('stays within what the method can do', async () => {
        const { wrapper } = await strip({ range: [28, 30] });
        await press('Day it is strained', 'PageDown');
        await press('Day it is strained', 'PageUp');
        expect(wrapper.emitted('days')).toEqual([[28], [30]]);
    });

    it('a heated way has only its day', async () => {
        const { wrapper } = await strip({ range: [1, 1] });
        expect(wrapper.findAll('[role=slider]')).toHaveLength(1);
        expect(said(wrapper)).toContain('Drag the left end to another day.');
    });

    it('goes over the end of a month and of a year', async () => {
        const { wrapper } = await strip({ start: '2026-12-31' });
        await press('Day it begins', 'ArrowRight');
        expect(wrapper.emitted('start')).toEqual([['2027-01-01']]);
    });

    it('marks the day it is wanted', async () => {
        expect(said((await strip({ wanted: '2026-12-24' })).wrapper)).toContain('wanted');
        expect(said((await strip()).wrapper)).not.toContain('wanted');
    });
});

describe('strain day', () => {
    const grams = (): HTMLInputElement => document.querySelector('input[type=number]') as HTMLInputElement;
    const weigh = async (text: string): Promise<void> => {
        grams().value = text;
        grams().dispatchEvent(new Event('input'));
        await flushPromises();
    };

    it('shows one step at a time with its reason and the hours it takes', async () => {
        const { wrapper } = await show(StrainDay, { id: '1' });
        expect(said(wrapper)).toContain('Let it stand for two days. So that the dust sinks. It takes 36 to 48 hours.');
        expect(said(wrapper)).not.toContain('Weigh the oil.');
    });

    it('comes back to where it stood when the screen slept', async () => {
        const first = await show(StrainDay, { id: '1' });
        await click('Done, next');
        await weigh('301');
        first.wrapper.unmount();
        const { wrapper } = await show(StrainDay, { id: '1' });
        expect(said(wrapper)).toContain('Weigh the oil.');
        expect(grams().value).toBe('301');
    });

    it('a torn memory is no memory', async () => {
        localStorage.setItem('strain-1', '{"at": 2');
        expect(said((await show(StrainDay, { id: '1' })).wrapper)).toContain('Let it stand for two days.');
    });

    it('goes on only when something was weighed, and says how it compares', async () => {
        const { wrapper } = await show(StrainDay, { id: '1' });
        await click('Done, next');
        await click('Done, next');
        expect(wrapper.get('[role=alert]').text()).toContain('Weigh what came out: more than 0 g.');
        await weigh('250');
        expect(said(wrapper)).toContain('68 % of the oil. Less than expected');
        await weigh('340');
        expect(said(wrapper)).toContain('More than expected: look for water.');
        await weigh('300');
        expect(said(wrapper)).toContain('As expected.');
    });

    async function toTheEnd(): Promise<void> {
        await click('Done, next');
        await weigh('300');
        await click('Done, next');
        await click('Done, next');
    }

    it('ends in the pantry, based on what it saw, and forgets where it stood', async () => {
        server.on('POST', '/api/steeps/1/strain', () => aSteep({ state: 'strained' }));
        const { router } = await show(StrainDay, { id: '1' }, '/steeps/1/strain');
        await toTheEnd();
        await click('Done: put it in the pantry');
        expect(server.to('/api/steeps/1/strain')[0]?.body).toEqual({
            revision: 5,
            yield_grams: 300,
            loss_grams: 0,
            choice: 'kept',
            herb: 'composted',
            note: '',
        });
        expect(router.currentRoute.value.path).toBe('/steeps/1');
        expect(localStorage.getItem('strain-1')).toBeNull();
    });

    it('goes back to the scale when what was weighed is not allowed', async () => {
        server.on(
            'POST',
            '/api/steeps/1/strain',
            new Status(422, { message: 'No.', errors: { yield_grams: ['No more than 365 g of oil went in.'] } }),
        );
        const { wrapper } = await show(StrainDay, { id: '1' });
        await toTheEnd();
        await click('Done: put it in the pantry');
        expect(said(wrapper)).toContain('Weigh the oil.');
        expect(wrapper.get('[role=alert]').text()).toContain('No more than 365 g');
        expect(grams().value).toBe('300');
    });

    it('an answered step can be gone back to, one that is to come cannot', async () => {
        await show(StrainDay, { id: '1' });
        await click('Done, next');
        expect(by('li button', /^Step 3/).hasAttribute('disabled')).toBe(true);
        await click(/^Step 1/, 'li button');
        expect(document.body.textContent).toContain('Let it stand for two days.');
    });

    it('a steep that is strained already is not strained again', async () => {
        server.on('GET', '/api/steeps/1', (): Schemas['Steep'] => aSteep({ state: 'strained' }));
        const { wrapper } = await show(StrainDay, { id: '1' });
        expect(said(wrapper)).toContain('It has been strained already.');
        expect(wrapper.find('button').exists()).toBe(false);
    });
});
