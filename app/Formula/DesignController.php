<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Catalogue\Need;
use Crown\Exchange\FormulaFile;
use Crown\Solving\Answer;
use Crown\Solving\Demand;
use Crown\Solving\Design;
use Crown\Solving\Goal;
use Crown\Solving\Wish;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Asks the solver for what is wished of a formula on the bench. Keeps nothing. */
final class DesignController
{
    #[Speaks(
        'DesignAnswer',
        'DesignAsk',
        does: 'Solve a formula for wishes in a maker\'s words, shown as demands that can be edited',
    )]
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
            'goals' => 'nullable|array|max:3',
            'goals.*' => ['required', 'distinct', Rule::enum(Goal::class)],
            'serves' => 'nullable|array|max:17',
            'serves.*' => ['required', Rule::enum(Need::class)],
        ]);
        $given = Given::in($request);
        $profile = $given->profile();
        $present = $bench->assess($given->formula, $profile);
        if ($present->subject->composition->counted() === []) {
            throw Refused::because('formula', 'There is nothing in it yet whose share is known.');
        }
        $all = $catalogue->get();
        $design = new Design(
            $present->subject,
            $all,
            array_map(static fn (array $w): array => [Wish::from($w['kind']), $w['of'] ?? ''], $asked['wishes']),
            $catalogue->stock(),
        );
        $called = static fn (array $d): string => $d['kind'] === 'share'
            ? implode(
                ' and ',
                array_map(
                    static fn (string $id): string => $all->has($id) ? mb_strtolower($all->get($id)->name) : $id,
                    explode('+', $d['of'] ?? ''),
                ),
            )
            : '';
        $demands = isset($asked['demands'])
            ? array_map(
                static fn (array $d): Demand => new Demand(
                    $d['kind'],
                    isset($d['min']) ? (float) $d['min'] : -INF,
                    isset($d['max']) ? (float) $d['max'] : INF,
                    $d['of'] ?? '',
                    (float) ($d['at'] ?? 25.0),
                    $called($d),
                ),
                $asked['demands'],
            )
            : $design->demands();
        $goals = array_map(Goal::from(...), array_values($asked['goals'] ?? []));
        $serves = $asked['serves'] ?? [];
        $answer = $design->answer(
            $demands,
            (int) ($asked['most_ingredients'] ?? 0),
            $goals,
            $serves !== [] ? array_values($serves) : array_column($profile?->needs() ?? [], 'value'),
        );
        $written = static function (Answer $answer) use ($design, $bench, $profile): array {
            $formula = $design->formula($answer);

            return ['formula' => FormulaFile::write($formula), 'assessment' => $bench->assess($formula, $profile)];
        };

        return new JsonResponse([
            'demands' => array_map(
                static fn (Demand $d): array => [
                    'kind' => $d->kind,
                    'min' => is_finite($d->least) ? $d->least : null,
                    'max' => is_finite($d->most) ? $d->most : null,
                    'of' => $d->of,
                    'at' => $d->at,
                    'words' => $d->words(),
                ],
                $demands,
            ),
            'answer' => $answer,
            'none' => ($goals[0] ?? Goal::Nearest)->none(),
            ...$answer->status === 'impossible' ? ['formula' => null, 'assessment' => null] : $written($answer),
            'simple' => $answer->simple === null
                    ? null
                    : [
                        'words' => implode(
                            ', ',
                            array_map(
                                static fn (string $id, int $parts): string => $parts
                                    .' '
                                    .mb_strtolower($all->get($id)->name),
                                array_keys($answer->simple->parts),
                                $answer->simple->parts,
                            ),
                        ),
                        ...$written($answer->simple),
                    ],
        ]);
    }
}
