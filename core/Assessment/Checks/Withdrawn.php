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

/** Is there an oil in it that went bad or was thrown away? */
final readonly class Withdrawn implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->present() as $portion) {
            if ($portion->ingredient->provenance->withdrawn !== null) {
                $findings[] = new Finding(
                    'lot.withdrawn',
                    Severity::Stop,
                    [$portion],
                    [FigureName::Share->is($portion->share->scaled(100))],
                    'steeps',
                    [
                        new Cure(
                            sprintf('Take out %s', Name::inSentence($portion->whole()->ingredient->name)),
                            Change::remove($portion->line->id),
                        ),
                    ],
                    said: new Said([$portion->ingredient->provenance->withdrawn]),
                );
            }
        }

        return $findings;
    }
}
