<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Papers\Label;
use Illuminate\Support\Carbon;

/** The words of a label as they are kept and printed. */
final class LabelWords
{
    /** @return array<string, mixed> */
    public static function of(Label $label, Carbon $made): array
    {
        return [
            'name' => $label->name(),
            'ingredients' => $label->ingredients(),
            'contains' => $label->contains(),
            'net_grams' => $label->netGrams,
            'net' => $label->net(),
            'lot' => $label->lot,
            'made_on' => $made->toDateString(),
            'best_before' => $label->keeping()->bestBefore->format('Y-m-d'),
            'opened_months' => $label->keeping()->openedMonths,
            'opened' => $label->keeping()->opened,
            'store' => $label->keeping()->store->words(),
            'directions' => $label->directions(),
            'cautions' => $label->cautions(),
            'maker' => $label->maker,
        ];
    }
}
