<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Reading\Fate;

/**
 * The cheapest way in which the tokens of a row can be taken by phrases, each token once. What no phrase takes has its
 * price: a word that is always small next to nothing, a figure the most.
 */
final readonly class Cover
{
    private const SIGN = 0.02;

    private const SMALL = 0.1;

    private const STATE = 0.3;

    private const WORD = 0.7;

    private const NUMBER_WORD = 0.6;

    /** "Three of": of something, rather than a word like others. */
    private const NUMBER_OF = 2.0;

    private const FIGURE = 5.0;

    /** The beginning of a name that is known. */
    private const NAME = 1.5;

    /**
     * @param  list<array{int, Found}>  $taken each with the token it begins at
     * @param  list<int>  $left figures that nothing takes
     * @param  list<int>  $words that nothing takes and that are not small
     */
    private function __construct(public array $taken, public array $left, public array $words, public float $cost)
    {
    }

    /** @param  list<Phrase>  $phrases */
    public static function of(Chart $chart, array $phrases): self
    {
        $best = [[0.0, -1, null]];
        for ($place = 0; $place < $chart->length; $place++) {
            [$cost] = $best[$place];
            $left = self::skipped($place, $chart);
            foreach ($phrases as $phrase) {
                foreach ($phrase->from($place, $chart) as $found) {
                    self::reach($best, $found->to, $cost + $found->cost, $place, $found);
                    // A name that is known is never a word like others.
                    $left = $found->items !== [] && $found->items[0]->amount === null ? max($left, self::NAME) : $left;
                }
            }
            self::reach($best, $place + 1, $cost + $left, $place, null);
        }

        return self::back($best, $chart);
    }

    /** @param  array<int, array{float, int, Found|null}>  $best cost, where it comes from, and by what */
    private static function reach(array &$best, int $to, float $cost, int $from, ?Found $by): void
    {
        if (! isset($best[$to]) || $cost < $best[$to][0] - 1e-9) {
            $best[$to] = [$cost, $from, $by];
        }
    }

    /** @param  array<int, array{float, int, Found|null}>  $best */
    private static function back(array $best, Chart $chart): self
    {
        $taken = $left = $words = [];
        for ($at = $chart->length; $at > 0; $at = $from) {
            [, $from, $found] = $best[$at];
            if ($found !== null) {
                array_unshift($taken, [$from, $found]);
            } elseif (self::skipped($from, $chart) >= self::FIGURE) {
                array_unshift($left, $from);
            } elseif (self::skipped($from, $chart) >= self::WORD) {
                array_unshift($words, $from);
            }
        }

        return new self($taken, $left, $words, $best[$chart->length][0]);
    }

    private static function skipped(int $place, Chart $chart): float
    {
        $token = $chart->tokens[$place];

        return match (true) {
            $token->number !== null || self::isAmount($place, $chart) => self::FIGURE,
            ! $token->isWord() => self::SIGN,
            $chart->is($place, Kind::Stop, Kind::Act, Kind::Of, Kind::Plus, Kind::Hedge) => self::SMALL,
            $chart->is($place, Kind::Grade, Kind::Form, Kind::Vessel, Kind::TimeUnit, Kind::LongTime,
                Kind::Product) => self::STATE,
            $chart->is($place, Kind::Number) => $chart->is($place + 1, Kind::Of) ? self::NUMBER_OF : self::NUMBER_WORD,
            default => self::WORD,
        };
    }

    /** "Two tablespoons" of nothing is left over as "2" would be. */
    private static function isAmount(int $place, Chart $chart): bool
    {
        $amount = $chart->is($place, Kind::Number, Kind::Fraction) ? Quantities::at($place, $chart)[0] ?? null : null;

        return $amount !== null && $amount->unit !== Amount::BARE && $amount->unit !== Amount::FRACTION;
    }

    /** @return list<Item> in their order */
    public function items(): array
    {
        return array_merge(...array_map(static fn (array $t): array => $t[1]->items, $this->taken));
    }

    /** @return list<Aside> that say one thing */
    public function asides(string $says): array
    {
        $asides = array_map(static fn (array $t): ?Aside => $t[1]->aside, $this->taken);

        return array_values(array_filter($asides, static fn (?Aside $a): bool => $a?->says === $says));
    }

    public function has(Fate $fate): bool
    {
        foreach ($this->taken as [, $found]) {
            if ($found->aside?->fate === $fate) {
                return true;
            }
        }

        return false;
    }
}
