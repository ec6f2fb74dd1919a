<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Preservative;
use Crown\Assessment\Severity;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\PreservationKind;

/** Is an antioxidant trusted to do what only a preservative does? */
final readonly class AntioxidantMistaken implements Check
{
    public function examine(Examined $subject): array
    {
        $antioxidants = array_values(
            array_filter(
                $subject->composition->counted(),
                static fn (Portion $p): bool => $p->ingredient->preservation->kind === PreservationKind::Antioxidant,
            ),
        );
        $needs = $subject->water->class !== WaterClass::Dry;
        $called
            = preg_match(
                '/\b(preserv|keeps? (it )?from (spoiling|going off)|natural preservative)/iu',
                $subject->formula()->notes
                    .' '
                    .implode(' ', array_map(static fn ($s): string => $s->text, $subject->formula()->steps)),
            ) === 1;
        if ($antioxidants === [] || Preservative::of($subject->composition)->lines !== [] || (! $needs && ! $called)) {
            return [];
        }

        return [
            new Finding(
                'antioxidant.not-preservative',
                $needs ? Severity::Caution : Severity::Note,
                $antioxidants,
                [FigureName::Share->is($subject->composition->shareOf($antioxidants)->scaled(100))],
                'preservation',
            ),
        ];
    }
}
