<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Composition;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Formula\Change;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Words\Message;

/**
 * Beside the maker's own earlier version: is a line missing that was in it, or is an amount another by a whole order?
 */
final readonly class Forgotten implements Check
{
    /** A share that is so many times what it was, or so little, is more often a slip of the pen than a wish. */
    private const SLIP = 8.0;

    public function examine(Examined $subject): array
    {
        $before = $subject->context->before;
        if ($before === null) {
            return [];
        }

        return [...$this->missing($before, $subject), ...$this->doubtful($before, $subject)];
    }

    /** @return list<Finding> */
    private function missing(Formula $before, Examined $subject): array
    {
        $ids = $ingredients = [];
        foreach ($subject->formula()->lines as $line) {
            $ids[$line->id] = true;
            $ingredients[self::matter($line)] = true;
        }
        $findings = [];
        foreach ($before->lines as $line) {
            // Another ingredient on the same line was put there on purpose.
            if (isset($ids[$line->id]) || isset($ingredients[self::matter($line)]) || $line->name === '') {
                continue;
            }
            $back = $line->ingredient !== null && $subject->context->catalogue->has($line->ingredient);
            $findings[] = new Finding(
                'forgotten',
                Severity::Note,
                [],
                [],
                'amounts',
                $back
                    ? [
                        new Cure(
                            Message::said('assessment.forgotten.put-back'),
                            Change::add($line->ingredient, $line->amount->text),
                        ),
                    ]
                    : [],
                said: new Said([$line->name, $line->amount->text]),
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function doubtful(Formula $before, Examined $subject): array
    {
        $was = [];
        foreach ($before->lines as $line) {
            $was[$line->id] = $line;
        }
        $changed = array_values(
            array_filter(
                $subject->composition->weighed(),
                static fn (Portion $p): bool => isset($was[$p->line->id])
                    && self::matter($was[$p->line->id]) === self::matter($p->line)
                    && ! $was[$p->line->id]->amount->equals($p->line->amount),
            ),
        );
        if ($changed === []) {
            return [];
        }
        $then = [];
        foreach (Composition::of($before, $subject->context)->weighed() as $portion) {
            $then[$portion->line->id] = $portion->percent();
        }
        $findings = [];
        foreach ($changed as $portion) {
            $old = $then[$portion->line->id] ?? 0.0;
            $now = $portion->percent();
            if ($old <= 0.0 || $now <= 0.0 || max($now / $old, $old / $now) < self::SLIP) {
                continue;
            }
            $amount = $was[$portion->line->id]->amount->text;
            $findings[] = new Finding(
                'doubtful',
                Severity::Caution,
                [$portion],
                [FigureName::ShareNow->is($portion->share->scaled(100)), FigureName::ShareBefore->exactly($old)],
                'amounts',
                [new Cure(sprintf('Back to %s', $amount), Change::amounts([$portion->line->id => $amount]))],
                said: new Said([$amount]),
            );
        }

        return $findings;
    }

    private static function matter(Line $line): string
    {
        return $line->ingredient ?? 'named '.mb_strtolower($line->name);
    }
}
