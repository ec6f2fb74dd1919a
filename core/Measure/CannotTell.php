<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Problem;
use Crown\Words\Message;

/** A figure that cannot be known from what is at hand. Shown to the maker as "cannot tell", with the reason. */
final class CannotTell extends Problem
{
    public static function fact(string $substance, Property $property): self
    {
        return new self('amount', 'fact', new Message('measure.problem.fact', [
            'property' => $property->label(),
            'substance' => $substance,
        ]), [
            'substance' => $substance,
            'property' => $property->value,
        ]);
    }

    public static function mass(string $substance, string $amount, string $missing): self
    {
        return new self(
            'amount',
            'mass',
            new Message('measure.problem.mass', [
                'amount' => $amount,
                'substance' => $substance,
                'missing' => $missing,
            ]),
            ['substance' => $substance, 'amount' => $amount, 'missing' => $missing],
        );
    }
}
