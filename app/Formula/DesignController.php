<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Exchange\FormulaFile;
use Crown\Formula\Solving\Demand;
use Crown\Formula\Solving\Design;
use Crown\Formula\Solving\Wish;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Asks the solver for what is wished of a formula on the bench. Keeps nothing. */
final class DesignController
{
    #[Speaks('DesignAnswer', 'DesignAsk', does: 'Solve a formula for wishes in a maker\'s words, shown as demands that can be edited')]
    public function __invoke(Request $request, Bench $bench, StudioCatalogue $catalogue): JsonResponse
    {
        $asked = $request->validate([
            'wishes' => 'present|array|max:12',
            'wishes.*.kind' => ['required', Rule::enum(Wish::class)],
            'wishes.*.of' => 'present|nullable|string|max:80',
            'demands' => 'nullable|array|max:30',
            'demands.*.kind' => 'required|string|max:20',
            'demands.*.min' => 'nullable|numeric',
            'demands.*.max' => 'nullable|numeric',
            'demands.*.of' => 'nullable|string|max:200',
            'demands.*.at' => 'nullable|numeric',
            'most_ingredients' => 'nullable|integer|between:0,40',
        ]);
        $given = Given::in($request);
        $profile = $given->profile();
        $present = $bench->assess($given->formula, $profile);
        if ($present->subject->composition->counted() === []) {
            throw new Refused('formula', 'There is nothing in it yet whose share is known.');
        }
        $design = new Design($present->subject, $catalogue->get(), array_map(static fn (array $w): array => [Wish::from($w['kind']), $w['of'] ?? ''], $asked['wishes']), $catalogue->stock());
        $demands = isset($asked['demands'])
            ? array_map(static fn (array $d): Demand => new Demand($d['kind'], isset($d['min']) ? (float) $d['min'] : -INF, isset($d['max']) ? (float) $d['max'] : INF, $d['of'] ?? '', (float) ($d['at'] ?? 25.0)), $asked['demands'])
            : $design->demands();
        $answer = $design->answer($demands, (int) ($asked['most_ingredients'] ?? 0));
        $solved = $answer->status === 'impossible' ? null : $design->formula($answer);

        return new JsonResponse([
            'demands' => array_map(static fn (Demand $d): array => [
                'kind' => $d->kind, 'min' => is_finite($d->least) ? $d->least : null, 'max' => is_finite($d->most) ? $d->most : null, 'of' => $d->of, 'at' => $d->at, 'words' => $d->words(),
            ], $demands),
            'answer' => $answer,
            'formula' => $solved === null ? null : FormulaFile::write($solved),
            'assessment' => $solved === null ? null : $bench->assess($solved, $profile),
        ]);
    }
}
