<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\CannotTell;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Measure\Property;
use Crown\Words\Message;
use DateTimeImmutable;

/** One oil in a jar, and since when it is in. */
final readonly class Pour
{
    private const OILS = [
        IngredientKind::CarrierOil,
        IngredientKind::LiquidWaxEster,
        IngredientKind::ReadySteep,
        IngredientKind::Butter,
    ];

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
        if ($oil->essentialShare() > 0.0) {
            throw SteepError::scented($oil->name);
        }
        if ($oil->provenance->awaited !== null) {
            throw SteepError::stillStands($oil->name);
        }
        if ($grams <= 0.0 || $grams > 100_000.0) {
            throw SteepError::field('amount', new Message('steep.allowed.mass'));
        }
    }

    /**
     * An oil whose amount is as the maker wrote it.
     *
     * @throws SteepError|MeasureError|CannotTell about "ingredient" or "amount"
     */
    public static function written(Ingredient $oil, string $amount, Kitchen $kitchen, DateTimeImmutable $since): self
    {
        return new self($oil, Quantity::grams($amount, $oil, '', $kitchen), $since);
    }

    /** The same oil for another day. */
    public function from(DateTimeImmutable $since): self
    {
        return new self($this->oil, $this->grams, $since);
    }
}
