<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Numbers in figures and in words: "1 1/2", "two and a half", "twenty-five", "three quarters of a". */
final class Numbers
{
    private const PHRASE = 'number';

    /** @return array{int, float}|null the token after it and the number; null where none stands there */
    public static function at(int $place, Chart $chart): ?array
    {
        return $chart->once(self::PHRASE, $place, static fn (): array => [self::read($place, $chart)])[0];
    }

    /** @return array{int, float}|null */
    private static function read(int $place, Chart $chart): ?array
    {
        $token = $chart->token($place);
        if ($token === null) {
            return null;
        }
        if ($token->number !== null) {
            return self::figures($place, $token->number, $chart);
        }

        return self::fraction($place, 1.0, $chart) ?? self::words($place, $chart);
    }

    /** @return array{int, float} "1 1/2", "2½", "2 and a half" */
    private static function figures(int $place, float $number, Chart $chart): array
    {
        $next = $chart->token($place + 1);
        $isPart = $next !== null && $next->number !== null && $next->number < 1.0 && $number === floor($number)
            && preg_match('/^[.,\d]*$/', $next->text) !== 1;
        if ($isPart) {
            return [$place + 2, $number + $next->number];
        }

        return self::andPart($place + 1, $number, $chart);
    }

    /** @return array{int, float} */
    private static function andPart(int $place, float $number, Chart $chart): array
    {
        $from = $chart->past($place, Kind::Plus);
        $part = $from > $place && ! $chart->isSign($place, '+') ? self::fraction($from, 1.0, $chart) : null;

        return $part !== null && $number === floor($number) ? [$part[0], $number + $part[1]] : [$place, $number];
    }

    /** @return array{int, float}|null "a half", "one third", "three quarters", "a quarter of a" */
    private static function fraction(int $place, float $times, Chart $chart): ?array
    {
        $at = $place;
        $count = $chart->value($place, Kind::Number);
        if (is_float($count) && $count < 10.0) {
            [$at, $times] = [$chart->past($place, Kind::Number), $count];
        } elseif ($chart->is($place, Kind::Article)) {
            $at = $chart->past($place, Kind::Article);
        }
        $part = $chart->value($at, Kind::Fraction);
        if (! is_float($part)) {
            return null;
        }

        return [$chart->past($at, Kind::Fraction), $times * $part];
    }

    /** @return array{int, float}|null */
    private static function words(int $place, Chart $chart): ?array
    {
        $sum = $last = 0.0;
        // "A hundred and fifty"; "a five" is none.
        $from = $chart->past($place, Kind::Article);
        $at = $from > $place && (self::word($from, $chart)[1] ?? 0.0) >= 100.0 ? $from : $place;
        $place = $at;
        while (true) {
            $number = self::word($at, $chart);
            if ($number === null) {
                break;
            }
            [$to, $value] = $number;
            if ($at > $place && ! self::follows($last, $value)) {
                break;
            }
            $sum = $value >= 100.0 && $last > 0.0 && $last < 100.0 ? ($sum - $last) + $last * $value : $sum + $value;
            $last = $value;
            $at = $to;
            $and = $chart->past($at, Kind::Plus);
            if ($last >= 100.0 && $and > $at && self::word($and, $chart) !== null) {
                $at = $and;
            }
        }

        return $at === $place ? null : self::andPart($at, $sum, $chart);
    }

    /** Whether one word of number goes on with another: "twenty five", "two hundred", "hundred twenty". */
    private static function follows(float $before, float $value): bool
    {
        return $value >= 100.0
            ? $before < $value
            : $before >= 100.0 || ($before >= 20.0 && $value < 10.0 && fmod($before, 10.0) === 0.0);
    }

    /** @return array{int, float}|null */
    private static function word(int $place, Chart $chart): ?array
    {
        $value = $chart->value($place, Kind::Number);
        if (is_float($value)) {
            return [$chart->past($place, Kind::Number), $value];
        }
        $token = $chart->token($place);

        return $token !== null && str_contains($token->word, '-') ? self::hyphenated($place, $token->word, $chart)
            : null;
    }

    /** @return array{int, float}|null */
    private static function hyphenated(int $place, string $word, Chart $chart): ?array
    {
        $sum = 0.0;
        foreach (explode('-', $word) as $part) {
            $value = $chart->number($part);
            if ($value === null) {
                return null;
            }
            $sum += $value;
        }

        return [$place + 1, $sum];
    }
}
