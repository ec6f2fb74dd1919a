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

    /** Most words that a unit has: "colheres de sopa". */
    private const LONGEST = 4;

    /** @param  non-empty-list<Lexicon>  $lexicons English first */
    public function __construct(private array $lexicons)
    {
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

    public function row(string $row): string
    {
        preg_match_all(self::PIECE, $row, $m);
        $pieces = $m[0];
        $spoken = $this->isSpoken($row);
        $out = [];
        $count = count($pieces);
        for ($i = 0; $i < $count;) {
            [$text, $used] = ($spoken || count($this->lexicons) > 1 ? $this->quantity($pieces, $i) : null)
                ?? $this->measure($pieces, $i, $out)
                ?? $this->act($pieces, $i)
                ?? [$pieces[$i], 1];
            $out[] = $text;
            $i += $used;
        }

        return trim(preg_replace('/\s+/u', ' ', implode('', $out)) ?? $row);
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
        try {
            return preg_match('/^\s*(\p{L}+)/u', $row, $m) === 1
                && isset($this->lexicons[0]->numbers[mb_strtolower($m[1])])
                && AmountReader::leading($row) === false;
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
            return null;
        }
        $next = self::skip($pieces, $after);
        $fraction = $this->fraction($pieces, $next);
        if ($fraction !== null && $this->unitAt($pieces, self::skip($pieces, $next + 1)) === null) {
            $percent = 100 * $value * $fraction;
            $of = self::skip($pieces, $next + 1);

            return [
                Number::shown($percent, 2).' % ',
                (self::isOneOf($pieces[$of] ?? '', $this->phrases('of')) ? self::skip($pieces, $of + 1) : $of) - $at,
            ];
        }
        // "A quarter cup".
        $of = $fraction === null ? null : $this->unitAt($pieces, self::skip($pieces, $next + 1));
        if ($fraction !== null && $of !== null) {
            return [
                Number::shown($value * $fraction, 3).' '.rtrim($of[0], 's'),
                self::skip($pieces, $next + 1) + $of[1] - $at,
            ];
        }
        $unit = $this->unitAt($pieces, $next);
        if ($unit !== null) {
            [$word, $used] = $unit;
            [$half, $more] = $this->andHalf($pieces, $next + $used);

            // One is one cup, one part.
            $word = $value + $half <= 1.0 ? rtrim($word, 's') : $word;

            return [Number::shown($value + $half, 3).' '.$word, $next + $used + $more - $at];
        }
        foreach ($this->lexicons as $lexicon) {
            $time = $lexicon->times[mb_strtolower($pieces[$next] ?? '')] ?? null;
            if ($time !== null) {
                return [Number::shown($value, 2).' '.$time, $next + 1 - $at];
            }
        }
        if (self::isOneOf($pieces[$next] ?? '', $this->phrases('degrees'))) {
            return [Number::shown($value, 0).' degrees', $next + 1 - $at];
        }

        return null;
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
        $sum = $part = 0.0;
        $last = INF;
        $found = false;
        $end = $at + 1;
        for ($i = $start; isset($pieces[$i]); $i = self::skip($pieces, $i + 1)) {
            $value = $this->figure(mb_strtolower($pieces[$i]));
            if ($value === null) {
                $joins = $found && self::isOneOf($pieces[$i], ['and', 'und', 'y', 'e', 'et', 'en'])
                    && $this->figure(mb_strtolower($pieces[self::skip($pieces, $i + 1)] ?? '')) !== null;
                if ($joins) {
                    continue;
                }
                break;
            }
            // "Take two, one hundred grams": a figure after a figure begins anew.
            if ($found && $value < 10.0 && $last < 10.0) {
                break;
            }
            $last = $value;
            $found = true;
            $end = $i + 1;
            [$sum, $part] = match (true) {
                $value >= 1000.0 => [$sum + max(1.0, $part) * $value, 0.0],
                $value === 100.0 || $value === 12.0 && $part <= 2.0 => [$sum, max(1.0, $part) * $value],
                default => [$sum, $part + $value],
            };
        }

        return match (true) {
            $found => [$sum + $part, $end],
            $start !== $at => [1.0, $at + 1],
            default => [null, $at],
        };
    }

    private function figure(string $word): ?float
    {
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
        // English units are read as they are written.
        if ($unit !== null && $this->isEnglish($pieces, $at, $unit[1])) {
            return null;
        }
        if ($unit !== null) {
            $space = preg_match('/\s$/u', implode('', array_slice($out, -1))) === 1 ? '' : ' ';
            $of = self::skip($pieces, $at + $unit[1]);
            if (preg_match('/^d[\'’](.+)$/iu', $pieces[$of] ?? '', $m) === 1) {
                return [$space.$unit[0].' '.$m[1], $of + 1 - $at];
            }
            $drop = self::isOneOf($pieces[$of] ?? '', $this->phrases('of')) ? $of + 1 - $at - $unit[1] : 0;
            // A letter T is a spoon by its case: it stays as it was.
            return mb_strlen($pieces[$at]) === 1 && in_array($pieces[$at], ['T', 't', 'c', 'C'], true)
                ? null
                : [$space.$unit[0].($drop > 0 ? ' ' : ''), $unit[1] + $drop];
        }
        foreach (array_slice($this->lexicons, 1) as $lexicon) {
            $time = $lexicon->times[mb_strtolower($pieces[$at])] ?? null;
            if ($time !== null) {
                return [$time, 1];
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $pieces
     * @return array{string, int}|null the unit in one spelling, and how many pieces it takes
     */
    private function unitAt(array $pieces, int $at): ?array
    {
        for ($words = self::LONGEST; $words > 0; $words--) {
            $length = 2 * $words - 1;
            $said = mb_strtolower(implode('', array_slice($pieces, $at, $length)));
            foreach (array_reverse($this->lexicons) as $lexicon) {
                if ($said !== '' && isset($lexicon->units[$said])) {
                    return [$lexicon->units[$said], $length];
                }
            }
        }

        return null;
    }

    /** @param  list<string>  $pieces */
    private function isEnglish(array $pieces, int $at, int $length): bool
    {
        return isset($this->lexicons[0]->units[mb_strtolower(implode('', array_slice($pieces, $at, $length)))]);
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
