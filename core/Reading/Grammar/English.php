<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * A sentence in English: its acts, times, heats, numbers and small words, so that what reads steps has to know one
 * language. The way back leads to the words as they were written.
 */
final readonly class English
{
    /** The word in English of a kind of words that has one meaning. */
    private const WORDS = ['plus' => 'and', 'or' => 'or', 'not' => 'not', 'degrees' => 'degrees', 'of' => 'of'];

    /** @param  list<array{int, int, int, int}>  $changed characters from and to: here, and in the sentence */
    private function __construct(public string $text, private string $written, private array $changed)
    {
    }

    public static function of(string $written, Chart $chart): self
    {
        $text = '';
        $changed = [];
        $done = 0;
        for ($place = 0; $place < $chart->length; $place = $to) {
            [$to, $word] = self::word($place, $chart);
            if ($word === null) {
                continue;
            }
            $from = $chart->tokens[$place]->start;
            $end = $chart->tokens[$to - 1]->end;
            $text .= mb_substr($written, $done, $from - $done);
            $changed[] = [mb_strlen($text), mb_strlen($text) + mb_strlen($word), $from, $end];
            $text .= $word;
            $done = $end;
        }

        return new self($text.mb_substr($written, $done), $written, $changed);
    }

    /** @return array{int, string|null} the token after the words at a place, and what they are; null as written */
    private static function word(int $place, Chart $chart): array
    {
        foreach ([Kind::Act, Kind::TimeUnit, Kind::Place, Kind::Degrees] as $kind) {
            $to = $chart->past($place, $kind);
            $value = $chart->value($place, $kind);
            if ($to > $place && is_string($value) && ! self::isEnglish($chart->tokens[$place]->word, $kind, $value)) {
                return [$to, $value];
            }
        }
        $number = self::number($place, $chart);

        return match (true) {
            $number !== null => $number,
            $chart->isForeign() => self::small($place, $chart),
            default => [$place + 1, null],
        };
    }

    private static function isEnglish(string $word, Kind $kind, string $value): bool
    {
        return match ($kind) {
            Kind::Act => isset(Vocabulary::english()->words[$word][Kind::Act->value]),
            Kind::TimeUnit => str_starts_with($value, rtrim($word, 's')),
            default => $word === $value,
        };
    }

    /** @return array{int, string}|null a number in words as figures */
    private static function number(int $place, Chart $chart): ?array
    {
        if ($chart->tokens[$place]->number !== null) {
            return null;
        }
        $number = Numbers::at($place, $chart);
        $isTime = $number !== null && $chart->is($number[0], Kind::TimeUnit, Kind::Degrees);
        $isWhole = $number !== null && $number[1] >= 2.0 && $number[1] === floor($number[1]);

        return $number !== null && ($isTime || $isWhole) ? [$number[0], Amount::figure($number[1])] : null;
    }

    /** @return array{int, string|null} */
    private static function small(int $place, Chart $chart): array
    {
        foreach (self::WORDS as $kind => $word) {
            $to = $chart->past($place, Kind::from($kind));
            if ($to > $place && $chart->isWord($place)) {
                return [$to, $word];
            }
        }

        return [$place + 1, null];
    }

    /**
     * Where some of its characters were written.
     *
     * @return array{int, int} characters of the sentence, from and up to
     */
    public function written(int $from, int $to): array
    {
        return [$this->back($from, false), $this->back($to, true)];
    }

    /** The words of the sentence for some words of this, the first behind a character; "" where they are none of it. */
    public function asWritten(string $words, int $behind = 0): string
    {
        $at = mb_strpos($this->text, $words, min($behind, mb_strlen($this->text)));
        if ($at === false) {
            return '';
        }
        [$from, $to] = $this->written($at, $at + mb_strlen($words));

        return mb_substr($this->written, $from, $to - $from);
    }

    private function back(int $at, bool $isEnd): int
    {
        $shift = 0;
        foreach ($this->changed as [$from, $to, $writtenFrom, $writtenTo]) {
            if ($isEnd ? $at <= $from : $at < $from) {
                break;
            }
            if ($isEnd ? $at <= $to : $at < $to) {
                return $isEnd ? $writtenTo : $writtenFrom;
            }
            $shift = $writtenTo - $to;
        }

        return $at + $shift;
    }
}
