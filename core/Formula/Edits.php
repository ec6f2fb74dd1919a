<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\Name;

/** What was changed from one state of a formula to another, in sentences. Lines are the same line while their id is. */
final class Edits
{
    /** @return list<string> empty when nothing that counts was changed; notes, title and steps do not */
    public static function between(Formula $from, Formula $to): array
    {
        $before = self::byId($from);
        $after = self::byId($to);
        $said = [];
        foreach ($after as $id => $line) {
            $said = [
                ...$said,
                ...isset($before[$id])
                    ? self::ofLine($before[$id], $line)
                    : [
                        sprintf(
                            '%s added%s.',
                            self::name($line),
                            $line->amount->isBlank() ? '' : ', '.$line->amount->text,
                        ),
                    ],
            ];
        }
        foreach (array_diff_key($before, $after) as $line) {
            $said[] = sprintf(
                '%s taken out, %s.',
                self::name($line),
                $line->amount->isBlank() ? 'without an amount' : $line->amount->text,
            );
        }

        return [...$said, ...self::ofWhole($from, $to)];
    }

    /** @return list<string> */
    private static function ofLine(Line $from, Line $to): array
    {
        if ($from->ingredient !== $to->ingredient || ($from->ingredient === null && $from->name !== $to->name)) {
            return [
                sprintf(
                    '%s in the place of %s, %s.',
                    self::name($to),
                    Name::inSentence(self::name($from)),
                    $to->amount->text,
                ),
            ];
        }
        $said = [];
        if (! $from->amount->equals($to->amount)) {
            $said[] = sprintf(
                '%s %s instead of %s.',
                self::name($to),
                $to->amount->isBlank() ? 'without an amount' : $to->amount->text,
                $from->amount->isBlank() ? 'none' : $from->amount->text,
            );
        }
        if ($from->form !== $to->form && $to->form !== '') {
            $said[] = sprintf('%s %s.', self::name($to), $to->form);
        }
        if ($from->phase !== $to->phase) {
            $said[] = sprintf(
                '%s goes in at %s instead of %s.',
                self::name($to),
                $to->phase->value,
                $from->phase->value,
            );
        }

        return $said;
    }

    /** @return list<string> */
    private static function ofWhole(Formula $from, Formula $to): array
    {
        $said = [];
        if ($from->kind !== $to->kind) {
            $said[] = sprintf('%s instead of %s.', $to->kind->label(), lcfirst($from->kind->label()));
        }
        if ($from->audience !== $to->audience) {
            $said[] = sprintf(
                'For: %s instead of %s.',
                lcfirst($to->audience->label()),
                lcfirst($from->audience->label()),
            );
        }
        if ($from->wetUse !== $to->wetUse) {
            $said[] = $to->wetUse ? 'Meets wet fingers now.' : 'Kept dry now.';
        }
        if ($from->forSale !== $to->forSale) {
            $said[] = $to->forSale ? 'For sale now.' : 'No longer for sale.';
        }
        if (abs($from->storageCelsius - $to->storageCelsius) > 0.01) {
            $said[] = sprintf('Stored at %g °C instead of %g.', $to->storageCelsius, $from->storageCelsius);
        }
        if ($from->clearGlass !== $to->clearGlass) {
            $said[] = $to->clearGlass ? 'In clear glass now.' : 'No longer in clear glass.';
        }
        if ($from->size != $to->size) {
            $said[] = 'Another batch size.';
        }

        return $said;
    }

    /** @return array<string, Line> */
    private static function byId(Formula $formula): array
    {
        return array_combine(array_map(static fn (Line $l): string => $l->id, $formula->lines), $formula->lines);
    }

    private static function name(Line $line): string
    {
        return $line->name === '' ? 'A line without a name' : $line->name;
    }
}
