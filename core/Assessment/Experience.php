<?php

declare(strict_types=1);

namespace Crown\Assessment;

/**
 * By how much a studio's own experience shifts what the handbook says, by what holds the product. An assessment takes
 * it as it is; how it is learned from batches is Crown\Learning's. It never lifts what safety sets: the caps for water,
 * limits of load, minimum ages.
 */
final readonly class Experience
{
    /**
     * @param  array<string, Shift>  $texture of the effective solids, keyed by TextureFamily value
     * @param  array<string, Shift>  $overrun of the air taken in by whipping, likewise
     * @param  array<string, Shift>  $life of the months before oxidation, likewise
     */
    public function __construct(private array $texture, private array $overrun, private array $life)
    {
    }

    public static function none(): self
    {
        return new self([], [], []);
    }

    public function texture(TextureFamily $family): Shift
    {
        return $this->texture[$family->value] ?? Shift::none();
    }

    public function overrun(TextureFamily $family): Shift
    {
        return $this->overrun[$family->value] ?? Shift::none();
    }

    public function life(TextureFamily $family): Shift
    {
        return $this->life[$family->value] ?? Shift::none();
    }
}
