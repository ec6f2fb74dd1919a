<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

/**
 * Tables become rows of a list: columns between pipes, tabs or commas, a unit in the header or in a column of its own,
 * a price column left out, a row of sums known as one.
 */
final class Tables
{
    private const UNIT = '/
        ^(?:
            wt\.?\ ?%|%\ ?\(?w\/?w\)?|%\ by\ weight|g|gr|grams?|grammes?|gramm|kg|ml|mls|oz|ounces?|drops?
            |tropfen|tsp|tbsp|cups?|%|percent|per\ cent|parts?
        )$
    /xiu';

    private const NAME = '/
        # heading of the column of names, in seven languages
        ^(?:
            ingredients?|items?|names?|what|oils?|butters?|products?|material|inci|zutat(?:en)?
            |ingr[ée]dients?|ingredientes?|ingredienti|ingrediënten
        )$
    /xiu';

    private const AMOUNT = '/
        # heading of the column of amounts
        ^(?:
            amounts?|quantity|qty|how\ much|weight|mass|menge|quantit[ée]|cantidad|quantidade|quantità
            |hoeveelheid
        )\b
    /xiu';

    private const PRICE = '/^(?:price|cost|costs|preis|prix|precio|preço|prezzo|prijs|[$€£])/iu';

    private const MONEY = '/\(?(?:[$€£]\s*\d+(?:[.,]\d{1,2})?|\d+(?:[.,]\d{1,2})?\s*[$€£])\)?/u';

    /**
     * @param  list<string>  $rows
     * @return list<Row> the same with every row of a table as one of a list
     */
    public static function listed(array $rows): array
    {
        $header = null;
        $by = '';
        $listed = [];
        foreach ($rows as $n => $row) {
            if (self::isRule($row)) {
                continue;
            }
            $cells = self::cells($row, $by);
            if ($cells === null) {
                $header = null;
                $by = '';
                $plain = self::withoutMoney(self::undotted(self::whole($row)));
                $listed[] = new Row(trim(preg_replace('/\s{2,}|\t/u', ' ', $plain) ?? $row), $n);

                continue;
            }
            if ($header === null && self::isHeader($cells)) {
                $header = $cells;
                $by = match (true) {
                    self::isPiped($row, '') => '|',
                    self::isCsv($row, ';', '') => ';',
                    default => ',',
                };

                continue;
            }
            $listed[] = new Row(self::line($cells, $header ?? []), $n);
        }

        return array_values(array_filter($listed, static fn (Row $r): bool => trim($r->text) !== ''));
    }

    /**
     * @param  string  $by what parts the columns under the last header; "" where there is none
     * @return list<string>|null cells of a row of a table; null for any other row
     */
    private static function cells(string $row, string $by): ?array
    {
        $split = match (true) {
            preg_match('/^\s*\|.*\|\s*$/u', $row) === 1 => explode('|', trim(trim($row), '|')),
            str_contains($row, "\t") => explode("\t", $row),
            self::isPiped($row, $by) => explode('|', $row),
            self::isCsv($row, ',', $by) => str_getcsv($row, escape: ''),
            self::isCsv($row, ';', $by) => str_getcsv($row, ';', escape: ''),
            default => null,
        };

        return $split === null
            ? null
            : array_map(
                static fn (?string $c): string => trim(str_replace(['**', '__', '`'], '', (string) $c)),
                $split,
            );
    }

    /** @param  non-empty-string  $by */
    private static function isCsv(string $row, string $by, string $known): bool
    {
        return preg_match("/^[^$by]{1,80}(?:{$by}[^$by]{0,60}){1,8}$/u", $row) === 1
            && preg_match("/$by\\s/u", $row) !== 1
            && ($known === ''
                ? self::isHeader(explode($by, $row)) || self::isHeadless(explode($by, $row), $by)
                : $by === $known);
    }

    /**
     * "Shea butter;60;g" under no header: a name, then its figure and its unit. Between commas, which part figures too,
     * the unit has to stand in a cell of its own.
     *
     * @param  non-empty-list<string>  $cells
     */
    private static function isHeadless(array $cells, string $by): bool
    {
        $name = array_shift($cells);
        $figures = preg_grep('/^\d[\d.,\/]*$/u', $cells) ?: [];
        $measured = preg_grep('/^\d[\d.,\/]*\s?\p{L}{1,5}$/u', $cells) ?: [];
        $units = preg_grep(self::UNIT, $cells) ?: [];
        $isWhole = count($figures) + count($measured) + count($units) === count($cells);

        return $isWhole && preg_match('/\p{L}{3}/u', $name) === 1 && count($figures) + count($measured) === 1
            && ($by !== ',' || $units !== []);
    }

