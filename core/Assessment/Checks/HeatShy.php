<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Formula\Change;
use Crown\Formula\Phase;
use Crown\Measure\Property;
use Crown\Words\Message;

/** Does a line go in hotter than it bears? */
final readonly class HeatShy implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        $melts = array_filter(
            $subject->composition->present(),
            static fn (Portion $p): bool => $p->line->phase === Phase::Melt,
        ) !== [];
        foreach ($subject->composition->portions as $portion) {
            if (! $portion->ingredient->facts->has(Property::MaximumAddition)) {
                continue;
            }
            $limit = $portion->ingredient->facts->get(Property::MaximumAddition)->band;
            $phase = $portion->line->phase;
            // Water is warmed to meet a melt; by itself it is stirred cool.
            $cool = $phase === Phase::Water && ! $melts;
            if ($cool || $phase->celsius() <= $limit->best) {
                continue;
            }
            $findings[] = new Finding(
                'phase.heat-shy',
                Severity::Caution,
                [$portion],
                [FigureName::WarmthOfPhase->exactly($phase->celsius()), FigureName::HighestAddition->is($limit)],
                'phases',
                [
                    new Cure(
                        Message::said('assessment.heat-shy.move-cool-down'),
                        Change::phase(Phase::CoolDown, $portion->line->id),
                    ),
                ],
            );
        }

        return $findings;
    }
}
