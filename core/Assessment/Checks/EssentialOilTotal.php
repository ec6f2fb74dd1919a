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
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Formula\Audience;
use Crown\Formula\Change;
use Crown\Words\Message;

/** Are all essential oils together under the audience's ceiling, in the worst case? */
final readonly class EssentialOilTotal implements Check
{
    public function examine(Examined $subject): array
    {
        $oils = $subject->load->oils;
        if ($oils === []) {
            return [];
        }
        $audience = $subject->formula()->audience;
        if ($audience === Audience::Infant) {
            return [
                new Finding(
                    'load.audience',
                    Severity::Stop,
                    $oils,
                    [FigureName::EssentialOils->is($subject->load->percent()), FigureName::Ceiling->exactly(0.0)],
                    'load',
                    [
                        new Cure(
                            Message::said('assessment.essential-oil-total.take-essential-oils-out'),
                            Change::remove(...array_map(static fn (Portion $p): string => $p->line->id, $oils)),
                        ),
                    ],
                ),
            ];
        }
        $ceiling = $audience->essentialOilCeiling();
        $open = array_values(array_filter($oils, static fn (Portion $p): bool => ! $p->counts()));
        if ($open !== []) {
            return [
                new Finding(
                    'load.open',
                    Severity::Stop,
                    $open,
                    [FigureName::Ceiling->exactly($ceiling)],
                    'load',
                    [
                        new Cure(
                            Message::said('assessment.essential-oil-total.take-them-out'),
                            Change::remove(...array_map(static fn (Portion $p): string => $p->line->id, $open)),
                        ),
                    ],
                    said: new Said([$audience->value]),
                ),
                ...self::total($subject, $audience, array_values(array_filter(
                    $oils,
                    static fn (Portion $p): bool => $p->counts(),
                ))),
            ];
        }

        return self::total($subject, $audience, $oils);
    }

    /**
     * @param  list<Portion>  $oils of which it is known how much there is
     * @return list<Finding>
     */
    private static function total(Examined $subject, Audience $audience, array $oils): array
    {
        $ceiling = $audience->essentialOilCeiling();
        $percent = $subject->composition->shareOf($oils)->scaled(100);
        if ($oils === [] || ! Load::isOver($percent->high, $ceiling)) {
            return [];
        }

        return [
            new Finding(
                'load.total',
                Severity::Stop,
                $oils,
                [FigureName::EssentialOils->is($percent), FigureName::Ceiling->exactly($ceiling)],
                'load',
                [
                    new Cure(
                        Message::said('assessment.essential-oil-total.cut-essential-oils-largest'),
                        $subject->load->reduceTo($ceiling, $oils),
                    ),
                ],
                said: new Said([$audience->value]),
            ),
        ];
    }
}
