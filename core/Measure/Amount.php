<?php

declare(strict_types=1);

namespace Crown\Measure;

/** One amount as a maker wrote it, read but not yet turned into mass. */
final readonly class Amount
{
    /**
     * @param  Band  $count how many of the unit; a written range gives the band its ends
     * @param  bool  $heaped 1.5 times level, within 25 %
     * @param  bool  $about adds 10 % to the half-width
     * @param  float|null  $capsuleMilligrams powder in one capsule, above 0; null when it was not said
     * @param  list<Amount>  $also further parts to be added ("1 cup + 2 tbsp")
     * @param  float|null  $millilitres of a fill: the volume of the whole, above 0; null when it was not said as one
     * @param  string  $written the maker's own words
     *
     * @throws MeasureError for nothing, less than nothing, or more than a tonne
     */
    public function __construct(
        public Band $count,
        public Unit $unit,
        public string $written,
        public bool $heaped = false,
        public bool $about = false,
        public ?float $capsuleMilligrams = null,
        public array $also = [],
        public ?float $millilitres = null,
    ) {
        $fillWithoutTarget = $unit === Unit::Fill;
        if (! $fillWithoutTarget && $count->low <= 0.0) {
            throw MeasureError::negativeAmount($written);
        }
        if (($unit->isMass() && $count->high * $unit->grams() > 1_000_000.0) || $count->high > 1_000_000.0) {
            throw MeasureError::enormousAmount($written);
        }
    }

    public static function grams(float $grams): self
    {
        return new self(Band::exact($grams), Unit::Gram, self::number($grams).' g');
    }

    public static function percent(float $percent): self
    {
        return new self(Band::exact($percent), Unit::Percent, self::number($percent).' %');
    }

    public static function parts(float $parts): self
    {
        return new self(Band::exact($parts), Unit::Part, self::number($parts).' '.Unit::Part->after($parts));
    }

    public static function drops(int $drops): self
    {
        return new self(Band::exact($drops), Unit::Drop, $drops.' '.Unit::Drop->after($drops));
    }

    /** The amount times a factor, written anew in the same unit. Shares, parts and fills stay as they are. */
    public function scaled(float $factor): self
    {
        if ($this->unit->isRelative()) {
            return $this;
        }
        $also = array_map(static fn (Amount $a): Amount => $a->scaled($factor), $this->also);
        $count = $this->count->scaled($factor);
        $words = ($this->about ? 'about ' : '')
            .($this->heaped ? 'heaped ' : '')
            .($count->isExact()
                ? self::number($count->best)
                : self::number($count->low).' to '.self::number($count->high))
            .' '
            .$this->unit->after($count->high)
            .($this->capsuleMilligrams === null ? '' : sprintf(' of %g mg', $this->capsuleMilligrams));
        foreach ($also as $more) {
            $words .= ' + '.$more->written;
        }

        return new self($count, $this->unit, $words, $this->heaped, $this->about, $this->capsuleMilligrams, $also);
    }

    /** A number as people write it: three significant digits below a hundred, whole above. */
    public static function number(float $value): string
    {
        $digits = match (true) {
            abs($value) >= 100.0 => 1,
            abs($value) >= 1.0 => 2,
            default => 3,
        };

        return Number::shown($value, $digits);
    }
}
