<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Problem;

/** A figure that cannot be known from what is at hand. Shown to the maker as "cannot tell", with the reason. */
final class CannotTell extends Problem
{
    public static function fact(string $substance, Property $property): self
    {
        return new self('amount', 'fact', sprintf('The %s of %s is not known.', $property->label(), $substance), [
            'substance' => $substance,
            'property' => $property->value,
        ]);
    }

    public static function mass(string $substance, string $amount, string $missing): self
    {
        return new self(
            'amount',
            'mass',
            sprintf('"%s" of %s cannot be turned into grams: %s', $amount, $substance, $missing),
            ['substance' => $substance, 'amount' => $amount, 'missing' => $missing],
        );
    }
}
