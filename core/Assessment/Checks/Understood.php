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
use Crown\Catalogue\Nature;
use Crown\Formula\Audience;
use Crown\Formula\Change;
use Crown\Words\Message;

/** Is every line a known ingredient with a mass? */
final readonly class Understood implements Check
{
    public function examine(Examined $subject): array
    {
        $unknown = $subject->composition->unknown;

        return [
            ...array_map(fn (Portion $p): Finding => self::unplaced($p, $subject), $unknown->names),
            ...array_map(
                static fn (Portion $p): Finding => new Finding(
                    'amount.unknown',
                    Severity::Caution,
                    [$p],
                    [],
                    'amounts',
                    $p->ingredient->isPlaced() ? [self::out($p)] : [],
                    said: new Said([$p->line->amount->text]),
                ),
                $unknown->amounts,
            ),
            ...array_map(fn (Portion $p): Finding => self::doubtful($p, $subject), $unknown->doubts),
            ...self::sums($subject),
        ];
    }

    /** What nobody placed may be anything, also what is not for a child: where that matters, it is a stop. */
    private static function unplaced(Portion $portion, Examined $subject): Finding
    {
        $audience = $subject->formula()->audience;

        return new Finding(
            'ingredient.unknown',
            $audience->isChild() || $audience === Audience::Pregnancy ? Severity::Stop : Severity::Caution,
            [$portion],
            [],
            'unknown',
            [...self::meant($portion, $subject), ...self::natures($portion), self::out($portion)],
            said: new Said([$audience->value]),
        );
    }

    /** What was read in one way and may mean another. */
    private static function doubtful(Portion $portion, Examined $subject): Finding
    {
        $doubt = $portion->line->doubt();
        $isAboutWhat = $doubt !== null && $doubt->isAboutWhat($portion->line);
        $cures = [new Cure(
            $isAboutWhat
                ? Message::said('assessment.understood.yes', [
                    'ingredient' => Name::inSentence($portion->ingredient->name),
                ])
                : Message::said('assessment.understood.yes-2', ['amount' => $portion->line->amount->text]),
            Change::confirm($portion->line->id),
        )];
        foreach ($subject->composition->unknown->meanings as $other) {
            if ($other->line->id === $portion->line->id && Nature::ofId($other->ingredient->id) === null) {
                $cures[] = new Cure(
                    sprintf('It is %s', Name::inSentence($other->ingredient->name)),
                    Change::ingredient($portion->line->id, $other->ingredient->id),
                );
            }
        }

        return new Finding(
            'line.doubtful',
            Severity::Caution,
            [$portion],
            [],
            'unknown',
            $cures,
            said: new Said([
                $isAboutWhat ? 'what' : 'how much',
                $doubt->written ?? $portion->line->name,
            ]),
        );
    }

    /** @return list<Finding> */
    private static function sums(Examined $subject): array
    {
        $shares = $subject->composition->sharesPercent;

        return $shares === null
            ? []
            : [
                new Finding(
                    'shares.sum',
                    Severity::Caution,
                    [],
                    [FigureName::SumOfShares->exactly($shares)],
                    'shares',
                    said: new Said([$shares > 100.0 ? 'over' : 'proportions']),
                ),
            ];
    }

    /** @return list<Cure> one press where she knows what it is, though the catalogue does not */
    private static function natures(Portion $portion): array
    {
        return $portion->of !== null
            ? []
            : array_map(
                static fn (Nature $nature): Cure => new Cure(
                    sprintf('It is %s', $nature->words()),
                    Change::ingredient($portion->line->id, $nature->id()),
                ),
                Nature::cases(),
            );
    }

    private static function out(Portion $portion): Cure
    {
        return new Cure(Message::said('assessment.understood.take-out'), Change::remove($portion->line->id));
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
