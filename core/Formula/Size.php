<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Words\Message;

/** How much is to be made: as written, a mass, or jars to fill. */
final readonly class Size
{
    /** Overfill and process loss where the studio has not learned its own. */
    public const OVERFILL = 0.03;

    public const LOSS = 0.04;

    private function __construct(
        public string $mode,
        public float $grams,
        public int $jars,
        public float $millilitres,
        public float $overfill,
        public float $loss,
    ) {
    }

    public static function asWritten(): self
    {
        return new self('as-written', 0.0, 0, 0.0, self::OVERFILL, self::LOSS);
    }

    public function isAsWritten(): bool
    {
        return $this->mode === 'as-written';
    }

    /**
     * Millilitres of the blend, without air, that fill the jars, with what goes over and what is lost; null where no
     * jars are to be filled.
     *
     * @param  float  $air that is beaten into it before, as a fraction of its volume
     */
    public function millilitresToFill(float $air = 0.0): ?float
    {
        return $this->isByVolume()
            ? ($this->jars * $this->millilitres * (1 + $this->overfill)) / (1 + $air) / (1 - $this->loss)
            : null;
    }

    /** Whether it is jars that are to be filled, by volume. */
    public function isByVolume(): bool
    {
        return $this->mode === 'jars';
    }

    /** @throws FormulaError */
    public static function mass(float $grams): self
    {
        if (! is_finite($grams) || $grams <= 0.0 || $grams > 1_000_000.0) {
            throw FormulaError::batchSize('size.grams', Message::said('formula.size.mass-above-most-g'));
        }

        return new self('mass', $grams, 0, 0.0, self::OVERFILL, self::LOSS);
    }

    /**
     * @param  float  $overfill share added so that no jar is short, 0 to 0.5
     * @param  float  $loss share that stays in bowl and spout, 0 to 0.9
     *
     * @throws FormulaError
     */
    public static function jars(
        int $jars,
        float $millilitres,
        float $overfill = self::OVERFILL,
        float $loss = self::LOSS,
    ): self {
        if ($jars < 1 || $jars > 10_000) {
            throw FormulaError::batchSize('size.jars', 'between 1 and 10,000 jars');
        }
        if (! is_finite($millilitres) || $millilitres < 1.0 || $millilitres > 20_000.0) {
            throw FormulaError::batchSize('size.millilitres', 'jars of 1 to 20,000 ml');
        }
        if ($overfill < 0.0 || $overfill > 0.5 || $loss < 0.0 || $loss > 0.9) {
            throw FormulaError::batchSize('size.loss', Message::said('formula.size.overfill-loss'));
        }

        return new self('jars', 0.0, $jars, $millilitres, $overfill, $loss);
    }

    /**
     * The mass to make, grams; null for "as written":
     * jars x volume x (1 + overfill) x density / (1 + air) / (1 - loss).
     *
     * @param  float  $density of the blend at 20 °C, g/ml
     * @param  float  $air that is beaten into it before the jars are filled, as a fraction of its volume
     */
    public function target(float $density, float $air = 0.0): ?float
    {
        $millilitres = $this->millilitresToFill($air);

        return match (true) {
            $millilitres !== null => $millilitres * $density,
            $this->isAsWritten() => null,
            default => $this->grams,
        };
    }
}
