<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Measure\CupSize;
use Crown\Measure\Unit;

/** What amounts are held against: how much there is of it all, what holds it, and in what bare figures are. */
final class Whole
{
    /** How near a sum is to what was said of it. */
    private const NEAR = 0.03;

    /** Grams of a millilitre of oil. */
    public const OIL = 0.92;

    /** @var list<Amount> what its amounts are said to come to */
    private array $sums = [];

    private ?Amount $vessel = null;

    private ?Amount $whole = null;

    private ?Amount $tare = null;

    private string $unit = '';

    public function __construct(private readonly CupSize $cup)
    {
    }

    /** What a sentence says of the whole. */
    public function hear(Sentence $sentence): void
    {
        $cover = $sentence->cover;
        $this->vessel ??= $cover->asides(Aside::VESSEL)[0]->amount ?? null;
        $this->whole ??= $cover->asides(Aside::WHOLE)[0]->amount ?? null;
        $this->tare ??= $cover->asides(Aside::TARE)[0]->amount ?? null;
        foreach ([...$cover->asides(Aside::WHOLE), ...$cover->asides(Aside::SUM)] as $sum) {
            $this->sums[] = $sum->amount ?? Amount::of(0.0, '', 0, 0);
        }
        $said = $cover->asides(Aside::UNIT)[0]->amount ?? null;
        $this->unit = $said === null ? $this->unit : $said->unit;
    }

    /** The size of it all, as its title has it. */
    public function is(Amount $size, Sentence $sentence): void
    {
        $unit = $sentence->cover->asides(Aside::UNIT)[0]->amount->unit ?? '';
        $this->whole ??= $size->isBare() ? Amount::of($size->count, $unit, 0, 0) : $size;
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry> each with its amount in the unit that counts
     */
    public function settled(array $entries, Grammar $grammar): array
    {
        $entries = ScaleReadings::asWeighed($entries, $this->tare);
        $entries = Relations::settled($entries, $grammar);
        $entries = (new Units($this, $entries, $grammar))->settled();

        return (new Scaling($this, $grammar))->settled($entries);
    }

    /** How much there is of it all, as it is said; null where it is not. */
    public function size(): ?Amount
    {
        return $this->whole;
    }

    /** The size of it all, of what it comes to, or of what holds it: what is said first of these. */
    public function anySize(): ?Amount
    {
        return $this->whole ?? $this->sums[0] ?? $this->vessel;
    }

    /** What holds it, ml; null where it is not said. */
    public function holds(): ?float
    {
        return $this->vessel === null ? null : $this->millilitres($this->vessel);
    }

    public function isHeld(Amount $amount): bool
    {
        return $amount === $this->vessel;
    }

    /** What holds it, else how much there is of it; null where neither is said. */
    public function vessel(): ?Amount
    {
        return $this->vessel ?? $this->whole;
    }

    /** The unit of all bare figures, as it is said; "" where it is not. */
    public function unit(): string
    {
        return $this->unit;
    }

    /** The unit of what some figures are said to come to; "" where they do not. */
    public function unitOfSum(float $sum): string
    {
        foreach ([...$this->sums, $this->whole] as $said) {
            $isSize = $said !== null && ! $said->isBare() && $said->count > 0.0;
            if ($isSize && abs($sum - $said->count) <= self::NEAR * $said->count) {
                return $said->unit;
            }
        }

        return '';
    }

    /** Millilitres of a volume, and of an ounce as a bottle has it; null for any other measure. */
    public function millilitres(Amount $amount): ?float
    {
        $unit = match ($amount->unit) {
            'ml' => Unit::Millilitre,
            'l' => Unit::Litre,
            'oz', 'fl oz' => Unit::FluidOunce,
            'tbsp' => Unit::Tablespoon,
            'tsp' => Unit::Teaspoon,
            'cups' => Unit::Cup,
            default => null,
        };

        return $unit === null ? null : $amount->count * $unit->millilitres($this->cup);
    }

    /** How much room an amount takes, ml; 0 where that is next to nothing or not known. */
    public function room(?Amount $amount): float
    {
        return $amount === null ? 0.0 : match ($amount->unit) {
            'g' => $amount->count / self::OIL,
            Amount::FILL, Amount::LEVEL, Amount::MARK, Amount::FRACTION => 1.0,
            default => $this->millilitres($amount) ?? 0.0,
        };
    }

    /**
     * How much room some things take, ml.
     *
     * @param  array<int, Entry>  $entries
     */
    public function roomOf(array $entries): float
    {
        return array_sum(array_map(fn (Entry $e): float => $this->room($e->amount), $entries));
    }
}
