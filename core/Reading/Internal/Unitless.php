<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Measure\AmountReader;
use Crown\Measure\MeasureError;
use Crown\Measure\Unit;

/**
 * Figures without a unit, as in a notebook: "shea 212, mango 61, almond 40". Their unit is what the text says of them
 * all; else that of a sum that fits; else per cent, where they come to a hundred. Where none of it holds they stand in
 * proportion to each other, which gives the same shares whatever was meant.
 */
final readonly class Unitless
{
    /** Bare figures from which they are one list. */
    private const FEWEST = 3;

    /** How far a sum may be off, of the whole. */
    private const NEARLY = 0.03;

    /** From here nobody counts eggs or leaves. */
    private const MORE_THAN_PIECES = 12.0;

    private const HUNDRED = 1.01;

    private const AMOUNT = '\d+(?:[.,]\d+)?';

    /** What says that a list has units after all. */
    private const MEASURED = '/
        \d\s*(?:g|kg|grams?|ml|mls|l|oz|ounces?|lbs?|cups?|tbsps?|tsps?|tablespoons?|teaspoons?|parts?|%)
        (?!\p{L})
    /xiu';

    /** A name and its grams. */
    private const WEIGHED = '/^\p{L}[^\d]*\s\d+(?:[.,]\d+)?\s*(?:g|grams?)$/iu';

    private const TALK = '/
        ^[^\d,;:]{0,60}\b(?:go|going|went|use[ds]?|do|did|mix(?:ed)?|with|is|was|took|take|made|like)\s+
        (?=\d)
    /xiu';

    private const SUM = '/
        # what all of it comes to, said with a word or an arrow
        (?:\b(?:sub|grand\ )?totals?\b|\bsum(?:me|a)?\b|\bsomme\b|\btota(?:al|le)\b|^(?:-+>|=+>?|→))
        \D{0,12}?(?<sum>\d+(?:[.,]\d+)?)\s*(?<unit>%|g|grams?|ml|oz)?(?!\p{L})
    /xiu';

    /**
     * @param  string  $unit of the figures without one; "" when they are too few to be a list, or nothing says so
     * @param  bool  $guessed whether nothing in the text says so
     */
    private function __construct(public string $unit, public bool $guessed)
    {
    }

    /** @param  list<string>  $rows in plain words */
    public static function in(array $rows): self
    {
        $stated = Rows::statedUnit($rows);
        if ($stated !== '') {
            return new self($stated, false);
        }
        $figures = $sums = $weighed = [];
        $measured = false;
        foreach ($rows as $row) {
            $pair = self::pair(Rows::unbulleted($row));
            if (preg_match(self::SUM, $row, $m) === 1) {
                $sums[] = [self::value($m['sum']), mb_strtolower($m['unit'] ?? '')];
            } elseif ($pair !== []) {
                $figures[] = self::value($pair[1]);
            } elseif (preg_match(self::WEIGHED, Rows::unbulleted($row)) === 1) {
                $weighed[] = $row;
            } else {
                $measured = $measured || preg_match(self::MEASURED, $row) === 1;
            }
        }

        return match (true) {
            count($figures) < self::FEWEST => new self('', false),
            // "Wax 18 g, shea 30, castor 40": it is said once, and asked about.
            $weighed !== [] && ! $measured && count($weighed) < count($figures) => new self('g', true),
            default => self::by(array_sum($figures), $sums, $measured || $weighed !== []),
        };
    }

    /**
     * "Beeswax 30 / cocoa 35 / mango 15": a list in one row.
     *
     * @param  callable(string): bool  $isName
     * @param  string  $stated unit of all figures without one, where the text says it
     * @return list<array{string, string}> each a name and its amount; empty when it is no such list
     */
    public static function apart(string $row, callable $isName, string $stated = ''): array
    {
        $unit = preg_match('/\s*\((?:all )?(?:in )?(g|grams|ml|%|parts)\)[.]?$/iu', $row, $m) === 1 ? $m[1] : '';
        $row = substr($row, 0, strlen($row) - strlen($m[0] ?? ''));
        // "— tout en grammes" was heard already.
        $row = preg_replace('/\s+[–—-]\s+[^\d,;\/]{4,40}$/u', '', $row) ?? $row;
        preg_match_all('/(?<=\d)\s*(%|g|ml|oz)(?=\s*[\/,;·|.]|$)/iu', $row, $units);
        $once = array_values(array_unique(array_map(mb_strtolower(...), $units[1])));
        $row = count($once) === 1 && count($units[1]) < substr_count($row, ',') + substr_count($row, '/')
            ? preg_replace('/(?<=\d)\s*(?:%|g|ml|oz)(?=\s*[\/,;·|.]|$)/iu', '', $row) ?? $row
            : $row;
        $pairs = self::pairs($row);
        if (count($pairs) < self::FEWEST || in_array([], $pairs, true)) {
            return [];
        }
        $named = array_values(array_filter($pairs, static fn (array $p): bool => $isName($p[0])));
        if (count($named) < count($pairs)) {
            return [];
        }
        $sum = array_sum(array_map(self::value(...), array_column($named, 1)));
        $unit = match (true) {
            $unit !== '' => $unit,
            $stated !== '' => $stated,
            // "Candelilla 18 %, shea 22, castor 35": it is said once.
            count($once) === 1 => $once[0],
            default => self::by($sum, [], false)->unit,
        };

        return array_map(static fn (array $p): array => [$p[0], trim("$p[1] $unit")], $named);
    }

    /** @return list<array{}|array{string, string}> name and figure of each piece of a row; empty for what is none */
    private static function pairs(string $row): array
    {
        if (preg_match_all('/[\/,;·|]|\band \d/u', $row) < self::FEWEST - 1) {
            return [];
        }
        // "I'd go 55 shea, 20 almond": what stands before the first figure is talk.
        $row = preg_replace(self::TALK, '', $row) ?? $row;
        $pieces = preg_split('/\s*[\/,;·|]\s*|\s+and\s+(?=\d)|\.$/u', $row, flags: PREG_SPLIT_NO_EMPTY) ?: [];
        // Where one is more than anybody counts, none of them is counted: "55 shea, 8 wax, 2 vitamin E".
        $many = array_filter($pieces, static fn (string $p): bool => self::pair($p) !== []);

        return array_map(static fn (string $p): array => self::pair($p, $many === [] ? INF : 0.0), $pieces);
    }

    /** "Argan 20, jojoba 10 (ml), geranium 4 drops": said once for those before it. */
    public static function spread(string $row): string
    {
        $run = '/
            (?<run>(?:\p{L}[^,;\d]*\s\d+(?:[.,]\d+)?\s*,\s*)+\p{L}[^,;\d]*\s\d+(?:[.,]\d+)?)\s*\(
            (?:in\ |all\ )*(?<unit>g|ml|%|drops)\)
        /xiu';

        return preg_replace_callback($run, static fn (array $m): string => sprintf(
            '%s %s',
            preg_replace('/(?<=\d)(?=\s*,\s*\p{L})/u', ' '.$m['unit'], $m['run']),
            $m['unit'],
        ), $row) ?? $row;
    }

    /** A row of the list with the unit that its figure has. */
    public function row(string $row): string
    {
        $pair = $this->unit === '' ? [] : self::pair($row);

        return $pair === [] ? $row : "$pair[1] {$this->unit} $pair[0]";
    }

    /** Whether a row has its unit from here alone. */
    public function guesses(string $row): bool
    {
        return $this->guessed && self::pair($row) !== [];
    }

    /** @param  list<array{float, string}>  $sums that the text names, each with its unit */
    private static function by(float $whole, array $sums, bool $measured): self
    {
        foreach ($sums as [$sum, $unit]) {
            if ($unit !== '' && abs($whole - $sum) <= self::NEARLY * $sum) {
                return new self($unit, false);
            }
        }

        return match (true) {
            abs($whole - 100.0) <= self::HUNDRED && ! $measured => new self('%', false),
            $measured => new self('', false),
            default => new self('parts', true),
        };
    }

    /** What is asked of such a row. */
    public function doubt(): string
    {
        return $this->unit === 'parts'
            ? 'It has no unit: it counts in proportion to the others.'
            : sprintf('It has no unit: it was taken for %s.', $this->unit);
    }

    /**
     * @param  float  $fewest from which a figure that stands first counts no pieces
     * @return array{}|array{string, string} name and figure of a row that is nothing else
     */
    private static function pair(string $row, float $fewest = self::MORE_THAN_PIECES): array
    {
        $figure = self::AMOUNT;
        $row = rtrim($row, ' .;,');

        if (Rows::isNoise($row)) {
            return [];
        }

        return match (true) {
            preg_match("/^(?<name>\\p{L}[^\\d]*?)\\s*[:=–—-]?\\s+(?<figure>$figure)\$/u", $row, $m) === 1,
            preg_match("/^(?<figure>$figure)\\s+(?:of\\s+)?(?<name>(?!x\\b)\\p{L}{3}[^\\d]*)\$/u", $row, $m) === 1
                && self::isBare($row, $fewest) => [preg_replace('/[\s:=–—-]+$/u', '', $m['name']) ?? '', $m['figure']],
            default => [],
        };
    }

    /** Whether a figure that stands first counts pieces, as far as its words say. */
    private static function isBare(string $row, float $fewest): bool
    {
        try {
            $leading = AmountReader::leading($row);
        } catch (MeasureError) {
            return false;
        }

        return $leading !== null
            && $leading->amount->unit === Unit::Piece
            && preg_match('/^[\d.,]+$/u', trim($leading->amount->written)) === 1
            && $leading->amount->count->best >= $fewest;
    }

    private static function value(string $figure): float
    {
        return (float) str_replace(',', '.', $figure);
    }
}
