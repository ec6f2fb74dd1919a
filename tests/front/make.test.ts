import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import { useQuery } from '@tanstack/vue-query';
import type { Schemas } from '../../resources/js/api/client';
import { asOfNow } from '../../resources/js/api/kept';
import BatchCounter from '../../resources/js/places/make/BatchCounter.vue';
import BatchFindings from '../../resources/js/places/make/BatchFindings.vue';
import { notice } from '../../resources/js/ui/notice';
import { aServer, later, Status } from './api';
import { aBatch, aTask, aWeighing } from './made';
import { by, click, said, show } from './shown';

let server: ReturnType<typeof aServer>;
beforeEach(() => {
    document.cookie = 'XSRF-TOKEN=here';
    notice.value = null;
    server = aServer();
});

/** As the place does: what is in the cache is what the counter is given. */
async function counter(batch = aBatch()) {
    server.on('GET', '/api/batches/5', () => batch);
    return show(
        defineComponent({
            setup() {
                const { data } = useQuery({
                    queryKey: ['batch', 5],
                    queryFn: () => Promise.resolve(batch),
                    initialData: batch,
                    staleTime: Infinity,
                });
                return () => h(BatchCounter, { batch: data.value });
            },
        }),
    );
}
/** Until what was done is kept and sent. */
const settled = async (): Promise<void> => {
    for (let n = 0; n < 6; n++) await flushPromises();
};
const submit = async (words: RegExp): Promise<void> => {
    by('form', words).dispatchEvent(new Event('submit', { cancelable: true, bubbles: true }));
    await settled();
};
const scale = async (shown: string): Promise<void> => {
    const input = document.querySelector<HTMLInputElement>('input[inputmode=decimal]');
    if (!input) throw new Error('no field for the scale');
    input.value = shown;
    input.dispatchEvent(new Event('input'));
    await submit(/The scale shows/);
};
const fallen = async (drops: string): Promise<void> => {
    const input = document.querySelector<HTMLInputElement>('input[inputmode=decimal]');
    if (!input) throw new Error('no field for the drops');
    input.value = drops;
    input.dispatchEvent(new Event('input'));
    await submit(/Drops that fell/);
};
/** A server that keeps what was weighed, and refuses what was not based on its newest state. */
function weighing(batch: Schemas['Batch']): void {
    let now = batch;
    server.on('PUT', '/api/batches/5/weighings', (call: { body: unknown }) => {
        const sent = call.body as Schemas['WeighAsk'];
        if (sent.revision !== now.revision) return new Status(409, { message: 'Changed.', current: now });
        now = {
            ...now,
            revision: now.revision + 1,
            weighings: now.weighings.map((w) =>
                w.line === sent.line
                    ? {
                          ...w,
                          gathered: sent.gathered,
                          actual_grams:
                              sent.how === 'left-out' ? 0 : sent.how === 'weighed' ? sent.grams : sent.how ? w.target_grams : null,
                          actual_drops: sent.drops ?? null,
                          how: sent.how ?? null,
                          within: sent.how ? sent.how !== 'left-out' : null,
                      }
                    : w,
            ),
        };
        return now;
    });
}

const at = async (step: RegExp): Promise<void> => {
    await click(/^Step \d/);
    await click(step, '[role=dialog] li button');
};

it('what was kept says what the clock of the server says by now', () => {
    const kept = { id: 5, by: 'ada', batch: aBatch({ now: '2026-11-27T10:00:00.000Z' }), at: 1_000_000 };
    expect(asOfNow(kept, 1_000_000 + 600_000).now).toBe('2026-11-27T10:10:00.000Z');
});

describe('gathering', () => {
    it('ticks what is on the counter; two quick ticks are both kept', async () => {
        weighing(aBatch());
        const { wrapper } = await counter();
        by('button', /^✓?\s*Shea butter/).click();
        by('button', /^✓?\s*Jojoba/).click();
        await settled();
        expect(server.to('/api/batches/5/weighings').map((c) => (c.body as { revision: number }).revision)).toEqual([1, 2]);
        expect(said(wrapper)).toContain('2 of 2.');
        expect(by('button', /^✓?\s*Shea butter/).getAttribute('aria-pressed')).toBe('true');
    });
});

