<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Measures that a text brings along and says the size of: "2 syringes (10 ml each)". */
final class OwnMeasures
{
    /** @var array<string, array{float, string}> by the word in the singular: how much, and its unit */
    private array $sizes = [];

    public function keep(string $word, float $count, string $unit): void
    {
        $this->sizes[self::single($word)] = [$count, $unit];
    }

    /** @return array{float, string}|null how much one of it is, and its unit; null for what has no size */
    public function of(string $word): ?array
    {
        return $this->sizes[self::single($word)] ?? null;
    }

    private static function single(string $word): string
    {
        return preg_replace('/(?<=\w{3})(?:es|en|s|n|e)$/', '', $word) ?? $word;
    }
}
