<?php

declare(strict_types=1);

namespace Crown\Steep;

/** One step of straining: what hands do, and why. */
final readonly class StrainStep
{
    /**
     * @param  int  $fewestHours to wait; 0 when there is nothing to wait for
     */
    public function __construct(
        public string $id,
        public string $does,
        public string $why,
        public int $fewestHours = 0,
        public int $mostHours = 0,
    ) {
    }
}