describe('weighing', () => {
    it('takes from the bottle that she says, and not from the one to be used first', async () => {
        const bottle = (lot: number, supplier: string, grams: number): Schemas['NextBottle'] => ({
            ...{ lot, supplier, grams, batch_number: '', place: '', left_grams: 400, use_by: null, past: false },
        });
        const batch = aBatch();
        const [first, ...rest] = batch.weighings;
        if (!first) throw new Error('nothing to weigh');
        const shelved = { ...first, bottles: [bottle(1, 'the mill', 20)], other_bottles: [bottle(2, 'the market', 0)] };
        const both = { ...batch, weighings: [shelved, ...rest] };
        weighing(both);
        const { wrapper } = await counter(both);
        await at(/Weigh: Shea butter/);
        expect(said(wrapper)).toContain('From the bottle from the mill');
        await click('From another bottle');
        await click(/^from the market/i);
        expect(said(wrapper)).toContain('From the bottle from the market');
        await scale(String(first.target_grams));
        await settled();
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ lot: 2, grams: first.target_grams });
    });

    const gathered = aBatch({
        weighings: [aWeighing('l1', 'Shea butter', 30, { gathered: true }), aWeighing('l2', 'Jojoba', 6.123, { gathered: true })],
    });

    it('shows one line at a time with its target, finer where there is little of it, and what comes next', async () => {
        const { wrapper } = await counter(gathered);
        expect(said(wrapper)).toContain('Shea butter 30.0 g within 0.3 g');
        expect(said(wrapper)).toContain('Next Weigh: Jojoba');
        await click(/^Next/);
        expect(said(wrapper)).toContain('Jojoba 6.12 g');
    });

    it('takes what the scale shows, with a comma too, and goes on to the next that is not weighed', async () => {
        weighing(gathered);
        const { wrapper } = await counter(gathered);
        await scale('29,8');
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ line: 'l1', gathered: true, grams: 29.8 });
        expect(said(wrapper)).toContain('Jojoba 6.12 g');
        await scale('6.1');
        expect(said(wrapper)).toContain('Melt the shea butter.');
    });

    it('asks for a number where there is none, and sends nothing', async () => {
        const { wrapper } = await counter(gathered);
        for (const wrong of ['', '  ', 'a lot']) await scale(wrong);
        expect(wrapper.get('[role=alert]').text()).toContain('Enter what the scale shows, in grams.');
        expect(server.to('/api/batches/5/weighings')).toHaveLength(0);
    });

    it('counts drops where they are written so, and weighs them when that is wished', async () => {
        const drops = aBatch({
            weighings: [
                aWeighing('l1', 'Lavender', 0.37, { gathered: true, target_drops: 12, drop_grams: 0.031, too_little: true }),
                aWeighing('l2', 'Jojoba', 6, { gathered: true }),
            ],
        });
        weighing(drops);
        const { wrapper } = await counter(drops);
        expect(said(wrapper)).toContain('12 drops about 0.37 g, 0.03 g a drop');
        expect(said(wrapper)).not.toContain('too little to show');
        await click('Weigh it instead');
        expect(said(wrapper)).toContain('0.37 g within');
        await click('Count drops');
        await fallen('12');
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ line: 'l1', how: 'counted', drops: 12, grams: null });
        expect(said(wrapper)).toContain('Jojoba 6.00 g');
    });

    it('left out and too little for the scale are different answers', async () => {
        const little = aBatch({
            weighings: [
                aWeighing('l1', 'Menthol', 0.4, { gathered: true, too_little: true }),
                aWeighing('l2', 'Jojoba', 60, { gathered: true }),
            ],
        });
        weighing(little);
        const { wrapper } = await counter(little);
        await click('In it, too little to show');
        await settled();
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ line: 'l1', how: 'too-little', grams: null });
        expect(said(wrapper)).toContain('Jojoba 60.0 g');
        expect(said(wrapper)).not.toContain('too little to show');
        await click('I left it out');
        await settled();
        expect(server.to('/api/batches/5/weighings')[1]?.body).toMatchObject({ line: 'l2', how: 'left-out' });
        await at(/Weigh: Jojoba/);
        expect(said(wrapper)).toContain('Left out.');
        await click('Back');
        expect(said(wrapper)).toContain('In it, too little for the scale: 0.4 g counts');
    });

    const figures = { share_percent: 33.3, total_grams: 90, solids_25c: 20, texture: 'a soft butter', load_percent: 0 };
    const pour = (more: Partial<Schemas['OverPour']> = {}): Schemas['OverPour'] => ({
        line: 'l2',
        grams: 12,
        over_grams: 6,
        planned: { ...figures, share_percent: 16.9 },
        accepted: { ...figures, share_percent: 28.6, texture: 'a cream', stops: [] },
        rebalanced: {
            ...figures,
            stops: [],
            fits_bowl: false,
            targets: [
                { line: 'l1', name: 'Shea butter', grams: 60, drops: null, more_grams: 30 },
                { line: 'l2', name: 'Jojoba', grams: 12, drops: null, more_grams: null },
            ],
        },
        ...more,
    });
    const half = aBatch({
        weighings: [
            aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30, within: true }),
            aWeighing('l2', 'Jojoba', 6, { gathered: true }),
        ],
    });

    it('says at once what too much of a line does, and writes nothing before that is settled', async () => {
        weighing(half);
        server.on('GET', '/api/batches/5/pour', () => pour());
        const { wrapper } = await counter(half);
        await scale('12');
        expect(said(wrapper)).toContain('6 g too much Kept so, Jojoba is 28.6 % and not 16.9 %. It becomes a cream and not a soft butter.');
        expect(said(wrapper)).toContain('Then add 30 g Shea butter to what is in. Your largest bowl is too small for it.');
        expect(server.to('/api/batches/5/weighings')).toHaveLength(0);
        await click('Keep it as it is');
        await settled();
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ line: 'l2', grams: 12, how: 'weighed' });
        expect(server.to('/api/batches/5/weighings')[0]?.body).not.toHaveProperty('rebalance');
    });

    it('makes all the rest larger when that is wished, and shows the stops that keeping it would bring', async () => {
        weighing(half);
        server.on('GET', '/api/batches/5/pour', () => pour({ accepted: { ...figures, stops: ['Too much of it for a child.'] } }));
        const { wrapper } = await counter(half);
        await scale('12');
        expect(said(wrapper)).toContain('Too much of it for a child.');
        await click(/Make all the rest larger/);
        await settled();
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ line: 'l2', grams: 12, rebalance: true });
    });

    it('what is taken out again is weighed again', async () => {
        server.on('GET', '/api/batches/5/pour', () => pour());
        const { wrapper } = await counter(half);
        await scale('12');
        await click(/Take 6 g out/);
        expect(said(wrapper)).not.toContain('too much');
        expect(document.querySelector<HTMLInputElement>('input[inputmode=decimal]')?.value).toBe('');
        expect(server.to('/api/batches/5/weighings')).toHaveLength(0);
    });

    it('what is in and wants more, since all became larger, is asked for again', async () => {
        const more = aBatch({
            factor: 2,
            weighings: [
                aWeighing('l1', 'Shea butter', 60, { gathered: true, actual_grams: 30, within: false, more_grams: 30 }),
                aWeighing('l2', 'Jojoba', 12, { gathered: true, actual_grams: 12, within: true }),
            ],
        });
        const { wrapper } = await counter(more);
        expect(said(wrapper)).toContain('Add more Shea butter 60.0 g');
        expect(said(wrapper)).toContain('30 g are in: add 30 g, then enter the whole');
    });

    it('says how far off it was, and that the record keeps the truth', async () => {
        const off = aBatch({
            weighings: [
                aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 33, within: false }),
                aWeighing('l2', 'Jojoba', 60, { gathered: true }),
            ],
        });
        const { wrapper } = await counter(off);
        await click('Back');
        expect(said(wrapper)).toContain('3 g over.');
        expect(document.querySelector<HTMLInputElement>('input[inputmode=decimal]')?.value).toBe('33');
    });

    it('someone else at the same line: theirs is shown, mine is asked again, nothing is overwritten', async () => {
        const theirs = aBatch({
            revision: 8,
            weighings: [
                aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30.2, within: true }),
                aWeighing('l2', 'Jojoba', 6, { gathered: true }),
            ],
        });
        server.on('PUT', '/api/batches/5/weighings', new Status(409, { message: 'Changed.', current: theirs }));
        await counter(gathered);
        await scale('29.8');
        expect(notice.value?.words).toMatch(/Someone weighed this line at the same time/);
        expect(server.to('/api/batches/5/weighings')).toHaveLength(1);
    });

    it('what another tab of this device has sent is there, and nobody is blamed', async () => {
        const sent = aBatch({
            revision: 8,
            weighings: [
                aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 29.8, within: true }),
                aWeighing('l2', 'Jojoba', 6, { gathered: true }),
            ],
        });
        server.on('PUT', '/api/batches/5/weighings', new Status(409, { message: 'Changed.', current: sent }));
        await counter(gathered);
        await scale('29.8');
        expect(notice.value?.words ?? '').not.toMatch(/at the same time/);
        expect(server.to('/api/batches/5/weighings')).toHaveLength(1);
    });

    it('someone else at another line: mine is sent again on top of theirs', async () => {
        const theirs = aBatch({
            revision: 8,
            weighings: [
                aWeighing('l1', 'Shea butter', 30, { gathered: true }),
                aWeighing('l2', 'Jojoba', 6, { gathered: true, actual_grams: 6, within: true }),
            ],
        });
        let first = true;
        server.on('PUT', '/api/batches/5/weighings', () => {
            const now = first ? new Status(409, { message: 'Changed.', current: theirs }) : theirs;
            first = false;
            return now;
        });
        await counter(gathered);
        await scale('29.8');
        expect(server.to('/api/batches/5/weighings').map((c) => (c.body as { revision: number }).revision)).toEqual([1, 8]);
        expect(notice.value).toBeNull();
    });

    it('without a network it is kept, shown and sent when it is back, once', async () => {
        vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
        let there = false;
        server.on('PUT', '/api/batches/5/weighings', () => {
            if (!there) throw new TypeError('no network');
            return { ...gathered, revision: 2, weighings: [aWeighing('l1', 'Shea butter', 30, { actual_grams: 29.9, within: true })] };
        });
        const { wrapper } = await counter(gathered);
        await scale('29.9');
        await vi.advanceTimersByTimeAsync(0);
        await flushPromises();
        expect(said(wrapper)).toContain('No network. 1 entry is kept here');
        expect(said(wrapper)).toContain('Jojoba 6.12 g');
        there = true;
        const before = server.to('/api/batches/5/weighings').length;
        await vi.advanceTimersByTimeAsync(2100);
        await flushPromises();
        expect(said(wrapper)).not.toContain('No network');
        expect(server.to('/api/batches/5/weighings')).toHaveLength(before + 1);
        await vi.advanceTimersByTimeAsync(10_000);
        expect(server.to('/api/batches/5/weighings')).toHaveLength(before + 1);
        vi.useRealTimers();
    });

    it('a field that is refused is named under the field', async () => {
        server.on('PUT', '/api/batches/5/weighings', new Status(422, { message: 'No.', errors: { grams: ['Between 0 and 100,000 g.'] } }));
        const { wrapper } = await counter(gathered);
        await scale('29.9');
        expect(wrapper.get('[role=alert]').text()).toBe('Between 0 and 100,000 g.');
        expect(document.querySelector<HTMLInputElement>('input[inputmode=decimal]')?.value).toBe('29.9');
    });
});

