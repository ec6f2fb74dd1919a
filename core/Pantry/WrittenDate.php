<?php

declare(strict_types=1);

namespace Crown\Pantry;

use DateTimeImmutable;

/** A date as people and printers write it: 3/28, 31.03.2028, 2028-03-31, March 2028, today. */
final class WrittenDate
{
    private const MONTHS = [
        'jan' => 1, 'feb' => 2, 'mar' => 3, 'mär' => 3, 'apr' => 4, 'may' => 5, 'mai' => 5, 'jun' => 6, 'jul' => 7,
        'aug' => 8, 'sep' => 9, 'oct' => 10, 'okt' => 10, 'nov' => 11, 'dec' => 12, 'dez' => 12,
    ];

    private const WORDS = ['today' => 0, 'heute' => 0, 'yesterday' => -1, 'gestern' => -1];

    /**
     * The day that is meant; the last of its month where only a month is said. Null where it is no date.
     *
     * @param  bool  $monthFirst whether 3/4/28 is the fourth of March
     */
    public static function read(string $text, DateTimeImmutable $today, bool $monthFirst = false): ?DateTimeImmutable
    {
        $plain = mb_strtolower(trim($text, " \t.,;:()"));
        if (isset(self::WORDS[$plain])) {
            return $today->modify(self::WORDS[$plain].' days');
        }
        if (preg_match('/^(\d{4})-(\d{1,2})(?:-(\d{1,2}))?$/', $plain, $m) === 1) {
            return self::day((int) $m[1], (int) $m[2], isset($m[3]) ? (int) $m[3] : null);
        }
        if (preg_match('#^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})$#', $plain, $m) === 1) {
            [$day, $month] = $monthFirst && str_contains($plain, '/') ? [$m[2], $m[1]] : [$m[1], $m[2]];

            return self::day(self::year($m[3]), (int) $month, (int) $day);
        }
        if (preg_match('#^(\d{1,2})[./-](\d{2}|\d{4})$#', $plain, $m) === 1) {
            return self::day(self::year($m[2]), (int) $m[1], null);
        }

        return self::named($plain);
    }

    /** With the month as a word: 31 March 2028, March 31 2028, Mar 28. */
    private static function named(string $plain): ?DateTimeImmutable
    {
        $found = preg_match('/^(?:(\d{1,2})\.?\s+)?(\p{L}{3,9})\.?\s+(?:(\d{1,2}),?\s+)?(\d{2}|\d{4})$/u', $plain, $m);
        $month = self::MONTHS[mb_substr($m[2] ?? '', 0, 3)] ?? null;
        if ($found !== 1 || $month === null) {
            return null;
        }
        $day = $m[1] !== '' ? $m[1] : $m[3];

        return self::day(self::year($m[4]), $month, $day === '' ? null : (int) $day);
    }

    private static function year(string $written): int
    {
        return strlen($written) === 2 ? 2000 + (int) $written : (int) $written;
    }

    private static function day(int $year, int $month, ?int $day): ?DateTimeImmutable
    {
        if ($month < 1 || $month > 12 || $year < 2000 || $year > 2099) {
            return null;
        }
        $last = (int) (new DateTimeImmutable(sprintf('%04d-%02d-01', $year, $month)))->format('t');
        $day ??= $last;

        return $day >= 1 && $day <= $last
            ? new DateTimeImmutable(sprintf('%04d-%02d-%02d', $year, $month, $day))
            : null;
    }
}
