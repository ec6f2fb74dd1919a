<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Words\Message;
use JsonSerializable;

/**
 * What a jar costs: what truly went into its batch, losses in it, the jar with its label, and its maker's time; and
 * what to ask for it with a margin. Method page: docs/methods/pantry.md.
 *
 * As JSON: $defs/JarCost in docs/formats/crown.schema.json.
 */
final readonly class JarCost implements JsonSerializable
{
    /** A margin of all that is asked, per cent, that can still be worked out. */
    public const MOST_MARGIN = 95.0;

    /** By which a price is thought to rise where nobody says, per cent; no price falls by more than all of it. */
    public const USUAL_RISE = 10.0;

    public const LEAST_RISE = -100.0;

    /**
     * @param  list<array{name: string, grams: float, money: float|null, from: string}>  $materials money is null where
     *     nobody knows it
     * @param  int  $jars that were filled, at least 1
     * @param  float  $container one jar with its lid and label
     * @param  float  $minutes of work for the whole batch
     * @param  float  $hourly money for an hour of it
     * @param  float  $margin per cent of the price, 0 to 95
     * @param  float  $rise per cent by which a price may change, from -100 up
     *
     * @throws PantryError
     */
    public function __construct(
        private array $materials,
        private int $jars,
        private float $container = 0.0,
        private float $minutes = 0.0,
        private float $hourly = 0.0,
        private float $margin = 0.0,
        private float $rise = self::USUAL_RISE,
    ) {
        if ($jars < 1) {
            throw PantryError::field('jars', new Message('pantry.jar-cost.least-one-jar'));
        }
        if ($rise < self::LEAST_RISE) {
            throw PantryError::field('rise', new Message('pantry.jar-cost.per-cent-more', [
                'least' => sprintf('%g', self::LEAST_RISE),
            ]));
        }
        if ($margin < 0.0 || $margin > self::MOST_MARGIN) {
            throw PantryError::field('margin', new Message('pantry.jar-cost.per-cent-price', [
                'most' => sprintf('%g', self::MOST_MARGIN),
            ]));
        }
    }

    /** Money for all whose price is known. */
    public function known(): float
    {
        return array_sum(array_map(static fn (array $m): float => $m['money'] ?? 0.0, $this->materials));
    }

    /** @return list<string> names of what has no price: the cost is then a least */
    public function unknown(): array
    {
        $without = array_filter($this->materials, static fn (array $m): bool => $m['money'] === null);

        return array_values(array_unique(array_column($without, 'name')));
    }

    public function perJar(): float
    {
        return ($this->known() + $this->minutes / 60 * $this->hourly) / $this->jars + $this->container;
    }

    /** What to ask for a jar, so that the margin is left of it. */
    public function price(): float
    {
        return $this->perJar() / (1 - $this->margin / 100);
    }

    /** How much more a jar costs when one thing costs so many per cent more. */
    public function whatIf(string $name, float $percent): float
    {
        $of = array_filter($this->materials, static fn (array $m): bool => $m['name'] === $name);

        $money = array_sum(array_map(static fn (array $m): float => $m['money'] ?? 0.0, $of));

        return $money * $percent / 100 / $this->jars;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'materials' => array_map(fn (array $m): array => [
                ...$m,
                'grams' => round($m['grams'], 2),
                'money' => $m['money'] === null ? null : round($m['money'], 4),
                'more_a_jar' => round($this->whatIf($m['name'], $this->rise), 4),
            ], $this->materials),
            'known' => round($this->known(), 4),
            'unknown' => $this->unknown(),
            'jars' => $this->jars,
            'rise' => $this->rise,
            'per_jar' => round($this->perJar(), 4),
            'price' => round($this->price(), 4),
        ];
    }
}
