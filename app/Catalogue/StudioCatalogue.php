<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\CurrentStudio;
use Crown\Assessment\Context;
use Crown\Catalogue\Bottle;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;

/**
 * The reference catalogue with the studio's own ingredients, figures and steeped oils over it. What lies in rooms above
 * this one comes in by its interfaces; CrownServiceProvider says who fulfils them.
 */
final class StudioCatalogue
{
    public function __construct(
        private readonly CatalogueStore $store,
        private readonly CurrentStudio $studio,
        private readonly BringsOils $oils,
        private readonly KnowsExperience $experience,
        private readonly KnowsBottles $bottles,
    ) {
    }

    public function get(): Catalogue
    {
        $reference = $this->store->reference();
        $bought = $this->bottles->bought();
        $corrections = self::corrections($bought);

        // Most formulas name nothing of the studio's own: it is asked for when one does.
        return $reference
            ->corrected(...$corrections)
            ->within(function () use ($reference, $corrections): Catalogue {
                $own = OwnIngredient::written($reference, $corrections);

                return $reference
                    ->with(...$own->single)
                    ->corrected(...$corrections)
                    ->making(...$this->oils->oils($corrections), ...$own->blends)
                    ->outOf($this->bottles->ofOils());
            })
            ->outOf($bought->bottles);
    }

    /** @return list<Correction> what was truly paid stands in the place of a price that somebody wrote down */
    private static function corrections(Bought $bought): array
    {
        $paid = [];
        foreach ($bought->prices as $price) {
            $paid[$price->ingredient] = $price;
        }
        $own = array_filter(
            OwnFigure::corrections(),
            static fn (Correction $c): bool => $c->property !== Property::Price || ! isset($paid[$c->ingredient]),
        );

        return [...array_values($own), ...array_values($paid)];
    }

    public function kitchen(): Kitchen
    {
        return $this->studio->get()->kitchen();
    }

    /** @param  array<string, Bottle>  $bottles out of which things truly came, where that is known */
    public function context(array $bottles = []): Context
    {
        $all = $bottles === [] ? $this->get() : $this->get()->outOf($bottles);

        return new Context($all, $this->kitchen(), $this->experience->experience());
    }
}
