<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;
use Crown\Measure\Band;
use Crown\Measure\Property;
use JsonSerializable;

/**
 * What a batch costs by the maker's own prices. A line without a price is not guessed: the sum is then a least.
 * Method page: docs/methods/cost.md. As JSON: $defs/Cost in docs/formats/crown.schema.json.
 */
final readonly class Cost implements JsonSerializable
{
    /**
     * @param  Band  $known money for the lines whose price is known
     * @param  array<string, Band>  $byLine money, keyed by line id; lines without a price are not in it
     * @param  list<Portion>  $unpriced
     */
    private function __construct(
        public Band $known,
        public array $byLine,
        public array $unpriced,
        private float $grams,
    ) {
    }

    public static function of(Composition $composition): self
    {
        $known = Band::exact(0.0);
        $byLine = $unpriced = [];
        foreach ($composition->weighed() as $portion) {
            $price = self::price($portion);
            if ($price === null) {
                $unpriced[] = $portion;

                continue;
            }
            $byLine[$portion->line->id] = $portion->grams->band->times($price)->scaled(1 / 1000);
            $known = $known->plus($byLine[$portion->line->id]);
        }

        return new self($known, $byLine, $unpriced, $composition->totalGrams->best);
    }

    /** Money for 100 g, best. Counts what is known only. */
    public function perHundredGrams(): float
    {
        return $this->grams > 0.0 ? ($this->known->best / $this->grams) * 100 : 0.0;
    }

    /** Money for a kilogram, or null when it is not known. Water costs nothing unless the maker says so. */
    public static function price(Portion $portion): ?Band
    {
        return match (true) {
            $portion->ingredient->facts->has(Property::Price) => $portion->ingredient->facts->get(Property::Price)
                ->band,
            $portion->ingredient->kind === IngredientKind::Water => Band::exact(0.0),
            default => null,
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'known' => $this->known,
            'per_100g' => round($this->perHundredGrams(), 4),
            'unpriced' => array_map(static fn (Portion $p): string => $p->line->id, $this->unpriced),
        ];
    }
}