describe('what is done', () => {
    const band = (best: number): Schemas['Band'] => ({ low: best - 2, best, high: best + 2 });
    const cool = aTask('cool', 'Let it cool.', {
        waits: true,
        gate: { sign: 'At or under 40 °C on the probe.', celsius: band(38), minutes: band(16), reason: 'What is delicate bears no more.' },
        doubt: 'It is still about 70 °C then.',
        hers: 'Add the lavender.',
    });
    const weighed = aBatch({
        weighings: [aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30, within: true })],
        tasks: [cool, aTask('fill', 'Fill the jars.')],
    });

    it('is said with its temperature, time, sign and reason, and why hers is not followed', async () => {
        const { wrapper } = await counter(weighed);
        expect(said(wrapper)).toContain('Let it cool. 40 °C 16 min At or under 40 °C on the probe. What is delicate bears no more.');
        expect(said(wrapper)).toContain('It is still about 70 °C then. You wrote: Add the lavender.');
    });

    it('is ticked, and goes on; what is passed over says why', async () => {
        const sent: unknown[] = [];
        server.on('PUT', '/api/batches/5/tasks', (call: { body: unknown }) => {
            sent.push(call.body);
            return { ...weighed, revision: 2, tasks: [{ ...cool, done: true, skipped: 'Cold already.' }, weighed.tasks[1]] };
        });
        const { wrapper } = await counter(weighed);
        await click('Skip this step');
        await wrapper.get('input[maxlength="200"]').setValue('Cold already.');
        await submit(/Why it is passed over/);
        await settled();
        expect(sent).toEqual([{ revision: 1, task: 'cool', done: true, skipped: 'Cold already.' }]);
        expect(said(wrapper)).toContain('Fill the jars.');
        await click('Back');
        expect(said(wrapper)).toContain('Passed over: Cold already.');
    });

    it('what was forgotten is asked for before it is done', async () => {
        const { wrapper } = await counter(
            aBatch({
                weighings: [aWeighing('l1', 'Shea butter', 30, { gathered: true })],
                tasks: [aTask('melt', 'Melt it.', { lines: ['l1'] })],
            }),
        );
        await click(/^Next/);
        expect(said(wrapper)).toContain('Not weighed yet: Shea butter.');
        await click('Weigh it now');
        expect(said(wrapper)).toContain('Shea butter 30.0 g');
    });

    it('a clock is started for as long as is said, and runs by the clock of the server', async () => {
        server.on('POST', '/api/batches/5/timers', (call: { body: unknown }) => ({
            ...weighed,
            now: new Date(Date.now() + 3_600_000).toISOString(),
            timers: [
                {
                    id: 3,
                    task: 'cool',
                    label: 'Let it cool.',
                    started_at: new Date(Date.now() + 3_600_000).toISOString(),
                    ends_at: new Date(Date.now() + 3_600_000 + (call.body as Schemas['TimerAsk']).minutes * 60_000).toISOString(),
                    by: 'Ada',
                },
            ],
        }));
        const { wrapper } = await counter(weighed);
        await submit(/Start the clock/);
        await settled();
        expect(server.to('/api/batches/5/timers', 'POST')[0]?.body).toMatchObject({ task: 'cool', minutes: 16 });
        expect(wrapper.get('[role=timer]').text()).toMatch(/^1[56]:\d\d$/);
    });

    it('a clock that has run out rings until it was heard', async () => {
        const rung = {
            id: 4,
            task: 'cool',
            label: 'Freeze',
            started_at: '2026-11-27T09:00:00Z',
            ends_at: '2026-11-27T09:30:00Z',
            by: 'Ada',
        };
        server.on('DELETE', '/api/batches/5/timers/4', () => weighed);
        const { wrapper } = await counter({ ...weighed, timers: [rung] });
        expect(wrapper.get('[role=alert]').text()).toContain('Time: Freeze');
        await click('Heard');
        await settled();
        expect(wrapper.text()).not.toContain('Time: Freeze');
    });

    it('the probe is read, and tells when it is there', async () => {
        const cooling: Schemas['CoolingTrace'] = {
            where: 'fridge',
            surroundings_c: 4,
            readings: [
                { minutes: 0, celsius: 70 },
                { minutes: 5, celsius: 60 },
            ],
            fitted: true,
            tau_minutes: band(30),
            to_gate_minutes: band(12),
            to_set_minutes: band(20),
            curve: [
                [5, 60],
                [17, 40],
            ],
            problem: '',
        };
        server.on('POST', '/api/batches/5/readings', () => ({
            ...weighed,
            tasks: [{ ...cool, cooling, reading_id: 9 }, weighed.tasks[1]],
        }));
        const { wrapper } = await counter(weighed);
        const probe = wrapper.get('[aria-label="The probe"]');
        await probe.get('input').setValue('warm');
        await submit(/The probe shows/);
        expect(said(wrapper)).toContain('Enter what the probe shows, in °C.');
        await probe.get('input').setValue('60,5');
        await probe.get('select').setValue('fridge');
        await submit(/The probe shows/);
        await settled();
        expect(server.to('/api/batches/5/readings', 'POST')[0]?.body).toMatchObject({ task: 'cool', celsius: 60.5, where: 'fridge' });
        expect(said(wrapper)).toContain('It is there in about 12 minutes (10 to 14)');
        expect(said(wrapper)).toContain('Pour it before about 20 minutes (18 to 22)');
        expect(wrapper.find('svg[role=img] circle').exists()).toBe(true);
    });

    it('what was weighed is judged while there is time to mend it', async () => {
        const { wrapper } = await counter({ ...weighed, stops_now: ['Essential oils may be 4 % at worst.'] });
        expect(said(wrapper)).toContain('By what was weighed: Essential oils may be 4 % at worst.');
    });
});

