<?php

declare(strict_types=1);

namespace Crown\Learning;

use Crown\Assessment\Assessment;
use Crown\Assessment\TextureFamily;

/**
 * What was said of a batch by the handbook alone, without anything learned: only beside that can a finding teach, else
 * every correction would be corrected again.
 */
final readonly class Predicted
{
    /**
     * @param  float|null  $lifeMonths by the oils, above 0, without a cap that water sets; null when it cannot be told
     */
    public function __construct(public TextureFamily $family, public ?float $lifeMonths)
    {
    }

    /** @param  Assessment  $assessment of what was truly weighed, made without anything learned */
    public static function of(Assessment $assessment): self
    {
        $life = $assessment->subject->life;

        return new self(
            TextureFamily::of($assessment->subject->composition),
            $life->capped ? null : $life->months?->best,
        );
    }
}
