<?php

declare(strict_types=1);

namespace Crown\Learning;

use Crown\Assessment\Whipping;
use Crown\Formula\FormulaError;
use Crown\Measure\Bounds;
use Crown\Words\Message;

/** What a maker found on one of her batches. Anything she did not look at is left out. */
final readonly class Observation
{
    public const MOST_OVERRUN = 300.0;

    public const MOST_MONTHS = 120.0;

    private const MOST_MINUTES = 120.0;

    /**
     * @param  TextureFound|null  $texture null when it was not felt
     * @param  float|null  $overrunPercent volume gained by whipping, per cent of that before; null when not measured
     * @param  float  $whippedMinutes at medium speed; counts only with the overrun
     * @param  float|null  $months since it was made; null when nothing is said of its life
     * @param  bool  $off whether it had gone off by then; else it was still good
     *
     * @throws FormulaError naming the field and what is allowed
     */
    public function __construct(
        public Predicted $predicted,
        public ?TextureFound $texture = null,
        public ?float $overrunPercent = null,
        public float $whippedMinutes = 0.0,
        public ?float $months = null,
        public bool $off = false,
    ) {
        $whipped = new Bounds(0.0, self::MOST_OVERRUN);
        $isTimed = $whippedMinutes > 0.0 && $whippedMinutes <= self::MOST_MINUTES;
        if ($overrunPercent !== null && (! $whipped->hold($overrunPercent) || ! $isTimed)) {
            throw FormulaError::field(
                'overrun_percent',
                new Message('learning.observation.overrun-with-minutes-was'),
            );
        }
        if ($months !== null && ($months <= 0.0 || $months > self::MOST_MONTHS)) {
            throw FormulaError::field('months', new Message('learning.observation.age-more-than-most'));
        }
        if ($texture === null && $overrunPercent === null && $months === null) {
            throw FormulaError::field('texture', new Message('learning.observation.something-was-found-texture'));
        }
    }

    /** Found over predicted effective solids; null when it was not felt. */
    public function textureRatio(): ?float
    {
        return $this->texture?->ratio();
    }

    /** Found over predicted overrun at the same minutes; null when it was not measured. */
    public function overrunRatio(): ?float
    {
        return $this->overrunPercent === null
            ? null
            : max(0.05, $this->overrunPercent / 100 / Whipping::overrun($this->whippedMinutes)->best);
    }

    /**
     * Found over predicted life; null when nothing can be learned: still good at an age at which it was said to be is
     * no news.
     */
    public function lifeRatio(): ?float
    {
        if ($this->months === null || $this->predicted->lifeMonths === null) {
            return null;
        }
        $ratio = $this->months / $this->predicted->lifeMonths;

        return $this->off || $ratio > 1.0 ? $ratio : null;
    }
}
