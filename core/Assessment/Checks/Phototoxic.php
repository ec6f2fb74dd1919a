<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Formula\Change;
use Crown\Measure\Property;

/** Is an oil that burns skin in sunlight above its limit on a product that stays on? */
final readonly class Phototoxic implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        if ($subject->formula()->audience->isRinsedOff()) {
            return [];
        }
        foreach ($subject->composition->counted() as $portion) {
            if (! $portion->ingredient->isPhototoxic()) {
                continue;
            }
            $limit = $portion->ingredient->facts->get(Property::PhototoxicMax)->band;
            $percent = $portion->share->scaled(100);
            $over = $percent->high > $limit->best;
            $findings[] = new Finding(
                'phototoxic',
                $over ? Severity::Stop : Severity::Note,
                [$portion],
                ['share, %' => $percent, 'phototoxic maximum, %' => $limit],
                'load',
                $over
                    ? [
                        new Cure(
                            'Cut it to the largest safe amount',
                            $subject->load->reduceTo($limit->best, [$portion]),
                        ),
                        new Cure('Take it out', Change::remove($portion->line->id)),
                    ]
                    : [],
            );
        }

        return $findings;
    }
}
