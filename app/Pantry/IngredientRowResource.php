<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Catalogue\Evidence;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Need;
use Crown\Exchange\IngredientFile;
use Crown\Formula\Phase;
use Crown\Measure\Property;
use Crown\Steep\Preparation;
use Crown\Steep\SteepMethod;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** An ingredient in a list: $defs/IngredientRow. */
final class IngredientRowResource extends JsonResource
{
    /** @param  Need|null  $need for which its evidence is told */
    public function __construct(
        private readonly Ingredient $ingredient,
        private readonly bool $atHand,
        private readonly ?Need $need,
    ) {
        parent::__construct($ingredient);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $i = $this->ingredient;
        $evidence = $this->need === null ? [] : $i->evidenceFor($this->need);

        return [
            'id' => $i->id,
            'name' => $i->name,
            'inci' => $i->inci,
            'kind' => $i->kind->value,
            'matter' => $i->kind->matter(),
            'forms' => array_keys($i->forms),
            'usual_form' => $i->usualForm(),
            'usual_phase' => Phase::usualFor($i)->value,
            'usual_preparation' => Preparation::usual($i->usualForm(), SteepMethod::ColdDark)->value,
            'weight' => $i->facts->has(Property::Weight) && ! $i->kind->isPlant()
                    ? $i->facts->get(Property::Weight)->band->best
                    : null,
            'life_months' => $i->facts->has(Property::LifeMonths)
                ? $i->facts->get(Property::LifeMonths)->band->best
                : null,
            'action' => $i->onHair->action->value,
            'feel' => $i->onHair->feel ?? '',
            'allergens' => $i->precautions->allergens,
            'vegan' => $i->vegan,
            'pregnancy' => $i->precautions->pregnancy->value,
            'pregnancy_reason' => $i->precautions->pregnancyReason ?? '',
            'origin' => $i->provenance->origin->value,
            'corrected' => $i->provenance->corrections !== [],
            'at_hand' => $this->atHand,
            'serves' => array_map(static fn (Evidence $e): array => IngredientFile::evidence($e), $evidence),
        ];
    }
}
