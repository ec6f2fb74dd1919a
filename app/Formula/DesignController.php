<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Catalogue\StudioStock;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Assessment\Assessment;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Name;
use Crown\Formula\FormulaDocument;
use Crown\Head\Profile;
use Crown\Solving\Answer;
use Crown\Solving\Design;
use Crown\Solving\Goal;
use Illuminate\Http\JsonResponse;

/** Asks the solver for what is wished of a formula on the bench. Keeps nothing. */
final class DesignController
{
    public function __construct(
        private readonly Bench $bench,
        private readonly StudioCatalogue $catalogue,
        private readonly StudioStock $stock,
    ) {
    }

    #[Speaks(
        'DesignAnswer',
        'DesignAsk',
        does: 'Solve a formula for wishes in a maker\'s words, shown as demands that can be edited',
    )]
    public function __invoke(DesignRequest $request): JsonResponse
    {
        $given = Given::in($request);
        $profile = $given->profile();
        $present = $this->bench->assess($given->formula, $profile);
        if ($present->subject->composition->counted() === []) {
            throw Refused::because('formula', 'There is nothing in it yet whose share is known.');
        }
        $all = $this->catalogue->get();
        $design = new Design($present->subject, $all, $request->wishes(), $this->stock->grams());
        $requirements = $request->requirements($all) ?? $design->requirements();
        $goals = $request->goals();
        $answer = $design->answer(
            $requirements,
            $request->mostIngredients(),
            $goals,
            $request->serves() ?? ($profile?->needs() ?? []),
        );

        return new JsonResponse([
            'demands' => $requirements,
            'answer' => $answer,
            'none' => ($goals[0] ?? Goal::Nearest)->none(),
            ...$answer->status === 'impossible'
                ? ['formula' => null, 'assessment' => null]
                : $this->written($design, $answer, $profile),
            'simple' => $answer->simple === null
                    ? null
                    : [
                        'words' => self::parts($answer->simple, $all),
                        ...$this->written($design, $answer->simple, $profile),
                    ],
        ]);
    }

    /** @return array{formula: array<string, mixed>, assessment: Assessment} */
    private function written(Design $design, Answer $answer, ?Profile $profile): array
    {
        $formula = $design->formula($answer);

        return [
            'formula' => FormulaDocument::write($formula),
            'assessment' => $this->bench->assess($formula, $profile),
        ];
    }

    private static function parts(Answer $answer, Catalogue $all): string
    {
        $words = [];
        foreach ($answer->parts as $id => $parts) {
            $words[] = sprintf('%d %s', $parts, Name::inSentence($all->get($id)->name));
        }

        return implode(', ', $words);
    }
}
