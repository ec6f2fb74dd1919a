<?php

declare(strict_types=1);

namespace Crown\Exchange;

use Crown\Assessment\Assessment;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Formula\Step;
use Crown\Make\MakeSheet;
use Crown\Make\Task;
use Crown\Measure\Band;
use Crown\Measure\Basis;
use Crown\Measure\Shares;

/** A formula as plain text that can be pasted anywhere: grams, shares, method, and what was said of it. */
final class FormulaText
{
    public static function write(Assessment $assessment): string
    {
        $subject = $assessment->subject;
        $formula = $subject->formula();
        $blocks = [
            sprintf("%s\n%s, %s.", $formula->title, $formula->kind->label(), lcfirst($formula->audience->label())),
            self::lines($subject->composition->portions, $subject->composition->totalGrams),
            self::method($assessment),
            self::keeping($assessment),
            self::findings($assessment),
            trim($formula->notes),
        ];

        return implode("\n\n", array_filter($blocks, static fn (string $b): bool => $b !== ''))."\n";
    }

    /** @param  list<Portion>  $portions */
    private static function lines(array $portions, Band $total): string
    {
        $shown = Shares::displayed(array_map(static fn (Portion $p): float => $p->share->best, $portions));
        $rows = [];
        foreach ($portions as $i => $portion) {
            $rows[] = $portion->counts()
                ? sprintf(
                    '%8s g  %5s %%  %s (%s, %s)',
                    number_format($portion->grams->band->best, 1, '.', ''),
                    number_format($shown[$i], 1),
                    $portion->ingredient->name,
                    $portion->line->phase->value,
                    $portion->grams->basis === Basis::Measured
                        ? 'weighed'
                        : sprintf('%s from %s', $portion->grams->basis->value, $portion->line->amount->text),
                )
                : sprintf('  cannot tell        %s: %s', $portion->ingredient->name, $portion->problem);
        }
        if ($total->best > 0.0) {
            $rows[] = sprintf('%8s g  100.0 %%', number_format($total->best, 1, '.', ''));
        }

        return implode("\n", $rows);
    }

    private static function method(Assessment $assessment): string
    {
        $written = array_map(static fn (Step $s): string => $s->text, $assessment->subject->formula()->steps);
        $steps
            = $written !== [] || $assessment->subject->composition->counted() === []
                ? $written
                : array_map(
                    static fn (Task $t): string => $t->act,
                    (new MakeSheet($assessment))->tasks(),
                );
        $numbered = array_map(
            static fn (int $i, string $text): string => sprintf('%d. %s', $i + 1, $text),
            array_keys($steps),
            $steps,
        );

        return $numbered === [] ? '' : "Method\n".implode("\n", $numbered);
    }

    private static function keeping(Assessment $assessment): string
    {
        $subject = $assessment->subject;
        if ($subject->composition->counted() === []) {
            return '';
        }
        $months = $subject->life->months;

        return sprintf(
            "%s %s.\n%s",
            $months === null ? 'How long it keeps: cannot tell.' : sprintf(
                'Keeps %s months (%s to %s), estimated, at %g °C.',
                number_format($months->best, 1),
                number_format($months->low, 1),
                number_format($months->high, 1),
                $subject->formula()->storageCelsius,
            ),
            ucfirst($subject->water->label()),
            $subject->texture->isKnown()
                ? sprintf(
                    'At 25 °C %s, effective solids %.0f %%, estimated.',
                    $subject->texture->class()->label(),
                    $subject->texture->solids(25.0)->best,
                )
                : 'Texture: cannot tell.',
        );
    }

    private static function findings(Assessment $of): string
    {
        $said = array_filter($of->findings, static fn (Finding $f): bool => $f->severity !== Severity::Note);

        return implode(
            "\n",
            array_map(
                static fn (Finding $f): string => sprintf(
                    '%s: %s%s',
                    $f->severity === Severity::Stop ? 'STOP' : 'Caution',
                    $f->message(),
                    $of->isOpen($f) ? '' : ' (accepted: '.$of->decision($f)->reason.')',
                ),
                $said,
            ),
        );
    }
}
