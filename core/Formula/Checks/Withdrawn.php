<?php

declare(strict_types=1);

namespace Crown\Formula\Checks;

use Crown\Formula\Change;
use Crown\Formula\Check;
use Crown\Formula\Cure;
use Crown\Formula\Examined;
use Crown\Formula\Finding;
use Crown\Formula\Severity;

/** Is there an oil in it that went bad or was thrown away? */
final readonly class Withdrawn implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->portions as $portion) {
            if ($portion->ingredient->provenance->withdrawn !== '') {
                $findings[] = new Finding(
                    'lot.withdrawn',
                    Severity::Stop,
                    [$portion],
                    sprintf(
                        '%s must not be used: %s',
                        $portion->ingredient->name,
                        $portion->ingredient->provenance->withdrawn,
                    ),
                    ['share, %' => $portion->share->scaled(100)],
                    'steeps',
                    [
                        new Cure(
                            sprintf('Take out %s', lcfirst($portion->ingredient->name)),
                            Change::remove($portion->line->id),
                        ),
                    ],
                );
            }
        }

        return $findings;
    }
}
