import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../resources/js/api/client';
import { useBench } from '../../resources/js/places/formulas/useBench';
import { notice } from '../../resources/js/ui/notice';
import { aBenchServer, later, Status } from './api';
import { aChangedDraft, aFinding, aFormula, anAssessment, anEvaluation, aPage, aVersion } from './made';
import { within } from './shown';

let server: ReturnType<typeof aBenchServer>;

function onTheBench(page = aPage()) {
    const { it: bench, leave } = within(() => useBench(page));
    return { bench, leave };
}
/** Types an amount into the first line. */
function type(bench: ReturnType<typeof useBench>, amount: string): void {
    bench.edit('amount l1', (draft) => {
        const line = draft.lines[0];
        if (line) line.amount = amount;
    });
}
const amount = (formula: Schemas['Formula']): string => formula.lines[0]?.amount ?? '';
async function wait(ms: number): Promise<void> {
    await vi.advanceTimersByTimeAsync(ms);
    await flushPromises();
}

beforeEach(() => {
    vi.useFakeTimers();
    server = aBenchServer();
});
afterEach(() => vi.useRealTimers());

describe('judging while typing', () => {
    const asked = (): string[] => server.to('/api/evaluate').map((c) => amount((c.body as { formula: Schemas['Formula'] }).formula));

    it('asks at once at the first key of a burst, and once after the last with what stands there then', async () => {
        const { bench } = onTheBench();
        type(bench, '3');
        await wait(0);
        expect(asked()).toEqual(['3']);
        await wait(20);
        type(bench, '35');
        await wait(20);
        type(bench, '35 g');
        await wait(160);
        expect(asked()).toEqual(['3', '35 g']);
    });

    it('asks at most every 150 ms while keys go on, and never stops asking', async () => {
        const { bench } = onTheBench();
        for (let n = 1; n <= 50; n++) {
            type(bench, `${n} g`);
            await wait(20);
        }
        await wait(160);
        expect(asked().length).toBeGreaterThanOrEqual(6);
        expect(asked().length).toBeLessThanOrEqual(9);
        expect(asked().at(-1)).toBe('50 g');
    });

    it('sends the last kept version beside it, so that what was forgotten can be seen', async () => {
        const kept = aVersion(2, { formula: aFormula({ title: 'As it was' }) });
        const { bench } = onTheBench(aPage({ versions: [kept, aVersion(1)] }));
        type(bench, '1 g');
        await wait(60);
        expect(server.to('/api/evaluate')[0]?.body).toMatchObject({ before: { title: 'As it was' } });
    });

    it('drops the answer to an earlier edit that comes after the answer to a later one', async () => {
        const slow = later<unknown>();
        const answers = [slow.promise, anEvaluation({ assessment: anAssessment({ texture_label: 'the later' }) })];
        server.on('POST', '/api/evaluate', () => answers.shift());
        const { bench } = onTheBench();
        type(bench, '1 g');
        await wait(160);
        type(bench, '2 g');
        await wait(160);
        slow.settle(anEvaluation({ assessment: anAssessment({ texture_label: 'the earlier' }) }));
        await wait(10);
        expect(bench.assessment.value.texture_label).toBe('the later');
        expect(server.to('/api/evaluate')[0]?.signal?.aborted).toBe(true);
    });

    it('says what was refused, and keeps what was typed', async () => {
        server.on('POST', '/api/evaluate', new Status(422, { message: 'A line has 60 letters at most.', errors: { name: ['too long'] } }));
        const { bench } = onTheBench();
        type(bench, 'a very long amount');
        await wait(60);
        expect(bench.refusal.value).toBe('A line has 60 letters at most.');
        expect(amount(bench.formula.value)).toBe('a very long amount');
        server.on('POST', '/api/evaluate', () => anEvaluation());
        type(bench, '5 g');
        await wait(160);
        expect(bench.refusal.value).toBe('');
    });

    it('leaves the last answer standing while the server is away', async () => {
        server.on('POST', '/api/evaluate', new Status(503));
        const { bench } = onTheBench();
        type(bench, '2 g');
        await wait(60);
        expect(bench.assessment.value.texture_label).toBe('butter');
        expect(bench.refusal.value).toBe('');
    });
});

