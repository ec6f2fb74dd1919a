<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;

/** Is there an oil in it that still stands on its plants? */
final readonly class Awaited implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->present() as $portion) {
            $day = $portion->ingredient->provenance->awaited;
            if ($day !== null) {
                $findings[] = new Finding(
                    'lot.awaited',
                    Severity::Stop,
                    [$portion],
                    [FigureName::Share->is($portion->share->scaled(100))],
                    'steeps',
                    [],
                    said: new Said([$day->format('Y-m-d')]),
                );
            }
        }

        return $findings;
    }
}
