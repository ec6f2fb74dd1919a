<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Preservative;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\Name;
use Crown\Catalogue\PreservationKind;
use Crown\Formula\Change;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Words\Message;

/** Is the product preserved where it must be, by something that fits, in the right dose of the finished mass? */
final readonly class Preservation implements Check
{
    private const FOR_OIL = 'caprylyl-glycol-phenoxyethanol';

    private const FOR_WATER = 'phenoxyethanol-ehg';

    public function examine(Examined $subject): array
    {
        $preservative = Preservative::of($subject->composition);

        return [
            ...$this->missing($subject, $preservative),
            ...$this->unfit($subject, $preservative),
            ...self::unsure($subject, $preservative),
        ];
    }

    /** @return list<Finding> */
    private function missing(Examined $subject, Preservative $preservative): array
    {
        $class = $subject->water->class;
        $needsNone = in_array($class, [null, WaterClass::Dry, WaterClass::Free, WaterClass::Spirit], true);
        if ($class === null || $needsNone || $preservative->isBroad()) {
            return [];
        }
        $add = fn (string $id): array => $subject->context->catalogue->has($id)
            ? [
                new Cure(
                    sprintf('Add %s', Name::inSentence($subject->context->catalogue->get($id)->name)),
                    Change::add($id, self::dose($subject, $id)),
                ),
            ]
            : [];
        [$severity, $cures] = match ($class) {
            WaterClass::WetInUse => [
                Severity::Caution,
                [
                    new Cure(Message::said('assessment.preservation.keep-dry-spatula-pump'), Change::keptDry()),
                    ...$add(self::FOR_OIL),
                ],
            ],
            WaterClass::Traces => [Severity::Caution, $add(self::FOR_OIL)],
            default => [Severity::Stop, $add(self::FOR_WATER)],
        };

        return [
            new Finding(
                'preservative.missing',
                $severity,
                $subject->water->bearers,
                [FigureName::Water->is($subject->water->percent)],
                'preservation',
                $cures,
                said: new Said([$class->value, ...$subject->water->isOnePhase ? ['one phase'] : []]),
            ),
        ];
    }

    /**
     * Beside a line of which nobody knows how much there is, nobody can say what share a preservative has.
     *
     * @return list<Finding>
     */
    private static function unsure(Examined $subject, Preservative $preservative): array
    {
        $open = $subject->composition->unknown->amounts;
        $wet = $subject->water->class !== null && $subject->water->class !== WaterClass::Dry;

        return $open === [] || $preservative->lines === [] || ! $wet
            ? []
            : [
                new Finding(
                    'preservative.unsure',
                    Severity::Caution,
                    $preservative->lines,
                    [],
                    'preservation',
                    said: new Said([], ['open' => implode(
                        ' and ',
                        array_map(static fn (Portion $p): string => Name::inSentence($p->name()), $open),
                    )]),
                ),
            ];
    }

    /** @return list<Finding> */
    private function unfit(Examined $subject, Preservative $preservative): array
    {
        $findings = [];
        foreach ($preservative->lines as $portion) {
            if (! Preservative::dissolves($portion->ingredient->preservation->solubility, $subject->water->class)) {
                $watery
                    = $subject->water->class === WaterClass::Emulsion || $subject->water->class === WaterClass::Free;
                $instead = $watery ? self::FOR_WATER : self::FOR_OIL;
                $findings[] = new Finding(
                    'preservative.unsuitable',
                    Severity::Caution,
                    [$portion],
                    [FigureName::Share->is($portion->share->scaled(100))],
                    'preservation',
                    $portion->of === null && $subject->context->catalogue->has($instead)
                        ? [
                            new Cure(
                                Message::said('assessment.preservation.use-instead', [
                                    'soluble' => $watery ? 'water' : 'oil',
                                ]),
                                Change::ingredient($portion->line->id, $instead),
                            ),
                        ]
                        : [],
                    said: new Said([$watery ? 'oil only' : 'not in oil']),
                );
            } elseif (
                $portion->ingredient->preservation->kind === PreservationKind::Partial
                && ! $preservative->isBroad()
            ) {
                $findings[] = new Finding(
                    'preservative.unsuitable',
                    Severity::Caution,
                    [$portion],
                    [FigureName::Share->is($portion->share->scaled(100))],
                    'preservation',
                    said: new Said(['partial']),
                );
            }
            $range = $preservative->rangeOf($portion);
            if ($range !== null && ! $preservative->inRange($portion)) {
                $findings[] = self::doseFinding(
                    $portion,
                    $range,
                    in_array($subject->water->class, [WaterClass::Emulsion, WaterClass::Free], true),
                );
            }
        }

        return $findings;
    }

    /** @param  bool  $wet whether there is water to protect: too little of it then protects nothing */
    private static function doseFinding(Portion $portion, Band $use, bool $wet): Finding
    {
        $percent = $portion->percent();
        $base = $percent >= 100.0 ? $percent : ($percent / (100 - $percent)) * 100;

        return new Finding(
            'preservative.dose',
            $percent > $use->high || $wet ? Severity::Stop : Severity::Caution,
            [$portion],
            [
                FigureName::ShareOfWhole->is($portion->share->scaled(100)),
                FigureName::ShareOfBase->exactly($base),
                FigureName::Range->is($use),
            ],
            'preservation',
            // As a share, so that it stays right whatever the batch becomes.
            [
                new Cure(
                    Message::said('assessment.preservation.dose-finished-mass', [
                        'use' => sprintf('%g', $use->best),
                    ]),
                    Change::amounts([
                        $portion->line->id => Amount::percent(
                            round($portion->percentOfLineFor($use->best), 3),
                        )->written,
                    ]),
                ),
            ],
        );
    }

    /**
     * The dose that makes the preservative its usual share of the finished mass, itself included; as a share, so that
     * it follows the batch.
     */
    private static function dose(Examined $subject, string $id): string
    {
        return Amount::percent($subject->context->catalogue->get($id)->facts->best(Property::Use, 1.0))->written;
    }
}
