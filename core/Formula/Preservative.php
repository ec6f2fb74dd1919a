<?php

declare(strict_types=1);

namespace Crown\Formula;

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
        return new self(array_values(array_filter(
            $composition->counted(),
            static fn (Portion $p): bool => in_array($p->ingredient->preservation->kind, [PreservationKind::Broad, PreservationKind::Partial], true),
        )));
    }

    /** Whether a broad-spectrum one is there, in its range of use, that goes where the water is. */
    public function fits(WaterClass $class): bool
    {
        foreach ($this->lines as $line) {
            if ($line->ingredient->preservation->kind === PreservationKind::Broad && self::dissolves($line, $class) && self::inRange($line)) {
                return true;
            }
        }

        return false;
    }

    /** In a product without free water it must go into the oil; in an emulsion any goes somewhere. */
    public static function dissolves(Portion $line, WaterClass $class): bool
    {
        $solubility = $line->ingredient->preservation->solubility;

        return match ($class) {
            WaterClass::Dry, WaterClass::WetInUse, WaterClass::Traces => $solubility === Solubility::Oil || $solubility === Solubility::Dispersible,
            default => true,
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
