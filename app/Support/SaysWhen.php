<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Carbon;

/** A request that may be sent later than it was meant: without a network it is kept, and says when it was. */
trait SaysWhen
{
    /** @return array<string, string> */
    private function atRule(): array
    {
        return ['at' => 'sometimes|nullable|date'];
    }

    /** When it was: never in the time to come, and not longer ago than anything is kept for. */
    public function at(): Carbon
    {
        $now = Carbon::now();
        if (! $this->filled('at')) {
            return $now;
        }
        $said = Carbon::parse($this->string('at')->value())->setTimezone($now->getTimezone());

        $tooOld = $said->lessThan($now->copy()->subDays(Idempotent::KNOWN_DAYS));

        return $tooOld || $said->greaterThan($now) ? $now : $said;
    }
}
