<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Measure\AmountReader;
use Crown\Measure\MeasureError;
use Crown\Measure\Number;

/**
 * A row in plain words: figures for words of number, one spelling for each unit and time, English verbs for acts. Names
 * stay as they were written: the catalogue knows them in their own language.
 */
final readonly class Plain
{
    private const PIECE = '/\d+(?:[.,]\d+)?|\p{L}[\p{L}\p{M}]*(?:[\'’\-]\p{L}[\p{L}\p{M}]*)*|\s+|./u';

    /** Words from which a row is spoken rather than listed. */
    private const BREATH = 14;

    /** What is said in other languages too, in the words that the later stages know. */
    private const SAYINGS = [
        'fill' => 'to fill', 'equal' => 'equal parts', 'each' => 'each', 'not' => 'no', 'correct' => 'no sorry',
        'or' => 'or',
    ];

    private const LINKING = [
        'the', 'with', 'plus', 'to', 'in', 'into', 'then', 'also', 'some', 'x', 'about', 'is', 'are',
    ];

    /** A figure with a unit of weight or volume. */
    private const WEIGHED = '/\d\s*(?<unit>g|kg|ml|oz|grams?|mls?|drops)$/iu';

    /** A smaller figure without its unit may count something else. */
    private const FEWEST_AGAIN = 5.0;

    private const FEWEST_DROPS = 2.0;

    /** Words after which a figure is no amount of what stands before it. */
    private const NO_NAME = '/
        \b(?:
            is|am|are|was|for|to|at|until|till|about|than|over|under|by|aged?|another|in|after|of|only|every
            |a
        )$
    /xiu';

    /** How full a spoon is. */
    private const HEAPED = [
        'heaped', 'heaping', 'rounded', 'generous', 'level', 'scant', 'big', 'good', 'small', 'large', 'full',
    ];

    /** Most words that a unit has: "colheres de sopa". */
    private const LONGEST = 4;

    /** Most words, spaces and dots of a unit: "c. à s.". */
    private const PIECES = 7;

    /** @param  non-empty-list<Lexicon>  $lexicons English first */
    public function __construct(private array $lexicons)
    {
    }

    /** Whom and what it may be for, in the languages of the text. */
    public function people(): People
    {
        return new People($this->lexicons);
    }

    /** Whether a row holds a verb of another language than English: it says what is done. */
    public function acts(string $row): bool
    {
        preg_match_all(self::PIECE, $row, $m);
        foreach ($m[0] as $word) {
            foreach (array_slice($this->lexicons, 1) as $lexicon) {
                if (isset($lexicon->acts[mb_strtolower($word)])) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return non-empty-string what finds a time: "10 to 12 minutes", "6 Wochen", "overnight" */
    public function times(): string
    {
        $units = array_merge(...array_map(static fn (Lexicon $l): array => array_keys($l->times), $this->lexicons));
        $number = '(?:\d+(?:[.,]\d+)?|½|¼|¾|an?|half an?|two|three|four|five|six|ten)';

        $much = "$number\\s*(?:(?:-|–|to|bis|à|a)\\s*$number\\s*)?";

        return '/\b(?<!once )(?<!twice )(?<!times )(?:'.$much.'(?:'.self::anyOf($units).')\b|overnight\b)/iu';
    }

    /** @return non-empty-string what finds a temperature: "75 C", "140 °F", "40 Grad" */
    public function heats(): string
    {
        return '/-?\d{1,3}\s*(?:(?:°|º|'.self::anyOf($this->phrases('degrees')).')\s*[CF]?|[CF])(?!\p{L})/iu';
    }

    /** @return list<string> small words, of no meaning by themselves */
    public function linking(): array
    {
        $small = array_map($this->phrases(...), ['of', 'and', 'articles', 'each', 'or']);

        return array_merge(self::LINKING, ...$small);
    }

    /** @param  list<string>  $words */
    private static function anyOf(array $words): string
    {
        usort($words, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));

        return implode('|', array_map(static fn (string $w): string => preg_quote($w, '/'), $words));
    }

    public function row(string $row): string
    {
        return $this->told($row)->plain;
    }

    /**
     * A row in plain words, beside itself.
     *
     * @param  bool  $piece whether it is a sentence among others, in which numbers stand as words
     */
    public function told(string $row, bool $piece = false): Told
    {
        preg_match_all(self::PIECE, $row, $m);
        $pieces = $m[0];
        $spoken = $piece || $this->isSpoken($row);
        $out = $told = [];
        $count = count($pieces);
        $unit = '';
        for ($i = 0; $i < $count;) {
            [$text, $used] = ($spoken || count($this->lexicons) > 1 || self::isFraction($pieces, $i)
                ? $this->quantity($pieces, $i)
                : null)
                ?? ($unit !== '' ? $this->again($pieces, $i, $unit, $out, $spoken) : null)
                ?? $this->measure($pieces, $i, $out)
                ?? $this->saying($pieces, $i)
                ?? $this->act($pieces, $i)
                ?? [$pieces[$i], 1];
            $out[] = $text;
            $told[] = [$text, implode('', array_slice($pieces, $i, $used))];
            $i += $used;
            if (preg_match(self::WEIGHED, implode('', array_slice($out, -4)), $m) === 1) {
                $unit = $m['unit'];
            }
        }

        return new Told($told);
    }

    /**
     * "120 ml grapeseed, then forty of castor", "squalane seventy": a figure without a unit is of the last one that
     * was said, where it is of something or stands after its name.
     *
     * @param  list<string>  $pieces
     * @param  list<string>  $out what stands before
     * @return array{string, int}|null
     */
    private function again(array $pieces, int $at, string $unit, array $out, bool $spoken): ?array
    {
        $before = rtrim(implode('', array_slice($out, -8)));
        [$value, $after] = $this->bareFigure($pieces, $at, implode('', array_slice($out, -2)), $spoken);
        if ($value === null || $value < ($unit === 'drops' ? self::FEWEST_DROPS : self::FEWEST_AGAIN)) {
            return null;
        }
        $next = self::skip($pieces, $after);
        $of = self::isOneOf($pieces[$next] ?? '', $this->phrases('of'))
            && preg_match('/^\p{L}/u', $pieces[self::skip($pieces, $next + 1)] ?? '') === 1;
        $named = preg_match('/^\p{L}/u', $pieces[$at]) === 1
            && preg_match('/^[,.;!]?$/u', $pieces[$next] ?? '') === 1
            && preg_match('/\p{L}{3,},?$/u', $before) === 1
            && preg_match(self::NO_NAME, $before) !== 1;

        return $of || $named ? [Number::shown($value, 3).' '.$unit, $after - $at] : null;
    }

    /**
     * A figure that is part of no other: in digits, or in words where a row is spoken.
     *
     * @param  list<string>  $pieces
     * @return array{float|null, int} with where it ends
     */
    private function bareFigure(array $pieces, int $at, string $before, bool $spoken): array
    {
        if (preg_match('/^\d/u', $pieces[$at]) === 1) {
            return preg_match('/[\d\p{L}:\/.,-]$/u', $before) === 1
                ? [null, $at]
                : [(float) str_replace(',', '.', $pieces[$at]), $at + 1];
        }

        return preg_match('/^\p{L}/u', $pieces[$at]) === 1
            && preg_match('/\d\s*$/u', $before) !== 1
            && $spoken ? $this->number($pieces, $at) : [null, $at];
    }

    /**
     * "Half a part", "a quarter part": written so on lists too.
     *
     * @param  list<string>  $pieces
     */
    private static function isFraction(array $pieces, int $at): bool
    {
        return preg_match(
            '/
                ^(?:(?:an?|one|two|three)[\s-]+)?(?:half|quarters?|thirds?)\s+(?:of\s+)?(?:an?\s+)?parts?\b
            /xiu',
            implode('', array_slice($pieces, $at, 11)),
        ) === 1;
    }

    /**
     * Whether figures stand in it as words, as in what is dictated: a long row, or one that begins with a number that
     * nobody writes out on a list.
     */
    private function isSpoken(string $row): bool
    {
        if (str_word_count($row) >= self::BREATH) {
            return true;
        }
        if (preg_match('/^\s*(\p{L}+)[\s-]+(\p{L}+)/u', $row, $m) !== 1 || $this->figure($m[1]) === null) {
            return false;
        }
        try {
            // "One hundred" is no count of one; "two cups" is read as it is written.
            return $this->figure($m[2]) !== null
                || $this->fraction([$m[2]], 0) !== null
                || AmountReader::leading($row) === null;
        } catch (MeasureError) {
            return false;
        }
    }

    /**
     * Words of number as a figure, where a unit, a time or degrees follow: "one hundred and twenty grams" is "120 g",
     * "half a gram" 0.5 g, "a gram and a half" 1.5 g, "two fifths" of something 40 %.
     *
     * @param  list<string>  $pieces
     * @return array{string, int}|null what it is in plain words, and how many pieces that takes
     */
    private function quantity(array $pieces, int $at): ?array
    {
        if (preg_match('/^\p{L}/u', $pieces[$at]) !== 1) {
            return null;
        }
        [$value, $after] = $this->number($pieces, $at);
        if ($value === null) {
            return $this->fractionAlone($pieces, $at);
        }
        [$half, $more] = $this->andHalf($pieces, $after);
        $value += $half;
        $next = self::skip($pieces, $after + $more);
        $fraction = $this->fraction($pieces, $next);
        $found = $fraction === null
            ? ($this->measured($pieces, $next, $value) ?? $this->timed($pieces, $next, $value))
            : $this->divided($pieces, $next, $value * $fraction);

        return $found === null ? null : [$found[0], $found[1] - $at];
    }

    /**
     * "Quarter cup of mango butter".
     *
     * @param  list<string>  $pieces
     * @return array{string, int}|null
     */
    private function fractionAlone(array $pieces, int $at): ?array
    {
        $fraction = $this->fraction($pieces, $at);
        $found = $fraction === null ? null : $this->measured($pieces, self::skip($pieces, $at + 1), $fraction);

        return $found === null ? null : [$found[0], $found[1] - $at];
    }

    /**
     * "A quarter cup", or "two fifths of" something.
     *
     * @param  list<string>  $pieces
     * @param  int  $at where the fraction stands
     * @return array{string, int} with where it ends
     */
    private function divided(array $pieces, int $at, float $value): array
    {
        $next = self::skip($pieces, $at + 1);
        $unit = $this->unitAt($pieces, $next);
        if ($unit !== null) {
            return [Number::shown($value, 3).' '.rtrim($unit[0], 's'), $next + $unit[1]];
        }
        $of = self::isOneOf($pieces[$next] ?? '', $this->phrases('of'));
        $whole = $of ? self::skip($pieces, $next + 1) : $next;
        if ($of && self::isOneOf($pieces[$whole] ?? '', $this->phrases('articles'))) {
            // "A third of a cup".
            $at = self::skip($pieces, $whole + 1);
            $unit = $this->unitAt($pieces, $at);
            if ($unit !== null) {
                return [Number::shown($value, 3).' '.rtrim($unit[0], 's'), $at + $unit[1]];
            }
        }

        return [Number::shown(100.0 * $value, 2).' % ', $whole];
    }

    /**
     * @param  list<string>  $pieces
     * @return array{string, int}|null with where it ends
     */
    private function measured(array $pieces, int $at, float $value): ?array
    {
        $heaped = mb_strtolower($pieces[$at] ?? '');
        $heaped = in_array($heaped, self::HEAPED, true) ? $heaped : '';
        $at = $heaped === '' ? $at : self::skip($pieces, $at + 1);
        $unit = $this->unitAt($pieces, $at);
        if ($unit === null) {
            return null;
        }
        [$word, $used] = $unit;
        $word = trim("$heaped $word");
        [$half, $more] = $this->andHalf($pieces, $at + $used);

        // One is one cup, one part.
        $word = $value + $half <= 1.0 ? rtrim($word, 's') : $word;

        [$rest, $end] = $this->withoutOf($pieces, $at + $used + $more);

        return [Number::shown($value + $half, 3).' '.$word.$rest, $end];
    }

    /**
     * @param  list<string>  $pieces
     * @return array{string, int}|null with where it ends
     */
    private function timed(array $pieces, int $at, float $value): ?array
    {
        $word = mb_strtolower($pieces[$at] ?? '');
        foreach ($this->lexicons as $lexicon) {
            if (isset($lexicon->times[$word])) {
                return [Number::shown($value, 2).' '.$lexicon->times[$word], $at + 1];
            }
        }

        return self::isOneOf($word, $this->phrases('degrees'))
            ? [Number::shown($value, 0).' degrees', $at + 1]
            : null;
    }

    /**
     * @param  list<string>  $pieces
     * @return array{float|null, int} the number that is written in words, and where it ends
     */
    private function number(array $pieces, int $at): array
    {
        $word = mb_strtolower($pieces[$at]);
        if (self::isOneOf($word, $this->phrases('half'))) {
            $next = self::skip($pieces, $at + 1);

            return [0.5, self::isOneOf($pieces[$next] ?? '', $this->phrases('articles')) ? $next + 1 : $at + 1];
        }
        $start = self::isOneOf($word, $this->phrases('articles')) ? self::skip($pieces, $at + 1) : $at;
        [$value, $end] = $this->joined($pieces, $start);
        if ($value === null && $start !== $at) {
            return [1.0, $at + 1];
        }

        return [$value, $end];
    }

    /**
     * Words of number that belong together: "one hundred and twenty".
     *
     * @param  list<string>  $pieces
     * @return array{float|null, int}
     */
    private function joined(array $pieces, int $at): array
    {
        $sum = $part = 0.0;
        $last = null;
        $joined = false;
        $end = $at;
        for ($i = $at; isset($pieces[$i]); $i = self::skip($pieces, $i + 1)) {
            $value = $this->figure($pieces[$i]);
            if ($value === null && $last !== null && $this->joins($pieces, $i)) {
                $joined = true;

                continue;
            }
            // "Take two, one hundred grams": a figure after a figure begins anew.
            if ($value === null || ($last !== null && $value < 10.0 && $last < 10.0)) {
                break;
            }
            $said = $joined ? null : $last;
            $joined = false;
            $last = $value;
            $end = $i + 1;
            [$sum, $part] = match (true) {
                // "One sixty", as people say it.
                self::isHundreds($said, $value) => [$sum, 100.0 * $part + $value],
                $value >= 1000.0 => [$sum + max(1.0, $part) * $value, 0.0],
                $value === 100.0, $value === 12.0 && $part <= 2.0 => [$sum, max(1.0, $part) * $value],
                default => [$sum, $part + $value],
            };
        }

        return $last === null ? [null, $at] : [$sum + $part, $end];
    }

    private static function isHundreds(?float $said, float $value): bool
    {
        return $said !== null && $said >= 1.0 && $said < 10.0 && $value >= 20.0 && $value < 100.0;
    }

    /** @param  list<string>  $pieces */
    private function joins(array $pieces, int $at): bool
    {
        return self::isOneOf($pieces[$at], $this->phrases('and'))
            && $this->figure($pieces[self::skip($pieces, $at + 1)] ?? '') !== null;
    }

    private function figure(string $word): ?float
    {
        $word = mb_strtolower($word);
        foreach ($this->lexicons as $lexicon) {
            if (isset($lexicon->numbers[$word])) {
                return $lexicon->numbers[$word];
            }
        }

        return null;
    }

    /** @param  list<string>  $pieces */
    private function fraction(array $pieces, int $at): ?float
    {
        foreach ($this->lexicons as $lexicon) {
            $value = $lexicon->fractions[mb_strtolower($pieces[$at] ?? '')] ?? null;
            if ($value !== null) {
                return $value;
            }
        }

        return null;
    }

    /**
     * "… and a half" after a unit.
     *
     * @param  list<string>  $pieces
     * @return array{float, int}
     */
    private function andHalf(array $pieces, int $at): array
    {
        $words = [];
        for ($i = $at, $n = 0; isset($pieces[$i]) && $n < 3; $i++) {
            if (trim($pieces[$i]) !== '') {
                $words[] = mb_strtolower($pieces[$i]);
                $n++;
            }
        }

        return $words === ['and', 'a', 'half'] ? [0.5, $i - $at] : [0.0, 0];
    }

    /**
     * A unit, a time or degrees after a figure, in one spelling; a small word for "of" after it is left out.
     *
     * @param  list<string>  $pieces
     * @param  list<string>  $out what stands before
     * @return array{string, int}|null
     */
    private function measure(array $pieces, int $at, array $out): ?array
    {
        $before = rtrim(implode('', array_slice($out, -2)));
        if (preg_match('/^\p{L}/u', $pieces[$at]) !== 1 || preg_match('/[\d½⅓⅔¼¾⅛]$/u', $before) !== 1) {
            return null;
        }
        $unit = $this->unitAt($pieces, $at);
        if ($unit !== null) {
            return $this->unitWithout($pieces, $at, $unit, $out);
        }
        foreach (array_slice($this->lexicons, 1) as $lexicon) {
            $time = $lexicon->times[mb_strtolower($pieces[$at])] ?? null;
            if ($time !== null) {
                return [$time, 1];
            }
            if (self::isOneOf($pieces[$at], $lexicon->phrases['degrees'])) {
                return ['degrees', 1];
            }
        }

        return null;
    }

    /**
     * A unit without the small word for "of" after it. English units stay as they are written.
     *
     * @param  list<string>  $pieces
     * @param  array{string, int}  $unit
     * @param  list<string>  $out
     * @return array{string, int}|null null when nothing is to change
     */
    private function unitWithout(array $pieces, int $at, array $unit, array $out): ?array
    {
        [$word, $used] = $unit;
        $english = $this->isEnglish($pieces, $at, $used);
        $said = implode('', array_slice($pieces, $at, $used));
        $word = $english && AmountReader::knows($said) ? $said : $word;
        $space = $english || preg_match('/\s$/u', implode('', array_slice($out, -1))) === 1 ? '' : ' ';
        [$rest, $end] = $this->withoutOf($pieces, $at + $used);

        return $word === $said && $rest === '' ? null : [$space.$word.$rest, $end - $at];
    }

    /**
     * What follows a unit of another language, without its word for "of": "d'huile" is "huile".
     *
     * @param  list<string>  $pieces
     * @return array{string, int} what is left of it, and where it ends; "" when there is none
     */
    private function withoutOf(array $pieces, int $at): array
    {
        $of = self::skip($pieces, $at);
        $word = $pieces[$of] ?? '';
        foreach (array_slice($this->lexicons, 1) as $lexicon) {
            if (preg_match('/^d[\'’](.+)$/iu', $word, $m) === 1) {
                return [' '.$m[1], $of + 1];
            }
            if (self::isOneOf($word, $lexicon->phrases['of'])) {
                return [' ', $of + 1];
            }
        }

        return ['', $at];
    }

    /**
     * @param  list<string>  $pieces
     * @return array{string, int}|null the unit in one spelling, and how many pieces it takes
     */
    private function unitAt(array $pieces, int $at): ?array
    {
        for ($length = self::PIECES; $length > 0; $length--) {
            $said = self::undotted(array_slice($pieces, $at, $length));
            foreach ($said === '' ? [] : array_reverse($this->lexicons) as $lexicon) {
                if (isset($lexicon->units[$said])) {
                    return [$lexicon->units[$said], $length];
                }
            }
        }

        return null;
    }

    /**
     * "C. à s." as "c à s"; "" for what ends in a space.
     *
     * @param  list<string>  $pieces
     */
    private static function undotted(array $pieces): string
    {
        $said = mb_strtolower(implode('', $pieces));

        return trim($said) !== $said ? '' : trim(preg_replace('/[.\s]+/u', ' ', $said) ?? $said);
    }

    /** @param  list<string>  $pieces */
    private function isEnglish(array $pieces, int $at, int $length): bool
    {
        return isset($this->lexicons[0]->units[self::undotted(array_slice($pieces, $at, $length))]);
    }

    /**
     * "The rest", "equal parts", "each", "no" of another language.
     *
     * @param  list<string>  $pieces
     * @return array{string, int}|null
     */
    private function saying(array $pieces, int $at): ?array
    {
        foreach (array_slice($this->lexicons, 1) as $lexicon) {
            for ($words = self::LONGEST; $words > 0; $words--) {
                $said = implode('', array_slice($pieces, $at, 2 * $words - 1));
                foreach (self::SAYINGS as $key => $plain) {
                    if (self::isOneOf($said, $lexicon->phrases[$key])) {
                        return [$plain, 2 * $words - 1];
                    }
                }
            }
        }

        return null;
    }

    /**
     * A verb or a form of another language.
     *
     * @param  list<string>  $pieces
     * @return array{string, int}|null
     */
    private function act(array $pieces, int $at): ?array
    {
        $word = mb_strtolower($pieces[$at]);
        foreach (array_slice($this->lexicons, 1) as $lexicon) {
            if (isset($lexicon->acts[$word])) {
                return [$lexicon->acts[$word], 1];
            }
            if (isset($lexicon->forms[$word])) {
                return [$lexicon->forms[$word], 1];
            }
        }

        return null;
    }

    /** @return list<string> */
    private function phrases(string $key): array
    {
        return array_merge(...array_map(static fn (Lexicon $l): array => $l->phrases[$key], $this->lexicons));
    }

    /** @param  list<string>  $words */
    private static function isOneOf(string $word, array $words): bool
    {
        return in_array(mb_strtolower($word), $words, true);
    }

    /**
     * @param  list<string>  $pieces
     * @return int the next place that is no space
     */
    private static function skip(array $pieces, int $at): int
    {
        while (isset($pieces[$at]) && trim($pieces[$at]) === '') {
            $at++;
        }

        return $at;
    }
}
