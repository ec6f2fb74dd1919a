<?php

declare(strict_types=1);

namespace Crown\Solving;

/** What a maker pays for an ingredient, and has of it. */
final readonly class Supply
{
    /**
     * @param  float|null  $price money per gram; null when it is not known
     * @param  float|null  $stock grams at hand; null when it does not matter
     */
    public function __construct(public ?float $price = null, public ?float $stock = null)
    {
    }
}