describe('saving behind the typing', () => {
    it('saves after a pause, on the revision it was based on, and takes the new one', async () => {
        const { bench } = onTheBench();
        type(bench, '1 g');
        expect(bench.status.value).toBe('waiting');
        await wait(600);
        expect(bench.status.value).toBe('saved');
        type(bench, '2 g');
        await wait(600);
        expect(server.to('/api/formulas/7').map((c) => (c.body as { revision: number }).revision)).toEqual([3, 4]);
    });

    it('never has two saves under way: the second waits and carries the revision of the first', async () => {
        const first = later<unknown>();
        const answers = [first.promise, aPage({ revision: 5 })];
        server.on('PUT', '/api/formulas/7', () => answers.shift());
        const { bench } = onTheBench();
        type(bench, '1 g');
        await wait(600);
        type(bench, '2 g');
        await wait(600);
        expect(server.to('/api/formulas/7')).toHaveLength(1);
        first.settle(aPage({ revision: 4 }));
        await wait(10);
        const sent = server.to('/api/formulas/7').map((c) => c.body as { revision: number; formula: Schemas['Formula'] });
        expect(sent.map((b) => b.revision)).toEqual([3, 4]);
        expect(sent.map((b) => amount(b.formula))).toEqual(['1 g', '2 g']);
        expect(bench.status.value).toBe('saved');
    });

    it('tries again by itself when the server was away', async () => {
        server.on('PUT', '/api/formulas/7', new Status(503));
        const { bench } = onTheBench();
        type(bench, '1 g');
        await wait(600);
        expect(bench.status.value).toBe('away');
        server.on('PUT', '/api/formulas/7', () => aPage({ revision: 4 }));
        await wait(3100);
        expect(bench.status.value).toBe('saved');
    });

    it('asks before the page is left with something unsaved, and not otherwise', async () => {
        const { bench } = onTheBench();
        const quiet = new Event('beforeunload', { cancelable: true });
        window.dispatchEvent(quiet);
        expect(quiet.defaultPrevented).toBe(false);
        type(bench, '1 g');
        const loud = new Event('beforeunload', { cancelable: true });
        window.dispatchEvent(loud);
        expect(loud.defaultPrevented).toBe(true);
    });

    it('saves what is unsaved when another place is opened, once, and judges no more', async () => {
        const { bench, leave } = onTheBench();
        type(bench, '44 g');
        leave();
        await wait(5000);
        expect(server.to('/api/formulas/7', 'PUT')).toHaveLength(1);
        expect(server.to('/api/evaluate')).toHaveLength(1);
    });

    it('flush saves at once and says whether it is safe', async () => {
        const { bench } = onTheBench();
        expect(await bench.flush()).toBe(true);
        expect(server.to('/api/formulas/7', 'PUT')).toHaveLength(0);
        type(bench, '1 g');
        expect(await bench.flush()).toBe(true);
        server.on('PUT', '/api/formulas/7', new Status(422, { message: 'The title has 200 letters at most.' }));
        type(bench, '2 g');
        expect(await bench.flush()).toBe(false);
        expect(bench.status.value).toBe('refused');
        expect(bench.refusal.value).toContain('200 letters');
    });
});

describe('two people on one formula', () => {
    const theirs = aPage({ revision: 9, formula: aFormula({ title: 'Theirs' }) });

    async function overtaken() {
        server.on('PUT', '/api/formulas/7', new Status(409, { message: 'It was changed.', current: theirs }));
        const { bench } = onTheBench();
        type(bench, '77 g');
        await wait(600);
        return bench;
    }

    it('asks, and sends nothing more of its own accord', async () => {
        const bench = await overtaken();
        expect(bench.status.value).toBe('overtaken');
        expect(bench.theirs.value?.formula.title).toBe('Theirs');
        type(bench, '78 g');
        await wait(5000);
        expect(server.to('/api/formulas/7', 'PUT')).toHaveLength(1);
        expect(bench.status.value).toBe('overtaken');
    });

    it('can take theirs, and still come back to mine by undo', async () => {
        const bench = await overtaken();
        server.on('PUT', '/api/formulas/7', () => aPage({ revision: 10 }));
        bench.takeTheirs();
        expect(bench.formula.value.title).toBe('Theirs');
        await wait(600);
        expect((server.to('/api/formulas/7', 'PUT').at(-1)?.body as { revision: number }).revision).toBe(9);
        bench.undo();
        expect(amount(bench.formula.value)).toBe('77 g');
    });

    it('can keep mine over theirs, knowingly', async () => {
        const bench = await overtaken();
        server.on('PUT', '/api/formulas/7', () => aPage({ revision: 10 }));
        bench.keepMine();
        await wait(10);
        const sent = server.to('/api/formulas/7', 'PUT').at(-1)?.body as { revision: number; formula: Schemas['Formula'] };
        expect(sent.revision).toBe(9);
        expect(amount(sent.formula)).toBe('77 g');
        expect(bench.status.value).toBe('saved');
        expect(bench.theirs.value).toBeNull();
    });
});

