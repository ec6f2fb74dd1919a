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
use Crown\Catalogue\Name;

/** Is each essential oil under its own dermal maximum, in the worst case? */
final readonly class EssentialOilEach implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach (Portion::byIngredient($subject->load->oils) as $portions) {
            $limit = Load::dermalMax($portions[0]);
            $percent = $subject->composition->shareOf($portions)->scaled(100);
            // Of what is there nobody knows how much, the total says it.
            if (! self::isCounted($portions) || ! Load::isOver($percent->high, $limit)) {
                continue;
            }
            $findings[] = new Finding(
                'load.oil',
                Severity::Stop,
                $portions,
                [FigureName::Share->is($percent), FigureName::DermalMaximum->exactly($limit)],
                'load',
                [
                    new Cure(
                        sprintf(
                            $limit <= 0.0 ? 'Leave %s out' : 'Cut %s to the largest safe amount',
                            Name::inSentence($portions[0]->ingredient->name),
                        ),
                        $subject->load->reduceTo($limit, $portions),
                    ),
                ],
            );
        }

        return $findings;
    }

    /** @param  list<Portion>  $portions */
    private static function isCounted(array $portions): bool
    {
        return array_filter($portions, static fn (Portion $p): bool => $p->counts()) !== [];
    }
}
