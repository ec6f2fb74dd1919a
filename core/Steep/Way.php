<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;

/** How a jar is looked after, and for how long. */
final readonly class Way
{
    /** Days after which nothing more is to be had. */
    public const MOST_DAYS = 400;

    /**
     * @param  bool  $pressed whether the plant is pressed when it is strained
     * @param  float|null  $celsius at which it is held, at most 150; null for the method's own
     * @param  float|null  $minutes of a heated way, at most a day; null for the method's own
     * @param  int|null  $days it stands, 1 to 400; null for the method's own
     * @param  bool  $shakenSometimes whether it is shaken now and then, where it is not daily
     *
     * @throws SteepError about "celsius" or "days"
     */
    public function __construct(
        public bool $shakenDaily = true,
        public bool $pressed = false,
        public ?float $celsius = null,
        public ?float $minutes = null,
        public ?int $days = null,
        public bool $shakenSometimes = false,
    ) {
        if ($celsius < 0.0 || $celsius > 150.0) {
            throw SteepError::field('celsius', new Message('steep.allowed.celsius'));
        }
        if ($minutes < 0.0 || $minutes > 1440.0) {
            throw SteepError::field('held_for', new Message('steep.allowed.held-for'));
        }
        if ($days !== null && ($days < 1 || $days > self::MOST_DAYS)) {
            throw SteepError::field(
                'days',
                new Message('steep.allowed.days', ['most' => self::MOST_DAYS]),
            );
        }
    }

    /**
     * The same, once it is known that a method can be held so.
     *
     * @throws SteepError about "celsius"
     */
    public function fitting(SteepMethod $method): self
    {
        $held = $method->heldBetween();
        if ($this->celsius !== null && ! $held->hold($this->celsius)) {
            throw SteepError::field(
                'celsius',
                sprintf('%g to %g °C for "%s"', $held->least, $held->most, mb_strtolower($method->label())),
            );
        }

        return $this;
    }

    /** The same for so many days. */
    public function standing(int $days): self
    {
        return new self(
            $this->shakenDaily,
            $this->pressed,
            $this->celsius,
            $this->minutes,
            $days,
            $this->shakenSometimes,
        );
    }

    /** The same hands, everything else as the method has it. */
    public function asTheMethodHasIt(): self
    {
        return new self($this->shakenDaily, $this->pressed, shakenSometimes: $this->shakenSometimes);
    }
}
