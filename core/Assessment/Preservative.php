<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\Solubility;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** The preservatives of a composition, and whether one of them fits the class of water it meets. */
final readonly class Preservative
{
    /** @param  list<Portion>  $lines */
    private function __construct(public array $lines, private bool $rinsedOff)
    {
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
            $composition->formula->audience->isRinsedOff(),
        );
    }

    /** Whether a broad-spectrum one is there, in its range of use, that goes where the water is. */
    public function fits(WaterClass $class): bool
    {
        foreach ($this->lines as $line) {
            if (
                $line->ingredient->preservation->kind === PreservationKind::Broad
                && self::dissolves($line->ingredient->preservation->solubility, $class)
                && $this->inRange($line)
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * It must go where microbes could live: into the oil of a product without free water, into the water of the others.
     */
    public static function dissolves(Solubility $solubility, WaterClass $class): bool
    {
        return match ($class) {
            WaterClass::Dry, WaterClass::WetInUse, WaterClass::Traces => $solubility === Solubility::Oil
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

    /** The range of one of the lines in this product. */
    public function rangeOf(Portion $line): ?Band
    {
        return self::range($line->ingredient, $this->rinsedOff);
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
