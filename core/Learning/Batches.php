<?php

declare(strict_types=1);

namespace Crown\Learning;

use Crown\Assessment\Experience;
use Crown\Assessment\Shift;
use Crown\Assessment\TextureFamily;

/**
 * What a studio's own batches have taught it: its texture, whipping and life against the handbook's, by what holds the
 * product. Method page: docs/methods/learned.md.
 */
final readonly class Batches
{
    /** Between these a studio's findings may move a figure; a life is lengthened by a quarter at most. */
    private const TEXTURE = [0.5, 2.0];

    private const OVERRUN = [0.2, 2.0];

    private const LIFE = [0.25, 1.25];

    /** What these observations teach; nothing when there are none. */
    public static function teach(Observation ...$observations): Experience
    {
        $all = array_values($observations);

        return new Experience(
            self::shifts($all, static fn (Observation $o): ?float => $o->textureRatio(), self::TEXTURE),
            self::shifts($all, static fn (Observation $o): ?float => $o->overrunRatio(), self::OVERRUN),
            self::shifts($all, static fn (Observation $o): ?float => $o->lifeRatio(), self::LIFE),
        );
    }

    /**
     * @param  list<Observation>  $observations
     * @param  callable(Observation): (float|null)  $ratio found over predicted; null when it teaches nothing
     * @param  array{float, float}  $bounds
     * @return array<string, Shift> keyed by TextureFamily value
     */
    private static function shifts(array $observations, callable $ratio, array $bounds): array
    {
        $shifts = [];
        foreach (TextureFamily::cases() as $family) {
            $ratios = [];
            foreach ($observations as $observation) {
                $found = $observation->predicted->family === $family ? $ratio($observation) : null;
                if ($found !== null) {
                    $ratios[] = $found;
                }
            }
            $shifts[$family->value] = Shift::from($ratios, ...$bounds);
        }

        return $shifts;
    }
}
