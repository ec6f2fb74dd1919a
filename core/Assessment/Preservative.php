<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Microbes;
use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\Solubility;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** The preservatives of a composition, and whether one of them fits the class of water it meets. */
final readonly class Preservative
{
    /** From here on water is alkaline, pH. */
    private const ALKALINE = 7.5;

    /**
     * @param  list<Portion>  $lines
     * @param  list<Portion>  $alkalis what makes water alkaline
     * @param  bool  $open whether there is a line of which nobody knows how much there is
     */
    private function __construct(
        public array $lines,
        private array $alkalis,
        private bool $rinsedOff,
        private bool $open,
    ) {
    }

    public static function of(Composition $composition): self
    {
        return new self(
            array_values(
                array_filter(
                    $composition->counted(),
                    static fn (Portion $p): bool => in_array(
                        $p->ingredient->preservation->kind,
                        [PreservationKind::Broad, PreservationKind::Partial],
                        true,
                    ),
                ),
            ),
            array_values(array_filter($composition->present(), self::isAlkali(...))),
            $composition->formula->audience->isRinsedOff(),
            $composition->unknown->open(),
        );
    }

    /**
     * Whether what is there in its range of use, and goes where the water is, holds down all that can grow: one
     * broad-spectrum preservative, or partial ones that make a whole at a pH at which all of them work. Beside a line
     * of which nobody knows how much there is, no dose can be told, so that none is relied on.
     */
    public function fits(?WaterClass $class): bool
    {
        return $class !== null && ! $this->open && $this->isWhole(
            fn (Portion $line): bool => self::dissolves($line->ingredient->preservation->solubility, $class)
                && $this->isEnough($line)
                && $this->alkalisFor($line) === [],
        );
    }

    /** Whether its lines, in whatever dose, are meant to hold down all that can grow. */
    public function isBroad(): bool
    {
        return $this->isWhole(static fn (Portion $line): bool => true);
    }

    /** @param  callable(Portion): bool  $counts */
    private function isWhole(callable $counts): bool
    {
        $lines = array_filter($this->lines, $counts);
        foreach ($lines as $line) {
            if ($line->ingredient->preservation->kind === PreservationKind::Broad) {
                return true;
            }
        }
        $against = [];
        [$low, $high] = [0.0, 14.0];
        foreach ($lines as $line) {
            $ingredient = $line->ingredient;
            foreach ($ingredient->preservation->against as $microbe) {
                $against[$microbe->value] = true;
            }
            if ($ingredient->facts->has(Property::Ph)) {
                $ph = $ingredient->facts->get(Property::Ph)->band;
                [$low, $high] = [max($low, $ph->low), min($high, $ph->high)];
            }
        }

        return count($against) === count(Microbes::cases()) && $low <= $high;
    }

    /**
     * It must go where microbes could live: into the oil of a product without free water, into the water of the others.
     */
    public static function dissolves(Solubility $solubility, ?WaterClass $class): bool
    {
        return match ($class) {
            null, WaterClass::Dry, WaterClass::WetInUse, WaterClass::Traces => $solubility === Solubility::Oil
                || $solubility === Solubility::Dispersible,
            default => $solubility !== Solubility::Oil,
        };
    }

    /**
     * Its range of use, per cent of the finished mass, never above what law allows: more of some is allowed in what is
     * rinsed off. Null where no range is known.
     */
    public static function range(Ingredient $preservative, bool $rinsedOff): ?Band
    {
        if (! $preservative->facts->has(Property::Use)) {
            return null;
        }
        $use = $preservative->facts->get(Property::Use)->band;
        $law = $preservative->preservation->law[0] ?? null;
        if ($law === null) {
            return $use;
        }
        $allowed = $law->weighedMaximum($rinsedOff);
        $most = min($allowed, $rinsedOff && $law->rinsedMaximum !== null ? $allowed : $use->high);

        return Band::of(min($use->low, $most), min($use->best, $most), $most);
    }

    /** Whether it is no preservative and makes water alkaline: soap, bicarbonate. */
    private static function isAlkali(Portion $portion): bool
    {
        $facts = $portion->ingredient->facts;

        return $portion->ingredient->kind !== IngredientKind::Preservative
            && $facts->has(Property::Ph)
            && $facts->get(Property::Ph)->band->low >= self::ALKALINE;
    }

    /** @return list<Portion> what lifts the water out of the range in which one of the lines works */
    public function alkalisFor(Portion $line): array
    {
        return $line->ingredient->facts->has(Property::Ph)
            && $line->ingredient->facts->get(Property::Ph)->band->high < self::ALKALINE
                ? $this->alkalis
                : [];
    }

    /** The range of one of the lines in this product. */
    public function rangeOf(Portion $line): ?Band
    {
        return self::range($line->ingredient, $this->rinsedOff);
    }

    /** Whether there is no less of it than works; too much of it spoils nothing. */
    private function isEnough(Portion $line): bool
    {
        $use = $this->rangeOf($line);

        return $use === null || $line->percent() >= $use->low * 0.9;
    }

    public function inRange(Portion $line): bool
    {
        $use = $this->rangeOf($line);
        if ($use === null) {
            return true;
        }

        // A tenth of slack on either side: the scale is not finer than that.
        return $line->percent() >= $use->low * 0.9 && $line->percent() <= $use->high * 1.1;
    }
}
