<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\Speaks;
use Crown\Reading\Knowledge;
use Illuminate\Http\JsonResponse;

/** Names in recipes, settled and forgotten over HTTP. */
final class SettledNameController
{
    #[Speaks('SettledName', 'SettledName', does: 'Remember what a name means in recipes')]
    public function store(SettledNameRequest $request): JsonResponse
    {
        $settled = $request->settled();
        SettledName::query()->updateOrCreate(
            ['written' => Knowledge::keyed($settled->written)],
            ['ingredient' => $settled->ingredient, 'form' => $settled->form],
        );

        return new JsonResponse([
            'written' => $settled->written,
            'ingredient' => $settled->ingredient,
            'form' => $settled->form,
        ]);
    }

    #[Speaks('', 'ForgetName', 204, 'Forget what a name was settled as')]
    public function destroy(ForgetNameRequest $request): JsonResponse
    {
        SettledName::query()
            ->where('written', Knowledge::keyed($request->string('written')->value()))
            ->delete();

        return new JsonResponse(null, 204);
    }
}
