<?php

declare(strict_types=1);

namespace Crown\Steep;

/** A jar with straight sides. What is not known is 0. */
final readonly class Vessel
{
    /** Below this a jar's mouth is too narrow to strain into, cm. */
    private const WIDE_MOUTH = 6.0;

    public function __construct(
        public float $millilitres = 0.0,
        public float $diameterCm = 0.0,
        public float $mouthCm = 0.0,
    ) {
        if (
            $millilitres < 0.0
            || $diameterCm < 0.0
            || $mouthCm < 0.0
            || $millilitres > 100_000.0
            || $diameterCm > 100.0
        ) {
            throw SteepError::field('jar_ml', 'a jar of 0 (not known) to 100,000 ml and 0 to 100 cm');
        }
    }

    public function known(): bool
    {
        return $this->millilitres > 0.0 && $this->diameterCm > 0.0;
    }

    public function areaCm2(): float
    {
        return (M_PI * $this->diameterCm ** 2) / 4;
    }

    public function isNarrow(): bool
    {
        return $this->mouthCm > 0.0 && $this->mouthCm < self::WIDE_MOUTH;
    }
}
