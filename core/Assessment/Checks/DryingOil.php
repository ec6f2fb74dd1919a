<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;

/** Is there an oil that heats itself on rags? */
final readonly class DryingOil implements Check
{
    public function examine(Examined $subject): array
    {
        $drying = array_values(
            array_filter(
                $subject->composition->present(),
                static fn (Portion $p): bool => $p->ingredient->composition->drying && $p->share->best >= 0.01,
            ),
        );
        if ($drying === []) {
            return [];
        }

        return [
            new Finding(
                'drying-oil.rags',
                Severity::Note,
                $drying,
                [FigureName::Share->is($subject->composition->shareOf($drying)->scaled(100))],
                'life',
            ),
        ];
    }
}
