<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Part;
use Crown\Formula\Line;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Figure;
use LogicException;

/**
 * A line with what was computed of it: its ingredient, its amount, its grams in the batch and its share of the whole.
 */
final readonly class Portion
{
    /**
     * @param  Amount|null  $amount null when it could not be read
     * @param  Figure  $grams zero when it cannot be told
     * @param  Band  $share fraction of the whole, 0 to 1
     * @param  string|null  $problem why the mass cannot be told; null when it can
     * @param  self|null  $of the whole line, of what is one part of a ready blend
     */
    public function __construct(
        public Line $line,
        public Ingredient $ingredient,
        public ?Amount $amount,
        public Figure $grams,
        public Band $share,
        public ?string $problem,
        public ?self $of = null,
    ) {
    }

    /** The same line, if its name meant something else. */
    public function meaning(Ingredient $other): self
    {
        return new self($this->line, $other, $this->amount, $this->grams, $this->share, $this->problem);
    }

    /** Whether nothing is written in it yet. */
    public function isBlank(): bool
    {
        return $this->line->ingredient === null && $this->line->name === '' && $this->line->amount->isBlank();
    }

    /** @return list<self> itself; of a ready blend each of its parts, with its share of the mass */
    public function parts(): array
    {
        return $this->ingredient->isBlend()
            ? array_map(
                fn (Part $part): self => new self(
                    $this->line,
                    $part->ingredient,
                    $this->amount,
                    new Figure(
                        $this->grams->band->times($part->share),
                        'g',
                        $this->grams->basis,
                        $this->grams->working,
                    ),
                    $this->share->times($part->share),
                    $this->problem,
                    $this,
                ),
                $this->ingredient->blend,
            )
            : [$this];
    }

    /**
     * What is in several lines is one thing on the skin.
     *
     * @param  list<self>  $portions
     * @return array<string, non-empty-list<self>> by ingredient; what nobody placed by its name
     */
    public static function byIngredient(array $portions): array
    {
        $by = [];
        foreach ($portions as $portion) {
            $what = $portion->ingredient;
            $by[$what->isPlaced() ? $what->id : '?'.$what->name][] = $portion;
        }

        return $by;
    }

    /** The line as it is weighed. */
    public function whole(): self
    {
        return $this->of ?? $this;
    }

    /** What it is called; of a part also in what it is. */
    public function name(): string
    {
        return $this->of === null
            ? $this->ingredient->name
            : sprintf('%s (in %s)', $this->ingredient->name, $this->of->ingredient->name);
    }

    /** What tells it from all others of its formula. */
    public function key(): string
    {
        return $this->line->id.' '.$this->ingredient->id;
    }

    /** So much of the line brings a share of this, per cent of the finished mass. */
    public function percentOfLineFor(float $percent): float
    {
        return $this->of === null || $this->share->high <= 0.0
            ? $percent
            : $percent * $this->of->share->high / $this->share->high;
    }

    public function counts(): bool
    {
        return $this->problem === null;
    }

    /** The amount of a line that counts: what cannot be read has no mass. */
    public function read(): Amount
    {
        return $this->amount ?? throw new LogicException('A line whose amount cannot be read does not count.');
    }

    /** The form written, or the usual one for this ingredient. */
    public function form(): string
    {
        return $this->line->form === '' || $this->of !== null ? $this->ingredient->usualForm() : $this->line->form;
    }

    /** Fraction of the product that this line brings as free water. */
    public function freeWater(): Band
    {
        return $this->share->times($this->ingredient->freeWater($this->form()));
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
