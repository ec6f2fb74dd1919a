<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Formula\Phase;

/** A sentence of a text with what it is and what it tells to do. */
final readonly class Part
{
    /**
     * @param  list<ToldStep>  $steps in their order
     * @param  bool  $isMethod whether it tells what is done, and names things only in passing
     * @param  Phase|null  $phase when its things go in, by the heading above; null where none says so
     */
    public function __construct(
        public Sentence $sentence,
        public Role $role,
        public array $steps,
        public bool $isMethod,
        public ?Phase $phase,
    ) {
    }

    public function counts(): bool
    {
        return $this->role === Role::Content;
    }

    /** The step that some token of it belongs to; null for none. */
    public function stepAt(int $place): ?ToldStep
    {
        $token = $this->sentence->chart->tokens[$place];
        foreach ($this->steps as $step) {
            if ($step->from <= $token->start && $token->start < $step->to) {
                return $step;
            }
        }

        return null;
    }
}
