import type { Schemas } from '../../../api/client';

/** One thing on the counter's screen at a time. */
export type Stop =
    | { key: string; kind: 'gather'; done: boolean; title: string }
    | { key: string; kind: 'weigh'; done: boolean; title: string; line: string }
    | { key: string; kind: 'task'; done: boolean; title: string; task: string }
    | { key: string; kind: 'close'; done: boolean; title: string };

/** Everything is gathered first; then task by task, each after what goes in at it was weighed; at last the jars. */
export function stopsOf(batch: Schemas['Batch']): Stop[] {
    // Whoever weighs has put it there.
    const gathered = batch.weighings.every((w) => w.gathered) || batch.weighings.some((w) => w.actual_grams !== null);
    const placed = new Set(batch.tasks.flatMap((t) => t.lines));
    const weigh = (w: Schemas['Weighing']): Stop => ({
        key: `weigh ${w.line}`,
        kind: 'weigh',
        done: w.actual_grams !== null && !w.more_grams,
        title: `${w.more_grams ? 'Add more' : 'Weigh'}: ${w.name}`,
        line: w.line,
    });
    return [
        {
            key: 'gather',
            kind: 'gather',
            done: gathered,
            title: 'Gather everything',
        },
        ...batch.weighings.filter((w) => !placed.has(w.line)).map(weigh),
        ...batch.tasks.flatMap((t): Stop[] => [
            ...batch.weighings.filter((w) => t.lines.includes(w.line)).map(weigh),
            { key: t.id, kind: 'task', done: t.done, title: t.act, task: t.id },
        ]),
        { key: 'close', kind: 'close', done: batch.state === 'done', title: 'Count the jars and close the batch' },
    ];
}

/** Lines of a task that nobody has weighed yet: forgotten, when it is about to be done. */
export const forgotten = (batch: Schemas['Batch'], task: Schemas['Task']): Schemas['Weighing'][] =>
    batch.weighings.filter((w) => task.lines.includes(w.line) && (w.actual_grams === null || !!w.more_grams));
