<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\BringsOils;
use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use Crown\Formula\Formula as Composed;
use Crown\Formula\Size;
use Crown\Reading\Knowledge;
use Crown\Reading\ReadAs;
use Crown\Reading\ReadingError;
use Crown\Reading\RecipeReader;

/** Reads the text of a recipe with all that the studio knows, and judges what it became. */
final class ReadText
{
    public function __construct(
        private readonly Bench $bench,
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly BringsOils $oils,
    ) {
    }

    /** @throws ReadingError */
    public function __invoke(ReadRequest $asked): ReadBack
    {
        $reader = new RecipeReader($this->catalogue->get(), $this->studio->get()->kitchen(), new Knowledge(
            $this->oils->own(),
            SettledName::known($this->studio),
            Day::today()->toDateTimeImmutable(),
        ));
        $as = $asked->as();
        $recipe = $reader->read($asked->text(), $as);
        $formula = $recipe->toFormula();
        $formula = $asked->audience() === null ? $formula : $formula->withAudience($asked->audience());
        $assessment = $this->bench->assess($formula, null);
        $whole = $assessment->subject->composition->totalGrams->best;
        if ($asked->times() !== 1.0 && $whole > 0.0) {
            $formula = $formula->withSize(Size::mass($whole * $asked->times()));
            $assessment = $this->bench->assess($formula, null);
        }

        return new ReadBack($recipe, $formula, $assessment, $recipe->leavesOuncesOpen() ? $this->bench->assess(
            $this->otherwise($reader, $asked->text(), $as),
            null,
        ) : null, $as->ouncesByVolume);
    }

    /** The same with ounces read the other way. */
    private function otherwise(RecipeReader $reader, string $text, ReadAs $as): Composed
    {
        return $reader->read($text, new ReadAs($as->corrections, ! $as->ouncesByVolume))->toFormula();
    }
}
