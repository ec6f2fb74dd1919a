<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Make\BatchFinding;
use App\Pantry\Cupboard;
use App\Pantry\Lot;
use App\Studio\CurrentStudio;
use Crown\Assessment\Context;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;

/** The reference catalogue with the studio's own ingredients, figures and steeped oils over it. */
final class StudioCatalogue
{
    public function __construct(private readonly CatalogueStore $store, private readonly CurrentStudio $studio)
    {
    }

    public function get(): Catalogue
    {
        $reference = $this->store->reference();
        $corrections = OwnFigure::corrections();
        $catalogue = $reference->with(...OwnIngredient::ingredients($reference))->corrected(...$corrections);
        $steeped = [];
        $lots = $this->studio->rows(
            'lots',
            'id, name, event_id, made_on',
            "and lots.source = 'steeped' order by id",
        );
        foreach ($lots as $lot) {
            $number = $lot->id;
            $id = 'lot-'.$number;
            $steeped[$id] = [
                Lot::titled($lot->name, $lot->event_id !== null, $lot->made_on),
                static function (Catalogue $all) use ($number, $id, $corrections): Ingredient {
                    $lot = Lot::query()->with('steep.events')->findOrFail($number);
                    $own = array_filter($corrections, static fn (Correction $c): bool => $c->ingredient === $id);

                    return array_reduce(
                        $own,
                        static fn (Ingredient $oil, Correction $c): Ingredient => $oil->corrected($c),
                        $lot->yield($lot->steep->plan($all, $lot->made_on))->ingredient($id, $lot->title()),
                    );
                },
            ];
        }

        return $catalogue->steeping($steeped);
    }

    public function context(): Context
    {
        return new Context($this->get(), $this->studio->get()->kitchen(), BatchFinding::experience());
    }

    /** @return list<string> ids of what is at hand: what stands in the cupboard, and the oils steeped here */
    public function atHand(): array
    {
        return [
            ...array_keys(Cupboard::grams()),
            ...Lot::steeped()
                ->where('withdrawn', '')
                ->orderBy('id')
                ->pluck('id')
                ->map(static fn (int $id): string => 'lot-'.$id)
                ->all(),
        ];
    }

    /** @return array<string, float|null> grams at hand by ingredient id; null where nobody said how much */
    public function stock(): array
    {
        $stock = Cupboard::grams();
        foreach (Lot::steeped()->where('withdrawn', '')->orderBy('id')->get() as $lot) {
            $stock[$lot->ingredientId()] = $lot->left_grams;
        }

        return $stock;
    }
}
