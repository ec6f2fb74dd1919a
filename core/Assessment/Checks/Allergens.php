<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;

/** Which allergens must be named? */
final readonly class Allergens implements Check
{
    public function examine(Examined $subject): array
    {
        $bearers = [];
        // Also of a line whose mass cannot be told: it is in it.
        foreach ($subject->composition->present() as $portion) {
            foreach ($portion->ingredient->precautions->allergens as $allergen) {
                $bearers[$allergen][] = $portion;
            }
        }
        $findings = [];
        foreach ($bearers as $allergen => $portions) {
            $findings[] = new Finding(
                'allergen',
                Severity::Note,
                $portions,
                [FigureName::Share->is($subject->composition->shareOf($portions)->scaled(100))],
                'allergens',
                said: new Said([$allergen]),
            );
        }

        return $findings;
    }
}
