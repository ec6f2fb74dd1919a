import { QueryClient } from '@tanstack/vue-query';
import { flushPromises } from '@vue/test-utils';
import { ref, shallowRef } from 'vue';
import { describe, expect, it, vi } from 'vitest';
import { inTurn } from '../../resources/js/api/inTurn';
import { newest } from '../../resources/js/queries/newest';
import { withoutScale } from '../../resources/js/queries/formulas';
import { useAside } from '../../resources/js/places/formulas/useAside';
import type { Bench } from '../../resources/js/places/formulas/useBench';
import { aServer, later, Status } from './api';
import { aFormula, anAssessment } from './made';
import { within } from './shown';

describe('answers that overtake one another', () => {
    const queryKey = ['batch', 1];
    const asOf = (revision: number, id = 1) => ({ id, revision, weighings: [{ line: 'a' }] });

    it('what was asked for before a write does not undo it on the screen', async () => {
        const client = new QueryClient({ defaultOptions: { queries: { structuralSharing: newest } } });
        const looking = later<unknown>();
        const looked = client.fetchQuery({ queryKey, queryFn: () => looking.promise });
        client.setQueryData(queryKey, asOf(5));
        looking.settle(asOf(4));
        await looked;
        expect(client.getQueryData(queryKey)).toEqual(asOf(5));
        await client.fetchQuery({ queryKey, queryFn: () => Promise.resolve(asOf(6)) });
        expect(client.getQueryData(queryKey)).toEqual(asOf(6));
    });

    it('another thing, and what has no revision, is what came', () => {
        expect(newest(asOf(5), asOf(4, 2))).toEqual(asOf(4, 2));
        expect(newest([asOf(5)], [])).toEqual([]);
        expect(newest(undefined, asOf(1))).toEqual(asOf(1));
    });
});

describe('writes to one thing, one after another', () => {
    it('the second begins when the first has ended', async () => {
        const first = later<string>();
        const second = vi.fn(() => Promise.resolve('second'));
        const one = inTurn('steep 1', () => first.promise);
        const two = inTurn('steep 1', second);
        await flushPromises();
        expect(second).not.toHaveBeenCalled();
        first.settle('first');
        expect(await Promise.all([one, two])).toEqual(['first', 'second']);
    });

    it('one that failed does not stop the next, and tells only its own', async () => {
        const one = inTurn('steep 2', () => Promise.reject(new Error('no')));
        const two = inTurn('steep 2', () => Promise.resolve('yes'));
        await expect(one).rejects.toThrow('no');
        await expect(two).resolves.toBe('yes');
    });

    it('writes to different things do not wait for each other', async () => {
        const never = later<string>();
        void inTurn('steep 3', () => never.promise);
        await expect(inTurn('steep 4', () => Promise.resolve('at once'))).resolves.toBe('at once');
    });
});

describe('what is worked out only while its section is open', () => {
    function aside(also = ref(0)) {
        const bench = {
            formula: ref(aFormula()),
            headId: ref(null),
            hair: ref(null),
            assessment: shallowRef(anAssessment()),
        };
        const { it: it_ } = within(() =>
            useAside(bench as unknown as Bench, (draft) => withoutScale({ ...draft, bottle_mm: also.value }), [also]),
        );
        document.cookie = 'XSRF-TOKEN=here';
        return { bench, aside: it_, also };
    }
    const answer = (words: string) => ({ rows: [], strip: [], strip_problem: words, formula: aFormula(), assessment: anAssessment() });

    it('is not asked for while closed', async () => {
        const server = aServer();
        const { bench } = aside();
        bench.assessment.value = anAssessment();
        await flushPromises();
        expect(server.calls).toHaveLength(0);
    });

    it('is asked when opened, when the assessment changed, and when what it also rests on changed', async () => {
        const server = aServer();
        server.on('POST', '/api/without-scale', () => answer('100'));
        const { bench, aside: it_, also } = aside();
        it_.open.value = true;
        await flushPromises();
        bench.assessment.value = anAssessment();
        await flushPromises();
        also.value = 5;
        await flushPromises();
        expect(server.to('/api/without-scale').map((c) => (c.body as { bottle_mm: number }).bottle_mm)).toEqual([0, 0, 5]);
        expect(it_.answer.value?.strip_problem).toBe('100');
    });

    it('drops a late answer', async () => {
        const server = aServer();
        const slow = later<unknown>();
        const answers: unknown[] = [slow.promise, answer('200')];
        server.on('POST', '/api/without-scale', () => answers.shift());
        const { bench, aside: it_ } = aside();
        it_.open.value = true;
        await flushPromises();
        bench.assessment.value = anAssessment();
        await flushPromises();
        slow.settle(answer('1'));
        await flushPromises();
        expect(it_.answer.value?.strip_problem).toBe('200');
    });

    it('keeps the last answer and says the problem; the next good answer clears it', async () => {
        const server = aServer();
        server.on('POST', '/api/without-scale', () => answer('100'));
        const { bench, aside: it_ } = aside();
        it_.open.value = true;
        await flushPromises();
        server.on('POST', '/api/without-scale', new Status(422, { message: 'No more than 60 lines.' }));
        bench.assessment.value = anAssessment();
        await flushPromises();
        expect(it_.problem.value).toBe('No more than 60 lines.');
        expect(it_.answer.value?.strip_problem).toBe('100');
        server.on('POST', '/api/without-scale', () => answer('90'));
        bench.assessment.value = anAssessment();
        await flushPromises();
        expect(it_.problem.value).toBe('');
    });
});
