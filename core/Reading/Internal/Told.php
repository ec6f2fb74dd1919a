<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

/** A row in plain words beside the row as it was written: what is found in the one is shown in the other. */
final readonly class Told
{
    /** Longer than any words of a row that are looked for. */
    private const LONGEST = 8_000;

    /** The row in plain words, one space between them. */
    public string $plain;

    /** The same before its spaces were made one. */
    private string $spaced;

    /** @param  list<array{string, string}>  $pieces in plain words, and as they were written, in the row's order */
    public function __construct(private array $pieces)
    {
        $this->spaced = implode('', array_column($pieces, 0));
        $this->plain = trim(preg_replace('/\s+/u', ' ', $this->spaced) ?? $this->spaced);
    }

    /** Words of the plain row as they were written; "" where they do not stand in it. */
    public function written(string $words): string
    {
        $pattern = implode('[\s,;]+', array_map(
            static fn (string $w): string => preg_quote($w, '/'),
            preg_split('/[\s,;]+/u', $words, flags: PREG_SPLIT_NO_EMPTY) ?: [],
        ));
        $looked = $pattern !== '' && strlen($pattern) <= self::LONGEST;
        if (! $looked || preg_match("/$pattern/iu", $this->spaced, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return '';
        }
        [$found, $from] = $m[0];
        $to = $from + strlen($found);
        $written = '';
        $at = 0;
        foreach ($this->pieces as [$plain, $before]) {
            $end = $at + strlen($plain);
            if ($at >= $to) {
                break;
            }
            $written .= $at < $to && $end > $from ? $before : '';
            $at = $end;
        }

        return trim($written);
    }
}
