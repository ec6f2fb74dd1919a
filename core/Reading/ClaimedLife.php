<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Assessment\Assessment;
use Crown\Measure\Months;
use Crown\Measure\Number;

/** How long a recipe says that it keeps. */
final readonly class ClaimedLife
{
    private const LIFE = '/
        # "keeps for about 3 to 6 months"
        \b(?:keeps?|lasts?|good\ for|shelf[ -]life(?:\ of|\ is)?|use\ (?:it\ )?within|best\ within)\b\s*:?
        \s*(?:for\ |about\ |around\ |up\ to\ |at\ least\ |it\ )*(?<low>NUMBER)
        (?:\s*(?:-|–|to|or)\s*(?<high>NUMBER))?\s*(?<unit>day|week|month|year)s?\b
    /xiu';

    /**
     * @param  string  $words its own
     * @param  float  $months the longest that it claims
     */
    private function __construct(public string $words, public float $months)
    {
    }

    /**
     * @param  array<string, float>  $numbers that are written as words
     * @return self|null null where nothing is said of it
     */
    public static function in(string $text, array $numbers): ?self
    {
        $number = '\d+|'.implode('|', array_keys($numbers));
        if (preg_match(str_replace('NUMBER', $number, self::LIFE), $text, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }
        $longest = mb_strtolower((string) ($m['high'] ?? $m['low']));
        $count = (float) ($numbers[$longest] ?? $longest);

        return new self(trim((string) $m[0]), self::months($count, (string) $m['unit']));
    }

    /** Why it does not fit what was reckoned, in a sentence; null where it does. */
    public function against(Assessment $assessment): ?string
    {
        $life = $assessment->subject->life->months;

        return $life === null || $this->months <= 1.1 * $life->high ? null : sprintf(
            'It says "%s". As it was read it keeps %s.',
            $this->words,
            $life->best < 2.0
                ? Number::shown((float) Months::inDays($life->best), 0).' days'
                : Number::shown($life->best, 0).' months',
        );
    }

    private static function months(float $count, string $unit): float
    {
        return match (mb_strtolower($unit)) {
            'day' => Months::ofDays($count),
            'week' => Months::ofDays(7.0 * $count),
            'year' => 12.0 * $count,
            default => $count,
        };
    }
}
