<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Formula\Change;

/** Is every line a known ingredient with a mass? */
final readonly class Understood implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->portions as $portion) {
            $out = new Cure('Take it out', Change::remove($portion->line->id));
            if (! $portion->ingredient->isPlaced()) {
                $cures = [];
                foreach ($subject->context->catalogue->search($portion->line->name, 3) as $match) {
                    $cures[] = new Cure(
                        sprintf('It is %s', mb_strtolower($match->ingredient->name)),
                        Change::ingredient($portion->line->id, $match->ingredient->id),
                    );
                }
                $findings[] = new Finding(
                    'ingredient.unknown',
                    Severity::Caution,
                    [$portion],
                    sprintf(
                        '"%s" is not in the catalogue, so nothing can be said of its safety, texture or life.',
                        mb_substr($portion->line->name, 0, 60),
                    ),
                    [],
                    'reading',
                    [...$cures, $out],
                );
            }
            if (! $portion->counts()) {
                $findings[] = new Finding(
                    'amount.unknown',
                    Severity::Caution,
                    [$portion],
                    sprintf(
                        '%s is not counted. %s',
                        $portion->ingredient->name === '' ? 'A line without a name' : $portion->ingredient->name,
                        $portion->problem,
                    ),
                    [],
                    'amounts',
                    $portion->ingredient->isPlaced() ? [$out] : [],
                    about: [$portion->line->amount],
                );
            }
        }
        foreach ($subject->composition->problems as $problem) {
            $findings[] = new Finding('shares.sum', Severity::Caution, [], $problem, [], 'shares', about: [$problem]);
        }

        return $findings;
    }
}
