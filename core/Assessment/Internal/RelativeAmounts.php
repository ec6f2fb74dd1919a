<?php

declare(strict_types=1);

namespace Crown\Assessment\Internal;

use Crown\Catalogue\Ingredient;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Basis;
use Crown\Measure\Figure;
use Crown\Measure\Input;
use Crown\Measure\Unit;
use Crown\Measure\Working;
use Crown\Words\Message;

/**
 * Gives shares, parts and "to fill" their grams beside what was weighed or measured out. Method page:
 * docs/methods/shares.md.
 */
final class RelativeAmounts
{
    /** The whole where nothing says how much it is, g. */
    private const NOMINAL = 100.0;

    /** Shares may miss the whole by so much before it is said. */
    private const NEAR = 0.0005;

    /** What the shares written come to, per cent, where that is not the whole; null where it is. */
    public ?float $sharesPercent = null;

    /** @var array<int, Amount> shares, parts and fillings, each keyed by line */
    private array $percents;

    /** @var array<int, Amount> */
    private array $parts;

    /** @var array<int, Amount> */
    private array $fills;

    /** What was weighed or measured out, all together. */
    private Band $absolute;

    /** All shares together, of the whole. */
    private float $percent;

    private ?float $stated;

    private float $total;

    /**
     * @param  array<int, Amount>  $amounts by line, as far as they could be read
     * @param  array<int, Figure>  $masses those weighed or measured out
     * @param  array<int, string|null>  $problems null for a line that has none
     * @param  array<int, Ingredient>  $ingredients
     * @param  float  $air that is beaten into it before jars are filled, as a fraction of its volume
     * @param  float  $scale its resolution, g
     */
    private function __construct(
        array $amounts,
        public array $masses,
        public array $problems,
        private readonly array $ingredients,
        private readonly Size $size,
        private readonly float $air,
        private readonly float $scale,
    ) {
        $of = static fn (Unit $unit): array => array_filter(
            $amounts,
            static fn (Amount $a): bool => $a->unit === $unit,
        );
        [$this->percents, $this->parts, $this->fills] = [$of(Unit::Percent), $of(Unit::Part), $of(Unit::Fill)];
        $this->absolute = array_reduce(
            $masses,
            static fn (Band $sum, Figure $f): Band => $sum->plus($f->band),
            Band::exact(0.0),
        );
        $this->percent = array_sum(array_map(static fn (Amount $a): float => $a->count->best, $this->percents)) / 100;
        foreach (array_slice(array_keys($this->fills), 1) as $i) {
            $this->problems[$i] = Message::said('assessment.relative-amounts.only-one-line-can');
            unset($this->fills[$i]);
        }
        $this->stated = $this->stated();
        $this->total = $this->total();
    }

    /**
     * @param  array<int, Amount>  $amounts by line, as far as they could be read
     * @param  array<int, Figure>  $masses those weighed or measured out
     * @param  array<int, string|null>  $problems null for a line that has none
     * @param  array<int, Ingredient>  $ingredients
     * @param  float  $air that is beaten into it before jars are filled, as a fraction of its volume
     * @param  float  $scale its resolution, g
     */
    public static function place(
        array $amounts,
        array $masses,
        array $problems,
        array $ingredients,
        Size $size,
        float $air,
        float $scale,
    ): self {
        $placed = new self($amounts, $masses, $problems, $ingredients, $size, $air, $scale);
        $placed->placePercents();
        $placed->placeParts();
        foreach ($placed->fills as $i => $fill) {
            $placed->fill($i, $fill);
        }
        $placed->judgeWhole();

        return $placed;
    }

    /**
     * Whether the line "to fill" takes up what the others leave of the batch's size, so that they stay as they were
     * written.
     */
    public function fillsSize(): bool
    {
        $fill = reset($this->fills);

        return $fill !== false
            && $fill->millilitres === null
            && $fill->count->best <= 0.0
            && $this->absolute->best > 0.0
            && ! $this->size->isAsWritten();
    }

    private function total(): float
    {
        $hasMass = $this->absolute->best > 0.0;

        return match (true) {
            $this->stated !== null => $this->stated,
            $this->fillsSize() => $this->size->grams,
            $this->fills !== [] => self::NOMINAL,
            $hasMass && $this->percent < 1.0 && $this->parts === [] => $this->absolute->best / (1 - $this->percent),
            default => self::NOMINAL,
        };
    }

    private function placePercents(): void
    {
        foreach ($this->percents as $i => $amount) {
            $this->masses[$i] = $this->proportion(
                $amount->count->scaled($this->total / 100),
                Message::said('assessment.relative-amounts.share-whole-times-its'),
            );
        }
    }

