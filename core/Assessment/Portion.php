<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Line;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Figure;

/**
 * A line with what was computed of it: its ingredient, its amount, its grams in the batch and its share of the whole.
 */
final readonly class Portion
{
    /**
     * @param  list<Amount>  $amount the amount when it could be read, else empty
     * @param  Figure  $grams zero when it cannot be told
     * @param  Band  $share fraction of the whole, 0 to 1
     * @param  string  $problem why the mass cannot be told; "" when it can
     */
    public function __construct(
        public Line $line,
        public Ingredient $ingredient,
        public array $amount,
        public Figure $grams,
        public Band $share,
        public string $problem,
    ) {
    }

    public function counts(): bool
    {
        return $this->problem === '';
    }

    /** The form written, or the usual one for this ingredient. */
    public function form(): string
    {
        return $this->line->form === '' ? $this->ingredient->usualForm() : $this->line->form;
    }

    /** Fraction of the product that this line brings as free water. */
    public function freeWater(): Band
    {
        return $this->share->scaled($this->ingredient->freeWater($this->form()));
    }

    /** Per cent of the finished mass, best. */
    public function percent(): float
    {
        return $this->share->best * 100;
    }

    /**
     * Whether it comes out of a bottle: tap water does not run out, unless it is counted, and what nobody placed is in
     * none.
     *
     * @param  array<string, float|null>  $atHand what is counted, by ingredient id
     */
    public function isFromStock(array $atHand): bool
    {
        $id = $this->ingredient->id;

        return $id !== '' && ($this->ingredient->kind !== IngredientKind::Water || array_key_exists($id, $atHand));
    }
}
