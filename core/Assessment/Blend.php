<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Measure\Band;
use Crown\Measure\Property;

/**
 * Ingredients and how much there is of each, whatever they were written as: what can be said of a blend from its parts
 * alone. Shares may be fractions, per cent or grams, as long as all are the same.
 */
final readonly class Blend
{
    /** @param  list<array{Ingredient, float}>  $parts each with its share */
    public function __construct(private array $parts)
    {
    }

    public static function of(Portion ...$portions): self
    {
        return new self(
            array_map(static fn (Portion $p): array => [$p->ingredient, $p->share->best], array_values($portions)),
        );
    }

    /**
     * Share-weighted mean of the heaviness of what has one, 1 (light on the hair) to 5; null when nothing has.
     * Method page: docs/methods/fit.md.
     */
    public function heaviness(): ?float
    {
        $sum = $shares = 0.0;
        foreach ($this->parts as [$ingredient, $share]) {
            if ($ingredient->facts->has(Property::Weight)) {
                $sum += $share * $ingredient->facts->best(Property::Weight, 0.0);
                $shares += $share;
            }
        }

        return $shares > 0.0 ? $sum / $shares : null;
    }

    /**
     * Months before it goes rancid, kept at 20 °C in the dark: the harmonic mean of the lives of what oxidises. Null
     * when none is known. Method page: docs/methods/life.md.
     */
    public function life(): ?Band
    {
        $spent = [0.0, 0.0, 0.0];
        $shares = 0.0;
        foreach ($this->parts as [$ingredient, $share]) {
            if (! $ingredient->oxidises()) {
                continue;
            }
            $life = $ingredient->facts->get(Property::LifeMonths)->band;
            $shares += $share;
            $spent[0] += $share / $life->low;
            $spent[1] += $share / $life->best;
            $spent[2] += $share / $life->high;
        }

        return $shares > 0.0 ? Band::of($shares / $spent[0], $shares / $spent[1], $shares / $spent[2]) : null;
    }
}
