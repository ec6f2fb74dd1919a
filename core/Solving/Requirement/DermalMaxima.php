<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Part;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Internal\Row;
use Crown\Solving\Requirement;
use Crown\Words\Message;

/** Every essential oil at or under its own dermal maximum (docs/methods/load.md). It has no ends of its own. */
final readonly class DermalMaxima extends Requirement
{
    public function kind(): string
    {
        return 'dermal';
    }

    public function rows(Programme $programme): array
    {
        $rows = [];
        foreach ($programme->candidates as $j => $candidate) {
            foreach ($candidate->ingredient->blend ?: [new Part($candidate->ingredient, Band::exact(1.0))] as $part) {
                $facts = $part->ingredient->facts;
                if ($part->ingredient->kind === IngredientKind::EssentialOil && $facts->has(Property::DermalMax)) {
                    $rows[] = new Row([$j => $part->share->high], -INF, $facts->best(Property::DermalMax, 100.0));
                }
            }
        }

        return $rows;
    }

    /** The largest share of an essential oil that has a maximum, per cent of that maximum. */
    public function reached(Programme $programme, array $x): float
    {
        $largest = 0.0;
        foreach ($this->rows($programme) as $row) {
            $largest = max($largest, $row->most > 0.0 ? (100 * $row->value($x)) / $row->most : 0.0);
        }

        return $largest;
    }

    public function words(): string
    {
        return Message::said('solving.dermal-maxima.every-essential-oil-under');
    }
}
