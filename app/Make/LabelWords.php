<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\Lot;
use Crown\Papers\Label;
use Illuminate\Support\Carbon;

/** The words of a label as they are kept and printed. */
final class LabelWords
{
    /**
     * @param  Lot|null  $first of the bottles that went in, the one to be used first
     * @param  string  $what that is called
     * @return array<string, mixed>
     */
    public static function of(Label $label, Carbon $made, ?Lot $first = null, string $what = ''): array
    {
        $keeping = $label->keeping();
        $best = $keeping?->bestBefore->format('Y-m-d');
        $bottle = $first?->useBy();
        // What is in it keeps no longer in the jar than it did in its bottle.
        $decides = $bottle !== null && ($best === null || $bottle <= $best);

        return [
            'name' => $label->name(),
            'ingredients' => $label->ingredients(),
            'contains' => $label->contains(),
            'net_grams' => $label->netGrams,
            'net' => $label->net(),
            'lot' => $label->lot,
            'made_on' => $made->toDateString(),
            'best_before' => $decides ? max($made->toDateString(), $bottle) : $best,
            'kept_by' => $decides ? $what : '',
            'opened_months' => $keeping?->openedMonths,
            'opened' => $keeping?->opened,
            'store' => $keeping?->store->words() ?? '',
            'directions' => $label->directions(),
            'cautions' => $label->cautions($decides),
            'maker' => $label->maker,
        ];
    }
}
