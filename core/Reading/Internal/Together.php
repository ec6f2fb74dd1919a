<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Measure\Amount;
use Crown\Measure\AmountReader;
use Crown\Measure\MeasureError;

/**
 * Several ingredients that one row gives one amount: "equal parts of A, B and C", "2 tbsp each: A, B", "A and B, 2 tbsp
 * each", "A + B + C, 1:1:2".
 */
final readonly class Together
{
    private const BETWEEN = '/\s*(?:,|;|&|\+|\/|\s:\s|\band\b|\bplus\b)\s*/iu';

    /** "30/30/30/10 = cocoa butter, shea, coconut, wax". */
    private const SLASHED = '/
        (?<![\d\/.])(?<ratio>\d{1,3}(?:\s?\/\s?\d{1,3}){2,})\s*(?:=|:|of\b|–|—|->)\s*(?=\p{L})
    /xu';

    /** Amounts alone, as many as were named before them. */
    private const AMOUNTS = '/
        ^(?:(?:the\ )?(?:amounts?|quantit(?:y|ies)|grams?|in\ (?:that|this)\ order)\s*:?\s*)?(?<list>
            \d[\d.,\/]*\s*(?:g|kg|ml|oz|drops?|tsp|tbsp|%)
            (?:\s*(?:,|;|\band\b)\s*\d[\d.,\/]*\s*(?:g|kg|ml|oz|drops?|tsp|tbsp|%))+
        )\.?$
    /xiu';

    private const NEEDED = '/
        # "you need equal parts of", "base:"
        ^(?:.{0,30}\b(?:need|take|use|want|gather|get|with|from|of)\b|[^:]{2,30}:)\s*
    /xiu';

    private const LONGEST = 300;

    /** "Half grapeseed", "a quarter of castor". */
    private const FRACTION = '/
        ^(?:an?\s+|one\s+)?
        (?<part>half|quarter|third|fifth|two\ thirds|three\ quarters|[1-4]\/[2-5]|[\d.]+\s*%)\s+(?:of\s+)?(?<name>
            (?!
                (?:
                    tsps?|tbsps?|tbs|cups?|teaspoons?|tablespoons?|oz|ounces?|lbs?|pounds?|litres?|liters?
                    |l|ml|g|an?
                )\b
            )\p{L}[^\d]{2,40}
        )$
    /xiu';

    private const BEGINS_WITH_PART = '/^(?:an?\s+|one\s+)?(?:half|quarter|third|fifth|two|three|\d)/iu';

    private const FRACTIONS = [
        'half' => 50.0, 'quarter' => 25.0, 'third' => 100 / 3, 'fifth' => 20.0, 'two thirds' => 200 / 3,
        'three quarters' => 75.0,
    ];

    /** "100 g dried herb mix (nettle 40, horsetail 30, rosemary 30)". */
    private const MIX = '/
        ^(?<amount>\d+(?:[.,]\d+)?)\s*(?<unit>g|kg|oz|ml|grams?)\s+(?:of\s+)?[\p{L} -]*?\b
        (?:mix|mixture|blend|herbs|oils)\s*\((?<list>\p{L}[^()]*\d[^()]*)\)$
    /xiu';

    private const RATIO = '(?<ratio>\d+(?:\.\d+)?(?:\s*:\s*\d+(?:\.\d+)?)+)';

    /**
     * @return list<array{string, string}> name and amount of each; empty when the row gives no amount to several at
     *     once
     */
    public static function in(string $row): array
    {
        // Longer than a row that names a few things: not worth taking apart.
        return mb_strlen($row) > self::LONGEST
            ? []
            : match (true) {
                preg_match(
                    '/
                        # "equal parts of a, b and c (about 30 g each)"
                        ^(?:[\d.,]+\s+)?equal\ (?:parts|amounts|measures|weights)(?:\ of)?:?\s+(?<list>.+?)(?:
                            \s*\((?:about\s+)?(?<each>\d+(?:[.,]\d+)?\s*(?:g|ml|oz|tbsp|tsp|cups?))\s+
                            (?:of\s+)?each\)
                        )?$
                    /xiu',
                    $row,
                    $m,
                ) === 1 => self::each(self::names($m['list']), $m['each'] ?? '1 part'),
                preg_match(
                    '/
                        # "a and b, half and half"
                        ^(?:[AQ]:\s*)?(?<list>\D+?\s(?:and|&|\+)\s\D+?),?\s+(?:
                            half\ and\ half|half[- ]half|fifty[- ]fifty|50\s*[\/:-]\s*50
                            |in\ equal\ (?:parts|amounts)|equal\ parts
                        )\.?$
                    /xiu',
                    $row,
                    $m,
                ) === 1 => self::each(self::names($m['list']), '1 part'),
                self::fractions($row) !== [] => self::fractions($row),
                preg_match(self::MIX, $row, $m) === 1 => self::mixed($m['amount'], $m['unit'], $m['list']),
                preg_match(
                    '/
                        # "each: 2 tbsp a, b, c"
                        ^each:?\s+(?<amount>[\d½⅓⅔¼¾⅛][\d.,\/]*\s+\p{L}+)\s+(?:of\s+)?(?<list>\D+)$
                    /xiu',
                    $row,
                    $m,
                ) === 1
                    && self::isAmount($m['amount']) => self::each(self::names($m['list']), $m['amount']),
                preg_match(
                    '/
                        # "2 tbsp each of a, b, c"
                        ^(?<amount>.{1,40}?)\s+(?:each|apiece)\b(?:\s+of\b)?(?:\s+the\ following\b)?\s*
                        [:,–—-]?\s+(?<list>.+)$
                    /xiu',
                    $row,
                    $m,
                ) === 1 && self::isAmount($m['amount']) => self::each(self::names($m['list']), $m['amount']),
                preg_match(
                    '/
                        # "a, b, c: 2 tbsp each"
                        ^(?<list>.+?)\s*[,:(–—-]?\s+
                        (?<amount>[\d½⅓⅔¼¾⅛][^,:(]{0,39}?|half\ an?\ \w+|an?\ \w+)\s+(?:of\s+)?
                        (?:each|apiece)\)?\.?$
                    /xiu',
                    $row,
                    $m,
                ) === 1 && self::isAmount($m['amount']) => self::each(self::names($m['list']), $m['amount']),
                preg_match(
                    '/
                        # "a, b, c in a ratio of 3:2:1"
                        ^(?<list>[^\d]+?)\s*[,:;=(–—-]?\s*
                        (?:in\ (?:a\ )?ratio(?:\ of)?|ratio(?:\ of)?|in\ proportions?(?:\ of)?)?\s*
                        '.self::RATIO.'\)?\.?$
                    /xiu',
                    $row,
                    $m,
                ) === 1,
                preg_match(
                    '/^'.self::RATIO.'(?:\s+(?:ratio|mix|blend))?(?:\s+of)?\s*[:,–—-]?\s+(?<list>[^\d]+)$/iu',
                    $row,
                    $m,
                ) === 1 => self::proportioned(self::names($m['list']), $m['ratio']),
                default => [],
            };
    }

    /**
     * What is told over two rows: a ratio, or amounts, and what they are of.
     *
     * @param  list<Row>  $rows
     * @return list<Row>
     */
    public static function across(array $rows): array
    {
        return self::named(self::inRatio(array_map(self::colons(...), $rows)));
    }

    private static function colons(Row $row): Row
    {
        return substr_count($row->text, '/') < 2 ? $row : new Row(
            preg_replace_callback(
                self::SLASHED,
                static fn (array $m): string => str_replace('/', ':', $m['ratio']).' ',
                $row->text,
            ) ?? $row->text,
            $row->of,
            $row->piece,
        );
    }

    /**
     * Names in one row and their amounts in the next: "You need shea and argan oil", "Amounts: 120 g, 30 g".
     *
     * @param  list<Row>  $rows
     * @return list<Row> the names with their amounts in the place of the amounts
     */
    private static function named(array $rows): array
    {
        $paired = [];
        foreach ($rows as $row) {
            $before = end($paired);
            $amounts = preg_match(self::AMOUNTS, $row->text, $m) === 1
                ? preg_split('/\s*(?:,|;|\band\b)\s*/iu', trim($m['list'], ' .')) ?: []
                : [];
            $names = $before === false || preg_match('/\d/u', $before->text) === 1
                ? []
                : self::names(preg_replace(self::NEEDED, '', $before->text) ?? $before->text);
            if (count($amounts) > 1 && count($amounts) === count($names)) {
                array_pop($paired);
                $list = array_map(static fn (string $amount, string $name): string => sprintf(
                    '%s %s',
                    trim($amount),
                    preg_replace('/^(?:an?\s+(?:little|bit|few)(?:\s+of)?|some|the)\s+/iu', '', $name),
                ), $amounts, $names);
                $row = new Row(implode(', ', $list), $row->of, $row->piece);
            }
            $paired[] = $row;
        }

        return $paired;
    }

    /**
     * A ratio in one row and what it is of in the next: "3:2:1 sealing blend", "grapeseed : castor : argan".
     *
     * @param  list<Row>  $rows
     * @return list<Row> the names with their ratio, and of the row before what else it says
     */
    private static function inRatio(array $rows): array
    {
        $joined = [];
        foreach ($rows as $row) {
            $before = end($joined);
            $names = preg_match('/\d/u', $row->text) === 1 ? [] : self::names($row->text);
            if (
                $before !== false
                && count($names) > 1
                && preg_match('/^'.self::RATIO.'(?:\s+(?<title>\p{L}[^\d:]*))?:?$/u', trim($before->text), $m) === 1
                && substr_count($m['ratio'], ':') + 1 === count($names)
            ) {
                array_pop($joined);
                if (($m['title'] ?? '') !== '') {
                    $joined[] = new Row($m['title'], $before->of, $before->piece);
                }
                $row = new Row($m['ratio'].' '.implode(', ', $names), $row->of, $row->piece);
            }
            $joined[] = $row;
        }

        return $joined;
    }

    /**
     * @param  string  $list names with figures that come to the amount, or to a hundred
     * @return list<array{string, string}> empty where they come to neither: nothing is guessed
     */
    private static function mixed(string $amount, string $unit, string $list): array
    {
        $whole = (float) str_replace(',', '.', $amount);
        $parts = [];
        foreach (preg_split('/\s*[,;+]\s*/u', trim($list)) ?: [] as $piece) {
            if (preg_match('/^(?<name>\p{L}[^\d]*?)\s+(?<figure>\d+(?:[.,]\d+)?)\s*(?:%|g'
                .'|ml)?$/iu', $piece, $m) !== 1) {
                return [];
            }
            $parts[] = [trim($m['name']), (float) str_replace(',', '.', $m['figure'])];
        }
        $sum = array_sum(array_column($parts, 1));
        $fits = abs($sum - 100.0) < 1e-6 || abs($sum - $whole) < 1e-6;

        return $fits ? array_map(static fn (array $part): array => [
            $part[0],
            sprintf('%s %s', Amount::number(round($whole * $part[1] / $sum, 3)), $unit),
        ], $parts) : [];
    }

    /**
     * "Half grapeseed, a quarter castor, a quarter black seed": shares of a whole.
     *
     * @return list<array{string, string}> empty where they do not come to one
     */
    public static function fractions(string $row): array
    {
        // What begins with no fraction is none of it.
        if (preg_match(self::BEGINS_WITH_PART, $row) !== 1) {
            return [];
        }
        $parts = [];
        foreach (preg_split('/\s*[,;+]\s*(?:and\s+)?|\s+and\s+(?=(?:an?\s+)?(?:half|quarter|third'
            .'|\d))/iu', rtrim($row, ' .')) ?: [] as $piece) {
            if (preg_match(self::FRACTION, $piece, $m) !== 1) {
                return [];
            }
            [$over, $under] = [...array_map(floatval(...), explode('/', $m['part'])), 1.0];
            $parts[] = [trim($m['name']), self::FRACTIONS[mb_strtolower($m['part'])]
                ?? (str_ends_with($m['part'], '%') ? 1.0 : 100.0) * $over / max(1.0, $under)];
        }
        $sum = array_sum(array_column($parts, 1));

        return count($parts) > 1 && abs($sum - 100.0) < 1.0
            ? array_map(static fn (array $p): array => [$p[0], Amount::percent(round($p[1], 2))->written], $parts)
            : [];
    }

    private static function isAmount(string $text): bool
    {
        try {
            AmountReader::read($text);

            return true;
        } catch (MeasureError) {
            return false;
        }
    }

    /** @return list<string> */
    private static function names(string $list): array
    {
        return array_values(
            array_filter(
                array_map(
                    static fn (string $n): string => trim($n, " \t.:;()"),
                    preg_split(self::BETWEEN, $list) ?: [],
                ),
                static fn (string $n): bool => $n !== '',
            ),
        );
    }

    /**
     * @param  list<string>  $names
     * @return list<array{string, string}>
     */
    private static function each(array $names, string $amount): array
    {
        return array_map(static fn (string $name): array => [$name, trim($amount)], self::ofOneKind($names));
    }

    /**
     * @param  list<string>  $names
     * @return list<array{string, string}> empty when there are not as many figures as names: nothing is guessed
     */
    private static function proportioned(array $names, string $ratio): array
    {
        $figures = preg_split('/\s*:\s*/', $ratio) ?: [];

        return count($figures) === count($names)
            ? array_map(
                static fn (string $name, string $figure): array => [$name, Amount::parts((float) $figure)->written],
                self::ofOneKind($names),
                $figures,
            )
            : [];
    }

    /**
     * "Lavender, rosemary and peppermint EO" are three essential oils: what the last is called, all are.
     *
     * @param  list<string>  $names
     * @return list<string>
     */
    private static function ofOneKind(array $names): array
    {
        $last = (string) end($names);
        if (preg_match('/\s+(essential oils?|e\.?o\.?s?)$/iu', $last, $m) !== 1) {
            return $names;
        }

        return array_map(
            static fn (string $n): string => preg_match('/\b(oils?|e\.?o\.?s?|butter|wax)$/iu', $n) === 1
                ? $n
                : $n.' essential oil',
            [...array_slice($names, 0, -1), substr($last, 0, -strlen($m[0]))],
        );
    }
}
