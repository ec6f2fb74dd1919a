<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Checks\ScentsInHeat;
use Crown\Make\Internal\HerMethod;
use Crown\Make\Internal\HouseMethod;

/**
 * What is done at the counter, in order: the maker's own method where she wrote one, with what it leaves out put in at
 * its usual turn; where hers would not be safe, the safe way with a word on why.
 * Method page: docs/methods/procedure.md.
 */
final readonly class Procedure
{
    /** @param  list<Task>  $tasks every line goes in at exactly one of them */
    private function __construct(public array $tasks)
    {
    }

    public static function of(Assessment $assessment): self
    {
        $steps = $assessment->subject->formula()->steps;
        $house = new HouseMethod($assessment, array_filter($steps, ScentsInHeat::heats(...)) !== []);
        $ours = $house->tasks();
        $hers = $steps === [] ? [] : (new HerMethod($assessment, $house, $ours))->tasks(...$steps);

        return new self(self::counted($hers === [] ? $ours : self::merged($hers, $ours)));
    }

    /**
     * @param  list<Task>  $hers
     * @param  list<Task>  $house
     * @return list<Task>
     */
    private static function merged(array $hers, array $house): array
    {
        $placed = array_merge(...array_map(static fn (Task $t): array => $t->lines, $hers));
        $kinds = array_map(static fn (Task $t): TaskKind => $t->kind, $hers);
        // What goes into the bowl as it is whipped finds its place once the rounds of whipping have theirs.
        $last = array_filter($house, static fn (Task $t): bool => $t->kind === TaskKind::CoolDown);
        foreach ([...array_diff_key($house, $last), ...$last] as $task) {
            $open = array_values(array_diff($task->lines, $placed));
            $takesLines = $task->lines !== [];
            if ($takesLines ? $open === [] : in_array($task->kind, $kinds, true)) {
                continue;
            }
            $joined = $takesLines ? self::joining($hers, $task->kind) : null;
            if ($joined !== null) {
                $with = $hers[$joined]->with([...$hers[$joined]->lines, ...$open], $hers[$joined]->act);
                $hers = array_values(array_replace($hers, [$joined => $with]));

                continue;
            }
            // Letting it cool is for what goes in after it.
            if ($task->kind === TaskKind::Cool && ! self::waits($house, $placed)) {
                continue;
            }
            $hers = self::inserted($takesLines ? $task->with($open, $task->act) : $task, $hers);
        }

        return $hers;
    }

    /**
     * Her own task with which lines go in of which she said nothing: what is melted melts with the rest.
     *
     * @param  list<Task>  $hers
     */
    private static function joining(array $hers, TaskKind $kind): ?int
    {
        foreach ($hers as $n => $task) {
            if ($task->kind === $kind && ($kind === TaskKind::Melt || $task->lines === [])) {
                return $n;
            }
        }

        return null;
    }

    /**
     * Whether any of what goes in at the cool-down has no place yet.
     *
     * @param  list<Task>  $house
     * @param  list<string>  $placed
     */
    private static function waits(array $house, array $placed): bool
    {
        foreach ($house as $task) {
            if ($task->kind === TaskKind::CoolDown && array_diff($task->lines, $placed) !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * At its usual turn: before the first task of a later turn; what comes after the heat, after the last of it.
     *
     * @param  list<Task>  $tasks
     * @return list<Task>
     */
    private static function inserted(Task $new, array $tasks): array
    {
        $turn = $new->kind->turn() ?? 0;
        $at = count($tasks);
        $melts = array_keys(array_filter(
            $tasks,
            static fn (Task $t): bool => $t->kind === TaskKind::Melt || $t->kind === TaskKind::Hold,
        ));
        $heated = $turn > TaskKind::Melt->turn() && $melts !== [] ? max($melts) : -1;
        $whips = array_keys(array_filter($tasks, static fn (Task $t): bool => $t->kind === TaskKind::Whip));
        if ($new->kind === TaskKind::CoolDown && $whips !== [] && max($whips) > $heated) {
            // Into the bowl as it is whipped for the last time: it is coolest then, and no scent is lost before.
            array_splice($tasks, max($whips), 0, [$new]);

            return array_values($tasks);
        }
        // What she adds at a moment of her own goes into what is melted, with clean hands.
        $own = $turn <= TaskKind::Melt->turn() ? PHP_INT_MAX : -1;
        foreach ($tasks as $n => $task) {
            if ($n > $heated && ($task->kind->turn() ?? $own) > $turn) {
                $at = $n;
                break;
            }
        }
        array_splice($tasks, $at, 0, [$new]);

        return array_values($tasks);
    }

    /**
     * Each with its number among those of its kind.
     *
     * @param  list<Task>  $tasks
     * @return list<Task>
     */
    private static function counted(array $tasks): array
    {
        $of = [];

        return array_map(static function (Task $task) use (&$of): Task {
            $of[$task->kind->value] = ($of[$task->kind->value] ?? 0) + 1;

            return $task->inRound($of[$task->kind->value]);
        }, $tasks);
    }
}
