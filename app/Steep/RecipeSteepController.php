<?php

declare(strict_types=1);

namespace App\Steep;

use App\Formula\ReadRequest;
use App\Formula\ReadText;
use App\Studio\User;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** A pasted recipe with a steep in it, begun over HTTP. */
final class RecipeSteepController
{
    #[Speaks(
        'SteepBegun',
        'ReadAsk',
        201,
        'Begin the steep that a recipe holds, and put the rest on the bench with the oil it will give',
    )]
    public function __invoke(ReadRequest $request, ReadText $read, SteepFromRecipe $begin): JsonResponse
    {
        $begun = $begin($read($request), User::nameIn($request), $request->string('although')->value());

        return new JsonResponse([
            'steep_id' => $begun->steep->id,
            'formula_id' => $begun->formula->id,
            'name' => $begun->steep->name,
        ], 201);
    }
}
