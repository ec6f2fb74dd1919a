import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import { useQuery } from '@tanstack/vue-query';
import type { Schemas } from '../../resources/js/api/client';
import BatchCounter from '../../resources/js/places/make/BatchCounter.vue';
import BatchFindings from '../../resources/js/places/make/BatchFindings.vue';
import { notice } from '../../resources/js/ui/notice';
import { aServer, later, Status } from './api';
import { aBatch, aTask, aWeighing } from './made';
import { keepTimeIn } from '../../resources/js/ui/words';
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
const submit = async (words: RegExp): Promise<void> => {
    by('form', words).dispatchEvent(new Event('submit', { cancelable: true, bubbles: true }));
    await flushPromises();
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

describe('gathering', () => {
    it('ticks what is on the counter; two quick ticks are both kept', async () => {
        weighing(aBatch());
        const { wrapper } = await counter();
        by('button', /Shea butter/).click();
        by('button', /Shea butter/).removeAttribute('disabled');
        await flushPromises();
        await click(/Jojoba/);
        expect(server.to('/api/batches/5/weighings').map((c) => (c.body as { revision: number }).revision)).toEqual([1, 2]);
        expect(said(wrapper)).toContain('2 of 2.');
        expect(by('button', /Shea butter/).getAttribute('aria-pressed')).toBe('true');
    });
});

describe('weighing', () => {
    const gathered = aBatch({
        weighings: [aWeighing('l1', 'Shea butter', 30, { gathered: true }), aWeighing('l2', 'Jojoba', 6.123, { gathered: true })],
    });

    it('shows one line at a time with its target, finer where there is little of it', async () => {
        const { wrapper } = await counter(gathered);
        expect(said(wrapper)).toContain('line 1 of 2, 0 weighed Shea butter 30.0 g within 0.3 g');
        await click('Skip for now');
        expect(said(wrapper)).toContain('Jojoba 6.12 g');
    });

    it('takes what the scale shows, with a comma too, and goes on to the next that is not weighed', async () => {
        weighing(gathered);
        const { wrapper } = await counter(gathered);
        await scale('29,8');
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ line: 'l1', gathered: true, grams: 29.8 });
        expect(said(wrapper)).toContain('line 2 of 2, 1 weighed Jojoba');
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
        expect(said(wrapper)).toContain('line 2 of 2');
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
        expect(server.to('/api/batches/5/weighings')[0]?.body).toMatchObject({ line: 'l1', how: 'too-little', grams: null });
        expect(said(wrapper)).toContain('line 2 of 2');
        expect(said(wrapper)).not.toContain('too little to show');
        await click('Left it out');
        expect(server.to('/api/batches/5/weighings')[1]?.body).toMatchObject({ line: 'l2', how: 'left-out' });
        await click('Weigh');
        expect(said(wrapper)).toContain('Left out.');
        await click('Back');
        expect(said(wrapper)).toContain('In it, too little for the scale: 0.4 g counts');
    });

    it('says how far off it was, and that the record keeps the truth', async () => {
        const off = aBatch({
            weighings: [
                aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 33, within: false }),
                aWeighing('l2', 'Jojoba', 60, { gathered: true }),
            ],
        });
        const { wrapper } = await counter(off);
        expect(said(wrapper)).toContain('line 2 of 2');
        await click('Back');
        expect(said(wrapper)).toContain('3 g over.');
        expect(document.querySelector<HTMLInputElement>('input[inputmode=decimal]')?.value).toBe('33');
    });

    it('someone else at the same scale: theirs is shown, mine is asked again, nothing is overwritten', async () => {
        const theirs = aBatch({
            revision: 8,
            weighings: [
                aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30.2, within: true }),
                aWeighing('l2', 'Jojoba', 6, { gathered: true }),
            ],
        });
        server.on('PUT', '/api/batches/5/weighings', new Status(409, { message: 'Changed.', current: theirs }));
        const { wrapper } = await counter(gathered);
        await scale('29.8');
        expect(notice.value?.words).toMatch(/Someone weighed at the same time/);
        expect(said(wrapper)).toContain('1 weighed');
    });

    it('a field that is refused is named under the field', async () => {
        server.on('PUT', '/api/batches/5/weighings', new Status(422, { message: 'No.', errors: { grams: ['Between 0 and 100,000 g.'] } }));
        const { wrapper } = await counter(gathered);
        await scale('900000');
        expect(wrapper.get('[role=alert]').text()).toBe('Between 0 and 100,000 g.');
        expect(document.querySelector<HTMLInputElement>('input[inputmode=decimal]')?.value).toBe('900000');
    });
});

