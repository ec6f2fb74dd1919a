<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Pantry\Lot;
use App\Steep\SteepStore;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Catalogue;
use Crown\Formula\Context;

/** The reference catalogue with the studio's own ingredients, figures and steeped oils over it. */
final class StudioCatalogue
{
    public function __construct(
        private readonly CatalogueStore $store,
        private readonly CurrentStudio $studio,
    ) {
    }

    public function get(): Catalogue
    {
        $reference = $this->store->reference();
        $catalogue = $reference
            ->with(...OwnIngredient::query()->orderBy('id')->get()->map(static fn (OwnIngredient $own) => $own->ingredient($reference))->all())
            ->corrected(...OwnFigure::query()->orderBy('id')->get()->map(static fn (OwnFigure $figure) => $figure->correction())->all());
        // In the order in which they were made, so that a steep made in a steep finds its oil.
        foreach (Lot::query()->with('steep.events')->orderBy('id')->get() as $lot) {
            $plan = SteepStore::plan($lot->steep, $catalogue, $lot->made_on);
            $catalogue = $catalogue->with($lot->yield($plan)->ingredient($lot->ingredientId(), $lot->name));
        }

        return $catalogue;
    }

    /** @return list<string> ids of what is at hand: what stands in the cupboard, and the oils steeped here */
    public function atHand(): array
    {
        return [
            ...CupboardItem::query()->orderBy('ingredient')->pluck('ingredient')->all(),
            ...Lot::query()->where('withdrawn', '')->orderBy('id')->pluck('id')->map(static fn (int $id): string => 'lot-'.$id)->all(),
        ];
    }

    public function context(): Context
    {
        return new Context($this->get(), $this->studio->get()->kitchen());
    }
}