describe('filling', () => {
    const weighed = aBatch({
        weighings: [
            aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30 }),
            aWeighing('l2', 'Jojoba', 60, { gathered: true, actual_grams: 61.5 }),
        ],
    });

    it('closes the record once, with what was filled, looked at and left over', async () => {
        const slow = later<unknown>();
        server.on('POST', '/api/batches/5/finish', () => slow.promise);
        const { wrapper } = await counter(weighed);
        await at(/Count the jars/);
        expect(said(wrapper)).toContain('91.5 g were weighed.');
        const [ml, net, left] = wrapper.findAll('input[inputmode=decimal]');
        await wrapper.get('input[type=number]').setValue('3');
        await ml?.setValue('30');
        await net?.setValue('29,5');
        await left?.setValue('2');
        await wrapper.findAll('input[type=checkbox]')[1]?.setValue(true);
        await wrapper.get('textarea').setValue('Took longer to melt.');
        await submit(/Jars filled/);
        expect(by('button', 'Done: keep the record').hasAttribute('disabled')).toBe(true);
        slow.settle({ ...weighed, state: 'done' });
        await flushPromises();
        const sent = server.to('/api/batches/5/finish')[0];
        expect(sent?.body).toEqual({
            revision: 1,
            jars: 3,
            jar_ml: 30,
            net_grams: 29.5,
            remainder_grams: 2,
            sample_kept: false,
            inspected: ['clean'],
            made_on: '2026-11-20',
            note: 'Took longer to melt.',
            although: '',
        });
        expect(sent?.headers.get('Idempotency-Key')).toBeTruthy();
    });

    it('says what is not allowed, keeps what was typed, and can be sent again', async () => {
        server.on(
            'POST',
            '/api/batches/5/finish',
            new Status(422, { message: 'No.', errors: { net_grams: ['3 jars of 40 g are more than was weighed.'] } }),
        );
        const { wrapper } = await counter(weighed);
        await at(/Count the jars/);
        const net = wrapper.findAll<HTMLInputElement>('input[inputmode=decimal]')[1];
        await net?.setValue('40');
        await submit(/Jars filled/);
        expect(wrapper.get('[role=alert]').text()).toContain('more than was weighed');
        expect(net?.element.value).toBe('40');
        expect(by('button', 'Done: keep the record').hasAttribute('disabled')).toBe(false);
    });

    it('says what is still to weigh', async () => {
        const { wrapper } = await counter(
            aBatch({
                weighings: [aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30 }), aWeighing('l2', 'Jojoba', 60)],
            }),
        );
        await at(/Count the jars/);
        expect(said(wrapper)).toContain('Not weighed yet: Jojoba.');
    });
});

