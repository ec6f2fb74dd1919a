<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;
use Crown\Words\Message;

/** Does each restricted constituent, summed over every oil and steep that bears it, stay at or under its limit? */
final readonly class Constituents implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->context->catalogue->limits() as $limit) {
            $allowed = $limit->allowedFor($subject->formula()->audience->isRinsedOff());
            $sum = $subject->load->constituent($limit->name, $allowed);
            if ($sum->ofLimit <= 1.0) {
                continue;
            }
            $oils = array_values(
                array_filter(
                    $sum->bearers,
                    static fn (Portion $p): bool => $p->ingredient->kind === IngredientKind::EssentialOil,
                ),
            );
            $findings[] = new Finding(
                'load.constituent',
                Severity::Stop,
                $sum->bearers,
                [FigureName::Constituent->exactly($sum->ofLimit * $allowed), FigureName::Limit->exactly($allowed)],
                'load',
                $oils === [] ? [] : [new Cure(
                    Message::said('assessment.constituents.cut-oils-bring'),
                    $subject->load->reduceToPart(0.98 / $sum->ofLimit, $oils),
                )],
                said: new Said([$limit->name]),
            );
        }

        return $findings;
    }
}
