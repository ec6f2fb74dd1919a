<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\StudioCatalogue;
use App\Catalogue\StudioStock;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Difference;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\NameMatch;
use Crown\Exchange\IngredientFile;
use Illuminate\Http\JsonResponse;

/** Finding ingredients, reading about one, and laying several side by side. */
final class IngredientController
{
    private const MOST_COMPARED = 4;

    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('IngredientList', does: 'Find ingredients by name, or by what they must be')]
    public function index(FindRequest $request, StudioStock $stock): JsonResponse
    {
        $catalogue = $this->catalogue->get();
        $atHand = $stock->ids();
        $wanted = $request->wanted($atHand);
        $found = $wanted->in($catalogue);
        $name = $request->name();
        if ($name !== '') {
            // By name the order is that of likeness; what was filtered out stays out.
            $allowed = array_fill_keys(array_map(static fn (Ingredient $i): string => $i->id, $found), true);
            $found = array_values(
                array_filter(
                    array_map(
                        static fn (NameMatch $m): Ingredient => $m->ingredient,
                        $catalogue->search($name, $request->hasAny(['kind', 'need', 'action', 'without']) ? 60 : 8),
                    ),
                    static fn (Ingredient $i): bool => isset($allowed[$i->id]),
                ),
            );
        }

        return new JsonResponse([
            'items' => array_map(
                static fn (Ingredient $i): array => (new IngredientRowResource(
                    $i,
                    in_array($i->id, $atHand, true),
                    $wanted->for?->need,
                ))->toArray(),
                $found,
            ),
        ]);
    }

    #[Speaks(
        'IngredientPage',
        does: 'One ingredient with all its figures and sources, where it is used and what could stand in for it',
    )]
    public function show(string $ingredient, PageRequest $request, Cupboard $cupboard): JsonResponse
    {
        return new JsonResponse(
            (new IngredientPageResource(
                self::find($ingredient, $this->catalogue->get()),
                $this->catalogue->get(),
                $request->without(),
                array_keys($cupboard->grams()),
            ))->toArray(),
        );
    }

    #[Speaks('Comparison', does: 'Two to four ingredients side by side, with how each differs from the first')]
    public function compare(CompareRequest $request): JsonResponse
    {
        $ids = $request->ids();
        if (count($ids) < 2 || count($ids) > self::MOST_COMPARED) {
            throw Refused::because(
                'ids',
                sprintf('Name 2 to %d ingredients, with commas between.', self::MOST_COMPARED),
            );
        }
        $all = $this->catalogue->get();
        $found = array_map(static fn (string $id): Ingredient => self::find($id, $all), $ids);

        return new JsonResponse([
            'ingredients' => array_map(
                static fn (Ingredient $i): array => IngredientFile::write($i, $all, 1.0),
                $found,
            ),
            'differences' => array_map(
                static fn (Ingredient $i): array => $i === $found[0] ? [] : Difference::between($found[0], $i),
                $found,
            ),
        ]);
    }

    /** @throws Refused */
    public static function find(string $id, Catalogue $catalogue): Ingredient
    {
        return $catalogue->has($id)
            ? $catalogue->get($id)
            : throw Refused::missing('ingredient', 'There is no such ingredient in the catalogue.');
    }
}
