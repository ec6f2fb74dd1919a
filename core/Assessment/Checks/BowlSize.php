<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Formula\Change;
use Crown\Formula\ProductKind;
use Crown\Measure\Band;

/**
 * Is the studio's largest bowl large enough? What is whipped needs twice its volume, what is stirred a fifth of air
 * above it.
 */
final readonly class BowlSize implements Check
{
    private const WHIPPED = 2.0;

    private const STIRRED = 1.2;

    /** Millilitres of the bowl that it wants. */
    public static function needed(Examined $subject): Band
    {
        return self::volume($subject)->scaled(self::room($subject));
    }

    private static function volume(Examined $subject): Band
    {
        return $subject->composition->totalGrams->scaled(1 / $subject->composition->density());
    }

    /** Times its own volume. */
    private static function room(Examined $subject): float
    {
        return $subject->formula()->kind === ProductKind::WhippedButter ? self::WHIPPED : self::STIRRED;
    }

    public function examine(Examined $subject): array
    {
        $bowl = $subject->context->kitchen->bowlMillilitres;
        $grams = $subject->composition->totalGrams;
        if ($bowl === null || $grams->best <= 0.0) {
            return [];
        }
        $density = $subject->composition->density();
        $volume = self::volume($subject);
        $needed = self::needed($subject);
        if ($needed->best <= $bowl) {
            return [];
        }
        $fits = floor(($bowl / self::room($subject)) * $density);

        return [
            new Finding(
                'bowl.small',
                Severity::Caution,
                [],
                [
                    FigureName::Volume->is($volume),
                    FigureName::BowlNeeded->is($needed),
                    FigureName::LargestBowl->exactly($bowl),
                ],
                'amounts',
                $fits >= 1.0 ? [new Cure(sprintf('Make %.0f g, which fits', $fits), Change::mass($fits))] : [],
                said: new Said([self::room($subject) === self::WHIPPED ? 'whipping' : 'stirring']),
            ),
        ];
    }
}
