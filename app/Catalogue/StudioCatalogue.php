<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Pantry\Lot;
use App\Steep\SteepStore;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Catalogue;
use Crown\Formula\Context;

/** The reference catalogue with the studio's own steeped oils beside it. */
final class StudioCatalogue
{
    public function __construct(
        private readonly CatalogueStore $store,
        private readonly CurrentStudio $studio,
    ) {
    }

    public function get(): Catalogue
    {
        $catalogue = $this->store->reference();
        // In the order in which they were made, so that a steep made in a steep finds its oil.
        foreach (Lot::query()->with('steep')->orderBy('id')->get() as $lot) {
            $plan = SteepStore::plan($lot->steep, $catalogue);
            $catalogue = $catalogue->with($lot->yield($plan)->ingredient($lot->ingredientId(), $lot->name));
        }

        return $catalogue;
    }

    public function context(): Context
    {
        return new Context($this->get(), $this->studio->get()->kitchen());
    }
}
