<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Formula\Change;
use Crown\Measure\Band;

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
                $findings[] = new Finding('ingredient.unknown', Severity::Caution, [$portion], [], 'reading', [
                    ...$cures,
                    $out,
                ]);
            }
            if (! $portion->counts()) {
                $findings[] = new Finding(
                    'amount.unknown',
                    Severity::Caution,
                    [$portion],
                    [],
                    'amounts',
                    $portion->ingredient->isPlaced() ? [$out] : [],
                    about: [$portion->line->amount->text],
                );
            }
        }
        $shares = $subject->composition->sharesPercent;
        if ($shares !== null) {
            $findings[] = new Finding(
                'shares.sum',
                Severity::Caution,
                [],
                ['shares, %' => Band::exact($shares)],
                'shares',
                about: [$shares > 100.0 ? 'over' : 'proportions'],
            );
        }

        return $findings;
    }
}
