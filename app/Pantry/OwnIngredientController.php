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
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Catalogue\Correction;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\OwnEntry;
use Crown\Exchange\IngredientFile;
use Crown\Measure\Property;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The studio's own ingredients and figures, and what stands in its cupboard. The reference is never touched. */
final class OwnIngredientController
{
    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly CatalogueStore $reference,
    ) {
    }

    #[Speaks('OwnKept', 'OwnDraft', 201, 'Write an ingredient of one\'s own')]
    public function store(Request $request): JsonResponse
    {
        $draft = $this->given($request);
        $own = OwnIngredient::query()->create(['name' => $draft['name'], 'document' => $draft]);

        return new JsonResponse($this->kept($own->refresh()), 201);
    }

    #[Speaks('OwnKept', 'OwnSave', does: 'Change an ingredient of one\'s own')]
    public function update(int $own, Request $request): JsonResponse
    {
        $row = OwnIngredient::query()->findOrFail($own);
        $request->validate(['revision' => 'required|integer|min:1']);
        $draft = $this->given($request, $own);
        $row->revise($request->integer('revision'), ['name' => $draft['name'], 'document' => $draft], $this->kept(...));

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
        $row->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('', 'OwnFigureDraft', 204, 'Put one\'s own figure over the catalogue\'s')]
    public function correct(string $ingredient, Request $request): JsonResponse
    {
        $found = IngredientController::find($ingredient, $this->catalogue->get());
        $request->validate(
            [
                'form' => ['present', 'string', 'max:20', Rule::in(['', ...array_keys($found->forms)])],
                'property' => [
                    'required',
                    Rule::in(array_map(static fn (Property $p): string => $p->value, Correction::ALLOWED)),
                ],
                ...self::bandRules(''),
                'source' => 'required|string|max:200',
            ],
            ['source.required' => 'Say where the figure comes from, for example "our scale, three bottles".'],
        );
        $of = [
            'ingredient' => $ingredient,
            'form' => $request->string('form')->value(),
            'property' => $request->string('property')->value(),
        ];
        $figure = [
            'low' => $request->float('low'),
            'best' => $request->float('best'),
            'high' => $request->float('high'),
            'source' => $request->string('source')->value(),
        ];
        // What core refuses must not be kept.
        (new OwnFigure([...$of, ...$figure]))->correction();
        OwnFigure::query()->updateOrCreate($of, $figure);

        return new JsonResponse(null, 204);
    }

    #[Speaks('', status: 204, does: 'Go back to the catalogue\'s figure')]
    public function uncorrect(int $figure): JsonResponse
    {
        OwnFigure::query()->findOrFail($figure)->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('', 'CupboardDraft', 204, 'Say that an ingredient stands in the cupboard, and how much of it')]
    public function stock(string $ingredient, Request $request, Cupboard $cupboard): JsonResponse
    {
        $request->validate(
            ['grams' => 'nullable|numeric|min:0|max:1000000'],
            ['grams.min' => 'What is at hand is 0 g or more.'],
        );
        IngredientController::find($ingredient, $this->catalogue->get());
        if ($request->has('grams')) {
            $grams = $request->filled('grams') ? $request->float('grams') : null;
            $cupboard->count($ingredient, $grams, self::by($request));
        } else {
            $cupboard->hold($ingredient);
        }

        return new JsonResponse(null, 204);
    }

    #[Speaks('', status: 204, does: 'Say that an ingredient is not in the cupboard any more')]
    public function unstock(string $ingredient, Request $request, Cupboard $cupboard): JsonResponse
    {
        IngredientController::find($ingredient, $this->catalogue->get());
        $cupboard->clear($ingredient, self::by($request));

        return new JsonResponse(null, 204);
    }

    private static function by(Request $request): string
    {
        $user = $request->user();

        return $user instanceof User ? $user->name : '';
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

    /** @return array<string, mixed> */
    private function given(Request $request, int $except = 0): array
    {
        $draft = (array) $request->validate(
            [
                'name' => [
                    'required',
                    'string',
                    'max:120',
                    Rule::unique('own_ingredients', 'name')
                        ->where('studio_id', $request->user()?->studio_id)
                        ->ignore($except),
                ],
                'inci' => 'present|string|max:200',
                'kind' => ['required', Rule::enum(IngredientKind::class)],
                'like' => 'present|string|max:80',
                'synonyms' => 'present|array|max:20',
                'synonyms.*' => 'string|max:80',
                'allergens' => 'present|array|max:20',
                'allergens.*' => 'string|max:80',
                'vegan' => 'required|boolean',
                'figures' => 'present|array|max:40',
                'figures.*.form' => 'present|string|max:20',
                'figures.*.property' => [
                    'required',
                    Rule::in(array_map(static fn (Property $p): string => $p->value, Correction::ALLOWED)),
                ],
                ...self::bandRules('figures.*.'),
                'figures.*.source' => 'required|string|max:200',
            ],
            [
                'name.required' => 'An ingredient needs a name.',
                'name.unique' => 'You have an ingredient of this name already.',
                'figures.*.source.required' => 'Say where the figure comes from.',
            ],
        );
        $reference = $this->reference->reference();
        $like = $request->string('like')->value();
        if ($like !== '' && ! $reference->has($like)) {
            throw Refused::because('like', 'Choose an ingredient of the catalogue that yours is like, or none.');
        }
        OwnEntry::read('own-0', $draft, $reference);

        /** @var array<string, mixed> */
        return $draft;
    }

    /** @return array<string, string> */
    private static function bandRules(string $before): array
    {
        return [
            $before.'low' => 'required|numeric|lte:'.$before.'best',
            $before.'best' => 'required|numeric',
            $before.'high' => 'required|numeric|gte:'.$before.'best',
        ];
    }
}
