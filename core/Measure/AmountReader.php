<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * Reads amounts as people write them: "2 tbsp", "½ cup", "1 1/2 heaped tsp", "2-3 drops", "about 20 g", "a few drops",
 * "18 %", "3 parts", "1 cup + 2 tbsp", "2 tbsp (28 g)", "3 capsules of 500 mg", "to fill", "fill up to 100 g", "to make
 * 100 ml".
 *
 * Where an amount is given twice ("1 oz / 28 g") the weighed one counts.
 */
final class AmountReader
{
    /** Words for a spoon that is more than full. */
    private const HEAPED = ['heaped', 'heaping', 'rounded', 'generous'];

    private const FRACTIONS = [
        '½' => '1/2',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
        '⅕' => '1/5',
        '⅖' => '2/5',
        '⅗' => '3/5',
        '⅘' => '4/5',
        '⅙' => '1/6',
        '⅚' => '5/6',
    ];

    private const WORDS = [
        'a few' => '2-5',
        'a couple of' => '2',
        'a couple' => '2',
        'a dozen' => '12',
        'several' => '3-6',
        'half a' => '1/2',
        'half an' => '1/2',
        'a half' => '1/2',
        'half' => '1/2',
        'a quarter of a' => '1/4',
        'a quarter' => '1/4',
        'quarter of a' => '1/4',
        'quarter' => '1/4',
        'one' => '1',
        'two' => '2',
        'three' => '3',
        'four' => '4',
        'five' => '5',
        'six' => '6',
        'seven' => '7',
        'eight' => '8',
        'nine' => '9',
        'ten' => '10',
        'twelve' => '12',
        'fifteen' => '15',
        'twenty' => '20',
        'few' => '2-5',
        'an' => '1',
        'a' => '1',
    ];

    /**
     * Longest spellings first within the pattern; the bare letters need the case that cooks give them (T is a
     * tablespoon).
     */
    private const UNITS = [
        'fl oz' => Unit::FluidOunce,
        'fl. oz' => Unit::FluidOunce,
        'floz' => Unit::FluidOunce,
        'fluid ounces' => Unit::FluidOunce,
        'fluid ounce' => Unit::FluidOunce,
        'tablespoons' => Unit::Tablespoon,
        'tablespoon' => Unit::Tablespoon,
        'tablespoonfuls' => Unit::Tablespoon,
        'tbsps' => Unit::Tablespoon,
        'tbsp' => Unit::Tablespoon,
        'tbs' => Unit::Tablespoon,
        'tblsps' => Unit::Tablespoon,
        'tblsp' => Unit::Tablespoon,
        'tbls' => Unit::Tablespoon,
        'tbl' => Unit::Tablespoon,
        'tb' => Unit::Tablespoon,
        'teaspoons' => Unit::Teaspoon,
        'teaspoon' => Unit::Teaspoon,
        'tsps' => Unit::Teaspoon,
        'tsp' => Unit::Teaspoon,
        'cups' => Unit::Cup,
        'cup' => Unit::Cup,
        'cupfuls' => Unit::Cup,
        'cupful' => Unit::Cup,
        'kilograms' => Unit::Kilogram,
        'kilogram' => Unit::Kilogram,
        'kilos' => Unit::Kilogram,
        'kilo' => Unit::Kilogram,
        'kg' => Unit::Kilogram,
        'grams' => Unit::Gram,
        'gram' => Unit::Gram,
        'grammes' => Unit::Gram,
        'gramme' => Unit::Gram,
        'gms' => Unit::Gram,
        'grs' => Unit::Gram,
        'gm' => Unit::Gram,
        'gr' => Unit::Gram,
        'g' => Unit::Gram,
        'ounces' => Unit::Ounce,
        'ounce' => Unit::Ounce,
        'oz' => Unit::Ounce,
        'pounds' => Unit::Pound,
        'pound' => Unit::Pound,
        'lbs' => Unit::Pound,
        'lb' => Unit::Pound,
        'millilitres' => Unit::Millilitre,
        'milliliters' => Unit::Millilitre,
        'millilitre' => Unit::Millilitre,
        'milliliter' => Unit::Millilitre,
        'mls' => Unit::Millilitre,
        'mil' => Unit::Millilitre,
        'mils' => Unit::Millilitre,
        'ml' => Unit::Millilitre,
        'cc' => Unit::Millilitre,
        'litres' => Unit::Litre,
        'liters' => Unit::Litre,
        'litre' => Unit::Litre,
        'liter' => Unit::Litre,
        'l' => Unit::Litre,
        'drops' => Unit::Drop,
        'drop' => Unit::Drop,
        'gtt' => Unit::Drop,
        'pinches' => Unit::Pinch,
        'pinch' => Unit::Pinch,
        'capsules' => Unit::Capsule,
        'capsule' => Unit::Capsule,
        'caps' => Unit::Capsule,
        'softgels' => Unit::Capsule,
        'softgel' => Unit::Capsule,
        'parts' => Unit::Part,
        'part' => Unit::Part,
        'percent' => Unit::Percent,
        'per cent' => Unit::Percent,
        'pct' => Unit::Percent,
        '%' => Unit::Percent,
        'pieces' => Unit::Piece,
        'piece' => Unit::Piece,
        'leaves' => Unit::Piece,
        'leaf' => Unit::Piece,
        'sprigs' => Unit::Piece,
        'sprig' => Unit::Piece,
        'pads' => Unit::Piece,
        'pad' => Unit::Piece,
        'cloves' => Unit::Piece,
        'buds' => Unit::Piece,
        'dl' => Unit::Millilitre,
        'cl' => Unit::Millilitre,
        'dessertspoons' => Unit::Teaspoon,
        'dessertspoon' => Unit::Teaspoon,
        'dsp' => Unit::Teaspoon,
        'stalks' => Unit::Piece,
        'stalk' => Unit::Piece,
        'whole' => Unit::Piece,
    ];

