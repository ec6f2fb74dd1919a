<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Support\Refused;
use App\Support\Speaks;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\NameMatch;
use Crown\Exchange\IngredientFile;
use Crown\Formula\Phase;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class IngredientController
{
    #[Speaks('IngredientList', does: 'Find ingredients by name; all of them without one')]
    public function index(Request $request, StudioCatalogue $catalogue): JsonResponse
    {
        $wanted = mb_substr($request->string('q')->value(), 0, 80);
        $found = $wanted === ''
            ? array_values($catalogue->get()->all())
            : array_map(static fn (NameMatch $m): Ingredient => $m->ingredient, $catalogue->get()->search($wanted, 8));
        if ($wanted === '') {
            usort($found, static fn (Ingredient $a, Ingredient $b): int => strcasecmp($a->name, $b->name));
        }

        return new JsonResponse(['items' => array_map(self::row(...), $found)]);
    }

    #[Speaks('Ingredient', does: 'One ingredient with all its figures and sources')]
    public function show(string $ingredient, StudioCatalogue $catalogue): JsonResponse
    {
        $all = $catalogue->get();
        if (! $all->has($ingredient)) {
            throw new Refused('ingredient', 'There is no such ingredient in the catalogue.', 404);
        }

        return new JsonResponse(IngredientFile::write($all->get($ingredient), $all, 1.0));
    }

    /** @return array<string, mixed> */
    private static function row(Ingredient $i): array
    {
        return [
            'id' => $i->id,
            'name' => $i->name,
            'inci' => $i->inci,
            'kind' => $i->kind->value,
            'matter' => $i->kind->matter(),
            'forms' => array_keys($i->forms),
            'usual_form' => $i->usualForm(),
            'usual_phase' => Phase::usualFor($i)->value,
        ];
    }
}
