<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Fact;

/** How well it is known that an ingredient serves a need. Method page: docs/methods/evidence.md. */
final readonly class Evidence
{
    public const TRADITION = 1;

    /**
     * @param  int  $grade 4 established, 3 trials on people, 2 laboratory or animal, 1 traditional use, 0 no basis
     *     found
     * @param  string  $found one sentence: what was found
     * @param  string|null  $on whom or what it was found on; null for tradition
     * @param  string  $source id in data/sources.json, or "tradition" or "estimate"
     * @param  bool  $elsewhere whether the trial was on skin that bears no hair: an arm, a leg
     */
    public function __construct(
        public Need $need,
        public int $grade,
        public string $found,
        public ?string $on,
        public Route $route,
        public string $source,
        public bool $elsewhere = false,
    ) {
    }

    /** The same told of something that was made of the thing: it was found of the thing, not of what came out. */
    public function foundOf(Ingredient $parent): self
    {
        return new self(
            $this->need,
            $this->grade,
            sprintf('Of %s itself: %s', Name::inSentence($parent->name), lcfirst($this->found)),
            $this->on,
            $this->route,
            $this->source,
            $this->elsewhere,
        );
    }

    /**
     * What the grade is worth for something that is rubbed into a scalp or hair: what was only eaten counts at most as
     * tradition; a trial on other skin, and a finding without a named source, count one grade less.
     */
    public function worth(): int
    {
        $worth = $this->grade;
        if ($this->elsewhere) {
            $worth--;
        }
        if ($this->grade > self::TRADITION && $this->source === Fact::ESTIMATE) {
            $worth--;
        }

        return max(0, $this->route === Route::Eaten ? min($worth, self::TRADITION) : $worth);
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
