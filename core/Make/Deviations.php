<?php

declare(strict_types=1);

namespace Crown\Make;

/**
 * What went otherwise than planned: lines weighed over or under, counted wrong or left out, tasks passed over, or done
 * while it was still too warm. Method page: docs/methods/making.md.
 */
final class Deviations
{
    /**
     * @param  list<Weighing>  $asked
     * @param  array<string, Put>  $put by line
     * @param  list<Task>  $tasks
     * @param  array<string, TaskDone>  $done by the id of the task
     * @return list<Deviation> in the order of the work
     */
    public static function of(array $asked, array $put, array $tasks, array $done): array
    {
        $found = [];
        foreach ($asked as $weighing) {
            $found[] = self::ofLine($weighing, $put[$weighing->line] ?? null);
        }
        foreach ($tasks as $task) {
            $found[] = self::ofTask($task, $done[$task->id()] ?? null);
        }

        return array_values(array_filter($found));
    }

    private static function ofLine(Weighing $asked, ?Put $put): ?Deviation
    {
        if ($put === null || $asked->isMetBy($put)) {
            return null;
        }
        $subject = $asked->name;

        return match ($put->how) {
            PutHow::LeftOut => new Deviation('left-out', $subject),
            PutHow::Counted => new Deviation('miscounted', $subject, (float) $asked->drops, (float) $put->drops),
            default => new Deviation(
                $put->grams > $asked->targetGrams ? 'over' : 'under',
                $subject,
                $asked->targetGrams,
                $put->grams,
            ),
        };
    }

    private static function ofTask(Task $task, ?TaskDone $done): ?Deviation
    {
        return match (true) {
            $done === null => null,
            $done->skipped !== null => new Deviation('passed-over', rtrim($task->act, '.'), note: $done->skipped),
            self::isTooWarm($task, $done) => new Deviation(
                'too-warm',
                rtrim($task->act, '.'),
                // To the degree, as a probe is read: never one more than it bears.
                floor($task->gate->celsius->high ?? 0.0),
                $done->celsius,
            ),
            default => null,
        };
    }

    private static function isTooWarm(Task $task, TaskDone $done): bool
    {
        return ($task->kind->isWaiting() || $task->kind === TaskKind::CoolDown)
            && $task->kind !== TaskKind::Hold
            && $done->celsius !== null
            && $task->gate->celsius !== null
            && $done->celsius > $task->gate->celsius->high;
    }
}
