<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Catalogue\Caution;
use Crown\Catalogue\CautionKind;
use Crown\Catalogue\Condition;

/** What the catalogue warns of in each ingredient, and with which conditions a clinician is asked first. */
final readonly class Warnings implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        $rinsed = $subject->formula()->audience->isRinsedOff();
        foreach (Portion::byIngredient($subject->composition->present()) as $portions) {
            $cautions = self::toSay($portions[0], $rinsed);
            if ($cautions === []) {
                continue;
            }
            $grave = array_filter($cautions, static fn (Caution $c): bool => $c->kind->isGrave()) !== [];
            $findings[] = new Finding(
                'caution',
                $grave ? Severity::Caution : Severity::Note,
                $portions,
                [],
                'cautions',
                said: new Said(
                    array_map(static fn (Caution $c): string => $c->kind->value, $cautions),
                    ['says' => implode(' ', array_map(static fn (Caution $c): string => $c->says, $cautions))],
                ),
            );
        }

        return [...$findings, ...self::askFirst($subject->composition->present())];
    }

    /**
     * What no other finding says: a poison is a stop of its own, an allergen is named by its group.
     *
     * @return list<Caution>
     */
    private static function toSay(Portion $portion, bool $rinsed): array
    {
        $named = $portion->ingredient->precautions->allergens !== [];

        return array_values(
            array_filter(
                $portion->ingredient->precautions->warnings(),
                static fn (Caution $c): bool => match ($c->kind) {
                    CautionKind::Poison => false,
                    CautionKind::Allergy => ! $named,
                    CautionKind::Sunlight => ! $rinsed,
                    default => true,
                },
            ),
        );
    }

    /**
     * @param  list<Portion>  $portions
     * @return list<Finding>
     */
    private static function askFirst(array $portions): array
    {
        $conditions = $bearers = [];
        foreach ($portions as $portion) {
            foreach ($portion->ingredient->precautions->askFirst as $condition) {
                $conditions[$condition->value] = $condition;
                $bearers[$portion->line->id] = $portion;
            }
        }

        return $conditions === []
            ? []
            : [
                new Finding(
                    'ask-first',
                    Severity::Note,
                    array_values($bearers),
                    [],
                    'cautions',
                    said: new Said(
                        array_map(static fn (Condition $c): string => $c->label(), array_values($conditions)),
                    ),
                ),
            ];
    }
}
