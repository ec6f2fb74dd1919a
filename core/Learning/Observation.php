<?php

declare(strict_types=1);

namespace Crown\Learning;

use Crown\Assessment\Whipping;
use Crown\Formula\FormulaError;

/** What a maker found on one of her batches. Anything she did not look at is left out. */
final readonly class Observation
{
    public const MOST_OVERRUN = 300.0;

    public const MOST_MONTHS = 120.0;

    /**
     * @param  TextureFound|null  $texture null when it was not felt
     * @param  float  $overrunPercent volume gained by whipping, per cent of the volume before; below 0 when it was not
     *     measured
     * @param  float  $whippedMinutes at medium speed; counts only with the overrun
     * @param  float  $months since it was made; 0 when nothing is said of its life
     * @param  bool  $off whether it had gone off by then; else it was still good
     *
     * @throws FormulaError naming the field and what is allowed
     */
    public function __construct(
        public Predicted $predicted,
        public ?TextureFound $texture = null,
        public float $overrunPercent = -1.0,
        public float $whippedMinutes = 0.0,
        public float $months = 0.0,
        public bool $off = false,
    ) {
        if (
            $overrunPercent > self::MOST_OVERRUN
            || ($overrunPercent >= 0.0 && ($whippedMinutes <= 0.0 || $whippedMinutes > 120.0))
        ) {
            throw FormulaError::field(
                'overrun_percent',
                'an overrun of 0 to 300 %, with the minutes it was whipped, more than 0 and at most 120',
            );
        }
        if ($months < 0.0 || $months > self::MOST_MONTHS) {
            throw FormulaError::field('months', 'an age of 0 to 120 months');
        }
        if ($texture === null && $overrunPercent < 0.0 && $months <= 0.0) {
            throw FormulaError::field('texture', 'something that was found: texture, overrun, or how long it kept');
        }
    }

    /** Found over predicted effective solids; 0 when it was not felt. */
    public function textureRatio(): float
    {
        return $this->texture?->ratio() ?? 0.0;
    }

    /** Found over predicted overrun at the same minutes; 0 when it was not measured. */
    public function overrunRatio(): float
    {
        return $this->overrunPercent < 0.0
            ? 0.0
            : max(0.05, $this->overrunPercent / 100 / Whipping::overrun($this->whippedMinutes)->best);
    }

    /**
     * Found over predicted life; 0 when nothing can be learned: still good at an age at which it was said to be is no
     * news.
     */
    public function lifeRatio(): float
    {
        if ($this->months <= 0.0 || $this->predicted->lifeMonths <= 0.0) {
            return 0.0;
        }
        $ratio = $this->months / $this->predicted->lifeMonths;

        return $this->off || $ratio > 1.0 ? $ratio : 0.0;
    }
}
