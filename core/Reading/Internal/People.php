<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Audience;
use Crown\Json\WordFile;
use Crown\Reading\Grammar\Lexicons;

/**
 * Whom and what a text is for, in the words of its languages (data/names/people.json): infants, children and their age,
 * who is with child or nursing, face and body, and whether it meets water.
 */
final readonly class People
{
    private const FILE = '/data/names/people.json';

    /** Years up to which an age is a child's. */
    private const OLDEST = 12;

    /** @param  list<string>  $languages that the text is written in */
    public function __construct(private array $languages)
    {
    }

    /** @return list<array{Audience, string, bool}> whom, in which words, and whether the age is only supposed */
    public function named(string $sentence): array
    {
        $found = [];
        foreach ($this->languages as $language) {
            if ($language !== 'en' && ! self::isDenied($sentence, $language)) {
                array_push($found, ...$this->said($sentence, $language));
            }
        }

        return $found;
    }

    /** Whether a text names a place or a use: face, body, wet. The words that do; null where none does. */
    public function names(string $what, string $text): ?string
    {
        foreach ($this->languages as $language) {
            $words = self::words($language, $what);
            if ($words !== null && preg_match("/(?<!\\p{L})$words/iu", $text, $m) === 1) {
                return trim($m[0]);
            }
        }

        return null;
    }

    private static function isDenied(string $sentence, string $language): bool
    {
        $not = self::words($language, 'not');

        return $not !== null && preg_match("/(?<!\\p{L})$not/iu", $sentence) === 1;
    }

    /** @return list<array{Audience, string, bool}> */
    private function said(string $sentence, string $language): array
    {
        $found = [];
        foreach (['infant' => Audience::Infant, 'expecting' => Audience::Pregnancy] as $kind => $audience) {
            $words = self::words($language, $kind);
            if ($words !== null && preg_match("/(?<!\\p{L})$words/iu", $sentence, $m) === 1) {
                $found[] = [$audience, trim($m[0]), false];
            }
        }
        $child = self::words($language, 'child');
        $kin = [];
        $isChild = $child !== null && preg_match("/(?<!\\p{L})$child/iu", $sentence, $kin) === 1;
        $age = $this->age($sentence, $language, $isChild);
        if ($age !== null) {
            $found[] = [$age[0], $age[1], false];
        } elseif ($isChild) {
            $found[] = [Audience::Child2To6, trim($kin[0] ?? ''), true];
        }

        return $found;
    }

    /**
     * The age that a sentence names: of a child that it names, or of somebody "so many months old".
     *
     * @return array{Audience, string}|null
     */
    private function age(string $sentence, string $language, bool $isChild): ?array
    {
        $numbers = array_filter(Lexicons::numbers($language), static fn (float $n): bool => $n >= 1 && $n <= 36);
        $spelt = implode('|', array_map(
            static fn (string|int $word): string => preg_quote((string) $word, '/'),
            array_keys($numbers),
        ));
        $number = "(?<n>\\d{1,2}|$spelt)";
        $months = self::words($language, 'months');
        $years = self::words($language, 'years');
        $aged = self::words($language, 'aged');
        if ($months !== null && preg_match("/(?<!\\p{L})$number [\\s-]*$months/iux", $sentence, $m) === 1 && $isChild) {
            return [Audience::Infant, trim($m[0])];
        }
        if (! $isChild) {
            return null;
        }
        $is = ($years !== null && preg_match("/(?<!\\p{L})$number [\\s-]*$years/iux", $sentence, $m) === 1)
            || ($aged !== null
                && preg_match("/(?<!\\p{L})$aged\\s+$number(?!\\p{L}|\\s*(?:g|ml|%))/iux", $sentence, $m) === 1);
        if (! $is || ! isset($m['n'])) {
            return null;
        }
        $age = $numbers[mb_strtolower($m['n'])] ?? (float) $m['n'];

        return match (true) {
            $age > self::OLDEST => null,
            $age < 2 => [Audience::Infant, trim($m[0])],
            $age < 6 => [Audience::Child2To6, trim($m[0])],
            default => [Audience::Child6To12, trim($m[0])],
        };
    }

    /** The words of a language as a part of a pattern; null where there are none. */
    private static function words(string $language, string $kind): ?string
    {
        /** @var array<string, array<string, list<string>>> $all */
        static $all = [];
        /** @var array<string, string> $patterns */
        static $patterns = [];
        $all = $all === [] ? WordFile::read(dirname(__DIR__, 3).self::FILE) : $all;
        $words = $all[$language][$kind] ?? [];

        return $words === []
            ? null
            : $patterns["$language $kind"] ??= '(?:'.implode('|', array_map(
                static fn (string $word): string => str_ends_with($word, '.')
                    ? preg_quote(rtrim($word, '.'), '/').'(?!\p{L})'
                    : preg_quote($word, '/').'\p{L}*',
                $words,
            )).')';
    }
}
