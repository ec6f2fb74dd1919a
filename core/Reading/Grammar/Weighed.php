<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Measure\CupSize;
use Crown\Measure\Unit;

/** Whether an amount by weight and one by volume may be the same. */
final class Weighed
{
    private const MASSES = ['g' => Unit::Gram, 'kg' => Unit::Kilogram, 'oz' => Unit::Ounce, 'lb' => Unit::Pound];

    private const VOLUMES = [
        'ml' => Unit::Millilitre, 'l' => Unit::Litre, 'fl oz' => Unit::FluidOunce, 'tsp' => Unit::Teaspoon,
        'tbsp' => Unit::Tablespoon, 'cups' => Unit::Cup,
    ];

    /** Grams of a millilitre of powders and petals, and of syrup. */
    private const DENSITY = [0.25, 1.5];

    public static function isMass(?Amount $amount): bool
    {
        return isset(self::MASSES[$amount->unit ?? '']);
    }

    public static function isSame(?Amount $one, ?Amount $other): bool
    {
        if ($one === null || $other === null || self::isMass($one) === self::isMass($other)) {
            return false;
        }
        [$mass, $volume] = self::isMass($one) ? [$one, $other] : [$other, $one];
        $unit = self::VOLUMES[$volume->unit] ?? null;
        if ($unit === null) {
            return false;
        }
        $ratio = $mass->count * self::MASSES[$mass->unit]->grams()
            / max(0.01, $volume->count * $unit->millilitres(CupSize::Metric));

        return $ratio >= self::DENSITY[0] && $ratio <= self::DENSITY[1];
    }
}