    private function placeParts(): void
    {
        $count = array_sum(array_map(static fn (Amount $a): float => $a->count->best, $this->parts));
        $beside = $this->absolute->best > 0.0 || $this->fills !== [] || $this->percent >= 1.0;
        foreach ($this->parts as $i => $amount) {
            if ($beside) {
                $this->problems[$i]
                    = Message::said('assessment.relative-amounts.parts-stand-beside-weighed');
            } else {
                $this->masses[$i] = $this->proportion(
                    $amount->count->scaled(($this->total * (1 - $this->percent)) / $count),
                    Message::said('assessment.relative-amounts.parts-what-shares-leave'),
                );
            }
        }
    }

    private function fill(int $line, Amount $fill): void
    {
        $shares = $this->percent * $this->total;
        $rest = $this->total - $this->absolute->best - $shares;
        if ($rest <= 0.0) {
            $this->problems[$line] = Message::said('assessment.relative-amounts.other-lines-already-come', [
                'absolute' => Amount::number($this->absolute->best + $shares),
                'total' => Amount::number($this->total),
            ]);

            return;
        }
        // Filled to a mark, the whole is as sure as the mark.
        $byVolume = $fill->millilitres !== null;
        $whole = Band::within($this->total, $byVolume ? Unit::Millilitre->handHalfWidth() : 0.0);
        $this->masses[$line] = new Figure(
            Band::of(
                max(0.0, $whole->low - $this->absolute->high - $shares),
                $rest,
                max($rest, $whole->high - $this->absolute->low - $shares),
            ),
            'g',
            Basis::Converted,
            new Working(
                'shares',
                Message::said('assessment.relative-amounts.what-is-left', ['by' => $byVolume ? 'volume' : 'mass']),
                [
                    ...$fill->millilitres !== null
                        ? [
                            new Input(
                                Message::said('assessment.relative-amounts.volume-whole'),
                                Band::exact($fill->millilitres),
                                'ml',
                                'the maker',
                            ),
                        ]
                        : [],
                    new Input('whole', $whole, 'g', $this->whoSays($byVolume)),
                    new Input('other lines', $this->absolute->plus(Band::exact($shares)), 'g', 'this formula'),
                ],
            ),
        );
    }

    private function whoSays(bool $byVolume): string
    {
        return match (true) {
            $byVolume => Message::said('assessment.relative-amounts.densities-lines-c'),
            $this->stated !== null => 'the maker',
            default => 'batch size',
        };
    }

    private function judgeWhole(): void
    {
        $alone = $this->percents !== [] && $this->absolute->best <= 0.0 && $this->fills === [] && $this->parts === [];
        if ($this->percent > 1 + self::NEAR || ($alone && abs($this->percent - 1) > self::NEAR)) {
            $this->sharesPercent = $this->percent * 100;
        }
    }

    /**
     * The mass of the whole that the line "to fill" states, grams; null when it states none. From a volume it is
     * worked out: the volumes of the lines at 20 °C add up to it.
     */
    private function stated(): ?float
    {
        $line = array_key_first($this->fills);
        if ($line === null) {
            return null;
        }
        $millilitres = $this->fillsSize()
            ? $this->size->millilitresToFill($this->air)
            : $this->fills[$line]->millilitres;
        if ($millilitres === null) {
            return $this->fills[$line]->count->best ?: null;
        }
        $perGram = fn (int $i): float => 1 / $this->ingredients[$i]->density20();
        // V = sum(m/d) + T sum(p/d) + (T (1 - sum p) - sum m)/d of the filling, solved for T.
        $left = $millilitres;
        foreach ($this->masses as $i => $figure) {
            $left -= $figure->band->best * ($perGram($i) - $perGram($line));
        }
        $each = $perGram($line);
        foreach ($this->percents as $i => $amount) {
            $each += ($amount->count->best / 100) * ($perGram($i) - $perGram($line));
        }

        return max(0.001, $left / $each);
    }

    /**
     * What weighing adds to a proportion, g: half the scale's resolution. Nothing while no mass says how much the whole
     * is: nobody weighs a share.
     */
    public function half(): float
    {
        return $this->absolute->best > 0.0 || $this->stated !== null ? $this->scale / 2 : 0.0;
    }

    private function proportion(Band $grams, string $words): Figure
    {
        $half = $this->half();

        return new Figure(
            Band::of(max(0.0, $grams->low - $half), $grams->best, $grams->high + $half),
            'g',
            Basis::Converted,
            new Working('shares', Message::said('assessment.relative-amounts.weighed', [
                'words' => $words,
                'weighed' => $half > 0.0 ? 'yes' : 'no',
            ]), [
                new Input('whole', Band::exact($this->total), 'g', 'batch size'),
                ...$half > 0.0
                    ? [new Input('scale resolution', Band::exact($this->scale), 'g', 'studio setting')]
                    : [],
            ]),
        );
    }
}
