<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Number;
use DateTimeImmutable;

/** Whether a plan still fits today and the day it is wanted; and if it does not, what still can. */
final class Timing
{
    /** @return array{fits: bool, message: string, latest_start: string} latest start as a date, for the day wanted */
    public static function of(SteepPlan $plan, DateTimeImmutable $today, ?DateTimeImmutable $wanted): array
    {
        if ($wanted === null) {
            return ['fits' => true, 'message' => '', 'latest_start' => $plan->timeline->start->format('Y-m-d')];
        }
        $latest = $plan->readyOn($wanted)->timeline->start;
        if ($latest >= $today) {
            return [
                'fits' => true,
                'message' => sprintf('Begin by %s.', $latest->format('j F')),
                'latest_start' => $latest->format('Y-m-d'),
            ];
        }
        $earliest = $plan->startingOn($today)->timeline->readyDay();
        $fewest = (int) $plan->timeline->method->standsBetween()->least;
        $still = [];
        $shorter = max($fewest, $plan->timeline->standsDays() - (int) $latest->diff($today)->format('%a'));
        if (
            $shorter < $plan->timeline->standsDays()
            && $plan->standing($shorter)->startingOn($today)->timeline->readyDay() <= $wanted
        ) {
            $still[] = sprintf(
                'let it stand %s instead of %d',
                Number::counted($shorter, 'day'),
                $plan->timeline->standsDays(),
            );
        }
        foreach ([SteepMethod::WaterBath, SteepMethod::HotJar] as $method) {
            if (
                $plan->timeline->method !== $method
                && $plan->by($method)->startingOn($today)->timeline->readyDay() <= $wanted
            ) {
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
}
