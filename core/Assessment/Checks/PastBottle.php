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

/** Is something in it of which every bottle on the shelf is past its day? */
final readonly class PastBottle implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->present() as $portion) {
            $bottle = $portion->ingredient->provenance->inherited->bottle;
            if ($bottle?->past !== true || $bottle->useBy === null) {
                continue;
            }
            $findings[] = new Finding(
                'lot.past',
                Severity::Stop,
                [$portion],
                [FigureName::Share->is($portion->share->scaled(100))],
                'life',
                [
                    new Cure(
                        sprintf('Take out %s', Name::inSentence($portion->whole()->ingredient->name)),
                        Change::remove($portion->line->id),
                    ),
                ],
                said: new Said([$bottle->useBy->format('Y-m-d')]),
            );
        }

        return $findings;
    }
}
