<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\OwnFigure;
use App\Support\Refused;
use Crown\Catalogue\Ingredient;
use Crown\Problem;

/** Puts a figure of one's own over the catalogue's. */
final class CorrectFigure
{
    /** @throws Refused|Problem */
    public function __invoke(Ingredient $ingredient, FigureRequest $asked): void
    {
        $form = $asked->which()['form'];
        if ($form !== '' && ! isset($ingredient->forms[$form])) {
            throw Refused::because(
                'form',
                'Allowed: none, or '.implode(', ', array_keys($ingredient->forms)).'.',
            );
        }
        $of = ['ingredient' => $ingredient->id, ...$asked->which()];
        // What core refuses must not be kept.
        (new OwnFigure([...$of, ...$asked->figure()]))->correction();
        OwnFigure::query()->updateOrCreate($of, $asked->figure());
    }
}
