<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\Property;
use DateTimeImmutable;

/** One oil in a jar, and since when it is in. */
final readonly class Pour
{
    private const OILS = [IngredientKind::CarrierOil, IngredientKind::LiquidWaxEster, IngredientKind::ReadySteep];

    /** @throws SteepError */
    public function __construct(public Ingredient $oil, public float $grams, public DateTimeImmutable $since)
    {
        // A liquid active such as squalane is an oil to the jar.
        $liquid = $oil->kind === IngredientKind::OilActive
            && $oil->facts->has(Property::Density20)
            && ! $oil->facts->has(Property::BulkDensity);
        if (! in_array($oil->kind, self::OILS, true) && ! $liquid) {
            throw SteepError::notAnOil($oil->name);
        }
        if ($grams <= 0.0 || $grams > 100_000.0) {
            throw SteepError::field('oil_grams', 'a mass above 0 and at most 100,000 g');
        }
    }

    public function from(DateTimeImmutable $since): self
    {
        return new self($this->oil, $this->grams, $since);
    }
}
