<?php

declare(strict_types=1);

namespace Crown\Head;

/** One simple observation, and what it cannot tell. */
final readonly class Question
{
    /**
     * @param  string  $trait strand, porosity or scalp
     * @param  list<Answer>  $answers
     */
    public function __construct(
        public string $id,
        public string $trait,
        public string $asks,
        public array $answers,
        public string $limits,
    ) {
    }
}
