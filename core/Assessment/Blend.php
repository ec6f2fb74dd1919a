<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\MixturePart;
use Crown\Measure\Band;
use Crown\Measure\Property;

/**
 * Ingredients and how much there is of each, whatever they were written as: what can be said of a blend from its parts
 * alone. Shares may be fractions, per cent or grams, as long as all are the same.
 */
final readonly class Blend
{
    /** @param  list<MixturePart>  $parts */
    public function __construct(private array $parts)
    {
    }

    public static function of(Portion ...$portions): self
    {
        return new self(
            array_map(
                static fn (Portion $p): MixturePart => new MixturePart($p->ingredient, $p->share->best),
                array_values($portions),
            ),
        );
    }

    /**
     * Share-weighted mean of the heaviness of what has one, 1 (light on the hair) to 5; null when nothing has.
     * Method page: docs/methods/fit.md.
     */
    public function heaviness(): ?float
    {
        $sum = $shares = 0.0;
        foreach ($this->parts as $part) {
            if ($part->ingredient->facts->has(Property::Weight)) {
                $sum += $part->amount * $part->ingredient->facts->best(Property::Weight, 0.0);
                $shares += $part->amount;
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
        foreach ($this->parts as $part) {
            if (! $part->ingredient->oxidises()) {
                continue;
            }
            $life = $part->ingredient->facts->get(Property::LifeMonths)->band;
            $shares += $part->amount;
            $spent[0] += $part->amount / $life->low;
            $spent[1] += $part->amount / $life->best;
            $spent[2] += $part->amount / $life->high;
        }

        return $shares > 0.0 ? Band::of($shares / $spent[0], $shares / $spent[1], $shares / $spent[2]) : null;
    }
}
