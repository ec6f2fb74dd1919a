<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Catalogue\Name;
use Crown\Formula\Change;

/** Is there an oil in it in which something wet stood for days? What may have grown there nothing takes away. */
final readonly class Grown implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->present() as $portion) {
            $grown = $portion->ingredient->provenance->inherited->grown;
            if ($grown === null) {
                continue;
            }
            $findings[] = new Finding(
                'lot.grown',
                Severity::Stop,
                [$portion],
                [FigureName::Share->is($portion->share->scaled(100))],
                'water',
                [
                    new Cure(
                        sprintf('Take out %s', Name::inSentence($portion->whole()->ingredient->name)),
                        Change::remove($portion->line->id),
                    ),
                ],
                said: new Said([], ['why' => $grown]),
            );
        }

        return $findings;
    }
}