describe('what was found on a batch', () => {
    const finding = (id: number, more: Partial<Schemas['BatchFinding']> = {}): Schemas['BatchFinding'] => ({
        id,
        on: '2026-11-24',
        texture: '',
        texture_label: '',
        overrun_percent: null,
        whipped_minutes: null,
        state: '',
        signs: [],
        months: 0.1,
        note: '',
        ...more,
    });
    const whip = (more: Partial<Schemas['Batch']> = {}): Schemas['Batch'] => aBatch({ state: 'done', kind: 'whipped-butter', ...more });

    it('is said in words', async () => {
        const { wrapper } = await show(BatchFindings, {
            batch: whip({
                findings: [
                    finding(1, { texture: 'firmer', texture_label: 'firmer than said', overrun_percent: 62, whipped_minutes: 8 }),
                    finding(2, { state: 'off', months: 7.4, note: 'Smelled of crayons' }),
                    finding(3, { state: 'good', months: 12 }),
                ],
            }),
        });
        expect(said(wrapper)).toContain('firmer than said; 62 % of air after 8 minutes');
        expect(said(wrapper)).toContain('gone off at 7.4 months; Smelled of crayons');
        expect(said(wrapper)).toContain('still good at 12 months');
    });

    it('asks about air only where something was whipped', async () => {
        const { wrapper } = await show(BatchFindings, { batch: aBatch({ state: 'done' }) });
        expect(said(wrapper)).not.toContain('Volume gained by whipping');
    });

    it('is noted once, with a comma as a point, and can be taken back from the notice', async () => {
        server.on('POST', '/api/batches/5/findings', () =>
            whip({ findings: [finding(9, { texture: 'softer', texture_label: 'softer than said' })] }),
        );
        server.on('DELETE', '/api/batch-findings/9', () => whip());
        const { wrapper } = await show(BatchFindings, { batch: whip() });
        const [air, minutes] = wrapper.findAll('input[inputmode=decimal]');
        await wrapper.findAll('select')[0]?.setValue('softer');
        await air?.setValue('55,5');
        await minutes?.setValue('9');
        await submit(/Note it/);
        expect(server.to('/api/batches/5/findings')[0]?.body).toMatchObject({
            texture: 'softer',
            overrun_percent: 55.5,
            whipped_minutes: 9,
            state: '',
            note: '',
        });
        expect(air?.element).toHaveProperty('value', '');
        notice.value?.undo?.();
        await flushPromises();
        expect(server.to('/api/batch-findings/9', 'DELETE')).toHaveLength(1);
        expect(notice.value?.words).toBe('Taken back.');
    });

    it('that says nothing is refused, and what was typed stays', async () => {
        server.on(
            'POST',
            '/api/batches/5/findings',
            new Status(422, { message: 'No.', errors: { texture: ['Something that was found: texture, overrun, or how long it kept.'] } }),
        );
        const { wrapper } = await show(BatchFindings, { batch: whip() });
        await wrapper.get('input[maxlength="500"]').setValue('hm');
        await submit(/Note it/);
        expect(wrapper.get('[role=alert]').text()).toContain('Something that was found');
        expect(wrapper.get<HTMLInputElement>('input[maxlength="500"]').element.value).toBe('hm');
    });
});
