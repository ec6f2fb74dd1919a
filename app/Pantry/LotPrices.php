<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\KnowsPrices;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Correction;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Pantry\Paid;

/** What a kilogram of each thing cost, by the bottle that is used next. */
final class LotPrices implements KnowsPrices
{
    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    public function prices(): array
    {
        $own = $this->studio->get()->currency;
        // The first to be used comes last, and so it counts.
        $rows = $this->studio->rows(
            'lots',
            'ingredient, cost, grams, currency, rate',
            'and source = \'bought\' and emptied_on is null and withdrawn = \'\' and cost is not null and grams > 0'
                .' order by use_by desc, id desc',
        );
        $prices = [];
        foreach ($rows as $row) {
            $paid = (new Paid($row->number('cost') ?? 0.0, $row->text('currency'), $row->number('rate')))->in($own);
            if ($paid !== null) {
                $prices[] = new Correction(
                    $row->text('ingredient'),
                    '',
                    Property::Price,
                    Band::exact(1000.0 * $paid / ($row->number('grams') ?? 1.0)),
                    Correction::BOUGHT,
                );
            }
        }

        return $prices;
    }
}
