<?php

declare(strict_types=1);

namespace Crown\Measure;

use DomainException;

/** A figure that cannot be known from what is at hand. Shown to the maker as "cannot tell", with the reason. */
final class CannotTell extends DomainException
{
    public static function fact(string $substance, Property $property): self
    {
        return new self(sprintf('The %s of %s is not known.', $property->label(), $substance));
    }

    public static function mass(string $substance, string $amount, string $missing): self
    {
        return new self(sprintf('"%s" of %s cannot be turned into grams: %s', $amount, $substance, $missing));
    }
}
