<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\Solubility;
use Crown\Measure\Property;

/** The preservatives of a composition, and whether one of them fits the class of water it meets. */
final readonly class Preservative
{
    /** @param  list<Portion>  $lines */
    private function __construct(public array $lines)
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
        );
    }

    /** Whether a broad-spectrum one is there, in its range of use, that goes where the water is. */
    public function fits(WaterClass $class): bool
    {
        foreach ($this->lines as $line) {
            if (
                $line->ingredient->preservation->kind === PreservationKind::Broad
                && self::dissolves($line->ingredient->preservation->solubility, $class)
                && self::inRange($line)
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

    public static function inRange(Portion $line): bool
    {
        if (! $line->ingredient->facts->has(Property::Use)) {
            return true;
        }
        $use = $line->ingredient->facts->get(Property::Use)->band;

        // A tenth of slack on either side: the scale is not finer than that.
        return $line->percent() >= $use->low * 0.9 && $line->percent() <= $use->high * 1.1;
    }
}
