<?php

declare(strict_types=1);

namespace Crown\Assessment;

use JsonSerializable;

/** By how much a studio's own findings shift a predicted figure, and how many stand behind it. */
final readonly class Shift implements JsonSerializable
{
    /** Imaginary findings of "as said" that hold the figure back until there are more of the maker's own. */
    public const HELD_BY = 2;

    /**
     * @param  float  $factor on the predicted figure
     * @param  int  $count findings behind it; 0 when it is 1 for want of any
     */
    private function __construct(public float $factor, public int $count)
    {
    }

    public static function none(): self
    {
        return new self(1.0, 0);
    }

    /**
     * exp(sum of ln ratio / (n + 2)), kept between two bounds.
     *
     * @param  list<float>  $ratios found over predicted, above 0
     */
    public static function from(array $ratios, float $least, float $most): self
    {
        if ($ratios === []) {
            return self::none();
        }
        $log = array_sum(array_map(log(...), $ratios)) / (count($ratios) + self::HELD_BY);

        return new self(max($least, min($most, exp($log))), count($ratios));
    }

    public function percent(): float
    {
        return ($this->factor - 1) * 100;
    }

    /** @return array{factor: float, count: int} */
    public function jsonSerialize(): array
    {
        return ['factor' => round($this->factor, 4), 'count' => $this->count];
    }
}
