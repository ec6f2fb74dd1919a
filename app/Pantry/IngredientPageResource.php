<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\OwnFigure;
use App\Catalogue\OwnIngredient;
use App\Formula\Formula;
use App\Studio\IngredientUses;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Need;
use Crown\Catalogue\StandIns;
use Crown\Exchange\IngredientFile;
use Crown\Measure\Property;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** One ingredient with where it is used and what could stand in for it: $defs/IngredientPage. */
final class IngredientPageResource extends JsonResource
{
    /**
     * @param  list<string>  $without what a stand-in must not bear
     * @param  list<string>  $held ids of what stands in the cupboard
     */
    public function __construct(
        private readonly Ingredient $found,
        private readonly Catalogue $all,
        private readonly array $without,
        private readonly array $held,
    ) {
        parent::__construct($found);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $ingredient = $this->found->id;
        $item = Cupboard::lot($ingredient);

        return [
            'ingredient' => IngredientFile::write($this->found, $this->all, 1.0),
            'in_cupboard' => $item !== null,
            'stock_grams' => $item === null ? null : Cupboard::left($ingredient),
            'used_in' => Formula::query()
                ->whereIn(
                    'id',
                    IngredientUses::of(IngredientUses::FORMULA, OwnIngredient::withBlendsOf([$ingredient])),
                )
                ->orderByDesc('updated_at')
                ->orderByDesc('id')
                ->limit(12)
                ->get(['id', 'title', 'kind'])
                ->map(static fn (Formula $f): array => ['id' => $f->id, 'title' => $f->title, 'kind' => $f->kind])
                ->all(),
            'stand_ins' => (new StandIns($this->all))->for(
                $this->found,
                $this->without,
                held: $this->held,
            ),
            'nothing_known_of' => array_map(static fn (Need $n): string => $n->label(), $this->found->saysNothingOf()),
            'own_figures' => OwnFigure::query()
                ->where('ingredient', $ingredient)
                ->orderBy('id')
                ->get()
                ->map(
                    static fn (OwnFigure $f): array => [
                        'id' => $f->id,
                        'form' => $f->form,
                        'property' => $f->property,
                        'label' => Property::from($f->property)->label(),
                        'value' => ['low' => $f->low, 'best' => $f->best, 'high' => $f->high],
                        'source' => $f->source,
                    ],
                )
                ->all(),
            'own' => str_starts_with($ingredient, OwnIngredient::ID) ? self::ownDraft($ingredient) : null,
        ];
    }

    /** @return array<string, mixed> */
    private static function ownDraft(string $ingredient): array
    {
        $own = OwnIngredient::query()->findOrFail((int) substr($ingredient, strlen(OwnIngredient::ID)));

        return ['id' => $own->id, 'revision' => $own->revision, 'parts' => [], ...$own->document];
    }
}
