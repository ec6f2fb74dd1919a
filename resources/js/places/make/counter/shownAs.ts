import type { Schemas } from '../../../api/client';
import type { Act } from '../../../queries/counter';

type Batch = Schemas['Batch'];

/** The batch as it will be when what waits has been sent: shown at once, judged by the server when it arrives. */
export const shownAs = (batch: Batch, waiting: readonly Act[]): Batch => waiting.reduce(withAct, batch);

function withAct(batch: Batch, act: Act): Batch {
    switch (act.kind) {
        case 'weigh':
            return { ...batch, weighings: batch.weighings.map((w) => (w.line === act.body.line ? weighed(w, act.body) : w)) };
        case 'tick': {
            const done = { done: act.body.done, skipped: act.body.skipped ?? '' };
            return { ...batch, tasks: batch.tasks.map((t) => (t.id === act.body.task ? { ...t, ...done } : t)) };
        }
        case 'time':
            return isThere(batch, act.body) ? batch : { ...batch, timers: [...batch.timers, running(batch, act.body)] };
        case 'stop':
            return { ...batch, timers: batch.timers.filter((t) => t.id !== act.timer) };
        default:
            // What a probe has shown is worked out where the rules are.
            return batch;
    }
}

function weighed(w: Schemas['Weighing'], body: Omit<Schemas['WeighAsk'], 'revision'>): Schemas['Weighing'] {
    if (!body.how && body.grams === null) return { ...w, gathered: body.gathered };
    const grams = { weighed: body.grams, counted: (body.drops ?? 0) * (w.drop_grams ?? 0), 'too-little': w.target_grams, 'left-out': 0 };
    return {
        ...w,
        gathered: body.gathered,
        how: body.how ?? 'weighed',
        actual_grams: grams[body.how ?? 'weighed'],
        actual_drops: body.drops ?? null,
        // Only the rules say whether it is near enough.
        within: null,
        more_grams: null,
    };
}

/** It was written down, and only the answer is not here yet. */
function isThere(batch: Batch, body: Schemas['TimerAsk']): boolean {
    const from = Date.parse(body.at ?? '');
    return batch.timers.some((t) => t.task === body.task && Math.abs(Date.parse(t.started_at) - from) < 1500);
}

function running(batch: Batch, body: Schemas['TimerAsk']): Schemas['BatchTimer'] {
    const from = Date.parse(body.at ?? batch.now);
    return {
        id: -1 - batch.timers.length,
        task: body.task,
        label: body.label ?? '',
        started_at: new Date(from).toISOString(),
        ends_at: new Date(from + body.minutes * 60_000).toISOString(),
        by: '',
    };
}
