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
use Crown\Catalogue\PreservationKind;
use Crown\Formula\Change;
use Crown\Words\Message;

/** Does it keep long enough to be used up? */
final readonly class ShortLife implements Check
{
    private const SHORT = 6.0;

    private const VERY_SHORT = 3.0;

    public function examine(Examined $subject): array
    {
        $months = $subject->life->months;
        if ($subject->composition->counted() === [] || ($months !== null && $months->best >= self::SHORT)) {
            return [];
        }
        if ($months === null) {
            return [new Finding('life.short', Severity::Caution, [], [], 'life', said: new Said(['not known']))];
        }
        $reasons = $subject->life->reasons;
        $antioxidants = array_filter(
            $subject->composition->counted(),
            static fn (Portion $p): bool => $p->ingredient->preservation->kind === PreservationKind::Antioxidant,
        );
        $helps = $antioxidants === [] && ! $subject->life->capped && $subject->context->catalogue->has('vitamin-e');

        return [
            new Finding(
                'life.short',
                $months->best < self::VERY_SHORT ? Severity::Caution : Severity::Note,
                [],
                [FigureName::Life->is($months)],
                'life',
                $helps
                    ? [
                        new Cure(
                            Message::said('assessment.short-life.add-vitamin-e-as'),
                            Change::add('vitamin-e', '0.5 %'),
                        ),
                    ]
                    : [],
                said: new Said(
                    [$subject->life->capped ? 'capped' : 'by itself'],
                    ['reason' => $reasons[count($reasons) - 1]],
                ),
            ),
        ];
    }
}
