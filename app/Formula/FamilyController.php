<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** One base and its variants: a change of the base is passed on to them, and what it did to each is said. */
final class FamilyController
{
    #[Speaks('Family', does: 'The base of a formula and its variants, each with what waits to be passed on')]
    public function show(int $formula): JsonResponse
    {
        return new JsonResponse((new FamilyResource(Formula::query()->findOrFail($formula)))->toArray());
    }

    #[Speaks('FormulaPage', 'VariantDraft', 201, 'Make a variant of a formula as it stands')]
    public function store(
        int $formula,
        VariantRequest $request,
        StartVariant $start,
        Bench $bench,
        KnowsProcessLoss $loss,
    ): JsonResponse {
        $base = Formula::query()->with('head.marks')->findOrFail($formula);
        $variant = $start($base, $request->string('title')->value());

        return new JsonResponse((new FormulaResource($variant, $bench, $loss))->toArray(), 201);
    }

    #[Speaks('FamilyPassed', '', 200, 'Pass the base on to all its variants; says what it did to each')]
    public function pass(int $formula, PassFamily $pass): JsonResponse
    {
        return new JsonResponse(['passed' => DB::transaction(static fn (): array => $pass($formula))]);
    }

    #[Speaks('Family', does: 'Let a variant stand on its own')]
    public function leave(int $formula): JsonResponse
    {
        $row = Formula::query()->findOrFail($formula);
        $row->update(['base_id' => null, 'base_document' => null]);

        return new JsonResponse((new FamilyResource($row))->toArray());
    }
}
