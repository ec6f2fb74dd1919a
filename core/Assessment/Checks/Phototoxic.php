<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Load;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Catalogue\Ingredient;
use Crown\Formula\Change;
use Crown\Measure\Property;
use Crown\Words\Message;

/** Is an oil that burns skin in sunlight above its limit on a product that stays on? */
final readonly class Phototoxic implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        if ($subject->formula()->audience->isRinsedOff()) {
            return [];
        }
        foreach ($subject->composition->present() as $portion) {
            if (! $portion->ingredient->isPhototoxic()) {
                continue;
            }
            $limit = $portion->ingredient->facts->get(Property::PhototoxicMax)->band;
            $percent = $portion->share->scaled(100);
            $over = Load::isOver($percent->high, $limit->best);
            $findings[] = new Finding(
                'phototoxic',
                $over ? Severity::Stop : Severity::Note,
                [$portion],
                [FigureName::Share->is($percent), FigureName::PhototoxicMaximum->is($limit)],
                'load',
                $over
                    ? [
                        new Cure(
                            Message::said('assessment.phototoxic.cut-largest-safe-amount'),
                            $subject->load->reduceTo($limit->best, [$portion]),
                        ),
                        new Cure(Message::said('assessment.phototoxic.take-out'), Change::remove($portion->line->id)),
                    ]
                    : [],
            );
        }

        return [...$findings, ...$this->together($subject)];
    }

    /**
     * Several under their own limit can be over it together: their shares of it add up.
     *
     * @return list<Finding>
     */
    private function together(Examined $subject): array
    {
        $oils = array_values(
            array_filter(
                $subject->composition->counted(),
                static fn (Portion $p): bool => $p->ingredient->isPhototoxic(),
            ),
        );
        $of = static fn (Ingredient $i): float => $i->isPhototoxic()
            ? 100 / $i->facts->get(Property::PhototoxicMax)->band->best
            : 0.0;
        $alone = array_map(static fn (Portion $p): float => $p->share->high * $of($p->ingredient), $oils);
        $sum = $subject->composition->most($of);
        if (count($oils) < 2 || $sum <= 1.0 || max(0.0, ...$alone) > 1.0) {
            return [];
        }

        return [
            new Finding(
                'phototoxic.together',
                Severity::Stop,
                $oils,
                [FigureName::PartOfPhototoxicMaximum->exactly($sum * 100)],
                'load',
                [
                    new Cure(
                        Message::said('assessment.phototoxic.cut-them-largest-safe'),
                        $subject->load->reduceToPart(0.98 / $sum, $oils),
                    ),
                ],
            ),
        ];
    }
}