describe('undo', () => {
    it('takes typing in one field as one step, and a pause as the end of a step', async () => {
        const { bench } = onTheBench();
        for (const text of ['4', '45', '45 g']) type(bench, text);
        await wait(1000);
        type(bench, '46 g');
        bench.undo();
        expect(amount(bench.formula.value)).toBe('45 g');
        bench.undo();
        expect(amount(bench.formula.value)).toBe('30 g');
        expect(bench.canUndo.value).toBe(false);
        bench.redo();
        bench.redo();
        expect(amount(bench.formula.value)).toBe('46 g');
        expect(bench.canRedo.value).toBe(false);
    });

    it('takes two fields as two steps, however fast the hand is', () => {
        const { bench } = onTheBench();
        type(bench, '31 g');
        bench.edit('title', (draft) => (draft.title = 'Another'));
        bench.undo();
        expect(bench.formula.value.title).toBe('Evening oil');
        expect(amount(bench.formula.value)).toBe('31 g');
    });

    it('forgets what could be done again once something else is done', () => {
        const { bench } = onTheBench();
        type(bench, '31 g');
        bench.undo();
        bench.edit('title', (draft) => (draft.title = 'Another'));
        expect(bench.canRedo.value).toBe(false);
        bench.redo();
        expect(bench.formula.value.title).toBe('Another');
    });

    it('brings back for whom it was made too', () => {
        const { bench } = onTheBench(aPage({ head_id: 2 }));
        bench.chooseFor(null, { strand: 'fine', porosity: 'low' });
        bench.undo();
        expect([bench.headId.value, bench.hair.value]).toEqual([2, null]);
    });

    it('does nothing where there is nothing', () => {
        const { bench } = onTheBench();
        bench.undo();
        bench.redo();
        expect(bench.formula.value).toEqual(aFormula());
        expect(bench.status.value).toBe('saved');
    });

    it('does not share what it keeps with what came in', () => {
        const page = aPage();
        const { bench } = onTheBench(page);
        type(bench, '99 g');
        expect(amount(page.formula)).toBe('30 g');
        const next = aFormula({ title: 'Put in' });
        bench.replace(next, 'design');
        bench.edit('title', (draft) => (draft.title = 'Changed after'));
        expect(next.title).toBe('Put in');
    });
});

describe('cures and moved share', () => {
    const change: Schemas['Change'] = { op: 'set-amounts', lines: { l1: '20 g' } };
    const cured = aChangedDraft(aFormula({ title: 'Cured' }), { assessment: anAssessment({ findings: [aFinding('left')] }) });

    it('a preview asks and changes nothing', async () => {
        server.on('POST', '/api/cure', () => cured);
        const { bench } = onTheBench();
        const answer = await bench.preview(change);
        expect(answer?.formula.title).toBe('Cured');
        expect(bench.formula.value.title).toBe('Evening oil');
        expect(bench.canUndo.value).toBe(false);
    });

    it('a cure is one step, shown at once and undone from the notice', async () => {
        server.on('POST', '/api/cure', () => cured);
        const { bench } = onTheBench();
        await bench.cure('Less of it', change);
        expect(server.to('/api/cure')[0]?.body).toMatchObject({ change, formula: { title: 'Evening oil' } });
        expect(bench.formula.value.title).toBe('Cured');
        expect(bench.assessment.value.findings[0]?.code).toBe('left');
        expect(notice.value?.words).toBe('Less of it: done.');
        notice.value?.undo?.();
        expect(bench.formula.value.title).toBe('Evening oil');
    });

    it('a cure that fails changes nothing and says why', async () => {
        server.on('POST', '/api/cure', new Status(422, { message: 'That line is not there any more.' }));
        const { bench } = onTheBench();
        await bench.cure('Less of it', change);
        expect(bench.formula.value.title).toBe('Evening oil');
        expect(notice.value).toMatchObject({ words: 'That line is not there any more.', stop: true });
    });

    it('share moved twice in a row is moved from where the first move ended', async () => {
        const first = later<unknown>();
        const answers: unknown[] = [first.promise, aChangedDraft(aFormula({ title: 'Moved twice' }))];
        server.on('POST', '/api/reshare', () => answers.shift());
        const { bench } = onTheBench();
        const moves = [bench.reshare('l2', 'l1', 0.5), bench.reshare('l2', 'l1', 0.5)];
        await wait(5);
        expect(server.to('/api/reshare')).toHaveLength(1);
        first.settle(aChangedDraft(aFormula({ title: 'Moved once' })));
        expect(await Promise.all(moves)).toEqual([true, true]);
        expect(server.to('/api/reshare').map((c) => (c.body as { formula: Schemas['Formula'] }).formula.title)).toEqual([
            'Evening oil',
            'Moved once',
        ]);
        expect(bench.formula.value.title).toBe('Moved twice');
    });

    it('says so when share cannot be moved', async () => {
        server.on('POST', '/api/reshare', new Status(422, { message: 'Beeswax is locked.' }));
        const { bench } = onTheBench();
        expect(await bench.reshare('l2', 'l3', 1)).toBe(false);
        expect(notice.value?.words).toBe('Beeswax is locked.');
    });
});

describe('keeping a version', () => {
    it('saves first, so that what is kept is what is seen', async () => {
        server.on('POST', '/api/formulas/7/versions', () => aPage({ versions: [aVersion(1, { note: 'Softer' })] }));
        const { bench } = onTheBench();
        type(bench, '12 g');
        await bench.keep('Softer');
        const written = server.calls.filter((c) => c.path !== '/api/evaluate').map((c) => `${c.method} ${c.path}`);
        expect(written).toEqual(['PUT /api/formulas/7', 'POST /api/formulas/7/versions']);
        expect(bench.versions.value[0]?.note).toBe('Softer');
        expect(notice.value?.words).toBe('Kept as version 1.');
    });
});
