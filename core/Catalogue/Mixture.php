<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;

/** What follows for a whole from the things that are mixed in it by their masses. What they carry is Carried's. */
final readonly class Mixture
{
    private float $grams;

    /** @param  list<MixturePart>  $parts one at least, in grams, or in another unit of mass */
    public function __construct(private array $parts)
    {
        $this->grams = array_sum(array_map(static fn (MixturePart $p): float => $p->amount, $parts));
    }

    /** A figure's mean by mass; null where one of them has none. */
    public function mean(Property $property): ?Band
    {
        $low = $best = $high = 0.0;
        foreach ($this->parts as $part) {
            $facts = self::facts($part->ingredient);
            if (! $facts->has($property)) {
                return null;
            }
            $band = $facts->get($property)->band;
            $share = $part->amount / $this->grams;
            [$low, $best, $high] = [
                $low + $share * $band->low,
                $best + $share * $band->best,
                $high + $share * $band->high,
            ];
        }

        return Band::of(min($low, $best), $best, max($best, $high));
    }

    /** g/ml at 20 °C by adding up the volumes; what has no density counts as oil. */
    public function density(): Band
    {
        $volume = 0.0;
        foreach ($this->parts as $part) {
            $volume += $part->amount / $part->ingredient->density20();
        }

        return Band::exact($this->grams / $volume);
    }

    /** The lowest, or the highest, of a figure among those that have one; null where none has. */
    public function end(Property $property, bool $lowest): ?Band
    {
        $found = null;
        foreach ($this->parts as $part) {
            $facts = self::facts($part->ingredient);
            $band = $facts->has($property) ? $facts->get($property)->band : null;
            if ($band !== null && ($found === null || ($band->best < $found->best) === $lowest)) {
                $found = $band;
            }
        }

        return $found;
    }

    /** Not known where one of them is not. */
    public function fattyAcids(): FattyAcids
    {
        $percent = [];
        foreach ($this->parts as $part) {
            if (! $part->ingredient->composition->fattyAcids->known()) {
                return new FattyAcids([], '');
            }
            foreach ($part->ingredient->composition->fattyAcids->percent as $acid => $share) {
                $percent[$acid] = ($percent[$acid] ?? 0.0) + ($share * $part->amount) / $this->grams;
            }
        }

        return new FattyAcids($percent, Fact::ESTIMATE);
    }

    /** Each by how firm it makes a blend. */
    public function solidFat(): SolidFat
    {
        $percent = array_fill_keys(SolidFat::TEMPERATURES, 0.0);
        foreach ($this->parts as $part) {
            $fat = $part->ingredient->composition->solidFat;
            foreach (SolidFat::TEMPERATURES as $celsius) {
                $percent[$celsius] += ($fat->at((float) $celsius) * $fat->structure * $part->amount) / $this->grams;
            }
        }

        return new SolidFat($percent, 1.0, Fact::ESTIMATE);
    }

    /** @return array<string, float> by INCI name, 0 to 1; what has no such name is left out */
    public function inciShares(): array
    {
        $shares = [];
        foreach ($this->parts as $part) {
            foreach ($part->ingredient->inciShares() as $name => $share) {
                $shares[$name] = ($shares[$name] ?? 0.0) + ($share * $part->amount) / $this->grams;
            }
        }

        return $shares;
    }

    private static function facts(Ingredient $ingredient): FactSheet
    {
        return $ingredient->factsIn($ingredient->usualForm());
    }
}