describe('filling', () => {
    const weighed = aBatch({
        weighings: [
            aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30 }),
            aWeighing('l2', 'Jojoba', 60, { gathered: true, actual_grams: 61.5 }),
        ],
    });

    it('opens at what is next when the page is opened again', async () => {
        const { wrapper } = await counter(weighed);
        expect(said(wrapper)).toContain('Fill the jars');
    });

    it('ticks what was done, and says by whom and when', async () => {
        const [melt, fill] = [aTask('melt', 'Melt the shea butter.'), aTask('fill', 'Fill the jars.')];
        server.on('PUT', '/api/batches/5/tasks', () => ({
            ...weighed,
            revision: 2,
            tasks: [{ ...melt, done: true, by: 'Ada', at: '2026-11-20T14:05:00Z' }, fill],
        }));
        keepTimeIn('UTC');
        const { wrapper } = await counter(weighed);
        const tick = by('button', /Melt the shea butter/);
        expect(tick.getAttribute('aria-pressed')).toBe('false');
        await click(/Melt the shea butter/);
        expect(server.to('/api/batches/5/tasks')[0]?.body).toEqual({ revision: 1, task: 'melt', done: true });
        expect(said(wrapper)).toContain('Done 14:05, Ada');
        expect(by('button', /Melt the shea butter/).getAttribute('aria-pressed')).toBe('true');
    });

    it('closes the record once, with what was filled', async () => {
        const slow = later<unknown>();
        server.on('POST', '/api/batches/5/finish', () => slow.promise);
        const { wrapper } = await counter(weighed);
        await click('Fill the jars');
        expect(said(wrapper)).toContain('91.5 g were weighed.');
        const [jars, ml] = wrapper.findAll('input[type=number]');
        await jars?.setValue('3');
        await ml?.setValue('30');
        await wrapper.get('input[inputmode=decimal]').setValue('29,5');
        await wrapper.get('textarea').setValue('Took longer to melt.');
        await submit(/Jars filled/);
        expect(by('button', 'Done: keep the record').hasAttribute('disabled')).toBe(true);
        slow.settle({ ...weighed, state: 'done' });
        await flushPromises();
        const sent = server.to('/api/batches/5/finish')[0];
        expect(sent?.body).toEqual({ revision: 1, jars: 3, jar_ml: 30, net_grams: 29.5, note: 'Took longer to melt.', although: '' });
        expect(sent?.headers.get('Idempotency-Key')).toBeTruthy();
    });

    it('says what is not allowed, keeps what was typed, and can be sent again', async () => {
        server.on(
            'POST',
            '/api/batches/5/finish',
            new Status(422, { message: 'No.', errors: { net_grams: ['3 jars of 40 g are more than was weighed.'] } }),
        );
        const { wrapper } = await counter(weighed);
        await click('Fill the jars');
        await wrapper.get('input[inputmode=decimal]').setValue('40');
        await submit(/Jars filled/);
        expect(wrapper.get('[role=alert]').text()).toContain('more than was weighed');
        expect(wrapper.get<HTMLInputElement>('input[inputmode=decimal]').element.value).toBe('40');
        expect(by('button', 'Done: keep the record').hasAttribute('disabled')).toBe(false);
    });

    it('says what is still to weigh', async () => {
        const { wrapper } = await counter(
            aBatch({
                weighings: [aWeighing('l1', 'Shea butter', 30, { gathered: true, actual_grams: 30 }), aWeighing('l2', 'Jojoba', 60)],
            }),
        );
        await click('Fill', '[role=tab]');
        expect(said(wrapper)).toContain('1 line is still to weigh.');
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
