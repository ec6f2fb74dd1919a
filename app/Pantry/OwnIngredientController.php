<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\CatalogueStore;
use App\Catalogue\OwnFigure;
use App\Catalogue\OwnIngredient;
use App\Catalogue\StudioCatalogue;
use App\Formula\Formula;
use App\Studio\IngredientUses;
use App\Studio\User;
use App\Support\BasedOn;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Exchange\IngredientFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The studio's own ingredients and figures, and what stands in its cupboard. The reference is never touched. */
final class OwnIngredientController
{
    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly CatalogueStore $reference,
    ) {
    }

    #[Speaks('OwnKept', 'OwnDraft', 201, 'Write an ingredient of one\'s own')]
    public function store(OwnIngredientRequest $request): JsonResponse
    {
        $draft = $request->draft($this->reference->reference(), $this->catalogue->get());
        $own = OwnIngredient::query()->create(['name' => $draft['name'], 'document' => $draft]);

        return new JsonResponse($this->kept($own->refresh()), 201);
    }

    #[Speaks('OwnKept', 'OwnSave', does: 'Change an ingredient of one\'s own')]
    public function update(int $own, OwnIngredientRequest $request, BasedOn $basedOn): JsonResponse
    {
        $row = OwnIngredient::query()->findOrFail($own);
        $draft = $request->draft($this->reference->reference(), $this->catalogue->get());
        $row->revise($basedOn->revision(), ['name' => $draft['name'], 'document' => $draft], $this->kept(...));

        return new JsonResponse($this->kept($row));
    }

    #[Speaks('', status: 204, does: 'Take out an ingredient of one\'s own that no formula uses')]
    public function destroy(int $own): JsonResponse
    {
        $row = OwnIngredient::query()->findOrFail($own);
        $used = Formula::query()
            ->whereIn('id', IngredientUses::of(IngredientUses::FORMULA, [$row->ingredientId()]))
            ->first(['id', 'title']);
        if ($used !== null) {
            throw Refused::because('ingredient', sprintf('"%s" uses it. Take it out there first.', $used->title));
        }
        $blends = OwnIngredient::blendsWith($row->ingredientId());
        if ($blends !== []) {
            throw Refused::because('ingredient', sprintf('"%s" is made of it. Take it out there first.', $blends[0]));
        }
        $row->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('', 'OwnFigureDraft', 204, 'Put one\'s own figure over the catalogue\'s')]
    public function correct(string $ingredient, FigureRequest $request, CorrectFigure $correct): JsonResponse
    {
        $correct(IngredientController::find($ingredient, $this->catalogue->get()), $request);

        return new JsonResponse(null, 204);
    }

    #[Speaks('', status: 204, does: 'Go back to the catalogue\'s figure')]
    public function uncorrect(int $figure): JsonResponse
    {
        OwnFigure::query()->findOrFail($figure)->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('', 'CupboardDraft', 204, 'Say that an ingredient stands in the cupboard, and how much of it')]
    public function stock(string $ingredient, StockRequest $request, Cupboard $cupboard): JsonResponse
    {
        IngredientController::find($ingredient, $this->catalogue->get());
        if ($request->has('grams')) {
            $cupboard->count($ingredient, $request->number('grams'), User::nameIn($request));
        } else {
            $cupboard->hold($ingredient);
        }

        return new JsonResponse(null, 204);
    }

    #[Speaks('', status: 204, does: 'Say that an ingredient is not in the cupboard any more')]
    public function unstock(string $ingredient, Request $request, Cupboard $cupboard): JsonResponse
    {
        IngredientController::find($ingredient, $this->catalogue->get());
        $cupboard->clear($ingredient, User::nameIn($request));

        return new JsonResponse(null, 204);
    }

    /** @return array<string, mixed> */
    private function kept(OwnIngredient $own): array
    {
        $all = $this->catalogue->get();

        return [
            'id' => $own->id,
            'revision' => $own->revision,
            'ingredient' => IngredientFile::write($all->get($own->ingredientId()), $all, 1.0),
        ];
    }
}
