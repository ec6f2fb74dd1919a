<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Step;
use Crown\Measure\Amount;
use Crown\Reading\Choice;
use Crown\Reading\ReadLine;

/** Figures of a row that no rule could place: they are shown, so that none is lost in silence. */
final class Unplaced
{
    private const FIGURE = '/\d+(?:[.,]\d+)*/u';

    private const CORRECTED = '/\d[^,.;]*(?:,\s*)?(?:'.Items::TAKEN_BACK.'|, no,)/iu';

    private const SUM = '/\b(?:sub)?totals?\b[:\s]*(?:is\s|=)?\s*\d+(?:[.,]\d+)?/iu';

    private const SIGNS = [
        '½' => ' 1/2', '⅓' => ' 1/3', '⅔' => ' 2/3', '¼' => ' 1/4', '¾' => ' 3/4', '⅛' => ' 1/8',
    ];

    /**
     * @param  list<ReadLine>  $lines that the row became
     * @param  list<Step>  $steps that the row became
     * @return list<string> in the order of the row
     */
    public static function figures(string $row, array $lines, array $steps): array
    {
        $placed = array_map(self::plain(...), self::in(implode(' ', [
            ...array_map(self::told(...), $lines),
            ...array_map(static fn (Step $s): string => $s->text, $steps),
        ])));

        return array_values(array_unique(array_filter(
            self::in(self::reckoned($row)),
            static fn (string $figure): bool => ! in_array(self::plain($figure), $placed, true),
        )));
    }

    private static function told(ReadLine $line): string
    {
        return implode(' ', [
            $line->writtenAmount,
            $line->name,
            ...array_map(static fn (Choice $c): string => $c->amount, $line->choices),
        ]);
    }

    /** A row without what is taken back or negated, and with what is multiplied as its product. */
    private static function reckoned(string $row): string
    {
        $row = preg_replace_callback(
            '/(\d{1,3})\s*[x×]\s*(\d+(?:[.,]\d+)?)/iu',
            static fn (array $m): string => Amount::number((float) $m[1] * (float) str_replace(',', '.', $m[2])),
            $row,
        ) ?? $row;

        return preg_replace([self::CORRECTED, self::SUM], '', $row) ?? $row;
    }

    /** @return list<string> */
    private static function in(string $text): array
    {
        preg_match_all(self::FIGURE, strtr($text, self::SIGNS), $m);

        return $m[0];
    }

    private static function plain(string $figure): string
    {
        return str_replace(',', '.', $figure);
    }
}
