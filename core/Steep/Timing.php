<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;
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
                'message' => Message::said('steep.timing.begin', ['day' => $latest->format('j F')]),
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
            $still[] = new Message('steep.timing.shorter', [
                'days' => $shorter,
                'planned' => $plan->timeline->standsDays(),
            ]);
        }
        foreach ([SteepMethod::WaterBath, SteepMethod::HotJar] as $method) {
            if (
                $plan->timeline->method !== $method
                && $plan->by($method)->startingOn($today)->timeline->readyDay() <= $wanted
            ) {
                $still[] = new Message('steep.timing.other-way', [
                    'also' => $still === [] ? 'no' : 'yes',
                    'way' => mb_strtolower($method->label()),
                ]);

                break;
            }
        }

        return [
            'fits' => false,
            'message' => implode(' ', array_map(static fn (Message $m): string => $m->words(), [
                new Message('steep.timing.late', [
                    'begun' => $latest->format('j F'),
                    'ready' => $earliest->format('j F'),
                ]),
                ...$still,
            ])),
            'latest_start' => $latest->format('Y-m-d'),
        ];
    }
}
