<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Head\Head;
use App\Studio\CurrentStudio;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Exchange\FormulaFile;
use Crown\Formula\Change;
use Crown\Formula\Formula as Composed;
use Crown\Formula\Reading\RecipeReader;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Judges drafts without keeping anything: what the screen asks on every change. */
final class EvaluationController
{
    public function __construct(
        private readonly Bench $bench,
        private readonly StudioCatalogue $catalogue,
    ) {
    }

    #[Speaks('Evaluation', 'FormulaDraft', does: 'Judge a draft')]
    public function evaluate(Request $request): JsonResponse
    {
        return $this->judged($this->given($request), $request);
    }

    #[Speaks('Evaluation', 'CureAsk', does: 'Apply a change to a draft and judge the result')]
    public function cure(Request $request): JsonResponse
    {
        $change = $request->json('change');
        if (! is_array($change)) {
            throw new Refused('change', 'A change is needed.');
        }

        return $this->judged(Change::fromArray($change)->applyTo($this->given($request), $this->catalogue->get()), $request);
    }

    #[Speaks('ReadAnswer', 'ReadAsk', does: 'Read the text of a recipe')]
    public function read(Request $request, CurrentStudio $studio): JsonResponse
    {
        $text = $request->json('text');
        $recipe = (new RecipeReader($this->catalogue->get(), $studio->get()->kitchen()))->read(is_string($text) ? $text : '');
        $formula = $recipe->toFormula();

        return new JsonResponse(['reading' => $recipe, 'formula' => FormulaFile::write($formula), 'assessment' => $this->bench->assess($formula, null)]);
    }

    private function given(Request $request): Composed
    {
        $document = $request->json('formula');

        return FormulaFile::read(is_array($document) ? $document : throw new Refused('formula', 'A formula is needed.'));
    }

    private function judged(Composed $formula, Request $request): JsonResponse
    {
        $hair = $request->json('hair');

        return new JsonResponse([
            'formula' => FormulaFile::write($formula),
            ...$this->bench->judged($formula, Bench::profile(Head::chosen($request), is_array($hair) ? $hair : null)),
        ]);
    }
}
