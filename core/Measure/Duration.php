<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * Times as people write them: "30", "5 minutes", "45 to 60 min", "two hours", "an hour and a half", "1 h 30", "half an
 * hour", "overnight".
 */
final class Duration
{
    /** Minutes of an unnamed night. */
    private const NIGHT = 480.0;

    private const WORDS = [
        'half an hour' => '30 min',
        'half hour' => '30 min',
        'quarter of an hour' => '15 min',
        'three quarters of an hour' => '45 min',
        'a couple of' => '2',
        'half a' => '0.5',
        'half' => '0.5',
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
        'thirty' => '30',
        'forty' => '40',
        'sixty' => '60',
        'ninety' => '90',
        'an' => '1',
        'a' => '1',
        '½' => '.5',
        '¼' => '.25',
        '¾' => '.75',
    ];

    private const NUMBER = '(\d*[.,]?\d+)';

    /** "Once a week", "three times per day", "every 2 days". */
    private const OFTEN = '/
        \b(?:(?:once|twice|times)\s+(?:1|per|each|every)\s+|every\s+(?:\d+\s+)?)
        (?:min(?:ute)?s?|hours?|days?|nights?|weeks?|months?)\b
    /xu';

    /** Never a single "second": "a second bowl" is no time. */
    private const UNIT = '(secs?\b|seconds\b|min(?:ute)?s?\b|hours?\b|hrs?\b|h\b|days?\b|nights?\b|weeks?\b|months?\b)';

    /**
     * Minutes of a time written by itself; a bare number counts minutes.
     *
     * @throws MeasureError about "held_for"
     */
    public static function minutes(string $written): Band
    {
        $text = self::figures($written);
        $bare = preg_match('/^'.self::NUMBER.'(?:\s*(?:-|–|to)\s*'.self::NUMBER.')?$/u', $text, $m) === 1;
        $found = $bare ? self::band($m[1], $m[2] ?? '', 1.0) : self::in($written);

        return $found !== null && $found->high > 0.0 ? $found : throw MeasureError::unreadableTime($written);
    }

    /** Minutes of the first time said in a sentence; null when none is. */
    public static function in(string $sentence): ?Band
    {
        // How often is not how long.
        $text = preg_replace(self::OFTEN, ' ', self::figures($sentence)) ?? '';
        $range = self::NUMBER.'(?:\s*(?:-|–|to)\s*'.self::NUMBER.')?\s*'.self::UNIT;
        if (preg_match("/$range/iu", $text, $m) !== 1) {
            return preg_match('/\bovernight\b/iu', $sentence) === 1 ? Band::exact(self::NIGHT) : null;
        }
        $unit = self::unit($m[3]);
        $rest = mb_substr($text, (int) mb_strpos($text, $m[0]) + mb_strlen($m[0]));
        $more = $unit === 60.0 ? self::beyondTheHour($rest) : 0.0;

        return self::band($m[1], $m[2], $unit)->plus(Band::exact($more));
    }

    /** Minutes after "1 h" in "1 h 30", "1 hour 30 minutes", "an hour and a half". */
    private static function beyondTheHour(string $rest): float
    {
        return match (true) {
            preg_match('/^s?\s*and\s*(?:1\s+)?0\.5\b/u', $rest) === 1 => 30.0,
            preg_match('/^\s*(?:and\s*)?(\d{1,2})(?:\s*min\w*)?(?=\s*(?:$|[.,;]))/u', $rest, $m) === 1 => (float) $m[1],
            preg_match('/^\s*(?:and\s*)?(\d{1,2})\s*min/u', $rest, $m) === 1 => (float) $m[1],
            default => 0.0,
        };
    }

    private static function band(string $low, string $high, float $unit): Band
    {
        $least = (float) str_replace(',', '.', $low) * $unit;
        $most = $high === '' ? $least : (float) str_replace(',', '.', $high) * $unit;

        return Band::of(min($least, $most), ($least + $most) / 2, max($least, $most));
    }

    private static function unit(string $word): float
    {
        return match (mb_substr(mb_strtolower($word), 0, 1)) {
            's' => 1 / 60,
            'h' => 60.0,
            'd', 'n' => 1440.0,
            'w' => 10_080.0,
            default => str_starts_with(mb_strtolower($word), 'min') ? 1.0 : 43_800.0,
        };
    }

    /** The text in small letters, its words for numbers as figures. */
    private static function figures(string $written): string
    {
        $text = mb_strtolower(trim($written));
        foreach (self::WORDS as $word => $figure) {
            if (! str_contains($text, $word)) {
                continue;
            }
            $edge = preg_match('/^[a-z]/', $word) === 1 ? '\b' : '';
            $text = preg_replace('/'.$edge.$word.$edge.'/u', $figure, $text) ?? $text;
        }

        return $text;
    }
}
