<?php

declare(strict_types=1);

namespace Crown\Formula\Learned;

/**
 * What a studio's own batches have taught it: its texture, whipping and life against the handbook's, by what holds the
 * product. Method page: docs/methods/learned.md. It never lifts what safety sets: the caps for water, limits of load,
 * minimum ages.
 */
final readonly class Learned
{
    /** Between these a studio's findings may move a figure; a life is lengthened by a quarter at most. */
    private const TEXTURE = [0.5, 2.0];

    private const OVERRUN = [0.2, 2.0];

    private const LIFE = [0.25, 1.25];

    /** @param  list<Observation>  $observations */
    private function __construct(private array $observations)
    {
    }

    public static function nothing(): self
    {
        return new self([]);
    }

    public static function from(Observation ...$observations): self
    {
        return new self(array_values($observations));
    }

    public function texture(TextureFamily $family): Shift
    {
        return $this->shift($family, static fn (Observation $o): float => $o->textureRatio(), self::TEXTURE);
    }

    public function overrun(TextureFamily $family): Shift
    {
        return $this->shift($family, static fn (Observation $o): float => $o->overrunRatio(), self::OVERRUN);
    }

    public function life(TextureFamily $family): Shift
    {
        return $this->shift($family, static fn (Observation $o): float => $o->lifeRatio(), self::LIFE);
    }

    /**
     * @param  callable(Observation): float  $ratio
     * @param  array{float, float}  $bounds
     */
    private function shift(TextureFamily $family, callable $ratio, array $bounds): Shift
    {
        $ratios = [];
        foreach ($this->observations as $observation) {
            if ($observation->predicted->family === $family && $ratio($observation) > 0.0) {
                $ratios[] = $ratio($observation);
            }
        }

        return Shift::from($ratios, ...$bounds);
    }
}
