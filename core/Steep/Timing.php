<?php

declare(strict_types=1);

namespace Crown\Steep;

use DateTimeImmutable;

/** Whether a plan still fits today and the day it is wanted; and if it does not, what still can. */
final class Timing
{
    /** @return array{fits: bool, message: string, latest_start: string} latest start as a date, for the day wanted */
    public static function of(SteepPlan $plan, DateTimeImmutable $today, ?DateTimeImmutable $wanted): array
    {
        if ($wanted === null) {
            return ['fits' => true, 'message' => '', 'latest_start' => $plan->start->format('Y-m-d')];
        }
        $latest = $plan->readyOn($wanted)->start;
        if ($latest >= $today) {
            return [
                'fits' => true,
                'message' => sprintf('Begin by %s.', $latest->format('j F')),
                'latest_start' => $latest->format('Y-m-d'),
            ];
        }
        $earliest = $plan->startingOn($today)->readyDay();
        $fewest = $plan->method->daysRange()[0];
        $still = [];
        $shorter = max($fewest, $plan->standsDays() - (int) $latest->diff($today)->format('%a'));
        if (
            $shorter < $plan->standsDays()
            && self::standing($plan, $shorter)->startingOn($today)->readyDay() <= $wanted
        ) {
            $still[] = sprintf('let it stand %d days instead of %d', $shorter, $plan->standsDays());
        }
        foreach ([SteepMethod::WaterBath, SteepMethod::HotJar] as $method) {
            if ($plan->method !== $method && $plan->by($method)->startingOn($today)->readyDay() <= $wanted) {
                $still[] = sprintf('use the way "%s"', mb_strtolower($method->label()));

                break;
            }
        }

        return [
            'fits' => false,
            'message' => sprintf(
                'It should have begun on %s. Begun today it is ready on %s.%s',
                $latest->format('j F'),
                $earliest->format('j F'),
                $still === [] ? '' : ' To be in time: '.implode(', or ', $still).'.',
            ),
            'latest_start' => $latest->format('Y-m-d'),
        ];
    }

    private static function standing(SteepPlan $plan, int $days): SteepPlan
    {
        return new SteepPlan(
            $plan->herbs,
            $plan->pours,
            $plan->stays,
            $plan->vessel,
            $plan->shakenDaily,
            $plan->pressed,
            $plan->celsius,
            $plan->minutes,
            $days,
            $plan->waterGrams,
            $plan->draws,
            $plan->weighings,
            $plan->retention,
        );
    }
}
