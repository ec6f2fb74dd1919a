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
use Crown\Assessment\WaterClass;
use Crown\Catalogue\Name;
use Crown\Formula\Change;
use Crown\Formula\ProductKind;
use Crown\Words\Message;

/** Does water come in, and can the product hold it? */
final readonly class FreeWater implements Check
{
    public function examine(Examined $subject): array
    {
        $water = $subject->water;
        if ($water->class === WaterClass::Traces) {
            return [
                new Finding(
                    'water.trace',
                    Severity::Caution,
                    $water->bearers,
                    [FigureName::Water->is($water->percent)],
                    'water',
                ),
            ];
        }
        if ($water->class === WaterClass::Spirit) {
            return [
                new Finding(
                    'water.spirit',
                    Severity::Caution,
                    $water->bearers,
                    [FigureName::Alcohol->exactly($water->ethanolPercent), FigureName::Water->is($water->percent)],
                    'water',
                ),
            ];
        }
        if ($water->class !== WaterClass::Free) {
            return [];
        }
        if (! $water->isSurelyWet()) {
            return [new Finding('water.unknown', Severity::Caution, $water->may, [], 'water')];
        }

        return [
            new Finding(
                'water.free',
                Severity::Stop,
                $water->bearers,
                [FigureName::Water->is($water->percent)],
                'water',
                $this->cures($water->bearers),
                said: new Said([
                    match (true) {
                        $water->isOpen() => 'open',
                        $water->isOnePhase => 'one phase',
                        default => 'separates',
                    },
                ]),
            ),
            ...$this->emulsifier($subject),
        ];
    }

    /** @return list<Finding> */
    private function emulsifier(Examined $subject): array
    {
        $water = $subject->water;
        $meant = $subject->formula()->kind === ProductKind::Emulsion || $water->emulsifierPercent > 0.0;

        return $meant && ! $water->isOnePhase
            ? [
                new Finding(
                    'emulsifier.missing',
                    Severity::Stop,
                    $water->bearers,
                    [
                        FigureName::Water->is($water->percent),
                        FigureName::Emulsifier->exactly($water->emulsifierPercent),
                    ],
                    'water',
                ),
            ]
            : [];
    }

    /**
     * @param  list<Portion>  $bearers
     * @return list<Cure>
     */
    private function cures(array $bearers): array
    {
        $cures = [];
        foreach ($bearers as $portion) {
            if ($portion->form() === 'fresh' && isset($portion->ingredient->forms['dried'])) {
                $cures[] = new Cure(
                    Message::said('assessment.free-water.use-dried', [
                        'ingredient' => Name::inSentence($portion->ingredient->name),
                    ]),
                    Change::form($portion->line->id, 'dried'),
                );
            }
        }
        $cures[] = new Cure(
            Message::said('assessment.free-water.take-wet-lines-out'),
            Change::remove(...array_map(static fn (Portion $p): string => $p->line->id, $bearers)),
        );

        return $cures;
    }
}