    /** "Oil | ml | %", without a line around it. */
    private static function isPiped(string $row, string $known): bool
    {
        return preg_match('/^[^|]{1,80}(?:\|[^|]{0,60}){1,8}$/u', $row) === 1
            && ($known === '' ? self::isHeader(explode('|', $row)) : $known === '|');
    }

    private static function isRule(string $row): bool
    {
        return preg_match('/^[\s|:+=_–—-]{3,}$/u', $row) === 1;
    }

    /** @param  list<string>  $cells */
    private static function isHeader(array $cells): bool
    {
        $known = array_filter(
            $cells,
            static fn (string $c): bool => preg_match(self::NAME, self::bareTitle($c)) === 1
                || preg_match(self::AMOUNT, self::bareTitle($c)) === 1
                || preg_match(self::UNIT, self::bareTitle($c)) === 1
                || preg_match(self::PRICE, self::bareTitle($c)) === 1,
        );

        $figures = preg_match('/\d/u', implode('', array_map(self::bareTitle(...), $cells))) === 1;

        return count($known) >= 2 && ! $figures;
    }

    /** "g (200 g batch)" is g. */
    private static function bareTitle(string $title): string
    {
        return trim(preg_replace('/\s*\((?:[^)]*\d[^)]*)\)|\s+(?:for|per'
            .'|in)\s+(?:an?\s+)?\d.*$/iu', '', $title) ?? $title);
    }

    /**
     * @param  list<string>  $cells
     * @param  list<string>  $header empty when there is none
     */
    private static function line(array $cells, array $header): string
    {
        if ($header === []) {
            return trim(implode(' ', array_map(self::withoutMoney(...), $cells)));
        }
        $name = $amount = $note = '';
        $named = preg_grep(self::NAME, $header) !== [];
        foreach ($cells as $n => $cell) {
            $title = $header[$n] ?? '';
            $unit = self::unitOf($title);
            if ($cell === '' || preg_match(self::PRICE, $title) === 1) {
                continue;
            }
            if (preg_match('/^(?:phase|part|step|no\.?|#|nr\.?)$/iu', $title) === 1) {
                continue;
            }
            if ($name === '' && (preg_match(self::NAME, $title) === 1 || ($n === 0 && $unit === '' && ! $named))) {
                $name = $cell;

                continue;
            }
            $more = self::amount($amount, $cell, $unit);
            [$amount, $note] = $more === null ? [$amount, $cell] : [$more, $note];
        }

        return trim(trim("$amount $name").($note === '' ? '' : ", $note"));
    }

    /** The unit that a column has by its title; "" when it has none. */
    private static function unitOf(string $title): string
    {
        return match (true) {
            preg_match(self::UNIT, self::bareTitle($title)) === 1 => self::bareTitle($title),
            preg_match('/\(([^)]{1,12})\)\s*$/u', $title, $m) === 1 && preg_match(self::UNIT, $m[1]) === 1 => $m[1],
            default => '',
        };
    }

    /** The amount of a row with what a cell adds to it; null when the cell is no part of it. */
    private static function amount(string $amount, string $cell, string $unit): ?string
    {
        return match (true) {
            // Weighed beside a share: the first that is given counts.
            $unit !== '' && preg_match('/^\d[\d.,\/ ]*$/u', $cell) === 1 => $amount === ''
                ? "$cell ".(str_contains($unit, '%') ? '%' : $unit)
                : $amount,
            preg_match(self::UNIT, $cell) === 1 && preg_match('/^[^\p{L}%]+$/u', $amount) === 1 => "$amount $cell",
            $amount === '' && preg_match('/^\D{0,10}\d|½|¼|¾/u', $cell) === 1 => $cell,
            default => null,
        };
    }

    /** "Rosmarin- und Zedernöl" as "Rosmarinöl und Zedernöl". */
    private static function whole(string $row): string
    {
        return preg_replace(
            '/
                (\p{L}{3,})-\s+(und|en|oder|of)\s+(\p{L}{3,}?)
                (öl|oel|olie|butter|boter|wachs|was|blüten|blätter|samen|wurzel)\b
            /xiu',
            '$1$4 $2 $3$4',
            $row,
        ) ?? $row;
    }

    /** "Castor oil......30 g" as "Castor oil – 30 g". */
    private static function undotted(string $row): string
    {
        return preg_replace('/\s*(?:\.\s?){2,}\s*(?=\d)|\s*…+\s*(?=\d)/u', ' – ', $row) ?? $row;
    }

    private static function withoutMoney(string $text): string
    {
        return preg_replace(self::MONEY, '', $text) ?? $text;
    }
}
