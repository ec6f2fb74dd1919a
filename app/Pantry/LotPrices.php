<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\KnowsPrices;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Correction;
use Crown\Json\Node;
use Crown\Measure\Band;
use Crown\Measure\Property;

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
            'ingredient, cost, grams, currency',
            'and source = \'bought\' and emptied_on is null and withdrawn = \'\' and cost is not null and grams > 0'
                .' order by use_by desc, id desc',
        );
        $same = array_filter($rows, static fn (Node $row): bool => in_array($row->text('currency'), ['', $own], true));

        return array_values(array_map(static fn (Node $row): Correction => new Correction(
            $row->text('ingredient'),
            '',
            Property::Price,
            Band::exact(1000.0 * ($row->number('cost') ?? 0.0) / ($row->number('grams') ?? 1.0)),
            Correction::BOUGHT,
        ), $same));
    }
}
