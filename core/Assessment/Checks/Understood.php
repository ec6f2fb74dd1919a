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
use Crown\Catalogue\Name;
use Crown\Formula\Change;

/** Is every line a known ingredient with a mass? */
final readonly class Understood implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->parts() as $portion) {
            if (! $portion->ingredient->isPlaced()) {
                $findings[] = new Finding('ingredient.unknown', Severity::Caution, [$portion], [], 'reading', [
                    ...self::meant($portion, $subject),
                    self::out($portion),
                ]);
            }
        }
        foreach ($subject->composition->portions as $portion) {
            if (! $portion->counts()) {
                $findings[] = new Finding(
                    'amount.unknown',
                    Severity::Caution,
                    [$portion],
                    [],
                    'amounts',
                    $portion->ingredient->isPlaced() ? [self::out($portion)] : [],
                    said: new Said([$portion->line->amount->text]),
                );
            }
        }
        $shares = $subject->composition->sharesPercent;
        if ($shares !== null) {
            $findings[] = new Finding(
                'shares.sum',
                Severity::Caution,
                [],
                [FigureName::SumOfShares->exactly($shares)],
                'shares',
                said: new Said([$shares > 100.0 ? 'over' : 'proportions']),
            );
        }

        return $findings;
    }

    private static function out(Portion $portion): Cure
    {
        return new Cure('Take it out', Change::remove($portion->line->id));
    }

    /** @return list<Cure> what the name may mean; what a blend is made of is put right where it is written down */
    private static function meant(Portion $portion, Examined $subject): array
    {
        $cures = [];
        $found = $portion->of === null ? $subject->context->catalogue->search($portion->line->name, 3) : [];
        foreach ($found as $match) {
            $cures[] = new Cure(
                sprintf('It is %s', Name::inSentence($match->ingredient->name)),
                Change::ingredient($portion->line->id, $match->ingredient->id),
            );
        }

        return $cures;
    }
}
