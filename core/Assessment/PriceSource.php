<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Origin;
use Crown\Measure\Property;

/** Where the price of a line is from, and so whether a maker is asked for it. */
enum PriceSource: string
{
    /** What was truly paid for the bottle on the shelf. */
    case Paid = 'paid';

    /** The maker says it, for a kilogram. */
    case Said = 'said';

    /** It costs what went into the steep. */
    case Steeped = 'steeped';

    /** Nobody placed the line: there is nothing that could have a price. */
    case Unplaced = 'unplaced';

    public static function of(Ingredient $ingredient): self
    {
        return match (true) {
            self::wasPaid($ingredient) => self::Paid,
            ! $ingredient->isPlaced() => self::Unplaced,
            $ingredient->provenance->origin === Origin::Steeped => self::Steeped,
            default => self::Said,
        };
    }

    private static function wasPaid(Ingredient $ingredient): bool
    {
        if (! $ingredient->facts->has(Property::Price)) {
            return false;
        }
        $price = $ingredient->facts->get(Property::Price);

        return $price->isOwn() && $price->said() === Correction::BOUGHT;
    }
}
