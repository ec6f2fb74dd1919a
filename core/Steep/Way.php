<?php

declare(strict_types=1);

namespace Crown\Steep;

/** How a jar is looked after, and for how long. */
final readonly class Way
{
    /** Days after which nothing more is to be had. */
    public const MOST_DAYS = 400;

    /**
     * @param  bool  $pressed whether the plant is pressed when it is strained
     * @param  float|null  $celsius of a heated way, at most 150; null for the method's own
     * @param  float|null  $minutes of a heated way, at most a day; null for the method's own
     * @param  int|null  $days it stands, 1 to 400; null for the method's own
     *
     * @throws SteepError about "celsius" or "days"
     */
    public function __construct(
        public bool $shakenDaily = true,
        public bool $pressed = false,
        public ?float $celsius = null,
        public ?float $minutes = null,
        public ?int $days = null,
    ) {
        if ($celsius < 0.0 || $celsius > 150.0 || $minutes < 0.0 || $minutes > 1440.0) {
            throw SteepError::field('celsius', 'at most 150 °C for at most a day');
        }
        if ($days !== null && ($days < 1 || $days > self::MOST_DAYS)) {
            throw SteepError::field(
                'days',
                sprintf('1 to %d days, or nothing for as the method has it', self::MOST_DAYS),
            );
        }
    }

    /** The same for so many days. */
    public function standing(int $days): self
    {
        return new self($this->shakenDaily, $this->pressed, $this->celsius, $this->minutes, $days);
    }

    /** The same hands, everything else as the method has it. */
    public function asTheMethodHasIt(): self
    {
        return new self($this->shakenDaily, $this->pressed);
    }

    /** °C at which a method is held. */
    public function heldAt(SteepMethod $method): float
    {
        return $method->isHeated() ? $this->celsius ?? $method->celsius() : $method->celsius();
    }

    /** Minutes for which a heated method is held. */
    public function heldMinutes(SteepMethod $method): float
    {
        return $this->minutes ?? $method->minutes();
    }

    /** Days that a method stands. Heated ways are done on their day. */
    public function standsDays(SteepMethod $method): int
    {
        return $method->isHeated() ? $method->days() : $this->days ?? $method->days();
    }
}
