<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** How high it all stands in its jar. Method page: docs/methods/steeps.md. */
final readonly class Geometry
{
    /** Oil left over the plant, and air over the oil, cm. */
    public const LEAST_COVER = 2.5;

    /** Fresh plants swell: they want more air over the oil, cm. */
    public const LEAST_AIR_FRESH = 3.5;

    /** g/ml of the matter of plants themselves. */
    private const DRY_MATTER = 1.2;

    private const FRESH_MATTER = 1.0;

    /** g/ml of plants with their gaps, where it is not known. */
    private const BULK = [0.12, 0.2, 0.3];

    /** How well the height of the filling is known. */
    private const WITHIN = 0.05;

    /** @param  float  $oilLeft part of the oil that is still in it, 0 to 1 */
    public function __construct(private Charge $charge, private Vessel $vessel, private float $oilLeft)
    {
    }

    /** cm of oil over the settled plant; null when the jar's width is not known. */
    public function oilAbovePlantCm(): ?Band
    {
        return $this->height($this->fillMillilitres())
            ?->minus($this->height($this->plantMillilitres()) ?? Band::exact(0.0))
            ->atLeast(0.0);
    }

    /** cm of air over the oil, negative when the jar is too small; null when its width is not known. */
    public function headspaceCm(): ?Band
    {
        return $this->height(Band::exact($this->vessel->millilitres ?? 0.0))
            ?->minus($this->height($this->fillMillilitres()) ?? Band::exact(0.0));
    }

    /** Whether the oil fills the gaps between the plants and stands over them, whatever the jar. */
    public function covers(): bool
    {
        return $this->fillMillilitres()->best >= $this->plantMillilitres()->best;
    }

    /** cm of air that this charge wants. */
    public function wantedAirCm(): float
    {
        return $this->charge->hasFresh() ? self::LEAST_AIR_FRESH : self::LEAST_COVER;
    }

    /**
     * Grams of an oil that would bring it 2.5 cm over the plant, as the herb usually settles; null when the jar's
     * width is not known.
     */
    public function gramsToCover(Ingredient $oil): ?float
    {
        $area = $this->vessel->areaCm2();
        if ($area === null) {
            return null;
        }
        $wanted = $this->plantMillilitres()->best + self::LEAST_COVER * $area - $this->matterMillilitres();

        return max(0.0, ($wanted - $this->oilMillilitres() * $this->oilLeft) * $oil->density20());
    }

    /** Volume of the settled plants with their gaps. */
    private function plantMillilitres(): Band
    {
        $volume = Band::exact(0.0);
        foreach ($this->charge->herbs as $herb) {
            $facts = $herb->plant->factsIn($herb->form);
            $bulk = $facts->has(Property::BulkDensity)
                ? $facts->get(Property::BulkDensity)->band
                : Band::of(...self::BULK);
            $volume = $volume->plus(Band::exact($herb->grams)->over($bulk));
        }

        return $volume;
    }

    /** The solid matter of the plants themselves. */
    private function matterMillilitres(): float
    {
        return array_sum(
            array_map(
                static fn (Herb $h): float => $h->grams
                    / ($h->form === 'fresh' ? self::FRESH_MATTER : self::DRY_MATTER),
                $this->charge->herbs,
            ),
        );
    }

    /** All oil that ever went in. */
    private function oilMillilitres(): float
    {
        return array_sum(
            array_map(static fn (Pour $p): float => $p->grams / $p->oil->density20(), $this->charge->pours),
        );
    }

    /** Oil still in it and the solid matter of the plants. */
    private function fillMillilitres(): Band
    {
        return Band::within(
            $this->oilMillilitres() * $this->oilLeft + $this->matterMillilitres() + $this->charge->waterGrams,
            self::WITHIN,
        );
    }

    private function height(Band $millilitres): ?Band
    {
        $area = $this->vessel->areaCm2();

        return $area === null ? null : $millilitres->scaled(1 / $area);
    }
}
