<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\Day;
use App\Support\Refused;

/** Ticks or unticks the shake of a day. */
final class TickShake
{
    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    /** @throws Refused for a day on which it is not shaken */
    public function __invoke(Steep $steep, ShakeRequest $asked): void
    {
        $date = $asked->day();
        $stop = $steep->plan($this->catalogue->get())->timeline->stopShaking()->format('Y-m-d');
        if ($date->lessThan($steep->started_on) || $date->greaterThan(Day::today()) || $date->greaterThan($stop)) {
            throw Refused::because(
                'date',
                sprintf(
                    'A shake can be ticked from %s to today, and no later than %s, when it is left to settle.',
                    $steep->started_on->toDateString(),
                    $stop,
                ),
            );
        }
        if ($asked->boolean('done')) {
            SteepShake::query()->firstOrCreate(['steep_id' => $steep->id, 'date' => $date->toDateString()]);
        } else {
            SteepShake::query()->where('steep_id', $steep->id)->whereDate('date', $date)->delete();
        }
    }
}