    /** How many amounts may be added up, or said again, in one. */
    private const MOST_TOGETHER = 12;

    /** How many of its unit one of these is. */
    private const TIMES = ['dl' => 100.0, 'cl' => 10.0, 'dessertspoons' => 2.0, 'dessertspoon' => 2.0, 'dsp' => 2.0];

    /** Measures that are another size in every hand and every shop. */
    private const VAGUE = '/^(?<amount>
            (?: (?:(?:just\ |only\ )?a\ (?:little(?:\ bit)?|touch) | some(?=\s+\p{L}|$))   # "a little", "some"
                (?!\s+(?:handful|splash|dash|dollop|knob|bit)) )
            | (?:about\s+)?                                                                # "about two big handfuls"
              (?:(?:an?|one|two|three|some|\d+(?:\/\d+)?)\s+)?
              (?:(?:big|small|large|good|generous|little|tiny|whole)\s+)?
              (?:handfuls?|bulbs?(?=\s+(?:of\s+)?garlic)|heads?(?=\s+of\s+garlic)
                |splash(?:es)?|dash(?:es)?|glugs?|knobs?|dollops?|sticks?|squeezes?|squirts?|scoops?|capfuls?
                |blobs?|lumps?|peas?(?:\ size)?|bunch(?:es)?|bits?|slices?|spoons?|spoonfuls?
                |drizzles?|bottles?|jars?|bags?|tubs?|bars?)
        )(?![\p{L}])(?:\s+of\b)?(?<rest>.*)$/isux';

    /** "Jar it", "bar:": a vessel that is not counted is no amount. */
    private const VESSEL_ALONE = '/^(?:bottles?|jars?|bags?|tubs?|bars?)$/iu';

    /** How much of it there is when it is all in: "to make 100 ml". A number has to follow. */
    private const MADE_UP = '(?:(?:enough|made?|make)\s+)?(?:up\s+)?to(?:\s+make)?(?:\s+up)?(?:\s+to)?'
        .'(?=\s+[\d.,]+\s*(?:g|grams|ml|kg|oz)\b)';

    private const FILL = '(?:'.self::MADE_UP
        .'|to fill(?: up)?|fill(?: up)?(?: the rest)?|top(?: it)? up|q\.?\s?s\.?|the rest|remainder|rest)'
        .'(?:\s+(?:to|with))?(?:\s+(?:100 ?%|(?<fill>[\d.,]+)\s*(?<fillunit>g|grams|ml|kg|oz)))?';

    private const NUMBER = '(?:\d+\s+\d+\/\d+|\d+\/\d+|\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?|[.,]\d+)';

    /**
     * Most amounts: one figure and one unit. They are asked for on every key, and read the same without the long way
     * round.
     */
    private const PLAINEST = '/^(\d{1,6}(?:\.\d{1,4})?) (g|kg|ml|oz|cups?|tbsp|tsp|drops?|%)$/D';

    /**
     * A bottle weighed full and empty: "412 - 180 g" is 232 g; under nothing when the second is more. Null for what is
     * no such thing.
     */
    public static function difference(string $text): ?float
    {
        $number = '(\d+(?:[.,]\d+)?)';
        if (preg_match("/^\s*$number\s*(?:g\s*)?(?:-|–|less|minus)\s*$number\s*g?\s*$/iu", $text, $m) !== 1) {
            return null;
        }

        return self::value($m[1]) - self::value($m[2]);
    }

    /** Whether a unit is known as it is written: "tbsp", and not "tbspns". */
    public static function knows(string $unit): bool
    {
        return isset(self::UNITS[mb_strtolower(trim($unit))]);
    }

    /**
     * Reads a text that is an amount and nothing else.
     *
     * @throws MeasureError when it cannot be read, is not more than nothing, or is more than a tonne
     */
    public static function read(string $text): Amount
    {
        $difference = self::difference($text);
        if ($difference > 0.0 && preg_match('/\dg|\d\s+g/iu', $text) === 1) {
            return new Amount(Band::exact($difference), Unit::Gram, trim($text));
        }
        if (preg_match(self::PLAINEST, $text, $m) === 1) {
            return new Amount(Band::exact((float) $m[1]), self::UNITS[$m[2]], $text);
        }
        if (preg_match('/^\s*-\s*[\d.]/u', $text) === 1) {
            throw MeasureError::negativeAmount(trim($text));
        }
        $vague = self::vague($text);
        if ($vague !== null && trim($vague->rest) === '') {
            throw MeasureError::vagueAmount($vague->written);
        }
        $leading = self::leading($text);
        if ($leading === null || trim($leading->rest, " \t.,;:") !== '') {
            throw MeasureError::unreadableAmount(trim($text));
        }

        return $leading->amount;
    }

    /** An amount in a measure that nobody can tell, at the start of a text; null when there is none. */
    public static function vague(string $text): ?VagueAmount
    {
        return preg_match(self::VAGUE, trim($text), $m) === 1 && preg_match(self::VESSEL_ALONE, $m['amount']) !== 1
            ? new VagueAmount(trim($m['amount']), $m['rest'])
            : null;
    }

    /**
     * Reads the amount at the start of a text and hands back what follows it; null when there is none.
     *
     * @throws MeasureError when there is one, but it is not an allowed quantity
     */
    public static function leading(string $text): ?LeadingAmount
    {
        $plain = self::plain($text);
        if (preg_match('/^'.self::FILL.'(?![\p{L}])/iu', $plain, $m) === 1) {
            $unit = self::UNITS[mb_strtolower($m['fillunit'] ?? '')] ?? Unit::Gram;
            $target = isset($m['fill']) ? self::value($m['fill']) : 0.0;

            return new LeadingAmount(
                new Amount(
                    Band::exact($target * $unit->grams()),
                    Unit::Fill,
                    trim($m[0]),
                    millilitres: $target * $unit->millilitres(CupSize::Metric) ?: null,
                ),
                substr($plain, strlen($m[0])),
            );
        }

        return self::sum($plain);
    }

    private static function sum(string $plain): ?LeadingAmount
    {
        $first = self::single($plain);
        if ($first === null) {
            return null;
        }
        $amount = $first->amount;
        $rest = $first->rest;
        $written = [$amount->written];
        $also = [];
        $other = $amount;
        while (
            count($written) < self::MOST_TOGETHER
            && preg_match('/^\s*(\+|plus|and|&|\/|=|\(|,)\s*/iu', $rest, $m) === 1
        ) {
            $next = self::single(substr($rest, strlen($m[0])));
            if (
                $next === null
                || ($next->amount->unit === Unit::Piece
                    && $next->amount->written === Amount::number($next->amount->count->best))
            ) {
                break;
            }
            $rest = $next->rest;
            if (in_array(mb_strtolower($m[1]), ['+', 'plus', 'and', '&'], true)) {
                $also[] = $next->amount;
                $written[] = '+ '.$next->amount->written;
            } else {
                // The same quantity said twice: the weighed one wins, then the one measured by volume.
                $rest = preg_replace('/^\s*\)/u', '', $rest) ?? $rest;
                $other = $next->amount->unit->isMass() && ! $other->unit->isMass() ? $next->amount : $other;
                $written[] = '('.$next->amount->written.')';
            }
        }
        $whole = new Amount(
            $other->count,
            $other->unit,
            implode(' ', $written),
            $other->heaped,
            $other->about,
            $other->capsuleMilligrams,
            $also,
        );

        return new LeadingAmount($whole, $rest);
    }

    private static function single(string $plain): ?LeadingAmount
    {
        if (preg_match(self::amountPattern(), $plain, $m) !== 1) {
            return null;
        }
        $low = self::value($m['number']);
        $high = ($m['upper'] ?? '') !== '' ? self::value($m['upper']) : $low;
        $name = mb_strtolower($m['unit'] ?? '');
        [$unit, $rest] = self::unit($name, substr($plain, strlen($m[0])));
        [$milligrams, $rest] = $unit === Unit::Capsule ? self::milligrams($rest) : [null, $rest];
        $written = rtrim(
            preg_replace('/\s+/', ' ', trim(substr($plain, 0, strlen($plain) - strlen($rest)))) ?? '',
            '. ',
        );
        $few = preg_match('/^2-5/', $written) === 1;

        return new LeadingAmount(
            new Amount(
                Band::of(min($low, $high), $few ? 3.0 : ($low + $high) / 2, max($low, $high))
                    ->scaled(self::TIMES[$name] ?? 1.0),
                $unit,
                $few ? trim('a few '.trim(substr($written, 3))) : $written,
                in_array(trim(mb_strtolower($m['heap'] ?? '')), self::HEAPED, true),
                ($m['about1'] ?? '') !== '',
                $milligrams,
            ),
            $rest,
        );
    }

    private static function amountPattern(): string
    {
        /** @var string $pattern */
        static $pattern = '';
        if ($pattern === '') {
            $names = array_keys(self::UNITS);
            $lengths = array_map(strlen(...), $names);
            array_multisort($lengths, SORT_DESC, $names);
            $pattern = self::pattern(implode('|', array_map(preg_quote(...), $names)));
        }

        return $pattern;
    }

    /**
     * Cooks write T for a tablespoon, t for a teaspoon and c for a cup.
     *
     * @return array{Unit, string} and what is left of the text
     */
    private static function unit(string $name, string $rest): array
    {
        if ($name !== '' || preg_match('/^\s*([TtCc])(?:\.|\s|$)/', $rest, $t) !== 1) {
            return [self::UNITS[$name] ?? Unit::Piece, $rest];
        }
        $unit = match ($t[1]) {
            'T' => Unit::Tablespoon,
            't' => Unit::Teaspoon,
            default => Unit::Cup,
        };

        return [$unit, substr($rest, strlen($t[0]))];
    }

    /** @return array{float|null, string} what one holds, null when that is not said, and what is left of the text */
    private static function milligrams(string $rest): array
    {
        return preg_match('/^\s*(?:of|x|@|at|\()?\s*(\d+(?:[.,]\d+)?)\s*mg\)?/iu', $rest, $m) === 1
            ? [self::value($m[1]) ?: null, substr($rest, strlen($m[0]))]
            : [null, $rest];
    }

    private static function pattern(string $unitPattern): string
    {
        return '/^\s*(?<about1>about|approximately|approx\.?|around|roughly|ca\.?|circa|~)?\s*'
            .'(?<number>'
            .self::NUMBER
            .')(?:\s*(?:-|–|—|to|or)\s*(?<upper>'
            .self::NUMBER
            .'))?\s*'
            .'(?<heap>(?:heaped|heaping|rounded|generous|level|scant|flat|large|small|big|full)\s+)*'
            .'(?:(?<unit>'
            .$unitPattern
            .')(?![\p{L}])\.?)?/iu';
    }

    /** Unicode fractions and number words become figures; spaces and dashes become plain ones. */
    private static function plain(string $text): string
    {
        if (preg_match('/^\d[\x20-\x7e]*$/', $text) === 1 && preg_match('/^\d+ (?:and|&) /i', $text) !== 1) {
            // Most amounts: a figure and plain letters.
            return rtrim($text);
        }
        $text = str_replace(["\u{00a0}", "\u{202f}", "\u{2009}", "\t", '⁄'], [' ', ' ', ' ', ' ', '/'], $text);
        $text = preg_replace_callback(
            '/(\d*)\s*(['.implode('', array_keys(self::FRACTIONS)).'])/u',
            static fn (array $m): string => ($m[1] === '' ? '' : $m[1].' ').self::FRACTIONS[$m[2]].' ',
            $text,
        ) ?? $text;
        $text = trim($text);
        foreach (self::WORDS as $word => $figure) {
            $pattern = '/^((?:about|approximately|approx\.?|around|roughly)\s+)?'.$word.'(?=\s+\p{L})/iu';
            if (preg_match($pattern, $text, $m) === 1) {
                $text = ($m[1] ?? '').$figure.substr($text, strlen($m[0]));
                break;
            }
        }

        // "one and a half cups", "2 and 1/4 tsp", "a cup and a half" is left to be asked about.
        return preg_replace_callback(
            '/
                ^((?:about|approximately|approx\.?|around|roughly)\s+)?(\d+)\s+(?:and|&)\s+
                (?:an?\s+|one\s+)?(half|quarter|third|[1-7]\/[2-8])(?=\s+\p{L})
            /xiu',
            static fn (array $m): string => $m[1]
                .$m[2]
                .' '
                .(['half' => '1/2', 'quarter' => '1/4', 'third' => '1/3'][strtolower($m[3])] ?? $m[3]),
            $text,
        ) ?? $text;
    }

    private static function value(string $written): float
    {
        $written = trim($written);
        if (preg_match('/^(?:(\d+)\s+)?(\d+)\/(\d+)$/', $written, $m) === 1) {
            return (float) $m[1] + ((int) $m[3] === 0 ? 0.0 : (float) $m[2] / (float) $m[3]);
        }
        if (preg_match('/^\d{1,3}(,\d{3})+(\.\d+)?$/', $written) === 1) {
            return (float) str_replace(',', '', $written);
        }

        return (float) str_replace(',', '.', $written);
    }
}
