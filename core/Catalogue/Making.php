<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Closure;

/** Something that a studio made itself and can put into a formula: it is worked out when it is asked for. */
final readonly class Making
{
    /**
     * @param  string|null  $name null where it is found by its id alone
     * @param  Closure(Catalogue): Ingredient  $make from the whole catalogue, those that were made before it among it
     */
    public function __construct(public string $id, public ?string $name, public Closure $make)
    {
    }
}
