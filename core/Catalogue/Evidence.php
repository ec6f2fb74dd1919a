<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** How well it is known that an ingredient serves a need. Method page: docs/methods/evidence.md. */
final readonly class Evidence
{
    public const TRADITION = 1;

    /**
     * @param  int  $grade 4 established, 3 trials on people, 2 laboratory or animal, 1 traditional use, 0 no basis
     *     found
     * @param  string  $found one sentence: what was found
     * @param  string  $on whom or what it was found on; "" for tradition
     * @param  string  $source id in data/sources.json, or "tradition" or "estimate"
     */
    public function __construct(
        public Need $need,
        public int $grade,
        public string $found,
        public string $on,
        public Route $route,
        public string $source,
    ) {
    }

    /** What the grade is worth for something that is rubbed in: what was only eaten counts at most as tradition. */
    public function worth(): int
    {
        return $this->route === Route::Eaten ? min($this->grade, self::TRADITION) : $this->grade;
    }

    /**
     * 0 to 1: the weight of this evidence where services are added up. Tradition counts a quarter, nothing counts
     * nothing.
     */
    public function strength(): float
    {
        return $this->worth() / 4;
    }
}
