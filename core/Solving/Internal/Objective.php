<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Catalogue\Need;
use Crown\Measure\Property;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;

/** What is made least, for each goal. */
final class Objective
{
    /**
     * What comes in anew counts so much as a change: of two ways as near, the one with what is in it already is taken.
     */
    private const NEWCOMER = 1.1;

    /**
     * Lays what the goals need, then gives the cost of each variable for each of them.
     *
     * @param  list<Goal>  $goals
     * @param  list<Need>  $serves whose points are the goal "service"
     * @return list<list<float>> costs by goal
     */
    public static function of(array $goals, Programme $programme, array $serves): array
    {
        // Every variable is there before the first cost is written.
        if (in_array(Goal::Nearest, $goals, true)) {
            $programme->changes();
        }
        foreach (in_array(Goal::Service, $goals, true) ? $serves : [] as $need) {
            $programme->points($need);
        }

        return array_map(
            static fn (Goal $goal): array => array_values(
                array_replace($programme->zeros(), self::costs($goal, $programme, $serves)),
            ),
            $goals,
        );
    }

    /** The figure of the goal itself, of a cost that was reached. */
    public static function figure(Goal $goal, float $cost): float
    {
        return $goal === Goal::Service ? -$cost : $cost;
    }

    /**
     * @param  list<Need>  $serves
     * @return array<int, float> by variable
     */
    private static function costs(Goal $goal, Programme $programme, array $serves): array
    {
        return match ($goal) {
            Goal::Cheapest => $programme->each(static fn (Candidate $c): float => $c->supply->price ?? 0.0),
            Goal::Lasting => $programme->each(self::spentPerMonth(...)),
            Goal::Lightest => $programme->each(
                static fn (Candidate $c): float => $c->ingredient->facts->best(Property::Weight, 0.0) / 100,
            ),
            Goal::Nearest => self::changes($programme),
            Goal::Service => self::points($programme, $serves),
        };
    }

    private static function spentPerMonth(Candidate $candidate): float
    {
        $life = $candidate->ingredient->facts->best(Property::LifeMonths, 0.0);

        return $life > 0.0 ? 1 / $life : 0.0;
    }

    /** @return array<int, float> */
    private static function changes(Programme $programme): array
    {
        $costs = [];
        foreach ($programme->changes() as $j => [$more, $less]) {
            $costs[$more] = $programme->candidates[$j]->now > 0.0 ? 1.0 : self::NEWCOMER;
            $costs[$less] = 1.0;
        }

        return $costs;
    }

    /**
     * @param  list<Need>  $serves
     * @return array<int, float>
     */
    private static function points(Programme $programme, array $serves): array
    {
        $costs = [];
        foreach ($serves as $need) {
            foreach ($programme->points($need) as $variable => $slope) {
                $costs[$variable] = ($costs[$variable] ?? 0.0) - $slope;
            }
        }

        return $costs;
    }
}
