<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Catalogue\IngredientKind;
use Crown\Measure\Number;
use JsonSerializable;

/**
 * What can be concluded from a list of names alone, as on a bought jar: they stand in falling order of mass, and what
 * is under 1 % in any order. Shares themselves cannot be told. Method page: docs/methods/reading.md.
 */
final readonly class FallingOrder implements JsonSerializable
{
    /** Names from which an order says something. */
    private const FEWEST = 3;

    /** Per cent under which any order is allowed. */
    private const ANY_ORDER = 1.0;

    /**
     * @param  list<float>  $most per cent that each can be at most, by line
     * @param  float  $first per cent that the first is at least
     * @param  int|null  $limited number of the line, from 0, after which nothing is more than it can be
     */
    private function __construct(private array $most, private float $first, private ?int $limited, private string $name)
    {
    }

    /** @param  list<ReadLine>  $lines */
    public static function of(array $lines): ?self
    {
        $amounts = array_filter($lines, static fn (ReadLine $l): bool => $l->amount !== '');
        $known = array_filter($lines, static fn (ReadLine $l): bool => $l->ingredient() !== '');
        $rows = array_unique(array_map(static fn (ReadLine $l): ?int => $l->row, $lines));
        if ($amounts !== [] || count($known) < self::FEWEST || count($rows) > 1) {
            return null;
        }
        $most = [];
        $cap = 100.0;
        $limited = null;
        foreach ($lines as $n => $line) {
            $share = min($cap, 100.0 / ($n + 1));
            $law = self::allowed($line);
            if ($law !== null && $law < $share) {
                $share = $law;
                $limited ??= $n;
                // Whatever comes after it is no more than it, or stands among those under 1 %.
                $cap = max(self::ANY_ORDER, $law);
            }
            $most[] = $share;
        }

        return new self($most, 100.0 / count($lines), $limited, $limited === null ? '' : $lines[$limited]->name);
    }

    /** @return array{most_percent: list<float>, words: string} */
    public function jsonSerialize(): array
    {
        return [
            'most_percent' => array_map(static fn (float $share): float => round($share, 1), $this->most),
            'words' => $this->words(),
        ];
    }

    public function words(): string
    {
        $after = $this->limited === null || ! isset($this->most[$this->limited + 1]) ? '' : sprintf(
            ' Law allows at most %s %% of %s, so nothing after it is over %s %%.',
            Number::shown($this->most[$this->limited], 1),
            $this->name,
            Number::shown($this->most[$this->limited + 1], 1),
        );

        return sprintf(
            'A list of names alone. If it stands in falling order, as a label must, the first is at least %s %% '
                .'and the second at most 50 %%. More cannot be told.%s',
            Number::shown($this->first, 0),
            $after,
        );
    }

    /** Per cent of the whole that law allows of a preservative; null for what it does not limit. */
    private static function allowed(ReadLine $line): ?float
    {
        $ingredient = $line->ingredient() === '' ? null : $line->matches[0]->ingredient;

        $law = $ingredient?->kind === IngredientKind::Preservative ? $ingredient->preservation->law : [];

        return $law === [] ? null : $law[0]->weighedMaximum();
    }
}
