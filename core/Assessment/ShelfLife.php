<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Name;
use Crown\Catalogue\PreservationKind;
use Crown\Measure\Band;
use Crown\Measure\Months;
use Crown\Measure\Place;
use Crown\Measure\Property;
use Crown\Measure\Temperature;
use Crown\Words\Message;

/** How long a product keeps, in months, with the chain of reasons. Method page: docs/methods/life.md. An estimate. */
final readonly class ShelfLife
{
    /** Share of the whole from which a line's own life counts. */
    public const COUNTS_ALONE = 0.05;

    /** °C of a household fridge. */
    public const FRIDGE = Place::FRIDGE;

    /** Cold lengthens a life so many times at most: oils that have begun to turn go on in the fridge. */
    private const MOST_BY_COLD = 1.5;

    private const USUAL_ANTIOXIDANT = 'Vitamin E at 0.5 %';

    /** A change is worth saying when it lengthens by a tenth or more. */
    private const WORTH_SAYING = 1.1;

    /**
     * @param  Band|null  $months null where nothing tells
     * @param  list<string>  $reasons whole sentences, in the order in which they were applied
     * @param  list<array{words: string, months: Band}>  $longer single changes that would lengthen it, the most first
     * @param  Store  $store where it must stand for that
     */
    private function __construct(
        public ?Band $months,
        public array $reasons,
        public bool $capped,
        public array $longer,
        public Store $store,
    ) {
    }

    /**
     * @param  Shift|null  $learned what the studio's own batches have shown; it moves what oils do, never what water
     *     does
     */
    public static function of(Composition $composition, WaterBalance $water, ?Shift $learned = null): self
    {
        $learned ??= Shift::none();
        $clear = $composition->formula->clearGlass;
        $celsius = $composition->formula->storageCelsius;
        $oils = self::perishing($composition);
        $limit = WaterCap::of(
            $water->class,
            Preservative::of($composition)->fits($water->class),
            $composition->formula->storageCelsius,
        );
        if ($oils === []) {
            return self::withoutOils($composition, $limit);
        }
        $antioxidant = self::antioxidant($composition);
        [$blend, $reasons, $weakest] = self::blended($oils);
        [$months, $kept] = self::stored($blend, $antioxidant, $celsius, $clear, $learned);
        [$months, $open] = self::shortened($composition, $months, static fn (Band $life): Band => self::stored(
            $life,
            null,
            $celsius,
            $clear,
            $learned,
        )[0]);
        [$cap, $why, $dry] = [$limit->months, $limit->why, $limit->cure];
        $unplaced = $composition->unknown->names;
        if ($unplaced !== [] && $cap > Months::ofDays(WaterCap::FREE_DAYS)) {
            return self::untold($unplaced);
        }
        // What is not known may spoil sooner than all the rest: beside it the water alone sets a day.
        $capped = $months->best > $cap || $unplaced !== [];
        $reasons = [...$reasons, ...$kept, ...$open, ...$capped && $why !== null ? [$why] : []];
        $months = $months->atMost(min($cap, 1e6));
        if (! $composition->unknown->none()) {
            return new self($months, $reasons, $capped, [], $capped ? $limit->store : Store::at($celsius));
        }
        if (! $capped && ! $clear) {
            $reasons[] = Message::said('assessment.shelf-life.clear-glass-light-would');
        }

        $then = static fn (Band $of, bool $protected, float $at, bool $lit): Band => self::stored(
            $of,
            $protected ? self::USUAL_ANTIOXIDANT : $antioxidant,
            $at,
            $lit,
            $learned,
        )[0];
        $longer = array_map(
            static fn (array $way): array => [...$way, 'months' => $way['months']->atMost(min($cap, 1e6))],
            self::ways($composition, $oils, $weakest, $blend, $then),
        );
        if ($capped && $dry !== null) {
            $longer[] = ['words' => $dry, 'months' => $then($blend, false, $celsius, $clear)];
        }
        $longer = array_values(
            array_filter(
                $longer,
                static fn (array $l): bool => $l['months']->best > $months->best * self::WORTH_SAYING,
            ),
        );
        usort($longer, static fn (array $a, array $b): int => $b['months']->best <=> $a['months']->best);

        return new self($months, $reasons, $capped, $longer, $capped ? $limit->store : Store::at($celsius));
    }

    /**
     * Single changes that may lengthen the life, as far as water lets it.
     *
     * @param  non-empty-list<array{Portion, Band}>  $oils
     * @param  Portion|null  $weakest the line that ends it; null where none does by itself
     * @param  Band  $blend months of all of them together, at 20 °C in the dark
     * @param  callable(Band, bool, float, bool): Band  $then months with an antioxidant, at °C, in light or not
     * @return list<array{words: string, months: Band}>
     */
    private static function ways(
        Composition $composition,
        array $oils,
        ?Portion $weakest,
        Band $blend,
        callable $then,
    ): array {
        [$celsius, $clear] = [$composition->formula->storageCelsius, $composition->formula->clearGlass];
        $ways = [];
        if ($clear) {
            $ways[] = [
                'words' => Message::said('assessment.shelf-life.dark-glass-cupboard'),
                'months' => $then($blend, false, $celsius, false),
            ];
        }
        if (self::antioxidant($composition) === null) {
            $ways[] = ['words' => '0.5 % of vitamin E', 'months' => $then($blend, true, $celsius, $clear)];
        }
        if ($celsius > self::FRIDGE) {
            $ways[] = [
                'words' => Message::said('assessment.shelf-life.kept-fridge-c', [
                    'fridge' => sprintf('%g', self::FRIDGE),
                ]),
                'months' => $then($blend, false, self::FRIDGE, $clear),
            ];
        }
        $others = array_values(array_filter($oils, static fn (array $o): bool => $o[0] !== $weakest));
        if ($weakest !== null && $others !== []) {
            $ways[] = [
                'words' => Message::said('assessment.shelf-life.without-other-lines-its', [
                    'weakest' => $weakest->name(),
                ]),
                'months' => $then(self::blended($others)[0], false, $celsius, $clear),
            ];
        }

        return $ways;
    }

    /**
     * A life that is no longer than that of anything of which there may be much: lines of unknown mass, and what a
     * doubtful name may mean instead.
     *
     * @param  callable(Band): Band  $kept what becomes of a life where it stands
     * @return array{Band, list<string>} months, and why they are fewer
     */
    private static function shortened(Composition $composition, Band $months, callable $kept): array
    {
        $reasons = [];
        foreach ([...$composition->unknown->amounts, ...$composition->unknown->meanings] as $open) {
            foreach ($open->parts() as $part) {
                if (! $part->ingredient->facts->has(Property::LifeMonths)) {
                    continue;
                }
                $life = $kept($part->ingredient->facts->get(Property::LifeMonths)->band);
                if ($part->ingredient->oxidises() && $life->low < $months->low) {
                    $months = Band::of(
                        $life->low,
                        min($months->best, max($life->low, $life->best)),
                        min($months->high, max($life->low, $life->high)),
                    );
                    $reasons[] = Message::said('assessment.shelf-life.how-much-open-so', [
                        'part' => Name::inSentence($part->name()),
                        'life' => self::words($life),
                    ]);
                }
            }
        }

        return [$months, $reasons];
    }

    /** @param  non-empty-list<Portion>  $unplaced */
    private static function untold(array $unplaced): self
    {
        $names = array_map(static fn (Portion $p): string => sprintf('"%s"', mb_substr($p->name(), 0, 60)), $unplaced);
        $why = Message::said('assessment.shelf-life.not-known', [
            'names' => implode(' and ', $names),
            'count' => count($names),
        ]);

        return new self(null, [$why], false, [], Store::Anywhere);
    }

    /** What holds nothing that goes rancid keeps as long as its water lets it; without water nothing can be told. */
    private static function withoutOils(Composition $composition, WaterCap $limit): self
    {
        $unplaced = $composition->unknown->names;
        if ($unplaced !== [] && $limit->months > Months::ofDays(WaterCap::FREE_DAYS)) {
            return self::untold($unplaced);
        }

        return is_finite($limit->months)
            ? new self(Band::exact($limit->months), array_filter([$limit->why]), true, [], $limit->store)
            : new self(null, [Message::said('assessment.shelf-life.cannot-tell-no-line')], false, [], Store::Anywhere);
    }

    /** @return list<array{Portion, Band}> what can go rancid, with its months; what water does is the cap's business */
    private static function perishing(Composition $composition): array
    {
        $oils = [];
        foreach ($composition->counted() as $portion) {
            if ($portion->ingredient->oxidises()) {
                $oils[] = [$portion, $portion->ingredient->facts->get(Property::LifeMonths)->band];
            }
        }

        return $oils;
    }

    /**
     * @param  non-empty-list<array{Portion, Band}>  $oils
     * @return array{Band, list<string>, Portion|null} months, reasons, and the weakest line of 5 % or more
     */
    private static function blended(array $oils): array
    {
        $weakest = $least = null;
        foreach ($oils as [$portion, $life]) {
            $counts = $portion->share->best >= self::COUNTS_ALONE;
            if ($counts && ($least === null || $life->best < $least->best)) {
                [$weakest, $least] = [$portion, $life];
            }
        }
        $blend = Blend::of(...array_column($oils, 0))->life() ?? Band::exact(0.0);
        $reasons = [
            Message::said('assessment.shelf-life.blend-as-whole-months', ['blend' => self::words($blend)]),
        ];
        if ($weakest === null || $least === null) {
            return [$blend, $reasons, null];
        }
        $reasons[] = Message::said('assessment.shelf-life.its-weakest-line-more', [
            'weakest' => $weakest->name(),
            'least' => self::words($least),
        ]);

        return [$least->best < $blend->best ? $least : $blend, $reasons, $weakest];
    }

    /** What of the antioxidant there is, in words; null when there is not enough. */
    private static function antioxidant(Composition $composition): ?string
    {
        // Beside a line of unknown mass no share is sure to be enough.
        if ($composition->unknown->open()) {
            return null;
        }
        foreach ($composition->counted() as $portion) {
            if (
                $portion->ingredient->preservation->kind === PreservationKind::Antioxidant
                && $portion->percent() >= 0.1
            ) {
                return sprintf('%s at %s %%', $portion->name(), number_format($portion->percent(), 1));
            }
        }

        return null;
    }

    /** How much longer or shorter than at 20 °C it keeps where it stands: half as long for every 10 K. */
    public static function byStorage(float $celsius): float
    {
        return min(self::MOST_BY_COLD, 1 / Temperature::speed($celsius));
    }

    /** @return array{Band, list<string>} */
    private static function stored(
        Band $months,
        ?string $antioxidant,
        float $celsius,
        bool $clear,
        Shift $learned,
    ): array {
        $reasons = [
            $antioxidant === null
                ? Message::said('assessment.shelf-life.no-antioxidant-more')
                : Message::said('assessment.shelf-life.antioxidant', ['antioxidant' => $antioxidant]),
        ];
        if ($antioxidant !== null) {
            $months = $months->times(Band::of(1.2, 1.35, 1.5));
        }
        if (abs($celsius - 20.0) > 0.01) {
            $factor = self::byStorage($celsius);
            $months = $months->scaled($factor);
            $reasons[] = Message::said('assessment.shelf-life.stored', [
                'celsius' => sprintf('%g', $celsius),
                'factor' => number_format($factor, 2),
            ]);
        }
        if ($clear) {
            $months = $months->scaled(0.5);
            $reasons[] = Message::said('assessment.shelf-life.clear-glass-light-half');
        }
        if ($learned->count > 0) {
            $months = $months->scaled($learned->factor);
            $reasons[] = Message::said('assessment.shelf-life.your-own-batches-kept', [
                'kept' => $learned->factor < 1.0 ? 'shorter' : 'longer',
                'factor' => number_format($learned->factor, 2),
                'count' => $learned->count,
            ]);
        }

        return [$months, $reasons];
    }

    private static function words(Band $months): string
    {
        return sprintf(
            '%s (%s to %s)',
            number_format($months->best, 0),
            number_format($months->low, 0),
            number_format($months->high, 0),
        );
    }
}
